<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

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
            if ($pair->one->recipe->is('card') && $pair->isOver() && $pair->other->recipe->is('messy')) {
                $found[$pair->other->uid] ??= $pair->finding('cloth-on-card', Severity::Hint, "{$pair->other->title()} slides on the web", [], 'Wet cloth does not hold on card until it sets, and slides off slopes.', 'A spot of glue where strips cross, and begin at the foot of each slope.');
            }
        }

        return array_values($found);
    }
}
