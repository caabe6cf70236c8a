<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Run;

/** The line that a row stands on, with its own stations from 0 to its length. Layout coordinates, mm. */
final readonly class RowLine
{
    private const STEP_MM = 1.0;

    /** @var list<float> station of each point */
    private array $stations;

    public float $length;

    /**
     * @param  non-empty-list<array{float, float}>  $points close enough to be joined by straight lines
     * @param  list<float>  $bends stations at which the line turns at once, and by how much it does, degrees
     * @param  list<float>  $marks stations of what was marked on the run that it goes along
     */
    private function __construct(public array $points, public array $bends, public array $marks = [])
    {
        $at = 0.0;
        $stations = [0.0];
        foreach (array_slice($points, 1) as $k => [$x, $y]) {
            $at += hypot($x - $points[$k][0], $y - $points[$k][1]);
            $stations[] = $at;
        }
        $this->stations = $stations;
        $this->length = $at;
    }

    /**
     * @param  callable(float): float  $offset to the left, by station of the run
     * @param  list<float>  $marked stations of the run that are to be found on the line
     *
     * @throws InvalidValue where the line at that offset folds back on the inside of a curve
     */
    public static function alongRun(Run $run, callable $offset, float $from, float $to, array $marked = []): self
    {
        if ($to - $from < self::STEP_MM) {
            throw new InvalidValue('There is no run between these stations.', 'to_mm');
        }
        $parts = max(1, (int) ceil(($to - $from) / self::STEP_MM));
        $points = [];
        foreach (range(0, $parts) as $k) {
            $station = $from + (($to - $from) * $k) / $parts;
            $aside = $offset($station);
            $curvature = $run->alignment->curvatureAt($station);
            if ($curvature * $aside > 1.0 - 1e-9) {
                throw new InvalidValue(
                    sprintf(
                        'At station %s the curve has a radius of %s: a line %s inside it folds back. Keep it nearer than that.',
                        Format::cell($station),
                        Format::length(1.0 / abs($curvature)),
                        Format::length(abs($aside)),
                    ),
                    'offset_mm',
                );
            }
            $p = $run->alignment->beside($station, $aside);
            $points[] = [$p->x, $p->y];
        }
        $line = new self($points, []);
        $marks = [];
        foreach ($marked as $station) {
            if ($station >= $from && $station <= $to) {
                $at = (($station - $from) / ($to - $from)) * $parts;
                $k = min($parts - 1, (int) $at);
                $marks[] = $line->stations[$k] + ($at - $k) * ($line->stations[$k + 1] - $line->stations[$k]);
            }
        }

        return new self($points, [], $marks);
    }

    /**
     * A line of straight pieces, or a ring of them, at an offset to its left; corners are mitred.
     *
     * @param  list<array{float, float}>  $corners
     *
     * @throws InvalidValue where a piece would run backwards, or nothing is left
     */
    public static function along(array $corners, float $offset, bool $closed = false, ?float $from = null, ?float $to = null): self
    {
        $corners = self::apart($corners, $closed);
        $n = count($corners);
        if ($n < 2) {
            throw new InvalidValue('All points of the line lie on one place.', 'points');
        }
        $line = [];
        for ($k = 0; $k < $n; $k++) {
            $before = $closed || $k > 0 ? self::direction($corners[($k + $n - 1) % $n], $corners[$k]) : null;
            $after = $closed || $k < $n - 1 ? self::direction($corners[$k], $corners[($k + 1) % $n]) : null;
            [$ax, $ay] = $before ?? $after ?? [1.0, 0.0];
            [$bx, $by] = $after ?? [$ax, $ay];
            // The mitre lies on the middle of both normals, longer as the corner is sharper.
            $cos = 1.0 + $ax * $bx + $ay * $by;
            if ($cos < 1e-3 && $offset !== 0.0) {
                throw new InvalidValue(sprintf('At corner %d the line turns back on itself.', $k + 1), 'points');
            }
            $far = $offset / max(1e-3, $cos);
            $line[] = [$corners[$k][0] - $far * ($ay + $by), $corners[$k][1] + $far * ($ax + $bx)];
        }
        for ($k = 0; $k < ($closed ? $n : $n - 1); $k++) {
            [$ax, $ay] = self::direction($corners[$k], $corners[($k + 1) % $n]);
            [$p, $q] = [$line[$k], $line[($k + 1) % $n]];
            if (($q[0] - $p[0]) * $ax + ($q[1] - $p[1]) * $ay < -1e-6) {
                throw new InvalidValue(
                    sprintf('%s beside the line its piece %d folds back: it is too short for that.', Format::length(abs($offset)), $k + 1),
                    'offset_mm',
                );
            }
        }
        if ($closed) {
            $line[] = $line[0];
        }

        return self::straight($line)->cut($from, $to);
    }

    /** @param  non-empty-list<array{float, float}>  $line */
    private static function straight(array $line): self
    {
        $bare = new self($line, []);
        $bends = [];
        for ($k = 1; $k < count($line) - 1; $k++) {
            $bends[] = $bare->stations[$k];
        }

        return new self($line, $bends);
    }

    /** @throws InvalidValue */
    private function cut(?float $from, ?float $to): self
    {
        if ($from === null && $to === null) {
            return $this;
        }
        [$from, $to] = [max(0.0, $from ?? 0.0), min($this->length, $to ?? $this->length)];
        if ($to - $from < self::STEP_MM) {
            throw new InvalidValue('There is no line between these stations: it is '.Format::length($this->length).' long.', 'to_mm');
        }
        $points = [array_slice($this->at($from), 0, 2)];
        foreach ($this->stations as $k => $station) {
            if ($station > $from + 1e-9 && $station < $to - 1e-9) {
                $points[] = $this->points[$k];
            }
        }
        $points[] = array_slice($this->at($to), 0, 2);

        /** @var non-empty-list<array{float, float}> $points */
        return self::straight($points);
    }

    /** @return array{float, float, float} place at a station and the heading there, radians */
    public function at(float $station): array
    {
        $k = $this->gap($station);
        [$a, $b] = [$this->points[$k], $this->points[$k + 1] ?? $this->points[$k]];
        $long = ($this->stations[$k + 1] ?? $this->stations[$k]) - $this->stations[$k];
        $t = $long > 0.0 ? max(0.0, min(1.0, ($station - $this->stations[$k]) / $long)) : 0.0;

        return [$a[0] + $t * ($b[0] - $a[0]), $a[1] + $t * ($b[1] - $a[1]), atan2($b[1] - $a[1], $b[0] - $a[0])];
    }

    /** How sharply it turns within a length around a station, degrees. */
    public function turn(float $station, float $within): float
    {
        $before = $this->at(max(0.0, $station - $within))[2];
        $after = $this->at(min($this->length, $station + $within))[2];

        return abs(rad2deg(atan2(sin($after - $before), cos($after - $before))));
    }

    /** @return non-empty-list<array{float, float}> the line from one station to another */
    public function between(float $from, float $to): array
    {
        $out = [[$this->at($from)[0], $this->at($from)[1]]];
        for ($k = $this->gap($from) + 1; $k < count($this->stations) && $this->stations[$k] < $to - 1e-9; $k++) {
            $out[] = $this->points[$k];
        }
        $out[] = [$this->at($to)[0], $this->at($to)[1]];

        return $out;
    }

    private function gap(float $station): int
    {
        [$low, $high] = [0, max(0, count($this->stations) - 2)];
        while ($low < $high) {
            $mid = intdiv($low + $high + 1, 2);
            if ($this->stations[$mid] <= $station) {
                $low = $mid;
            } else {
                $high = $mid - 1;
            }
        }

        return $low;
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return list<array{float, float}> without those that lie on the one before
     */
    private static function apart(array $corners, bool $closed): array
    {
        $out = [];
        foreach ($corners as $p) {
            if ($out === [] || hypot($p[0] - end($out)[0], $p[1] - end($out)[1]) > 1e-6) {
                $out[] = $p;
            }
        }
        if ($closed && count($out) > 2 && hypot($out[0][0] - end($out)[0], $out[0][1] - end($out)[1]) <= 1e-6) {
            array_pop($out);
        }

        return $closed && Polygon::area($out) < 0.0 ? array_reverse($out) : $out;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return array{float, float}
     */
    private static function direction(array $a, array $b): array
    {
        $long = max(1e-12, hypot($b[0] - $a[0], $b[1] - $a[1]));

        return [($b[0] - $a[0]) / $long, ($b[1] - $a[1]) / $long];
    }
}
