<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;

/** Ballast goes down before poles and wires stand over it. */
final class BallastBeforeWires extends InOrder
{
    protected function id(): string
    {
        return 'order-ballast-before-wires';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->family === Family::Ballast;
    }

    protected function above(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Wires);
    }

    protected function why(): string
    {
        return 'A brush and a pipette between wires break them, one by one.';
    }

    protected function do(): string
    {
        return 'Lay the ballast first, or take the wires off.';
    }
}
