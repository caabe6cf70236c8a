<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** A backdrop is painted on what stands along an edge, not on an area of land; and land is laid on the board, not up there. */
final class BackdropAtEdge implements WorkRule
{
    private const ID = 'backdrop-along-an-edge';

    public function ids(): array
    {
        return [self::ID];
    }

    public function check(BenchPlan $plan): array
    {
        $works = $plan->work->project->works;
        $found = [];
        foreach (array_keys($plan->work->surveys) as $section) {
            foreach ($works->zonesOf((string) $section) as $zone) {
                foreach ($works->coatsOf($zone->uid) as $coat) {
                    if ($coat->recipe->is(RecipeTrait::Backdrop) === ($zone->backdrop !== null)) {
                        continue;
                    }
                    $found[] = CoatPair::on(
                        $plan,
                        (string) $section,
                        $zone->uid,
                        self::ID,
                        Severity::Hint,
                        $zone->backdrop === null ? "{$coat->title()} on land" : "{$coat->title()} on a backdrop",
                        [],
                        $zone->backdrop === null
                            ? 'A backdrop stands along an edge: its area is that edge times its height.'
                            : 'What is laid on land falls off what stands.',
                        $zone->backdrop === null
                            ? 'Make a zone that is a backdrop along an edge, and give it the paint.'
                            : 'Give it to a zone of the board.',
                    );
                }
            }
        }

        return $found;
    }
}
