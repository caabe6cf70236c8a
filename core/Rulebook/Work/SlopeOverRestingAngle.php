<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** Loose material on land steeper than it rests at. */
final class SlopeOverRestingAngle implements WorkRule
{
    /** Less is not worth a word: a share of the zone. */
    private const MIN_SHARE = 0.02;

    public function ids(): array
    {
        return ['slope-over-resting-angle'];
    }

    public function check(BenchPlan $plan): array
    {
        $works = $plan->work->project->works;
        $found = [];
        foreach ($works->coats as $coat) {
            $limit = $coat->recipe->angleOfReposeDeg;
            foreach ($limit === null ? [] : $works->zones as $zone) {
                $area = $plan->work->surveys[$zone->section]->zones[$zone->uid] ?? null;
                if ($zone->uid !== $coat->zone || $area === null) {
                    continue;
                }
                $steep = $area->steeperThan((float) $limit);
                if ($steep > self::MIN_SHARE * $area->surface) {
                    [$x, $y] = $area->middle();
                    $found[] = new Finding(
                        'slope-over-resting-angle',
                        Severity::Care,
                        "{$coat->title()} slides on {$zone->name}",
                        $zone->section,
                        Place::inZone($zone->uid, $x, $y),
                        [
                            'steeper' => new Quantity(
                                $steep / 100.0,
                                'cm²',
                                'true surface of the zone steeper than the material rests at',
                                ['rests at' => Decimal::trimmed((float) $limit, 1).'°'],
                            ),
                        ],
                        sprintf('It rests at %s°; this much of the zone is steeper.', Decimal::trimmed((float) $limit, 1)),
                        'Brush glue on first and press it in by hand, or leave the steep part out of the zone.',
                    );
                }
            }
        }

        return $found;
    }
}
