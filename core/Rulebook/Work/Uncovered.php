<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/**
 * Land that came to a zone after a coat was laid there and the next one begun: done work stays as it is, and a part of the
 * zone stands without it.
 */
final class Uncovered implements WorkRule
{
    public function ids(): array
    {
        return ['uncovered'];
    }

    public function check(BenchPlan $plan): array
    {
        $works = $plan->work->project->works;
        $found = [];
        foreach ($works->zones as $zone) {
            $survey = $plan->work->surveys[$zone->section] ?? null;
            $begun = false;
            foreach (array_reverse($works->coatsOf($zone->uid)) as $coat) {
                $laid = $works->laidOf($coat->uid, 1) !== [];
                if ($survey !== null && $begun && $laid && ! $survey->isWhole($coat, 1)) {
                    $left = $survey->left($coat, 1)->surface;
                    [$x, $y] = $survey->zones[$zone->uid]->middle();
                    $found[] = new Finding(
                        'uncovered',
                        Severity::Care,
                        "{$zone->name} has grown since {$coat->title()}",
                        $zone->section,
                        Place::inZone($zone->uid, $x, $y),
                        ['without' => new Quantity($left / 100.0, 'cm²', 'true surface of the zone less what was laid')],
                        'What was laid stays as it was; land or zone changed afterwards, and what lies over it was begun.',
                        'Lay the missing part first: it stands in the plan as a move of its own.',
                    );
                }
                $begun = $begun || $laid;
            }
        }

        return $found;
    }
}
