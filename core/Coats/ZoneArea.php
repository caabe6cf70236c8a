<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Packed;

/**
 * A zone on the land as it is, in section coordinates: its rings (outlines counter-clockwise, holes clockwise), plan and
 * true surface area (mm²), mean height over the board's top (mm), area by whole degrees of slope, how area and track
 * lie along both axes, and what stands in it.
 */
final readonly class ZoneArea
{
    /** Length of its outline in plan, mm. */
    private float $edge;

    /** Places across and along at which room is looked for. */
    private const NET = 12;

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @param  array<int, float>  $bySlope degrees, rounded down → mm²
     * @param  array<string, AreaProfile>  $tracks track by track, uid → how it lies along x
     * @param  float|null  $edge length of its outline in plan, mm, where it is known
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
        public Standing $standing = new Standing(),
        ?float $edge = null,
    ) {
        $this->edge = $edge ?? array_sum(array_map(Polygon::perimeter(...), $rings));
    }

    /** @return array<string, mixed> */
    public function __serialize(): array
    {
        return ['rings' => Packed::rings($this->rings)] + get_object_vars($this);
    }

    /** @param  array<string, mixed>  $packed */
    public function __unserialize(array $packed): void
    {
        self::__construct(...['rings' => Packed::toRings($packed['rings'])] + $packed);
    }

    public function holding(Standing $standing): self
    {
        return new self(...['standing' => $standing] + get_object_vars($this));
    }

    /** The same on a face that stands over it, so many times as large: no slope, no track. */
    public function asFace(float $times): self
    {
        return new self(
            $this->rings,
            $this->plan,
            $this->surface * $times,
            $this->height,
            [90 => $this->surface * $times],
            $this->acrossX->times($times),
            $this->acrossY->times($times),
            $this->trackX->times(0.0),
        );
    }

    /** The same as a level floor under the land there. */
    public function asFloor(): self
    {
        $times = $this->surface > 0.0 ? $this->plan / $this->surface : 1.0;

        return new self(...[
            'surface' => $this->plan,
            'bySlope' => [0 => $this->plan],
            'acrossX' => $this->acrossX->times($times),
            'acrossY' => $this->acrossY->times($times),
        ] + get_object_vars($this));
    }

    /** @return array{float, float} a place for a mark */
    public function middle(): array
    {
        return self::middleOf($this->rings);
    }

    /**
     * A place for a mark: the middle of the largest outline, (0, 0) where there is none.
     *
     * @param  list<list<array{float, float}>>  $rings
     * @return array{float, float}
     */
    public static function middleOf(array $rings): array
    {
        $largest = [];
        $most = 0.0;
        foreach ($rings as $ring) {
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

    /**
     * Where there is most room for a number: of a net of places, the one furthest from all outlines.
     *
     * @param  list<list<array{float, float}>>  $rings
     * @return array{float, float}
     */
    public static function roomiest(array $rings): array
    {
        $best = self::middleOf($rings);
        $most = 0.0;
        $rings = array_values(array_filter($rings));
        foreach ($rings as $ring) {
            [$x1, $y1, $x2, $y2] = Box::around($ring);
            for ($k = 0; $k < self::NET; $k++) {
                $y = $y1 + (($y2 - $y1) * ($k + 0.5)) / self::NET;
                $crossings = array_merge(...array_map(fn (array $one): array => Polygon::crossings($one, $y), $rings));
                for ($n = 0; $n < self::NET; $n++) {
                    $x = $x1 + (($x2 - $x1) * ($n + 0.5)) / self::NET;
                    $room = count(array_filter($crossings, fn (float $at): bool => $x < $at)) % 2 === 1 ? INF : 0.0;
                    foreach ($rings as $one) {
                        $room = $room > $most ? min($room, Polygon::squareTo($one, $x, $y, $most)) : 0.0;
                    }
                    if ($room > $most) {
                        [$best, $most] = [[$x, $y], $room];
                    }
                }
            }
        }

        return $best;
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
        return $this->edge;
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
