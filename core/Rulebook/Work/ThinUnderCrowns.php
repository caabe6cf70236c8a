<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** Grass stands thin in the shade of crowns. */
final class ThinUnderCrowns implements WorkRule
{
    /** More of the ground than this is no longer thin. */
    public const MAX_THIN_SHARE = 0.5;

    public function ids(): array
    {
        return ['thin-under-crowns'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        $works = $plan->work->project->works;
        foreach ($works->zones as $zone) {
            foreach ($zone->crowns === null ? [] : $works->coatsOf($zone->uid) as $coat) {
                if ($coat->recipe->family === Family::Fibre && $coat->share > self::MAX_THIN_SHARE) {
                    $found[$coat->uid] = CoatPair::on(
                        $plan,
                        $zone->section,
                        $zone->uid,
                        'thin-under-crowns',
                        Severity::Hint,
                        "{$coat->title()} is thick for the shade",
                        ['share' => new Quantity(100.0 * $coat->share, '%', 'of the zone that it covers', decimals: 0)],
                        'Under trees there is bare earth and litter; a lawn to the trunk looks like a toy.',
                        'Cover half of it at most, and scatter leaf litter between.',
                    );
                }
            }
        }

        return array_values($found);
    }
}
