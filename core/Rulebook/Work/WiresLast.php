<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;

/** Wires come last, after the last spray. */
final class WiresLast extends InOrder
{
    protected function id(): string
    {
        return 'order-wires-last';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->stage->value < Stage::Lineside->value &&
            ! $recipe->is(RecipeTrait::Wires, RecipeTrait::Backdrop) &&
            $recipe->stage->value >= Stage::Hard->value;
    }

    protected function above(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Wires);
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
