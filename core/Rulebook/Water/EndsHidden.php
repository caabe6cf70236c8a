<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Water;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\MirrorFit;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\StreamEnd;
use IdleRidge\Core\Project\WaterSurvey;

/** Where water leaves the scene something hides that it stops: a bridge, trees, a building, or a mirror. */
final class EndsHidden implements WaterRule
{
    /** A mirror so near an end stands there for it, mm. */
    private const NEAR_MM = 60.0;

    public function ids(): array
    {
        return ['stream-end-seen'];
    }

    public function check(Project $project, WaterSurvey $survey): array
    {
        $found = [];
        foreach ($survey->ends as $end) {
            if (! $end->isOpen() || $this->hasMirror($survey, $end)) {
                continue;
            }
            $found[] = new Finding(
                'stream-end-seen',
                Severity::Hint,
                "{$end->name} stops at the {$end->edge->value}, before everyone’s eyes",
                $survey->section,
                Place::at(...$end->at),
                [
                    'seen' => new Quantity(
                        100.0 * $end->seen,
                        '%',
                        'of lines from the eyes to the water there that nothing stands in',
                        ['may be' => round(100.0 * StreamEnd::MAX_SEEN_SHARE).' %'],
                        'starting value',
                        0,
                    ),
                ],
                'The eye follows water to where it goes.',
                'Lead it behind a bridge, trees or a building there, bend it out of sight, or set a mirror.',
            );
        }

        return $found;
    }

    private function hasMirror(WaterSurvey $survey, StreamEnd $end): bool
    {
        $near = fn (MirrorFit $fit): bool => hypot($fit->mirror->x - $end->at[0], $fit->mirror->y - $end->at[1]) < self::NEAR_MM;

        return array_filter($survey->mirrors, $near) !== [];
    }
}
