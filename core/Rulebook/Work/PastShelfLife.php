<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use DateTimeImmutable;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Shelf\MaterialLot;

/** A lot that is past its time when the first move takes from it. */
final class PastShelfLife implements WorkRule
{
    public function ids(): array
    {
        return ['past-shelf-life'];
    }

    public function check(BenchPlan $plan): array
    {
        $store = $plan->work->project->works->store;
        $found = [];
        foreach ($plan->moves as $placed) {
            foreach ($placed->move->amounts as $one) {
                $lot = $store->lotsOf($one->material)[0] ?? null;
                $good = $lot?->goodUntil($plan->work->zone());
                if ($lot === null || $good === null || $good > $placed->start || isset($found[$lot->uid])) {
                    continue;
                }
                $found[$lot->uid] = CoatPair::on(
                    $plan,
                    $placed->move->section->uid,
                    $placed->move->zone->uid,
                    'past-shelf-life',
                    Severity::Care,
                    ucfirst($one->material).' is past its time',
                    [],
                    self::since($lot, $good, $plan).' Old plaster sets in the cup or not at all, old glue does not hold.',
                    'Try it on scrap before that evening, or throw it away on the shelf and open another.',
                );
            }
        }

        return array_values($found);
    }

    private static function since(MaterialLot $lot, int $good, BenchPlan $plan): string
    {
        $day = (new DateTimeImmutable('@'.($good - 1) * 60))->setTimezone($plan->work->zone())->format('j M Y');

        return $lot->mark === '' ? "It was good until {$day}." : "The lot “{$lot->mark}” was good until {$day}.";
    }
}
