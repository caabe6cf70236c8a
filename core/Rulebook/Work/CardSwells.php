<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** Wet coats straight on a card web. */
final class CardSwells implements WorkRule
{
    public function ids(): array
    {
        return ['substrate-card-swells'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach (CoatPair::all($plan) as $pair) {
            if (
                $pair->one->recipe->is(RecipeTrait::Card) &&
                $pair->isOver() &&
                $pair->isNext() &&
                $pair->other->recipe->is(RecipeTrait::Wet) &&
                ! $pair->other->recipe->is(RecipeTrait::Messy)
            ) {
                $found[$pair->other->uid] ??= $pair->finding(
                    'substrate-card-swells',
                    Severity::Care,
                    "{$pair->other->title()} wets the card web",
                    [],
                    'Card faces swell and the web sags before anything on it is hard.',
                    'Lay plaster cloth or towel over the web first.',
                );
            }
        }

        return array_values($found);
    }
}
