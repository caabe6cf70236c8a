<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

use Closure;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * Contours by marching squares (W. E. Lorensen and H. E. Cline's method in the plane; saddles by the cell's mean).
 * The mesh gets a border that lies below everything at the board's own edge, so that every contour closes; what runs
 * along the border is left out of the lines. Heights within a millionth of a millimetre of a level count as at it.
 *
 * Where the heights between two nodes are known better than by a straight line, a contour is looked for there: near sharp breaks it
 * follows them, whatever the cell.
 */
final class Contours
{
    private const EPSILON = 1e-6;

    /** Nodes about which heights bend by less than this need no closer look, mm; how closely a line is found where they bend more, mm. */
    private const MAX_BEND_MM = 0.1;

    private const EXACT_MM = 0.04;

    /** @var list<list<array{int, int}>> case → pairs of edges (0 bottom, 1 right, 2 top, 3 left), the higher ground on the left */
    private const CASES = [
        [],
        [[0, 3]],
        [[1, 0]],
        [[1, 3]],
        [[2, 1]],
        [[2, 3], [0, 1]],
        [[2, 0]],
        [[2, 3]],
        [[3, 2]],
        [[0, 2]],
        [[3, 0], [1, 2]],
        [[1, 2]],
        [[3, 1]],
        [[0, 1]],
        [[3, 0]],
        [],
    ];

    /** @var array<int, list<array{int, int}>> the two saddles when the middle lies below the level */
    private const LOW_SADDLES = [5 => [[0, 3], [2, 1]], 10 => [[1, 0], [3, 2]]];

    /**
     * Levels at whole multiples of the interval that the mesh reaches.
     *
     * @return list<float>
     *
     * @throws InvalidValue when the interval is not positive or gives more than 2000 levels
     */
    public static function levels(HeightMesh $mesh, float $interval): array
    {
        InvalidValue::unlessBetween($interval, 0.01, 10_000.0, 'The contour interval', 'mm', 'interval');
        $first = (int) ceil((min($mesh->z) - self::EPSILON) / $interval);
        $last = (int) floor((max($mesh->z) + self::EPSILON) / $interval);
        if ($last - $first > 2000) {
            throw new InvalidValue('An interval of '.Format::length($interval, 2).' gives more than 2000 contours here.', 'interval');
        }
        $levels = [];
        for ($k = $first; $k <= $last; $k++) {
            $levels[] = $k * $interval;
        }

        return $levels;
    }

    /**
     * @param  list<float>  $levels rising
     * @param  (Closure(float, float): float)|null  $exact height at any place
     * @param  array<int, mixed>  $fixed nodes of the mesh beside which it does not hold
     * @return list<Contour> one for each level, empty where the mesh does not reach it
     */
    public static function of(HeightMesh $mesh, array $levels, ?Closure $exact = null, array $fixed = []): array
    {
        $n = count($mesh->xs) + 2;
        $xs = [$mesh->xs[0], ...$mesh->xs, $mesh->xs[$n - 3]];
        $m = count($mesh->ys) + 2;
        $ys = [$mesh->ys[0], ...$mesh->ys, $mesh->ys[$m - 3]];
        $z = array_fill(0, $n, -1e30);
        for ($j = 0; $j < $m - 2; $j++) {
            $z[] = -1e30;
            array_push($z, ...array_slice($mesh->z, $j * ($n - 2), $n - 2));
            $z[] = -1e30;
        }
        array_push($z, ...array_fill(0, $n, -1e30));

        $links = self::links($z, $n, $m, $levels);
        $contours = [];
        foreach ($levels as $k => $level) {
            $contours[] = self::trace($level, $links[$k], $z, $xs, $ys, $n, $exact, $fixed);
        }

        return $contours;
    }

    /**
     * For each level, which cell edge a contour enters by and which it leaves by. Edge 2p leads from node p to its right,
     * 2p + 1 upward.
     *
     * @param  list<float>  $z
     * @param  list<float>  $levels
     * @return list<array<int, int>>
     */
    private static function links(array $z, int $n, int $m, array $levels): array
    {
        $count = count($levels);
        $links = array_fill(0, $count, []);
        for ($j = 0; $j < $m - 1; $j++) {
            $k = 0;
            for ($i = 0; $i < $n - 1; $i++) {
                $p = $j * $n + $i;
                $sw = $z[$p] + self::EPSILON;
                $se = $z[$p + 1] + self::EPSILON;
                $nw = $z[$p + $n] + self::EPSILON;
                $ne = $z[$p + $n + 1] + self::EPSILON;
                $low = $sw < $se ? $sw : $se;
                $low = $low < $nw ? $low : $nw;
                $low = $low < $ne ? $low : $ne;
                $high = $sw > $se ? $sw : $se;
                $high = $high > $nw ? $high : $nw;
                $high = $high > $ne ? $high : $ne;
                while ($k > 0 && $levels[$k - 1] > $low) {
                    $k--;
                }
                while ($k < $count && $levels[$k] <= $low) {
                    $k++;
                }
                for ($l = $k; $l < $count && $levels[$l] <= $high; $l++) {
                    $level = $levels[$l];
                    $case = ($sw >= $level ? 1 : 0) | ($se >= $level ? 2 : 0) | ($ne >= $level ? 4 : 0) | ($nw >= $level ? 8 : 0);
                    $pairs =
                        ($case === 5 || $case === 10) && $sw + $se + $nw + $ne < 4.0 * $level
                            ? self::LOW_SADDLES[$case]
                            : self::CASES[$case];
                    $edges = [2 * $p, 2 * $p + 3, 2 * ($p + $n), 2 * $p + 1];
                    foreach ($pairs as [$in, $out]) {
                        $links[$l][$edges[$in]] = $edges[$out];
                    }
                }
            }
        }

        return $links;
    }

    /**
     * @param  array<int, int>  $links
     * @param  list<float>  $z
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  (Closure(float, float): float)|null  $exact
     * @param  array<int, mixed>  $fixed
     */
    private static function trace(
        float $level,
        array $links,
        array $z,
        array $xs,
        array $ys,
        int $n,
        ?Closure $exact,
        array $fixed,
    ): Contour {
        $lines = [];
        $rings = [];
        $length = 0.0;
        $area = 0.0;
        while ($links !== []) {
            $start = array_key_first($links);
            $ring = [];
            $onBorder = [];
            $edge = $start;
            do {
                $p = $edge >> 1;
                $q = ($edge & 1) === 0 ? $p + 1 : $p + $n;
                $t = $z[$q] === $z[$p] ? 0.0 : ($level - $z[$p]) / ($z[$q] - $z[$p]);
                $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
                $i = $p % $n;
                $j = intdiv($p, $n);
                if (
                    $exact !== null &&
                    $z[$p] > -1e29 &&
                    $z[$q] > -1e29 &&
                    (self::bends($z, $p, $n) || self::bends($z, $q, $n)) &&
                    ! isset($fixed[($n - 2) * ($j - 1) + $i - 1])
                ) {
                    $way = ($edge & 1) === 0 ? [$xs[$i + 1] - $xs[$i], 0.0] : [0.0, $ys[$j + 1] - $ys[$j]];
                    $t = self::closer($level, $level <= $z[$p] + self::EPSILON, $t, $xs[$i], $ys[$j], $way, $exact);
                }
                $ring[] =
                    ($edge & 1) === 0
                        ? [$xs[$i] + $t * ($xs[$i + 1] - $xs[$i]), $ys[$j]]
                        : [$xs[$i], $ys[$j] + $t * ($ys[$j + 1] - $ys[$j])];
                $onBorder[] = $z[$p] < -1e29 || $z[$q] < -1e29;
                $next = $links[$edge];
                unset($links[$edge]);
                $edge = $next;
            } while ($edge !== $start);

            $area += Polygon::area($ring);
            $rings[] = $ring;
            foreach (self::withoutBorder($ring, $onBorder) as $line) {
                $length += self::length($line['points'], $line['closed']);
                $lines[] = $line;
            }
        }

        return new Contour($level, $lines, $rings, $length, $area);
    }

    /**
     * Whether heights bend sharply about a node, along either line through it.
     *
     * @param  list<float>  $z
     */
    private static function bends(array $z, int $p, int $n): bool
    {
        foreach ([1, $n] as $step) {
            [$a, $b] = [$z[$p - $step], $z[$p + $step]];
            if ($a > -1e29 && $b > -1e29 && abs($a - 2.0 * $z[$p] + $b) > self::MAX_BEND_MM) {
                return true;
            }
        }

        return false;
    }

    /**
     * The share of the way from one node to the next at which heights pass a level, by halving.
     *
     * @param  array{float, float}  $way
     * @param  Closure(float, float): float  $exact
     */
    private static function closer(float $level, bool $above, float $t, float $x, float $y, array $way, Closure $exact): float
    {
        [$low, $high] = [0.0, 1.0];
        $length = max(1e-9, $way[0] + $way[1]);
        for (; ($high - $low) * $length > self::EXACT_MM; $t = ($low + $high) / 2.0) {
            if ($exact($x + $t * $way[0], $y + $t * $way[1]) >= $level === $above) {
                $low = max($t, $low + 1e-6);
            } else {
                $high = min($t, $high - 1e-6);
            }
        }

        return ($low + $high) / 2.0;
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @param  list<bool>  $onBorder
     * @return list<array{points: list<array{float, float}>, closed: bool}>
     */
    private static function withoutBorder(array $ring, array $onBorder): array
    {
        $first = array_search(true, $onBorder, true);
        if ($first === false) {
            return [['points' => $ring, 'closed' => true]];
        }
        $lines = [];
        $line = [];
        $count = count($ring);
        for ($k = 1; $k <= $count; $k++) {
            $at = ($first + $k) % $count;
            if ($onBorder[$at]) {
                if (count($line) > 1) {
                    $lines[] = ['points' => $line, 'closed' => false];
                }
                $line = [];
            } else {
                $line[] = $ring[$at];
            }
        }

        return $lines;
    }

    /** @param  list<array{float, float}>  $points */
    private static function length(array $points, bool $closed): float
    {
        $sum = 0.0;
        [$px, $py] = $closed ? $points[count($points) - 1] : $points[0];
        foreach ($points as [$x, $y]) {
            $sum += hypot($x - $px, $y - $py);
            [$px, $py] = [$x, $y];
        }

        return $sum;
    }
}
