<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Project\LandStudy;

/** One thing that a builder should know about a section's land. */
interface LandRule
{
    /** @return non-empty-list<string> of what it may find; the rule book tells each in plain words */
    public function ids(): array;

    /** @return list<Finding> */
    public function check(LandStudy $study): array;
}
