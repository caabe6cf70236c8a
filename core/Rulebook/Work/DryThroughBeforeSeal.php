<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** What shuts the surface was laid over something that still held water. */
final class DryThroughBeforeSeal implements WorkRule
{
    public function ids(): array
    {
        return ['dry-through-before-seal'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach (CoatPair::all($plan) as $pair) {
            foreach (
                $pair->other->recipe->is(RecipeTrait::Seals) && $pair->other->recipe->asksDryThrough($pair->one->recipe) && $pair->isOver()
                    ? $pair->laid($pair->one)
                    : [] as $under
            ) {
                foreach ($pair->laid($pair->other) as $over) {
                    $dry = $plan->work->reached($under, BenchPlan::through($under->recipe->cure->minutes), $plan->work->certainty());
                    if ($under->endedAt !== null && $under->endedAt <= $over->startedAt && $over->startedAt < $dry) {
                        $found[$over->uid] = $pair->finding(
                            'dry-through-before-seal',
                            Severity::Care,
                            "{$over->title} over {$under->title} that was not dry through",
                            [
                                'too_early' => new Quantity(
                                    ($dry - $over->startedAt) / 60.0,
                                    'h',
                                    'when the coat below is dry through (as surely as the layout asks) less when the next was begun',
                                    decimals: 1,
                                ),
                            ],
                            'What is shut in cannot leave: it goes mouldy, or clouds the surface for good.',
                            'Leave it open and warm; where it stays white, cut it out and lay it again.',
                        );
                    }
                }
            }
        }

        return array_values($found);
    }
}
