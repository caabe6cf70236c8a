<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\StationRange;

/** Where two formations lie over each other, their levels have to agree. */
final class FormationsAtOdds implements LandRule
{
    /** Levels may differ by this much, mm. */
    public const MAX_STEP_MM = 1.0;

    public function ids(): array
    {
        return ['formations-at-odds'];
    }

    public function check(LandStudy $study): array
    {
        $samples = [];
        foreach ($study->terrain->graded as $at) {
            if ($at->kind === Grading::FORMATION && $at->gap > self::MAX_STEP_MM) {
                $samples[$at->run][] = [$at->station, $at->gap];
            }
        }
        $found = [];
        foreach ($samples as $k => $places) {
            $run = $study->model->grading->runs[$k];
            foreach (StationRange::gather($places, $study->terrain->cell, $run->alignment->length) as $stretch) {
                $mark = $run->alignment->pointAt(($stretch->from + $stretch->to) / 2.0);
                $found[] = new Finding(
                    'formations-at-odds',
                    Severity::Stop,
                    'Formations at odds',
                    $study->section->uid,
                    Place::onRun($run->uid, $stretch->from, $stretch->to, $mark->x, $mark->y),
                    [
                        'difference' => new Quantity(
                            $stretch->greatest,
                            'mm',
                            'greatest difference of the levels where formations overlap',
                            ['may be' => Format::length(self::MAX_STEP_MM, 1)],
                            decimals: 1,
                        ),
                    ],
                    'Two formations lie over each other at different levels; one of them cannot be built.',
                    'Bring the heights together where the tracks run side by side, or move them apart.',
                );
            }
        }

        return $found;
    }
}
