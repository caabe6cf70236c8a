<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\ShelfNeed;

/** A material that is counted and runs short before all that takes it is laid. */
final class NotEnoughInStore implements WorkRule
{
    public function ids(): array
    {
        return ['not-enough-in-store'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach (ShelfNeed::of($plan) as $need) {
            if (! $need->isShort || $need->have === null) {
                continue;
            }
            $move = $need->first->move ?? $need->last;
            $found[] = CoatPair::on(
                $plan,
                $move->section->uid,
                $move->zone->uid,
                'not-enough-in-store',
                Severity::Care,
                ucfirst($need->material).' runs short',
                [
                    'need' => new Quantity($need->need, $need->unit, 'what all coats still to lay take, waste included', decimals: 1),
                    'have' => new Quantity($need->have, $need->unit, 'sum of its lots and of what stands mixed', decimals: 1),
                ],
                'The evening is lost when the bottle runs dry on it.',
                $plan->work->shopsAt() === null
                    ? 'Buy it, or set the day on which you shop: what is short is kept back until then.'
                    : 'It is on the shopping list; what is short is kept back until you shop.',
            );
        }

        return $found;
    }
}
