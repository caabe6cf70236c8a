<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\Stage;

/** The skin of plaster goes on before paint. */
final class SkinBeforePaint extends InOrder
{
    protected function id(): string
    {
        return 'order-skin-before-paint';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->family === Family::Plaster && $recipe->stage === Stage::Land;
    }

    protected function above(Recipe $recipe): bool
    {
        return $recipe->family === Family::Paint && $recipe->stage->value >= Stage::Earth->value;
    }

    protected function why(): string
    {
        return 'Plaster over paint does not hold, and hides it.';
    }

    protected function do(): string
    {
        return 'Lay the plaster first, or roughen the paint and glue-coat it.';
    }
}
