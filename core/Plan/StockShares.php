<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/**
 * Which moves what lies in store is for: each in the order in which they can be begun takes its share, and one for which there is not
 * enough takes none and is short. Of what was never put on the shelf nobody knows how much there is: it keeps nothing back.
 */
final class StockShares
{
    /** What sums may be off by rounding. */
    private const ROUNDING = 1e-6;

    /** @return array<string, Shortage> move → what it is short of */
    public static function short(BenchWork $work): array
    {
        $stock = $work->project->works->store->stock($work->now);
        if ($stock === []) {
            return [];
        }
        $free = MoveBatches::free($work);
        asort($free);
        $short = $held = [];
        foreach (array_keys($free) as $id) {
            $move = $work->moves[$id];
            // What goes over a move that is short comes after it.
            $waits = array_filter($work->bases[$id], fn (Underlayer $b): bool => $b->under instanceof Move && isset($held[$b->under->id]));
            $missing = $waits === [] ? self::missing($move, $stock) : null;
            if ($missing !== null) {
                $short[$id] = $missing;
            }
            if ($missing !== null || $waits !== []) {
                $held[$id] = true;

                continue;
            }
            foreach ($move->amounts as $one) {
                if (isset($stock[$one->material])) {
                    $stock[$one->material] -= $one->amount;
                }
            }
        }

        return $short;
    }

    /** @param  array<string, float>  $stock */
    private static function missing(Move $move, array $stock): ?Shortage
    {
        $needed = [];
        foreach ($move->amounts as $one) {
            $needed[$one->material] = [($needed[$one->material][0] ?? 0.0) + $one->atHand(), $one->unit];
        }
        foreach (array_intersect_key($needed, $stock) as $material => [$amount, $unit]) {
            if ($amount > $stock[$material] + self::ROUNDING) {
                return new Shortage((string) $material, $amount - max(0.0, $stock[$material]), $unit);
            }
        }

        return null;
    }
}
