<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/**
 * Seeded noise between 0 and 1: a value at every whole place, smoothly between them, the same for the same place and seed.
 *
 * Method: K. Perlin, "An image synthesizer", Computer Graphics 19 (1985), with values instead of gradients at its nodes.
 */
final class ValueNoise
{
    public static function at(float $x, float $y, int $seed): float
    {
        [$i, $j] = [(int) floor($x), (int) floor($y)];
        [$u, $v] = [$x - $i, $y - $j];
        [$u, $v] = [$u * $u * (3.0 - 2.0 * $u), $v * $v * (3.0 - 2.0 * $v)];
        $low = self::node($i, $j, $seed) + $u * (self::node($i + 1, $j, $seed) - self::node($i, $j, $seed));
        $high = self::node($i, $j + 1, $seed) + $u * (self::node($i + 1, $j + 1, $seed) - self::node($i, $j + 1, $seed));

        return $low + $v * ($high - $low);
    }

    public static function node(int $i, int $j, int $seed): float
    {
        return ((int) hexdec(hash('xxh32', "{$i} {$j} {$seed}")) & 0xFFFF) / 0xFFFF;
    }
}
