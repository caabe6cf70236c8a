<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;

/** Flangeways in a road are proven with the lightest vehicle. */
final class FlangewaysProven extends Followed
{
    protected function id(): string
    {
        return 'flangeways-proven-with-lightest-vehicle';
    }

    protected function asks(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Sand) && $recipe->is(RecipeTrait::Messy);
    }

    protected function answers(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Run);
    }

    protected function subject(Coat $coat): string
    {
        return "Flangeways through {$coat->title()}";
    }

    protected function why(): string
    {
        return 'Plaster in a flangeway lifts a light vehicle off the rails; a heavy one rides over it and says nothing.';
    }

    protected function do(): string
    {
        return 'Scrape the flangeways clear, then push the lightest vehicle through: add “Test run” after it.';
    }
}
