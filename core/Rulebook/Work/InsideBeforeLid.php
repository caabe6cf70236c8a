<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** The inside of a tunnel is done while a hand still reaches it. */
final class InsideBeforeLid implements WorkRule
{
    public function ids(): array
    {
        return [OrderRule::Lid->value];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        $zones = $plan->work->project->works;
        foreach (CoatPair::throughLids($plan) as $pair) {
            $inside = $zones->zonesOf($pair->section)[$pair->one->zone]->isInside();
            if ($inside && $pair->other->recipe->family !== Family::Foam && $pair->isUpsideDown()) {
                $found[$pair->one->uid] ??= $pair->finding(
                    OrderRule::Lid->value,
                    Severity::Care,
                    "{$pair->one->title()} inside the tunnel is still to come under {$pair->other->title()}",
                    [],
                    'Once the lid is on, a brush goes in as far as a finger does.',
                    'Do the inside first, or leave the land over it off.',
                );
            }
        }

        return array_values($found);
    }
}
