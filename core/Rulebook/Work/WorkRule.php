<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Plan\BenchPlan;

/** One thing that a builder should know about what goes onto the land, and when. */
interface WorkRule
{
    /** @return non-empty-list<string> of what it may find; the rule book tells each in plain words */
    public function ids(): array;

    /** @return list<Finding> */
    public function check(BenchPlan $plan): array;
}
