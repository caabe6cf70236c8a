<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/** Ranges of starts, in order; null where any start will do. */
final class StartRanges
{
    /**
     * What lies in both.
     *
     * @param  list<array{int, int}>|null  $a
     * @param  list<array{int, int}>|null  $b
     * @return list<array{int, int}>|null
     */
    public static function both(?array $a, ?array $b): ?array
    {
        if ($a === null || $b === null) {
            return $a ?? $b;
        }
        $out = [];
        foreach ($a as [$from, $to]) {
            foreach ($b as [$first, $last]) {
                if (max($from, $first) <= min($to, $last)) {
                    $out[] = [max($from, $first), min($to, $last)];
                }
            }
        }

        return $out;
    }

    /**
     * All of them so many minutes sooner.
     *
     * @param  list<array{int, int}>|null  $ranges
     * @return list<array{int, int}>|null
     */
    public static function sooner(?array $ranges, int $minutes): ?array
    {
        return $ranges === null ? null : array_map(fn (array $r): array => [$r[0] - $minutes, $r[1] - $minutes], $ranges);
    }
}
