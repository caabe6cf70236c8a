<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Plan\BenchPlan;

/** Messy plaster before the track is dressed, or the track masked. */
final class MessyPlasterBeforeTrack extends InOrder
{
    protected function id(): string
    {
        return 'order-messy-plaster-before-track';
    }

    protected function below(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Messy);
    }

    protected function above(Recipe $recipe): bool
    {
        return $recipe->stage === Stage::Track;
    }

    protected function why(): string
    {
        return 'Plaster sets between ballast and rails.';
    }

    protected function do(): string
    {
        return 'Mask the track, press the edges down, and lift the tape while the plaster is soft.';
    }

    protected function isSpared(BenchPlan $plan, CoatPair $pair): bool
    {
        foreach ($plan->work->project->works->coats as $coat) {
            if ($coat->recipe->is(RecipeTrait::Mask) && ($coat->zone === $pair->other->zone || $coat->zone === $pair->one->zone)) {
                return true;
            }
        }

        return false;
    }
}
