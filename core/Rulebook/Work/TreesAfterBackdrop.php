<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;

/** The backdrop is finished before trees stand before it. */
final class TreesAfterBackdrop extends InOrder
{
    protected function id(): string
    {
        return 'order-trees-after-backdrop';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Backdrop);
    }

    protected function above(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Trees);
    }

    protected function why(): string
    {
        return 'Nobody paints behind a wood that stands.';
    }

    protected function do(): string
    {
        return 'Finish the backdrop first, or leave out the trees along it.';
    }
}
