<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\Stage;

/** Scenery round water is finished before its last surface. */
final class SceneryBeforeFinalGloss extends InOrder
{
    protected function id(): string
    {
        return 'order-scenery-before-final-gloss';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->stage->value < Stage::Water->value &&
            in_array($recipe->family, [Family::Plaster, Family::Cover, Family::Fibre, Family::Growth], true);
    }

    protected function above(Recipe $recipe): bool
    {
        return $recipe->stage === Stage::Water && in_array($recipe->family, [Family::Gloss, Family::Resin], true);
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
