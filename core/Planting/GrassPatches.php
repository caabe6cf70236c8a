<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Geometry\ValueNoise;

/**
 * Patches that cover a share of a zone, by a seeded pattern: value noise cut off at the height over which that share of the zone lies.
 * Section coordinates, mm.
 */
final readonly class GrassPatches
{
    /** Nodes to the width of a patch, and at most in all. */
    private const NODES = 9.0;

    private const MAX_NODES = 30_000;

    private const COS = 0.848;

    private const SIN = 0.53;

    /** Patches smaller than this are left out, mm². */
    private const SMALLEST_MM2 = 40.0;

    /** @param  list<list<array{float, float}>>  $rings outlines, holes clockwise */
    private function __construct(public array $rings, public float $area)
    {
    }

    /**
     * @param  list<list<array{float, float}>>  $zone its rings
     * @param  float  $share 0 … 1
     * @param  float  $grain width of a patch, mm
     */
    public static function of(array $zone, float $share, float $grain, int $seed): self
    {
        $zone = array_values(array_filter($zone));
        if ($zone === [] || $share <= 0.0) {
            return new self([], 0.0);
        }
        [$x1, $y1, $x2, $y2] = Box::around(array_merge(...$zone) ?: [[0.0, 0.0]]);
        $cell = max($grain / self::NODES, sqrt((($x2 - $x1) * ($y2 - $y1)) / self::MAX_NODES), 0.5);
        $line = fn (float $from, float $to): array => array_map(
            fn (int $k): float => $from + $k * $cell,
            range(0, max(1, (int) ceil(($to - $from) / $cell))),
        );
        [$xs, $ys] = [$line($x1, $x2), $line($y1, $y2)];
        $noise = $inside = $within = [];
        foreach ($ys as $y) {
            foreach ($xs as $x) {
                // Turned, so that no patch has its sides along the board's.
                [$u, $v] = [($x * self::COS - $y * self::SIN) / $grain, ($x * self::SIN + $y * self::COS) / $grain];
                $value = 0.7 * ValueNoise::at($u, $v, $seed) + 0.3 * ValueNoise::at(2.7 * $u, 2.7 * $v, $seed + 1);
                $noise[] = $value;
                $depth = self::depth($zone, $x, $y);
                $inside[] = $depth;
                if ($depth > 0.0) {
                    $within[] = $value;
                }
            }
        }
        if ($within === []) {
            return new self([], 0.0);
        }
        rsort($within);
        $cut = $share >= 1.0 ? -1.0 : $within[min(count($within) - 1, (int) ($share * count($within)))];
        $field = array_map(fn (float $value, float $depth): float => min($value - $cut, $depth / $grain), $noise, $inside);
        $rings = Contours::of(new HeightMesh($xs, $ys, $field), [0.0])[0]->rings ?? [];
        $rings = array_values(array_filter($rings, fn (array $ring): bool => abs(Polygon::area($ring)) >= self::SMALLEST_MM2));

        return new self($rings, array_sum(array_map(Polygon::area(...), $rings)));
    }

    public function count(): int
    {
        return count(array_filter($this->rings, fn (array $ring): bool => Polygon::area($ring) > 0.0));
    }

    /**
     * @param  list<list<array{float, float}>>  $zone
     * @return float mm inside its outlines, less than nothing outside
     */
    private static function depth(array $zone, float $x, float $y): float
    {
        $least = INF;
        foreach ($zone as $ring) {
            $least = min($least, abs(Polygon::depth($ring, $x, $y)));
        }

        return PlantingGround::within($zone, $x, $y) ? $least : -$least;
    }
}
