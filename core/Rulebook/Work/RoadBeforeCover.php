<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;

/** Crossings and roads before the cover beside them. */
final class RoadBeforeCover extends InOrder
{
    protected function id(): string
    {
        return 'order-crossing-before-road-before-cover';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->stage === Stage::Hard;
    }

    protected function above(Recipe $recipe): bool
    {
        return in_array($recipe->family, [Family::Cover, Family::Fibre, Family::Growth], true) &&
            $recipe->stage->value >= Stage::Cover->value &&
            ! $recipe->is(RecipeTrait::Mask, RecipeTrait::Unmask);
    }

    protected function why(): string
    {
        return 'Wet plaster runs under the strips into the cover.';
    }

    protected function do(): string
    {
        return 'Pour and sand first; brush what is spilt off before cover goes on.';
    }
}
