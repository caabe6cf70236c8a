<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Coats\Recipe;

/** Wires come last, after the last spray. */
final class WiresLast extends InOrder
{
    protected function id(): string
    {
        return OrderRule::Wires->value;
    }

    protected function below(Recipe $recipe): bool
    {
        return OrderRule::Wires->isLower($recipe);
    }

    protected function above(Recipe $recipe): bool
    {
        return OrderRule::Wires->isUpper($recipe);
    }

    protected function why(): string
    {
        return 'Every hand that comes after them catches in them, and every spray hangs on them.';
    }

    protected function do(): string
    {
        return 'Leave the wires to the very end.';
    }
}
