<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Box;

/**
 * A ridge or a heap that stands on what lies there, section coordinates, mm: from its crest it falls to both sides at a slope, or
 * over a width down to the ground; beyond, nothing changes. One point makes a cone.
 */
final readonly class Heap implements Shape
{
    /**
     * @param  non-empty-list<Spot>  $crest
     * @param  float  $foot half of its base's width, mm; 0 where it falls at a slope
     * @param  float  $slopeDeg of its sides
     */
    public function __construct(public string $uid, public array $crest, public float $foot, public float $slopeDeg)
    {
    }

    public function shape(float $x, float $y, float $ground): float
    {
        [$away, $top] = $this->nearest($x, $y);
        if ($this->foot <= 0.0) {
            return max($ground, $top - $away * tan(deg2rad($this->slopeDeg)));
        }

        return $away < $this->foot && $top > $ground ? $top + (($ground - $top) * $away) / $this->foot : $ground;
    }

    public function reach(float $lowest, float $highest): array
    {
        $high = max(array_map(fn (Spot $p): float => $p->z, $this->crest)) - $lowest;

        return Box::around(
            array_map(fn (Spot $p): array => [$p->x, $p->y], $this->crest),
            ($this->foot > 0.0 ? $this->foot : max(0.0, $high) / tan(deg2rad($this->slopeDeg))) + 1.0,
        );
    }

    /** Half of the base that a height takes at a slope, mm. */
    public static function footFor(float $height, float $slopeDeg): float
    {
        return $height / tan(deg2rad($slopeDeg));
    }

    /** The height that half a base allows at a slope, mm. */
    public static function heightFor(float $foot, float $slopeDeg): float
    {
        return $foot * tan(deg2rad($slopeDeg));
    }

    /** How steep its sides are over ground at a level, degrees. */
    public function sidesDeg(float $ground): float
    {
        $height = max(array_map(fn (Spot $p): float => $p->z, $this->crest)) - $ground;

        return $this->foot > 0.0 ? rad2deg(atan2(max(0.0, $height), $this->foot)) : $this->slopeDeg;
    }

    /** @return array{float, float} distance to the crest, and its height there */
    private function nearest(float $x, float $y): array
    {
        $best = [hypot($x - $this->crest[0]->x, $y - $this->crest[0]->y), $this->crest[0]->z];
        for ($k = 1; $k < count($this->crest); $k++) {
            [$a, $b] = [$this->crest[$k - 1], $this->crest[$k]];
            [$dx, $dy] = [$b->x - $a->x, $b->y - $a->y];
            $t = max(0.0, min(1.0, (($x - $a->x) * $dx + ($y - $a->y) * $dy) / max(1e-12, $dx * $dx + $dy * $dy)));
            $away = hypot($x - $a->x - $t * $dx, $y - $a->y - $t * $dy);
            if ($away < $best[0]) {
                $best = [$away, $a->z + $t * ($b->z - $a->z)];
            }
        }

        return $best;
    }
}
