<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Figure;
use IdleRidge\Core\Plan\BenchPlan;

/** Ballast that would stand over the sleepers. */
final class BallastBelowSleeperTop implements WorkRule
{
    public function ids(): array
    {
        return ['ballast-below-sleeper-top'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach ($work->moves as $move) {
            $run = $move->coat->recipe->family === 'ballast' ? ($work->project->runsNear($move->section)[0] ?? null) : null;
            $profile = $run?->profile->toArray();
            $top = $profile === null ? INF : $profile['sleeper_mm'] + $profile['roadbed_mm'];
            if ($move->coat->mm > $top) {
                $found[$move->coat->uid] ??= CoatPair::on($plan, $move->section->uid, $move->zone->uid, 'ballast-below-sleeper-top', Severity::Care, "{$move->coat->title()} is higher than the sleepers", ['thick' => new Figure($move->coat->mm, 'mm', 'thickness of the coat', decimals: 1), 'up_to' => new Figure($top, 'mm', 'roadbed and sleeper together', decimals: 1)], 'Stones over the sleepers lift wheels and stick in the points.', 'Lay less, in light layers, and brush the tops of the sleepers clean.');
            }
        }

        return array_values($found);
    }
}
