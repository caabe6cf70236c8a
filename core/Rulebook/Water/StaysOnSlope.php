<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Water;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Water\Reach;

/** What a stream is made of stays on its slope. */
final class StaysOnSlope implements WaterRule
{
    public function ids(): array
    {
        return ['pour-on-slope'];
    }

    public function check(Project $project, WaterSurvey $survey): array
    {
        $found = [];
        foreach ($project->works->zonesOf($survey->section) as $zone) {
            $body = $zone->isBed() ? $survey->body((string) $zone->water) : null;
            $steepest = null;
            foreach ($body->reaches ?? [] as $reach) {
                $steepest = $steepest === null || $reach->slopeDeg() > $steepest->slopeDeg() ? $reach : $steepest;
            }
            if ($body === null || $steepest === null) {
                continue;
            }
            foreach ($project->works->coatsOf($zone->uid) as $coat) {
                $may = $coat->recipe->pour?->steepestDeg;
                if ($may !== null && $steepest->slopeDeg() > $may) {
                    $dams = array_sum(array_map(fn (Reach $r): int => $r->dams($coat->mm), $body->reaches));
                    $found[] = new Finding(
                        'pour-on-slope',
                        Severity::Care,
                        "{$coat->title()} does not stay on {$body->called()}",
                        $survey->section,
                        Place::at(...$body->deepest),
                        [
                            'slope' => new Quantity(
                                $steepest->slopeDeg(),
                                '°',
                                'fall of the water over its length, the steepest reach',
                                ['may be' => round($may, 1).'°'],
                                decimals: 1,
                            ),
                            'dams' => new Quantity((float) $dams, '', 'steps no higher than one layer, reach by reach', decimals: 0),
                        ],
                        'It finds its own level: it leaves the upper end bare and runs over the lower.',
                        $dams > 0
                            ? "Set {$dams} small dams across it and pour reach by reach, or take thin gloss coats, which stay."
                            : 'Take thin gloss coats, which stay.',
                    );
                }
            }
        }

        return $found;
    }
}
