<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Coats\Recipe;

/** Short fibre first, long last. */
final class ShortFibreBeforeLong extends InOrder
{
    protected function id(): string
    {
        return OrderRule::Fibre->value;
    }

    protected function below(Recipe $recipe): bool
    {
        return OrderRule::Fibre->isLower($recipe);
    }

    protected function above(Recipe $recipe): bool
    {
        return OrderRule::Fibre->isLower($recipe);
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
        return OrderRule::Fibre->puts($below, $above);
    }
}
