<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;

/** Short fibre first, long last. */
final class ShortFibreBeforeLong extends InOrder
{
    protected function id(): string
    {
        return 'order-short-fibre-before-long';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->family === Family::Fibre && $recipe->length !== null;
    }

    protected function above(Recipe $recipe): bool
    {
        return $recipe->family === Family::Fibre && $recipe->length !== null;
    }

    protected function why(): string
    {
        return 'Short fibre between long blades does not reach the glue: it hangs in them.';
    }

    protected function do(): string
    {
        return 'Put the shorter fibre earlier.';
    }

    protected function belong(Recipe $below, Recipe $above): bool
    {
        return $below->length < $above->length;
    }
}
