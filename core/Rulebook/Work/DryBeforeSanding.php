<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** What is to be sanded was worked on before it was dry. */
final class DryBeforeSanding implements WorkRule
{
    public function ids(): array
    {
        return ['dry-before-sanding'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach (CoatPair::all($plan) as $pair) {
            foreach (
                $pair->one->recipe->is(RecipeTrait::Sand) && $pair->other->recipe->asksDryThrough($pair->one->recipe) && $pair->isOver()
                    ? $pair->laid($pair->one)
                    : [] as $under
            ) {
                foreach ($pair->laid($pair->other) as $over) {
                    $dry = $plan->work->reached($under, BenchPlan::through($under->recipe->cure->minutes), $plan->work->certainty());
                    if ($under->endedAt !== null && $under->endedAt <= $over->startedAt && $over->startedAt < $dry) {
                        $found[$over->uid] = $pair->finding(
                            'dry-before-sanding',
                            Severity::Care,
                            "{$over->title} over {$under->title} that was not dry",
                            [
                                'too_early' => new Quantity(
                                    ($dry - $over->startedAt) / 60.0,
                                    'h',
                                    'when the coat below is dry through (as surely as the layout asks) less when the next was begun',
                                    decimals: 1,
                                ),
                            ],
                            'Damp plaster clogs the paper and tears; painted damp it flakes.',
                            'Let it dry through, sand, and lay the next coat again where it lifts.',
                        );
                    }
                }
            }
        }

        return array_values($found);
    }
}
