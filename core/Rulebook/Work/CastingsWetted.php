<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\PlacedMove;

/** Castings set on plaster that is dry: it drinks the water of the bed before they can be moved. */
final class CastingsWetted implements WorkRule
{
    public function ids(): array
    {
        return ['window-castings'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach ($plan->moves as $placed) {
            $cure = $placed->move->recipe->cure;
            if ($placed->move->recipe->is(RecipeTrait::Castings) && $this->isOnDry($plan, $placed)) {
                $found[$placed->move->coat->uid] ??= CoatPair::on(
                    $plan,
                    $placed->move->section->uid,
                    $placed->move->zone->uid,
                    'window-castings',
                    Severity::Hint,
                    "Wet both faces under {$placed->move->coat->title()}",
                    [
                        'workable' => new Quantity(
                            $cure->minutes[Milestone::WorkableUntil->value] ?? 0.0,
                            'min',
                            'in which a casting can be moved, on a wetted bed',
                        ),
                    ],
                    'Dry plaster drinks the bed dry: the casting sits where it first touched.',
                    'Spray both faces until they no longer darken, set in slow plaster, and shift it within its workable time.',
                );
            }
        }

        return array_values($found);
    }

    private function isOnDry(BenchPlan $plan, PlacedMove $placed): bool
    {
        $at = $plan->at();
        foreach ($plan->work->bases[$placed->move->id] as $base) {
            [$recipe, $dry] =
                $base->under instanceof CoatApplication
                    ? [
                        $base->under->recipe,
                        $plan->work->reached($base->under, BenchPlan::through($base->under->recipe->cure->minutes), 0.5),
                    ]
                    : [
                        $base->under->recipe,
                        isset($at[$base->under->id])
                            ? $plan->work
                                ->drying($base->under->section)
                                ->reached(
                                    $base->under->recipe->cure,
                                    BenchPlan::through($base->under->recipe->cure->minutes),
                                    $base->under->coat->mm,
                                    $at[$base->under->id][1],
                                    0.5,
                                )
                            : INF,
                    ];
            if ($recipe->family === Family::Plaster && $placed->start >= $dry) {
                return true;
            }
        }

        return false;
    }
}
