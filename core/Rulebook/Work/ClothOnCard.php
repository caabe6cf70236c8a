<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** Cloth on a dry card web needs spots of glue. */
final class ClothOnCard implements WorkRule
{
    public function ids(): array
    {
        return ['cloth-on-card'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach (CoatPair::all($plan) as $pair) {
            if (
                $pair->one->recipe->is(RecipeTrait::Card) &&
                $pair->isOver() &&
                $pair->other->recipe->is(RecipeTrait::Messy) &&
                ! $this->hasSpots($plan, $pair)
            ) {
                $found[$pair->other->uid] ??= $pair->finding(
                    'cloth-on-card',
                    Severity::Hint,
                    "{$pair->other->title()} slides on the web",
                    [],
                    'Wet cloth does not hold on card until it sets, and slides off slopes.',
                    'A spot of glue where strips cross, and begin at the foot of each slope.',
                );
            }
        }

        return array_values($found);
    }

    /** Whether glue was put on the web before what is laid on it. */
    private function hasSpots(BenchPlan $plan, CoatPair $pair): bool
    {
        foreach (CoatPair::all($plan) as $over) {
            if ($over->one === $pair->one && $over->other->recipe->family === Family::Glue && $over->isOver()) {
                foreach (CoatPair::all($plan) as $under) {
                    if ($under->one === $over->other && $under->other === $pair->other && $under->isOver()) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
