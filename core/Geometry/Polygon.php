<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/** Rings of points that do not repeat their first. */
final class Polygon
{
    /**
     * Signed by the shoelace formula: positive counter-clockwise, mm².
     *
     * @param  list<array{float, float}>  $ring
     */
    public static function area(array $ring): float
    {
        $sum = 0.0;
        [$px, $py] = $ring[count($ring) - 1];
        foreach ($ring as [$x, $y]) {
            $sum += $px * $y - $x * $py;
            [$px, $py] = [$x, $y];
        }

        return $sum / 2.0;
    }

    /**
     * Whether a point lies inside, by the parity of crossings.
     *
     * @param  list<array{float, float}>  $ring
     */
    public static function holds(array $ring, float $x, float $y): bool
    {
        $inside = false;
        [$px, $py] = $ring[count($ring) - 1];
        foreach ($ring as [$qx, $qy]) {
            if (($qy > $y) !== ($py > $y) && $x < ($px - $qx) * ($y - $qy) / ($py - $qy) + $qx) {
                $inside = ! $inside;
            }
            [$px, $py] = [$qx, $qy];
        }

        return $inside;
    }

    /**
     * The part of a ring within a rectangle (I. Sutherland and G. Hodgman, "Reentrant polygon clipping", 1974). Where the
     * rectangle cuts a ring in two, the parts stay joined along its edge, which changes no area.
     *
     * @param  list<array{float, float}>  $ring
     * @return list<array{float, float}> empty when nothing is left
     */
    public static function within(array $ring, float $x1, float $y1, float $x2, float $y2): array
    {
        foreach ([[0, $x1, 1.0], [0, $x2, -1.0], [1, $y1, 1.0], [1, $y2, -1.0]] as [$axis, $limit, $side]) {
            if ($ring === []) {
                return [];
            }
            $kept = [];
            $p = $ring[count($ring) - 1];
            foreach ($ring as $q) {
                $dp = ($p[$axis] - $limit) * $side;
                $dq = ($q[$axis] - $limit) * $side;
                if (($dp < 0.0) !== ($dq < 0.0)) {
                    $t = $dp / ($dp - $dq);
                    $cut = [$p[0] + $t * ($q[0] - $p[0]), $p[1] + $t * ($q[1] - $p[1])];
                    $cut[$axis] = $limit;
                    $kept[] = $cut;
                }
                if ($dq >= 0.0) {
                    $kept[] = $q;
                }
                $p = $q;
            }
            $ring = $kept;
        }

        return count($ring) < 3 || abs(self::area($ring)) < 1e-6 ? [] : $ring;
    }

    /**
     * Whether a ring crosses or touches itself.
     *
     * @param  list<array{float, float}>  $ring
     */
    public static function crossesItself(array $ring): bool
    {
        $n = count($ring);
        for ($a = 0; $a < $n; $a++) {
            for ($b = $a + 1; $b < $n; $b++) {
                $next = $b === $a + 1 || ($a === 0 && $b === $n - 1);
                if (! $next && self::meet($ring[$a], $ring[($a + 1) % $n], $ring[$b], $ring[($b + 1) % $n])) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Whether two rings share any place: their edges meet, or one lies within the other.
     *
     * @param  non-empty-list<array{float, float}>  $a
     * @param  non-empty-list<array{float, float}>  $b
     */
    public static function overlap(array $a, array $b): bool
    {
        foreach ($a as $i => $p) {
            foreach ($b as $j => $q) {
                if (self::meet($p, $a[($i + 1) % count($a)], $q, $b[($j + 1) % count($b)])) {
                    return true;
                }
            }
        }

        return self::holds($a, ...$b[0]) || self::holds($b, ...$a[0]);
    }

    /**
     * Length of a ring, mm.
     *
     * @param  list<array{float, float}>  $ring
     */
    public static function perimeter(array $ring): float
    {
        $sum = 0.0;
        [$px, $py] = $ring[count($ring) - 1] ?? [0.0, 0.0];
        foreach ($ring as [$x, $y]) {
            $sum += hypot($x - $px, $y - $py);
            [$px, $py] = [$x, $y];
        }

        return $sum;
    }

    /**
     * How far inside the nearest edge a point lies; negative outside, mm.
     *
     * @param  list<array{float, float}>  $ring
     */
    public static function depth(array $ring, float $x, float $y): float
    {
        $least = sqrt(self::squareTo($ring, $x, $y));

        return self::holds($ring, $x, $y) ? $least : -$least;
    }

    /**
     * The square of the way from a point to the nearest edge, mm². As soon as it is known to be no more than enough, that will do.
     *
     * @param  list<array{float, float}>  $ring
     */
    public static function squareTo(array $ring, float $x, float $y, float $enough = -1.0): float
    {
        return self::squareAlong($ring[count($ring) - 1], $ring, $x, $y, $enough);
    }

    /**
     * The same of some edges that go on from a point.
     *
     * @param  array{float, float}  $from
     * @param  list<array{float, float}>  $points
     */
    public static function squareAlong(array $from, array $points, float $x, float $y, float $enough = -1.0): float
    {
        $least = INF;
        [$px, $py] = $from;
        foreach ($points as [$qx, $qy]) {
            $dx = $qx - $px;
            $dy = $qy - $py;
            $square = $dx * $dx + $dy * $dy;
            $t = $square > 0.0 ? max(0.0, min(1.0, (($x - $px) * $dx + ($y - $py) * $dy) / $square)) : 0.0;
            $ex = $x - $px - $t * $dx;
            $ey = $y - $py - $t * $dy;
            $least = min($least, $ex * $ex + $ey * $ey);
            if ($least <= $enough) {
                break;
            }
            [$px, $py] = [$qx, $qy];
        }

        return $least;
    }

    /**
     * Where the edges cross a line along x: a point on it lies inside where an odd number of crossings lies beyond it, as holds() has it.
     *
     * @param  list<array{float, float}>  $ring
     * @return list<float> x, as the edges come
     */
    public static function crossings(array $ring, float $y): array
    {
        $out = [];
        [$px, $py] = $ring[count($ring) - 1];
        foreach ($ring as [$qx, $qy]) {
            if (($qy > $y) !== ($py > $y)) {
                $out[] = ($px - $qx) * ($y - $qy) / ($py - $qy) + $qx;
            }
            [$px, $py] = [$qx, $qy];
        }

        return $out;
    }

    /**
     * How far apart two areas lie, mm: 0 where a corner of one lies in the other. Nearest to one another are two edges, one of them at
     * its end.
     *
     * @param  list<list<array{float, float}>>  $a rings, holes among them
     * @param  list<list<array{float, float}>>  $b
     */
    public static function gap(array $a, array $b): float
    {
        $least = INF;
        foreach ([[$a, $b], [$b, $a]] as [$rings, $others]) {
            $others = array_values(array_filter($others));
            $boxes = array_map(Box::around(...), $others);
            foreach ($rings as $ring) {
                foreach ($ring as [$x, $y]) {
                    $inside = false;
                    foreach ($others as $k => $other) {
                        [$x1, $y1, $x2, $y2] = $boxes[$k];
                        $off = max($x1 - $x, $x - $x2, $y1 - $y, $y - $y2, 0.0);
                        if ($off * $off < $least) {
                            $least = min($least, self::squareTo($other, $x, $y));
                        }
                        $inside = $inside !== ($off <= 0.0 && self::holds($other, $x, $y));
                    }
                    if ($inside) {
                        return 0.0;
                    }
                }
            }
        }

        return sqrt($least);
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     * @param  array{float, float}  $d
     */
    private static function meet(array $a, array $b, array $c, array $d): bool
    {
        $turn = fn (array $p, array $q, array $r): float => ($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]);

        return $turn($a, $b, $c) * $turn($a, $b, $d) <= 0.0 && $turn($c, $d, $a) * $turn($c, $d, $b) <= 0.0
            && max($a[0], $b[0]) >= min($c[0], $d[0]) && max($c[0], $d[0]) >= min($a[0], $b[0])
            && max($a[1], $b[1]) >= min($c[1], $d[1]) && max($c[1], $d[1]) >= min($a[1], $b[1]);
    }
}
