<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Coats\Recipe;

/** Crossings and roads before the cover beside them. */
final class RoadBeforeCover extends InOrder
{
    protected function id(): string
    {
        return OrderRule::Road->value;
    }

    protected function below(Recipe $recipe): bool
    {
        return OrderRule::Road->isLower($recipe);
    }

    protected function above(Recipe $recipe): bool
    {
        return OrderRule::Road->isUpper($recipe);
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
