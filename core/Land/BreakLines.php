<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use Closure;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;

/**
 * Places on the lines along which a section's land breaks: a formation's edges, where its slopes meet the ground, the edges of
 * pads and the banks of waters. Drawn between them, land shows no teeth, whatever the raster.
 */
final readonly class BreakLines
{
    /** How closely the end of a slope is found, and a step in height that needs its top as well as its foot, mm. */
    private const MIN_SPACING_MM = 0.02;

    private const STEP_MM = 0.2;

    /** As far as a slope is followed where nothing limits it, mm. */
    private const MAX_DISTANCE_MM = 400.0;

    /** @param  float  $apart  from one place on a line to the next, mm */
    public function __construct(private LandModel $model, private float $apart)
    {
    }

    /** @return list<array{float, float, float}> x, y, height; on the board, section coordinates, mm */
    public function points(): array
    {
        $out = [];
        foreach ($this->model->grading->runs as $k => $run) {
            $here = $run->within($this->model->width, $this->model->depth);
            if ($here === null) {
                continue;
            }
            for ($station = $here[0]; $station <= $here[1]; $station += $this->apart) {
                if ($run->structureAt($station) === null) {
                    array_push($out, ...$this->beside($k, $run, $station, 1.0), ...$this->beside($k, $run, $station, -1.0));
                }
            }
        }
        foreach ($this->model->ground->pads as $pad) {
            array_push($out, ...$this->around($pad, $pad->outline));
        }
        foreach ($this->model->ground->basins as $basin) {
            array_push($out, ...$this->around($basin, $basin->bank));
        }

        return array_values(
            array_filter(
                $out,
                fn (array $p): bool => $p[0] >= 0.0 && $p[1] >= 0.0 && $p[0] <= $this->model->width && $p[1] <= $this->model->depth,
            ),
        );
    }

    /** @return list<array{float, float, float}> the formation's edge at a station, and where the slope from it ends */
    private function beside(int $k, Run $run, float $station, float $side): array
    {
        $half = $run->profile->halfWidth(Side::at($side));
        $at = fn (float $out): Point => $run->alignment->beside($station, $side * $out);
        $slopes = function (float $out) use ($k, $half, $at): bool {
            $p = $at($out);
            $graded = $this->model->grading->at($p->x, $p->y, $this->model->ground->at($p->x, $p->y));

            return $graded !== null && $graded->run === $k && abs($graded->offset) > $half;
        };
        [$low, $high] = $this->end($slopes, $half);
        $foot = $this->point($at($low));
        $top = $this->point($at($high));

        // The edge itself a hair inside, where the land is the formation's.
        return [
            $this->point($at($half - 1e-3)),
            ...$low > $half ? [$foot] : [],
            ...abs($top[2] - $foot[2]) > self::STEP_MM || $low <= $half ? [$top] : [],
        ];
    }

    /**
     * The ring at its own height, and where the ground's way to it begins.
     *
     * @param  list<array{float, float}>  $ring
     * @return list<array{float, float, float}>
     */
    private function around(Shape $shape, array $ring): array
    {
        $outward = Polygon::area($ring) > 0.0 ? 1.0 : -1.0;
        $out = [];
        foreach ($ring as $k => [$x, $y]) {
            [$nx, $ny] = $ring[($k + 1) % count($ring)];
            $length = hypot($nx - $x, $ny - $y);
            $parts = max(1, (int) ceil($length / $this->apart));
            for ($part = 0; $length > 0.0 && $part < $parts; $part++) {
                $at = fn (float $away): Point => new Point(
                    $x + (($nx - $x) * $part) / $parts + ($outward * $away * ($ny - $y)) / $length,
                    $y + (($ny - $y) * $part) / $parts - ($outward * $away * ($nx - $x)) / $length,
                );
                $shapes = function (float $away) use ($shape, $at): bool {
                    $p = $at($away);

                    return abs($this->model->ground->at($p->x, $p->y) - $this->model->ground->at($p->x, $p->y, $shape)) > 1e-3;
                };
                [$low] = $this->end($shapes, 0.0);
                array_push($out, $this->point($at(0.0)), ...$low > 0.0 ? [$this->point($at($low))] : []);
            }
        }

        return $out;
    }

    /**
     * Between which two distances something that begins at one goes on no more.
     *
     * @param  Closure(float): bool  $goesOn
     * @return array{float, float}
     */
    private function end(Closure $goesOn, float $from): array
    {
        [$low, $high] = [$from, $from + $this->apart];
        while ($high < $from + self::MAX_DISTANCE_MM && $goesOn($high)) {
            [$low, $high] = [$high, $high + $this->apart];
        }
        while ($high - $low > self::MIN_SPACING_MM) {
            $middle = ($low + $high) / 2.0;
            [$low, $high] = $goesOn($middle) ? [$middle, $high] : [$low, $middle];
        }

        return [$low, $high];
    }

    /** @return array{float, float, float} */
    private function point(Point $p): array
    {
        return [$p->x, $p->y, $this->model->heightAt($p->x, $p->y)];
    }
}
