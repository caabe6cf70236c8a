<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Cuts\Gluing;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** A piece that is larger than hot melt stays open for. */
final class HotMeltTooLarge implements WorkRule
{
    public function ids(): array
    {
        return ['hot-melt-piece-too-large'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach ($plan->work->moves as $move) {
            if ($move->recipe->is(RecipeTrait::Quick) && $move->area > Gluing::meltsFor()) {
                $found[$move->coat->uid] ??= CoatPair::on(
                    $plan,
                    $move->section->uid,
                    $move->zone->uid,
                    'hot-melt-piece-too-large',
                    Severity::Care,
                    "{$move->coat->title()} gels before it is placed",
                    [
                        'area' => new Quantity($move->area / 100.0, 'cm²', 'true surface in one go', decimals: 0),
                        'open' => new Quantity(Gluing::meltsFor() / 100.0, 'cm²', 'bead rate × 30 s', decimals: 0),
                    ],
                    'Hot melt is open for half a minute: the far end of a larger piece lies on glue that has set.',
                    'Glue it in smaller pieces, or with contact glue.',
                );
            }
        }

        return array_values($found);
    }
}
