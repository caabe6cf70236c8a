<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;

/**
 * The room a vehicle takes along a run, simulated: it is stood on the track every few millimetres, both bogie centres on the
 * centreline, and its body is read off along the normal of each station. On a curve of constant radius this agrees with the
 * formula; into and out of a curve it gives what is truly taken.
 */
final class VehicleSweep
{
    /** Places at which the vehicle is stood are so far apart, mm. */
    private const STEP_MM = 4.0;

    private const BODY_SECTIONS = 9;

    /** How exactly the bogies stand apart, mm. */
    private const BOGIE_TOLERANCE_MM = 1e-7;

    /** @var array<int, array{Point, float}> place → middle of the bogies, heading of the body */
    private array $poses = [];

    public function __construct(private readonly Alignment $alignment, private readonly Vehicle $vehicle)
    {
    }

    /**
     * Room to the left and right of the centreline, mm, and the tightest radius that the vehicle reaches from here.
     *
     * @return array{left: float, right: float, radius: float|null}
     */
    public function at(float $station): array
    {
        $reach = $this->vehicle->body / 2.0 + $this->vehicle->width;
        // Where all that the vehicle stands on bends alike, the formula says the same without standing it there.
        $even = $this->alignment->evenCurvature($station - 2.0 * $reach, $station + 2.0 * $reach);
        if ($even !== null) {
            return $this->evenly($even);
        }
        $p = $this->alignment->pointAt($station);
        $heading = $this->alignment->headingAt($station);
        [$nx, $ny] = [-sin($heading), cos($heading)];
        $left = $right = $this->vehicle->width / 2.0;
        $bestLeft = $bestRight = null;
        for ($k = (int) ceil(($station - $reach) / self::STEP_MM); $k * self::STEP_MM <= $station + $reach; $k++) {
            $across = $this->cross($p, $nx, $ny, ...($this->poses[$k] ??= $this->stand($k * self::STEP_MM)));
            if ($across !== null && $across[1] > $left) {
                [$left, $bestLeft] = [$across[1], $k];
            }
            if ($across !== null && -$across[0] > $right) {
                [$right, $bestRight] = [-$across[0], $k];
            }
        }
        // A corner of the body reaches out furthest between two places.
        $read = fn (float $place): ?array => $this->cross($p, $nx, $ny, ...$this->stand($place));
        if ($bestLeft !== null) {
            $left = max($left, $this->greatest(fn (float $place): float => $read($place)[1] ?? 0.0, $bestLeft));
        }
        if ($bestRight !== null) {
            $right = max($right, $this->greatest(fn (float $place): float => -($read($place)[0] ?? 0.0), $bestRight));
        }
        $sharpest = $this->alignment->sharpest($station - $this->vehicle->body / 2.0, $station + $this->vehicle->body / 2.0);

        return ['left' => $left, 'right' => $right, 'radius' => $sharpest > 0.0 ? 1.0 / $sharpest : null];
    }

    /** @return array{left: float, right: float, radius: float|null} */
    private function evenly(float $curvature): array
    {
        if ($curvature === 0.0) {
            return ['left' => $this->vehicle->width / 2.0, 'right' => $this->vehicle->width / 2.0, 'radius' => null];
        }
        $throw = $this->vehicle->throwOn(1.0 / abs($curvature));
        [$left, $right] = $curvature > 0.0 ? [$throw['inside'], $throw['outside']] : [$throw['outside'], $throw['inside']];

        return ['left' => $left, 'right' => $right, 'radius' => 1.0 / abs($curvature)];
    }

    /**
     * The greatest value near a place, by the golden section.
     *
     * @param  callable(float): float  $value
     */
    private function greatest(callable $value, int $k): float
    {
        $golden = (sqrt(5.0) - 1.0) / 2.0;
        [$low, $high] = [($k - 1) * self::STEP_MM, ($k + 1) * self::STEP_MM];
        [$a, $b] = [$high - $golden * ($high - $low), $low + $golden * ($high - $low)];
        [$va, $vb] = [$value($a), $value($b)];
        $best = max(0.0, $va, $vb);
        for ($n = 1; $n < self::BODY_SECTIONS; $n++) {
            // One of the two places is where the next one has to be looked for anyway.
            if ($va > $vb) {
                [$high, $b, $vb] = [$b, $a, $va];
                $a = $high - $golden * ($high - $low);
                $best = max($best, $va = $value($a));
            } else {
                [$low, $a, $va] = [$a, $b, $vb];
                $b = $low + $golden * ($high - $low);
                $best = max($best, $vb = $value($b));
            }
        }

        return $best;
    }

    /** @return array{Point, float} */
    private function stand(float $station): array
    {
        // The chord between the bogies is a little shorter than the track between them.
        $half = $this->vehicle->bogieCentres / 2.0;
        for ($k = 0; ; $k++) {
            [$a, $b] = [$this->alignment->extended($station - $half), $this->alignment->extended($station + $half)];
            $chord = $a->distanceTo($b);
            if ($k === 4 || abs($chord - $this->vehicle->bogieCentres) < self::BOGIE_TOLERANCE_MM) {
                break;
            }
            $half *= $this->vehicle->bogieCentres / max(1e-9, $chord);
        }

        return [new Point(($a->x + $b->x) / 2.0, ($a->y + $b->y) / 2.0), atan2($b->y - $a->y, $b->x - $a->x)];
    }

    /**
     * Where the normal through a place cuts the body: signed distances along it; null where it misses.
     *
     * @return array{float, float}|null
     */
    private function cross(Point $p, float $nx, float $ny, Point $middle, float $heading): ?array
    {
        [$cos, $sin] = [cos($heading), sin($heading)];
        [$dx, $dy] = [$p->x - $middle->x, $p->y - $middle->y];
        $low = -INF;
        $high = INF;
        foreach (
            [
                [$dx * $cos + $dy * $sin, $nx * $cos + $ny * $sin, $this->vehicle->body / 2.0],
                [$dy * $cos - $dx * $sin, $ny * $cos - $nx * $sin, $this->vehicle->width / 2.0],
            ] as [$at, $slope, $half]
        ) {
            if (abs($slope) < 1e-12) {
                if (abs($at) > $half) {
                    return null;
                }

                continue;
            }
            $one = (-$half - $at) / $slope;
            $two = ($half - $at) / $slope;
            $low = max($low, min($one, $two));
            $high = min($high, max($one, $two));
        }

        return $low <= $high ? [$low, $high] : null;
    }
}
