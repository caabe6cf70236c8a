<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** Two lengths of fibre in one pass. */
final class OneLengthPerPass implements WorkRule
{
    public function ids(): array
    {
        return ['one-length-per-pass'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach ($plan->work->project->works->coats as $coat) {
            $lengths = array_filter($coat->recipe->materials(), fn (string $name): bool => str_starts_with($name, 'fibre '));
            foreach (count($lengths) > 1 ? $plan->work->project->works->zones : [] as $zone) {
                if ($zone->uid === $coat->zone) {
                    $found[] = CoatPair::on(
                        $plan,
                        $zone->section,
                        $zone->uid,
                        'one-length-per-pass',
                        Severity::Care,
                        "{$coat->title()} mixes lengths of fibre",
                        [],
                        'The long ones fly last and stand over the short, which never reach the glue.',
                        'One length a pass, the shortest first; mix colours, not lengths.',
                    );
                }
            }
        }

        return $found;
    }
}
