<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\Polygon;

/**
 * A zone on the land as it is, in section coordinates: its rings (outlines counter-clockwise, holes clockwise), plan and
 * true surface area (mm²), mean height over the board's top (mm), area by whole degrees of slope, and how area and track
 * lie along both axes.
 */
final readonly class ZoneArea
{
    /**
     * @param  list<list<array{float, float}>>  $rings
     * @param  array<int, float>  $bySlope degrees, rounded down → mm²
     * @param  array<string, AreaProfile>  $tracks track by track, uid → how it lies along x
     */
    public function __construct(
        public array $rings,
        public float $plan,
        public float $surface,
        public float $height,
        public array $bySlope,
        public AreaProfile $acrossX,
        public AreaProfile $acrossY,
        public AreaProfile $trackX,
        public array $tracks = [],
    ) {
    }

    /**
     * A place for a mark: the middle of the largest outline, (0, 0) where there is none.
     *
     * @return array{float, float}
     */
    public function middle(): array
    {
        $largest = [];
        $most = 0.0;
        foreach ($this->rings as $ring) {
            if (Polygon::area($ring) > $most) {
                [$largest, $most] = [$ring, Polygon::area($ring)];
            }
        }
        if ($largest === []) {
            return [0.0, 0.0];
        }
        $middle = [array_sum(array_column($largest, 0)) / count($largest), array_sum(array_column($largest, 1)) / count($largest)];

        return Polygon::holds($largest, $middle[0], $middle[1]) ? $middle : $largest[0];
    }

    public function holds(float $x, float $y): bool
    {
        $inside = false;
        foreach ($this->rings as $ring) {
            $inside = $inside !== Polygon::holds($ring, $x, $y);
        }

        return $inside;
    }

    /** Length of its outline in plan, mm. */
    public function edge(): float
    {
        return array_sum(array_map(Polygon::perimeter(...), $this->rings));
    }

    /**
     * How far it goes along, mm: the long side of a rectangle with its area and outline, and half of a ring's two outlines. A strip for
     * a fence is as long as the fence.
     */
    public function length(): float
    {
        $edge = $this->edge();
        $isRing = array_filter($this->rings, fn (array $ring): bool => Polygon::area($ring) < 0.0) !== [];

        return $isRing ? $edge / 2.0 : ($edge + sqrt(max(0.0, $edge * $edge - 16.0 * $this->plan))) / 4.0;
    }

    /** Surface steeper than so many degrees, mm². */
    public function steeperThan(float $degrees): float
    {
        $sum = 0.0;
        foreach ($this->bySlope as $from => $area) {
            $sum += $area * max(0.0, min(1.0, $from + 1.0 - $degrees));
        }

        return $sum;
    }
}
