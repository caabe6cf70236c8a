<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/**
 * Oblongs side by side on a floor, each as it is or turned by 90°: in each of some orders every one goes to the corner nearest to the
 * back where it has room, as in B. S. Baker, E. G. Coffman, R. L. Rivest, “Orthogonal packings in two dimensions”, SIAM Journal on
 * Computing 9, 1980. mm.
 */
final class FloorPacking
{
    private const SLACK_MM = 1e-6;

    /**
     * @param  array<array-key, array{float, float}>  $sizes along and across; the first is laid whatever else is
     * @return array<array-key, array{float, float, float, float}> key → x, y, along, across; those that have room, most area first
     */
    public static function of(array $sizes, float $length, float $width): array
    {
        $first = array_key_first($sizes);
        $best = [];
        $most = -1.0;
        foreach (
            [
                fn (array $s): float => $s[0] * $s[1],
                fn (array $s): float => max($s[0], $s[1]),
                fn (array $s): float => min($s[0], $s[1]),
                fn (array $s): float => -$s[0] * $s[1],
            ] as $rank
        ) {
            foreach ([false, true] as $across) {
                $keys = array_keys($sizes);
                usort($keys, fn ($a, $b): int => [$b === $first, $rank($sizes[$b])] <=> [$a === $first, $rank($sizes[$a])]);
                $laid = self::laid($keys, $sizes, $length, $width, $across);
                $area = array_sum(array_map(fn (array $p): float => $p[2] * $p[3], $laid));
                if ($area > $most + self::SLACK_MM) {
                    [$best, $most] = [$laid, $area];
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<array-key>  $keys
     * @param  array<array-key, array{float, float}>  $sizes
     * @param  bool  $across whether rows run across the floor instead of along it
     * @return array<array-key, array{float, float, float, float}>
     */
    private static function laid(array $keys, array $sizes, float $length, float $width, bool $across): array
    {
        $laid = [];
        foreach ($keys as $key) {
            $places = [];
            foreach ([$sizes[$key], array_reverse($sizes[$key])] as [$a, $b]) {
                foreach ([0.0, ...array_map(fn (array $p): float => $p[0] + $p[2], array_values($laid))] as $x) {
                    foreach ([0.0, ...array_map(fn (array $p): float => $p[1] + $p[3], array_values($laid))] as $y) {
                        $within = $x + $a <= $length + self::SLACK_MM && $y + $b <= $width + self::SLACK_MM;
                        if ($within && self::isFree($laid, $x, $y, $a, $b)) {
                            $places[] = $across ? [$y + $b, $x, $y, $a, $b] : [$x + $a, $y, $x, $a, $b];
                        }
                    }
                }
            }
            if ($places !== []) {
                $place = min($places);
                $laid[$key] = $across ? [$place[1], $place[2], $place[3], $place[4]] : [$place[2], $place[1], $place[3], $place[4]];
            }
        }

        return $laid;
    }

    /** @param  array<array-key, array{float, float, float, float}>  $laid */
    private static function isFree(array $laid, float $x, float $y, float $a, float $b): bool
    {
        foreach ($laid as [$u, $v, $c, $d]) {
            $along = min($x + $a, $u + $c) - max($x, $u);
            if ($along > self::SLACK_MM && min($y + $b, $v + $d) - max($y, $v) > self::SLACK_MM) {
                return false;
            }
        }

        return true;
    }
}
