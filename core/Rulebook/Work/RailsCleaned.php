<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;

/** Rails are cleaned after every glue that came near them. */
final class RailsCleaned extends Followed
{
    protected function id(): string
    {
        return 'rails-clean-after-every-glue';
    }

    protected function asks(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Rewets) || $recipe->family === Family::Glue;
    }

    protected function answers(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Rails);
    }

    protected function subject(Coat $coat): string
    {
        return "Rails to clean after {$coat->title()}";
    }

    protected function why(): string
    {
        return 'A film of glue on a rail top stops a train, and is found at the show.';
    }

    protected function do(): string
    {
        return 'Add “Rails cleaned” after it.';
    }
}
