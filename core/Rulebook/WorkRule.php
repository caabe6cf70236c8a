<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Plan\BenchPlan;

/** One thing that a builder should know about what goes onto the land, and when. */
interface WorkRule
{
    /** @return list<Finding> */
    public function check(BenchPlan $plan): array;
}
