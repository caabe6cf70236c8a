<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** Ballast that would stand over the sleepers. */
final class BallastBelowSleeperTop implements WorkRule
{
    /** What a sum of light layers may be over, mm. */
    private const TOLERANCE_MM = 1e-6;

    public function ids(): array
    {
        return ['ballast-below-sleeper-top'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach ($work->moves as $move) {
            $coat = $move->coat;
            [$thick, $full] = [$coat->mm * $coat->passes, $coat->recipe->cure->referenceMm];
            if ($coat->recipe->family === Family::Ballast && $thick > $full + self::TOLERANCE_MM) {
                $found[$coat->uid] ??= CoatPair::on(
                    $plan,
                    $move->section->uid,
                    $move->zone->uid,
                    'ballast-below-sleeper-top',
                    Severity::Care,
                    "{$coat->title()} is higher than the sleepers",
                    [
                        'thick' => new Quantity($thick, 'mm', 'thickness of all passes', ['passes' => (string) $coat->passes], decimals: 1),
                        'up_to' => new Quantity($full, 'mm', 'thickness at which it lies level with the sleepers', decimals: 1),
                    ],
                    'Stones over the sleepers lift wheels and stick in the points.',
                    'Lay less, in light layers, and brush the tops of the sleepers clean.',
                );
            }
        }

        return array_values($found);
    }
}
