<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** Coats that go on foam with nothing between: no plaster, paint, glue coat or cloth below them, on their zone or one that overlaps. */
final class BareFoam
{
    private const COVERING_FAMILIES = [Family::Plaster, Family::Paint];

    /**
     * @param  list<RecipeTrait>  $also traits of what makes foam fit for it, beside what covers it
     * @return list<Finding>
     */
    public static function found(
        BenchPlan $plan,
        RecipeTrait $trait,
        string $id,
        Severity $severity,
        string $words,
        string $why,
        string $do,
        array $also = [],
    ): array {
        $work = $plan->work;
        if (! $work->project->layout->cuts->school->isFoam()) {
            return [];
        }
        $covered = [];
        foreach (CoatPair::all($plan) as $pair) {
            if (
                $pair->isOver() &&
                (in_array($pair->one->recipe->family, self::COVERING_FAMILIES, true) || $pair->one->recipe->is(RecipeTrait::Keys, ...$also))
            ) {
                $covered[$pair->other->uid] = true;
            }
        }
        $found = [];
        foreach ($work->surveys as $section => $survey) {
            foreach ($work->project->works->zonesOf((string) $section) as $zone) {
                foreach ($work->project->works->coatsOf($zone->uid) as $coat) {
                    $begun = $work->project->works->laidFrom($coat->uid) !== [];
                    if (
                        self::touches($coat, $trait) &&
                        ! isset($covered[$coat->uid]) &&
                        ! ($begun && $severity === Severity::Hint) &&
                        $survey->zones[$zone->uid]->surface > 0.0
                    ) {
                        $found[] = CoatPair::on(
                            $plan,
                            (string) $section,
                            $zone->uid,
                            $id,
                            $severity,
                            "{$coat->title()} {$words}",
                            [],
                            $why,
                            $do,
                        );
                    }
                }
            }
        }

        return $found;
    }

    /** Whether it comes onto the foam in any of its applications: what follows a bed of paint does not. */
    private static function touches(Coat $coat, RecipeTrait $trait): bool
    {
        return $coat->recipe->is($trait) ||
            (! $coat->recipe->coversWhite && array_filter($coat->recipe->then, fn (Recipe $turn): bool => $turn->is($trait)) !== []);
    }
}
