<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\HeightLine;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\Refusal;

/**
 * A spot height, a ridge line, a hollow, or water: points in layout coordinates with heights, mm. Those of water are its bank
 * line, counter-clockwise and all at its level; its bed falls to `depth` over the width of the `shore`.
 */
final readonly class LandFeature
{
    public const KINDS = ['spot', 'ridge', 'hollow', 'water'];

    /**
     * @param list<Spot> $points at least one
     * @param array<string, mixed> $extra
     */
    private function __construct(
        public string $uid,
        public string $kind,
        public string $name,
        public array $points,
        public array $extra,
        public float $depth,
        public float $shore,
    ) {
    }

    /**
     * @param list<Spot> $points
     * @param array<string, mixed> $extra
     *
     * @throws Refusal
     */
    public static function of(string $uid, string $kind, array $points, string $name = '', array $extra = [], float $depth = 12.0, float $shore = 40.0): self
    {
        if (! in_array($kind, self::KINDS, true)) {
            throw new Refusal("“{$kind}” is neither spot, ridge, hollow nor water.", 'kind');
        }
        if (mb_strlen($name) > 80) {
            throw new Refusal('At most 80 characters.', 'name');
        }
        foreach ($points as $k => $p) {
            Refusal::unlessBetween($p->z, -1000.0, 3000.0, 'The height', 'mm', "points/{$k}/z_mm");
            Refusal::unlessBetween($p->x, -100_000.0, 100_000.0, 'x', 'mm', "points/{$k}/x_mm");
            Refusal::unlessBetween($p->y, -100_000.0, 100_000.0, 'y', 'mm', "points/{$k}/y_mm");
        }
        if ($kind === 'spot') {
            if (count($points) !== 1) {
                throw new Refusal('A spot height is one point.', 'points');
            }
        } elseif ($kind === 'water') {
            $points = self::bank($points);
            Refusal::unlessBetween($depth, 0.5, 500.0, 'The depth', 'mm', 'depth_mm');
            Refusal::unlessBetween($shore, 1.0, 2000.0, 'The shore', 'mm', 'shore_mm');
        } else {
            HeightLine::through($points);
        }
        if (count($points) > 500) {
            throw new Refusal('A line may have at most 500 points.', 'points');
        }

        return new self($uid, $kind, trim($name), $points, $extra, $depth, $shore);
    }

    /**
     * @param list<Spot> $points
     * @return list<Spot> counter-clockwise
     *
     * @throws Refusal
     */
    private static function bank(array $points): array
    {
        if (count($points) < 3) {
            throw new Refusal('A bank line needs three corners or more.', 'points');
        }
        foreach ($points as $k => $p) {
            if (abs($p->z - $points[0]->z) > 1e-6) {
                throw new Refusal('Water lies level: all corners of its bank have one height.', "points/{$k}/z_mm");
            }
        }
        $ring = array_map(fn (Spot $p): array => [$p->x, $p->y], $points);
        if (Polygon::crossesItself($ring)) {
            throw new Refusal('The bank line crosses itself.', 'points');
        }

        return Polygon::area($ring) < 0.0 ? array_reverse($points) : $points;
    }
}
