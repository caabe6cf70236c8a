<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;

/** A train runs over the dressed track before the next stage covers what is wrong with it. */
final class TestRun extends Followed
{
    protected function id(): string
    {
        return 'test-run-before-next-stage';
    }

    protected function asks(Recipe $recipe): bool
    {
        return $recipe->family === Family::Ballast;
    }

    protected function answers(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Run);
    }

    protected function subject(Coat $coat): string
    {
        return "No train has run over {$coat->title()}";
    }

    protected function why(): string
    {
        return 'A stone in the points is picked out now in a minute, and under grass in an evening.';
    }

    protected function do(): string
    {
        return 'Add “Test run” after it.';
    }
}
