<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Water;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterSurvey;

/** Water that goes on over a joint stands at one level on both boards. */
final class JointsLevel implements WaterRule
{
    /** A step that light from the side does not show, mm. */
    public const STEP_MM = 0.5;

    public function ids(): array
    {
        return ['water-joint-step'];
    }

    public function check(Project $project, WaterSurvey $survey): array
    {
        $found = [];
        foreach ($survey->steps as $step) {
            if ($step['step'] > self::STEP_MM) {
                $found[] = new Finding(
                    'water-joint-step',
                    Severity::Stop,
                    "{$step['name']} meets {$step['other']} on {$step['joint']} at another level",
                    $survey->section,
                    Place::at(...$step['at']),
                    ['step' => new Quantity($step['step'], 'mm', 'difference of the two levels at the joint', decimals: 1)],
                    'One water cannot stand at two levels; the step shows as a bright line.',
                    'Give both one level, or end one of them before the joint.',
                );
            }
        }

        return $found;
    }
}
