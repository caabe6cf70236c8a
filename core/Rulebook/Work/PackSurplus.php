<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\ShelfNeed;
use IdleRidge\Core\Plan\ShoppingList;

/** A pack of which far more is left over than is wanted. */
final class PackSurplus implements WorkRule
{
    /** So many times what is short. A starting value. */
    public const LARGE = 5.0;

    public function ids(): array
    {
        return ['pack-surplus'];
    }

    public function check(BenchPlan $plan): array
    {
        $needs = ShelfNeed::of($plan);
        $list = ShoppingList::of($needs, $plan->work->project->works->prices, $plan->work->rules()->shelf);
        $found = [];
        foreach ($list->over as $material => $over) {
            $need = $needs[$material];
            if ($need->have === null || $over <= self::LARGE * $need->missing()) {
                continue;
            }
            $found[] = CoatPair::on(
                $plan,
                $need->last->section->uid,
                $need->last->zone->uid,
                'pack-surplus',
                Severity::Hint,
                'Most of a pack of '.$material.' would be left over',
                [
                    'short' => new Quantity($need->missing(), $need->unit, 'need less what is in store', decimals: 1),
                    'over' => new Quantity($over, $need->unit, 'the cheapest packs less what is short', decimals: 1),
                ],
                'What stands open for years spoils, and is paid for.',
                'Look for a small pack, a substitute, or one more zone that takes it.',
            );
        }

        return $found;
    }
}
