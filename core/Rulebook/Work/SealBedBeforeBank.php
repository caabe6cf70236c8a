<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Plan\BenchPlan;

/** The bed is sealed and painted before scenery reaches the bank. */
final class SealBedBeforeBank extends InOrder
{
    protected function id(): string
    {
        return OrderRule::Bed->value;
    }

    protected function below(Recipe $recipe): bool
    {
        return OrderRule::Bed->isLower($recipe);
    }

    protected function above(Recipe $recipe): bool
    {
        return OrderRule::Bed->isUpper($recipe);
    }

    protected function isSpared(BenchPlan $plan, CoatPair $pair): bool
    {
        return $pair->sameZone;
    }

    protected function why(): string
    {
        return 'Paint and sealer run up into the cover at the bank.';
    }

    protected function do(): string
    {
        return 'Paint the bed first, and mask the bank where cover lies already.';
    }
}
