<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/**
 * Thins lines (D. Douglas and T. Peucker, "Algorithms for the reduction of the number of points", 1973) under one more
 * condition: a stretch may be straightened only while `$allowed` says yes to it, which is how contours are kept from
 * crossing each other.
 */
final class LineSimplifier
{
    /**
     * @param  list<array{float, float}>  $points
     * @param  (callable(array{float, float}, array{float, float}): bool)|null  $allowed
     * @return list<array{float, float}>
     */
    public static function line(array $points, float $tolerance, bool $closed = false, ?callable $allowed = null): array
    {
        $count = count($points);
        if ($count < 3) {
            return $points;
        }
        if ($closed) {
            $points[] = $points[0];
            $half = intdiv($count, 2);
            $kept = [0 => true, $half => true, $count => true];
            self::keep($points, 0, $half, $tolerance, $allowed, $kept);
            self::keep($points, $half, $count, $tolerance, $allowed, $kept);
            unset($kept[$count]);
        } else {
            $kept = [0 => true, $count - 1 => true];
            self::keep($points, 0, $count - 1, $tolerance, $allowed, $kept);
        }
        ksort($kept);

        return array_map(fn (int $i): array => $points[$i], array_keys($kept));
    }

    /** Whether every place along a stretch lies within `$band` mm of the level: its neighbours cannot be reached. */
    public static function withinBand(HeightMesh $mesh, float $level, float $band, float $step): callable
    {
        return function (array $a, array $b) use ($mesh, $level, $band, $step): bool {
            $parts = (int) ceil(hypot($b[0] - $a[0], $b[1] - $a[1]) / $step);
            for ($k = 1; $k < $parts; $k++) {
                $t = $k / $parts;
                if (abs($mesh->at($a[0] + $t * ($b[0] - $a[0]), $a[1] + $t * ($b[1] - $a[1])) - $level) > $band) {
                    return false;
                }
            }

            return true;
        };
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  array<int, true>  $kept
     */
    private static function keep(array $points, int $from, int $to, float $tolerance, ?callable $allowed, array &$kept): void
    {
        $stack = [[$from, $to]];
        while ($stack !== []) {
            [$a, $b] = array_pop($stack);
            if ($b - $a < 2) {
                continue;
            }
            [$ax, $ay] = $points[$a];
            $dx = $points[$b][0] - $ax;
            $dy = $points[$b][1] - $ay;
            $span = $dx * $dx + $dy * $dy;
            $far = intdiv($a + $b, 2);
            $most = -1.0;
            for ($i = $a + 1; $i < $b; $i++) {
                $px = $points[$i][0] - $ax;
                $py = $points[$i][1] - $ay;
                $t = $span > 0.0 ? max(0.0, min(1.0, ($px * $dx + $py * $dy) / $span)) : 0.0;
                $away = ($px - $t * $dx) ** 2 + ($py - $t * $dy) ** 2;
                if ($away > $most) {
                    $most = $away;
                    $far = $i;
                }
            }
            if ($most > $tolerance * $tolerance || ($allowed !== null && ! $allowed($points[$a], $points[$b]))) {
                $kept[$far] = true;
                $stack[] = [$a, $far];
                $stack[] = [$far, $b];
            }
        }
    }
}
