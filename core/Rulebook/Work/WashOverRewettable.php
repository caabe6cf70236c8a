<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** A wash over glue that softens again when it is wetted. */
final class WashOverRewettable implements WorkRule
{
    public function ids(): array
    {
        return ['wash-over-rewettable-glue'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach (CoatPair::all($plan) as $pair) {
            if ($pair->isOver() && $pair->other->recipe->is(RecipeTrait::Wash) && $pair->one->recipe->is(RecipeTrait::Rewets)) {
                $found[$pair->other->uid] ??= $pair->finding(
                    'wash-over-rewettable-glue',
                    Severity::Hint,
                    "{$pair->other->title()} softens {$pair->one->title()}",
                    [],
                    'White glue melts again under a wet brush, and what it holds comes away with it.',
                    'A light hand, one touch a place, and wait as long again as the glue took.',
                );
            }
        }

        return array_values($found);
    }
}
