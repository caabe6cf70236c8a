<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Coats\Recipe;

/** The backdrop is finished before trees stand before it. */
final class TreesAfterBackdrop extends InOrder
{
    protected function id(): string
    {
        return OrderRule::Backdrop->value;
    }

    protected function below(Recipe $recipe): bool
    {
        return OrderRule::Backdrop->isLower($recipe);
    }

    protected function above(Recipe $recipe): bool
    {
        return OrderRule::Backdrop->isUpper($recipe);
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
