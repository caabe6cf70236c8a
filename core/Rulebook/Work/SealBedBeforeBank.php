<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Plan\BenchPlan;

/** The bed is sealed and painted before scenery reaches the bank. */
final class SealBedBeforeBank extends InOrder
{
    protected function id(): string
    {
        return 'order-seal-bed-before-scenery-at-the-bank';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->stage === Stage::Water && $recipe->family === Family::Paint;
    }

    protected function above(Recipe $recipe): bool
    {
        return in_array($recipe->family, [Family::Cover, Family::Fibre, Family::Growth], true) &&
            ! $recipe->is(RecipeTrait::Mask, RecipeTrait::Unmask);
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
