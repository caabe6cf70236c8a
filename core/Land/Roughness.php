<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Outline;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;

/**
 * Seeded roughness of the ground within an outline: value noise in octaves, each half as coarse and half as high as the one
 * before, within ±`height` of the smooth ground and fading out toward the outline. The noise lies in the layout, so that
 * boards which share an outline share it too.
 *
 * Method: K. Perlin, "An image synthesizer", Computer Graphics 19 (1985), with values instead of gradients at its nodes.
 */
final readonly class Roughness implements Shape
{
    private const OCTAVES = 4;

    private Outline $edge;

    /** @param  non-empty-list<array{float, float}>  $outline ring in section coordinates */
    public function __construct(
        public string $uid,
        public array $outline,
        public float $height,
        public float $grain,
        public int $seed,
        private Placement $placement,
    ) {
        $this->edge = new Outline($outline);
    }

    public function shape(float $x, float $y, float $ground): float
    {
        $inside = $this->edge->depth($x, $y);
        if ($inside <= 0.0) {
            return $ground;
        }
        $p = $this->placement->toLayout(new Point($x, $y));
        $sum = $whole = 0.0;
        for ($k = 0; $k < self::OCTAVES; $k++) {
            $share = 0.5 ** $k;
            $sum += $share * $this->noise($p->x / ($this->grain * $share), $p->y / ($this->grain * $share), $this->seed + 7919 * $k);
            $whole += $share;
        }

        return $ground + ($this->height * min(1.0, (2.0 * $inside) / $this->grain) * $sum) / $whole;
    }

    public function reach(float $lowest, float $highest): array
    {
        return Box::around($this->outline);
    }

    /** Between -1 and 1. */
    private function noise(float $x, float $y, int $seed): float
    {
        [$i, $j] = [(int) floor($x), (int) floor($y)];
        [$u, $v] = [$x - $i, $y - $j];
        [$u, $v] = [$u * $u * (3.0 - 2.0 * $u), $v * $v * (3.0 - 2.0 * $v)];
        $low = self::value($i, $j, $seed) * (1.0 - $u) + self::value($i + 1, $j, $seed) * $u;
        $high = self::value($i, $j + 1, $seed) * (1.0 - $u) + self::value($i + 1, $j + 1, $seed) * $u;

        return $low * (1.0 - $v) + $high * $v;
    }

    /** The node's own value, the same on every machine: products are kept below 2⁶³. */
    private static function value(int $i, int $j, int $seed): float
    {
        $h = ($i * 374761393 + $j * 668265263 + $seed * 974634777) & 0x7FFFFFFF;
        $h = (($h ^ ($h >> 13)) * 1274126177) & 0x7FFFFFFF;
        $h = (($h ^ ($h >> 16)) * 1597334677) & 0x7FFFFFFF;

        return $h / 0x3FFFFFFF - 1.0;
    }
}
