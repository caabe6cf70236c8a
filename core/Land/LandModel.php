<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;

/** The land of one section, in its coordinates: natural ground, and the grading of its runs. */
final readonly class LandModel
{
    public function __construct(
        public float $width,
        public float $depth,
        public Ground $ground,
        public Grading $grading,
    ) {
    }

    /** The terrain on a raster of `$cell` mm, smaller where the board is, and along the board's edges. */
    public function terrain(float $cell): Terrain
    {
        $cell = min($cell, $this->width / 2.0, $this->depth / 2.0);
        $xs = [0.0, ...HeightGrid::middles($this->width, $cell), $this->width];
        $ys = [0.0, ...HeightGrid::middles($this->depth, $cell), $this->depth];
        [$n, $m] = [count($xs), count($ys)];
        $all = $this->ground->raster($xs, $ys);
        $near = $this->places($xs, $ys, $all);
        $ground = $heights = $graded = $rim = [];
        foreach ($all as $p => $z) {
            $at = isset($near[$p]) ? $this->grading->clamp($z, $near[$p]) : null;
            [$i, $j] = [$p % $n, intdiv($p, $n)];
            if ($i === 0 || $j === 0 || $i === $n - 1 || $j === $m - 1) {
                $rim[] = $at->height ?? $z;

                continue;
            }
            if ($at !== null) {
                $graded[count($heights)] = $at;
            }
            $ground[] = $z;
            $heights[] = $at->height ?? $z;
        }

        return new Terrain($this->width, $this->depth, $cell, $n - 2, $m - 2, $ground, $heights, $graded, $rim);
    }

    /** Height of the terrain at one place, mm. */
    public function heightAt(float $x, float $y): float
    {
        $ground = $this->ground->at($x, $y);

        return $this->grading->at($x, $y, $ground)->height ?? $ground;
    }

    /**
     * For every value of the raster, the runs that can reach it. A run is looked for only as far out as its slopes can
     * go before they meet the highest or lowest land there is.
     *
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  list<float>  $ground
     * @return array<int, list<array{int, float, float, float}>> index → run, station, signed offset, level there
     */
    private function places(array $xs, array $ys, array $ground): array
    {
        if ($this->grading->runs === []) {
            return [];
        }
        $lowest = min($ground);
        $highest = max($ground);
        $levels = array_map(fn (Run $run): array => $run->grade->range(), $this->grading->runs);
        $places = [];
        foreach ($this->grading->runs as $k => $run) {
            $others = array_diff_key($levels, [$k => true]);
            $low = $others === [] ? INF : min(array_column($others, 0));
            $high = $others === [] ? -INF : max(array_column($others, 1));
            $stations = array_fill(0, count($ground), 0.0);
            $offsets = array_fill(0, count($ground), INF);
            $this->scan($run, $this->influence($run, min($lowest, $low), max($highest, $high)), $xs, $ys, $stations, $offsets);
            foreach ($offsets as $p => $offset) {
                if ($offset === INF) {
                    continue;
                }
                // A slope that another run's cannot cross and that lies clear of the ground has no say here.
                $level = $run->grade->heightAt($stations[$p]);
                $z = $ground[$p];
                if (! $this->grading->leavesAlone($k, $offset, $level, $z < $low ? $z : $low, $z > $high ? $z : $high)) {
                    $places[$p][] = [$k, $stations[$p], $offset, $level];
                }
            }
        }

        return $places;
    }

    private function influence(Run $run, float $lowest, float $highest): float
    {
        [$low, $high] = $run->grade->range();
        $out = 0.0;
        foreach (Side::cases() as $side) {
            $slope = max(($highest - $low) * $run->profile->batterInCut($side), ($high - $lowest) * $run->profile->batterInFill($side));
            if ($this->grading->reach !== null) {
                $slope = min($slope, $this->grading->reach);
            }
            $out = max($out, $run->profile->halfWidth($side) + $slope);
        }

        return $out + 1.0;
    }

    /**
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  array<int, float>  $stations
     * @param  array<int, float>  $offsets
     */
    private function scan(Run $run, float $reach, array $xs, array $ys, array &$stations, array &$offsets): void
    {
        $cols = count($xs);
        foreach ($run->alignment->elements as $e => $element) {
            [$x1, $y1, $x2, $y2] = $element->bounds();
            $begin = $run->alignment->begins[$e];
            [$i1, $i2] = self::span($xs, $x1 - $reach, $x2 + $reach);
            [$j1, $j2] = self::span($ys, $y1 - $reach, $y2 + $reach);
            for ($j = $j1; $j <= $j2; $j++) {
                $y = $ys[$j];
                for ($i = $i1; $i <= $i2; $i++) {
                    $foot = $element->foot($xs[$i], $y);
                    if ($foot !== null) {
                        $away = abs($foot[1]);
                        $p = $j * $cols + $i;
                        if ($away <= $reach && $away < abs($offsets[$p])) {
                            $stations[$p] = $begin + $foot[0];
                            $offsets[$p] = $foot[1];
                        }
                    }
                }
            }
        }
        foreach ([[0.0, -1.0], [$run->alignment->length, 1.0]] as [$end, $outward]) {
            $q = $run->alignment->pointAt($end);
            $heading = $run->alignment->headingAt($end);
            [$cos, $sin] = [cos($heading), sin($heading)];
            [$i1, $i2] = self::span($xs, $q->x - $reach, $q->x + $reach);
            [$j1, $j2] = self::span($ys, $q->y - $reach, $q->y + $reach);
            for ($j = $j1; $j <= $j2; $j++) {
                $dy = $ys[$j] - $q->y;
                for ($i = $i1; $i <= $i2; $i++) {
                    $dx = $xs[$i] - $q->x;
                    // Only what lies beyond an end is nearest to it.
                    if ($outward * ($dx * $cos + $dy * $sin) < 0.0) {
                        continue;
                    }
                    $p = $j * $cols + $i;
                    $away = sqrt($dx * $dx + $dy * $dy);
                    if ($away <= $reach && $away < abs($offsets[$p]) - 1e-9) {
                        $stations[$p] = $end;
                        $offsets[$p] = $dy * $cos - $dx * $sin < 0.0 ? -$away : $away;
                    }
                }
            }
        }
    }

    /**
     * @param  list<float>  $line
     * @return array{int, int} first and last index within the range; the second smaller when there is none
     */
    private static function span(array $line, float $from, float $to): array
    {
        $count = count($line);
        $first = 0;
        while ($first < $count && $line[$first] < $from) {
            $first++;
        }
        $last = $count - 1;
        while ($last >= 0 && $line[$last] > $to) {
            $last--;
        }

        return [$first, $last];
    }
}
