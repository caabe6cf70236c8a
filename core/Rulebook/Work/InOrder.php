<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** One kind of coat that belongs below another: placed over it, or still to come when that was begun, it is found. */
abstract class InOrder implements WorkRule
{
    public function check(BenchPlan $plan): array
    {
        $found = [];
        $rule = OrderRule::tryFrom($this->id());
        foreach ($rule === null ? [] : CoatPair::circles($plan, $rule) as $pair) {
            $found[$pair->other->uid] ??= $pair->finding(
                $this->id(),
                Severity::Care,
                "{$pair->one->title()} and {$pair->other->title()} wait for each other",
                [],
                $this->why().' By the order of coats on their zones the one that belongs first comes last.',
                'Put one of them earlier or later on its zone.',
            );
        }
        foreach ([...CoatPair::all($plan), ...$rule === null ? [] : CoatPair::beside($plan, $rule)] as $pair) {
            if (
                $this->below($pair->one->recipe) &&
                $this->above($pair->other->recipe) &&
                $this->belong($pair->one->recipe, $pair->other->recipe) &&
                $pair->isUpsideDown() &&
                ! $this->isSpared($plan, $pair)
            ) {
                $found[$pair->other->uid] ??= $pair->finding(
                    $this->id(),
                    Severity::Care,
                    "{$pair->one->title()} belongs under {$pair->other->title()}",
                    [],
                    $this->why(),
                    $this->do(),
                );
            }
        }

        return array_values($found);
    }

    public function ids(): array
    {
        return [$this->id()];
    }

    abstract protected function id(): string;

    abstract protected function below(Recipe $recipe): bool;

    abstract protected function above(Recipe $recipe): bool;

    abstract protected function why(): string;

    abstract protected function do(): string;

    protected function belong(Recipe $below, Recipe $above): bool
    {
        return true;
    }

    protected function isSpared(BenchPlan $plan, CoatPair $pair): bool
    {
        return false;
    }
}
