<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * Tangents and arcs laid through the points of a drawn or surveyed line, as few as keep within a tolerance.
 *
 * On such a chain the heading changes evenly along each piece, so the headings of the line's segments, told at their middles,
 * are cut into straight stretches by dynamic programming (R. Bellman, "On the approximation of curves by line segments using
 * dynamic programming", Communications of the ACM 4, 1961). The chain that follows is then moved to the least squares of its
 * distances from the points (D. Marquardt, SIAM Journal on Applied Mathematics 11, 1963).
 */
final readonly class TrackFit
{
    /** Points may lie so far from the chain, mm. */
    public const TOLERANCE_MM = 0.5;

    /** Where the reckoning for a file is used up, a line is as good as it is if its points lie so near, mm. */
    private const ROUGH_TOLERANCE_MM = 5.0;

    /** So many pieces more that brought nothing: what is left is in the points, not in the track. */
    private const MAX_PIECES_IN_VAIN = 5;

    private const MAX_PIECES = 16;

    private const MAX_SEGMENTS = 320;

    /** A piece that turns less than this, radians, or is wider than this, mm, is a tangent. */
    private const MIN_TURN_RAD = 0.006;

    private const MAX_RADIUS_MM = 25_000.0;

    /**
     * @param  list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float}>  $pieces
     * @param  float  $worst distance of the furthest point from the chain, mm
     * @param  float  $mean root of the mean square of all, mm
     */
    private function __construct(
        public Point $start,
        public float $headingDeg,
        public array $pieces,
        public float $worst,
        public float $mean,
    ) {
    }

    /**
     * @param  list<array{float, float}>  $points in the order of the run, mm
     *
     * @throws InvalidValue for a line of one place, or a curve tighter than any track
     */
    public static function through(array $points, float $tolerance = self::TOLERANCE_MM, FitBudget $budget = new FitBudget()): self
    {
        $points = self::thinned($points);
        [$best, $of] = [null, 0];
        $segments = self::segments($points);
        $costs = self::costs($segments);
        for ($count = 1; $count <= min(self::MAX_PIECES, count($segments)); $count++) {
            $chain = FitChain::near($points, self::begin($points, $segments, $costs, $count), $budget)->settled();
            $chain = $chain->straightened(self::MIN_TURN_RAD, 1.0 / self::MAX_RADIUS_MM);
            if ($best === null || $chain->worst() < 0.9 * $best->worst()) {
                [$best, $of] = [$chain, $count];
            }
            if ($best->worst() <= $tolerance || $budget->left() < 0.0 || $count - $of >= self::MAX_PIECES_IN_VAIN) {
                break;
            }
        }
        if ($best !== null && $budget->left() < 0.0 && $best->worst() > self::ROUGH_TOLERANCE_MM) {
            throw new InvalidValue('These lines are too rough to be track: no tangents and arcs lie near them.', 'points');
        }

        return self::laid($best ?? throw new InvalidValue('A line needs two points or more.', 'points'));
    }

    private static function laid(FitChain $chain): self
    {
        $pieces = [];
        foreach ($chain->pieces() as [$curvature, $length]) {
            if ($curvature === 0.0) {
                $pieces[] = ['kind' => 'tangent', 'length_mm' => $length];
            } else {
                if (abs(1.0 / $curvature) < Alignment::MIN_RADIUS_MM) {
                    throw new InvalidValue(
                        sprintf(
                            'The line bends to a radius of %s; no track is laid tighter than %s.',
                            Format::length(abs(1.0 / $curvature)),
                            Format::length(Alignment::MIN_RADIUS_MM),
                        ),
                        'points',
                    );
                }
                $pieces[] = ['kind' => 'arc', 'radius_mm' => abs(1.0 / $curvature), 'angle_deg' => rad2deg($curvature * $length)];
            }
        }

        return new self($chain->start(), rad2deg($chain->heading()), $pieces, $chain->worst(), $chain->mean());
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return non-empty-list<array{float, float}> points of one place are one; so many at most that the sums stay small
     */
    private static function thinned(array $points): array
    {
        $kept = [];
        $length = 0.0;
        foreach ($points as $p) {
            $away = $kept === [] ? INF : hypot($p[0] - $kept[count($kept) - 1][0], $p[1] - $kept[count($kept) - 1][1]);
            if ($away > 0.05) {
                $length += is_finite($away) ? $away : 0.0;
                $kept[] = $p;
            }
        }
        if (count($kept) < 2 || $length < 10.0) {
            throw new InvalidValue('The line is shorter than '.Format::length(10.0).'.', 'points');
        }
        if ($length > 100_000.0) {
            throw new InvalidValue('The line is longer than '.Format::text(100.0, 'm').'; is it in millimetres?', 'points');
        }
        // Headings of very short segments are noise.
        $gap = max(2.0, $length / self::MAX_SEGMENTS);
        $out = [$kept[0]];
        foreach (array_slice($kept, 1, -1) as $p) {
            $last = $kept[count($kept) - 1];
            if (
                hypot($p[0] - $out[count($out) - 1][0], $p[1] - $out[count($out) - 1][1]) >= $gap &&
                hypot($p[0] - $last[0], $p[1] - $last[1]) >= $gap / 2.0
            ) {
                $out[] = $p;
            }
        }

        return [...$out, $kept[count($kept) - 1]];
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return list<array{float, float, float}> middle along the line, heading without jumps, length
     */
    private static function segments(array $points): array
    {
        $out = [];
        $at = 0.0;
        $before = null;
        for ($k = 1; $k < count($points); $k++) {
            [$dx, $dy] = [$points[$k][0] - $points[$k - 1][0], $points[$k][1] - $points[$k - 1][1]];
            $heading = atan2($dy, $dx);
            if ($before !== null) {
                $heading += 2.0 * M_PI * round(($before - $heading) / (2.0 * M_PI));
            }
            $length = hypot($dx, $dy);
            $out[] = [$at + $length / 2.0, $heading, $length];
            $at += $length;
            $before = $heading;
        }

        return $out;
    }

    /**
     * The weighed squares that are left when one straight line is put through the headings from segment i to j.
     *
     * @param  list<array{float, float, float}>  $segments
     * @return array<int, array<int, float>>
     */
    private static function costs(array $segments): array
    {
        $costs = [];
        $n = count($segments);
        for ($i = 0; $i < $n; $i++) {
            $w = $ws = $wss = $wt = $wst = $wtt = 0.0;
            for ($j = $i; $j < $n; $j++) {
                [$s, $t, $l] = $segments[$j];
                [$s, $t] = [$s - $segments[$i][0], $t - $segments[$i][1]];
                $w += $l;
                $ws += $l * $s;
                $wss += $l * $s * $s;
                $wt += $l * $t;
                $wst += $l * $s * $t;
                $wtt += $l * $t * $t;
                $spread = $wss - ($ws * $ws) / $w;
                $slope = $spread > 1e-9 ? ($wst - ($ws * $wt) / $w) / $spread : 0.0;
                $costs[$i][$j] = max(0.0, $wtt - ($wt * $wt) / $w - $slope * ($wst - ($ws * $wt) / $w));
            }
        }

        return $costs;
    }

    /**
     * The chain to begin from: start, heading, and curvature and length of so many pieces.
     *
     * @param  non-empty-list<array{float, float}>  $points
     * @param  list<array{float, float, float}>  $segments
     * @param  array<int, array<int, float>>  $costs
     * @return array{float, float, float, list<array{float, float}>}
     */
    private static function begin(array $points, array $segments, array $costs, int $count): array
    {
        $n = count($segments);
        $best = [$costs[0]];
        $cut = [];
        for ($k = 1; $k < $count; $k++) {
            for ($j = $k; $j < $n; $j++) {
                $best[$k][$j] = INF;
                for ($i = $k; $i <= $j; $i++) {
                    $sum = $best[$k - 1][$i - 1] + $costs[$i][$j];
                    if ($sum < $best[$k][$j]) {
                        [$best[$k][$j], $cut[$k][$j]] = [$sum, $i];
                    }
                }
            }
        }
        $bounds = [$n];
        for ($k = $count - 1, $j = $n - 1; $k > 0; $k--) {
            array_unshift($bounds, $cut[$k][$j]);
            $j = $cut[$k][$j] - 1;
        }
        array_unshift($bounds, 0);
        $pieces = [];
        $heading = $segments[0][1];
        for ($k = 0; $k < $count; $k++) {
            $part = array_slice($segments, $bounds[$k], $bounds[$k + 1] - $bounds[$k]);
            [$first, $last] = [$part[0], $part[count($part) - 1]];
            $slope = $last[0] - $first[0] > 1e-6 ? ($last[1] - $first[1]) / ($last[0] - $first[0]) : 0.0;
            if ($k === 0) {
                $heading = $first[1] - ($slope * $first[2]) / 2.0;
            }
            $pieces[] = [$slope, array_sum(array_column($part, 2))];
        }

        return [$points[0][0], $points[0][1], $heading, $pieces];
    }
}
