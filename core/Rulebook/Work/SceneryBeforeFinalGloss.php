<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Coats\Recipe;

/** Scenery round water is finished before its last surface. */
final class SceneryBeforeFinalGloss extends InOrder
{
    protected function id(): string
    {
        return OrderRule::Scenery->value;
    }

    protected function below(Recipe $recipe): bool
    {
        return OrderRule::Scenery->isLower($recipe);
    }

    protected function above(Recipe $recipe): bool
    {
        return OrderRule::Scenery->isUpper($recipe);
    }

    protected function why(): string
    {
        return 'Dust, fibre and glue fall on the gloss and stay there.';
    }

    protected function do(): string
    {
        return 'Finish the banks first, or lay one more coat of gloss when they are done.';
    }
}
