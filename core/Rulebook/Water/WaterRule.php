<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Water;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterSurvey;

/** One thing that a builder should know about the water on a board. */
interface WaterRule
{
    /** @return non-empty-list<string> of what it may find; the rule book tells each in plain words */
    public function ids(): array;

    /** @return list<Finding> */
    public function check(Project $project, WaterSurvey $survey): array;
}
