<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;

/** The earth base goes on before anything that covers it. */
final class BaseBeforeCover extends InOrder
{
    protected function id(): string
    {
        return 'order-base-before-cover';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->coversWhite && $recipe->family === Family::Paint && $recipe->stage === Stage::Earth;
    }

    protected function above(Recipe $recipe): bool
    {
        return in_array($recipe->family, [Family::Cover, Family::Fibre, Family::Growth], true) &&
            ! $recipe->is(RecipeTrait::Mask, RecipeTrait::Unmask) &&
            ! $recipe->coversWhite;
    }

    protected function why(): string
    {
        return 'Paint over cover drowns it, and under it white shows wherever it thins.';
    }

    protected function do(): string
    {
        return 'Lay the earth base first; where cover lies already, work it in with a small brush.';
    }
}
