<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Project\GrowthSurvey;

/** One thing that a builder should know about what grows or stands on a board. */
interface GrowthRule
{
    /** @return non-empty-list<string> of what it may find; the rule book tells each in plain words */
    public function ids(): array;

    /** @return list<Finding> */
    public function check(GrowthSurvey $survey): array;
}
