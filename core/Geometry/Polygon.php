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
        $least = INF;
        [$px, $py] = $ring[count($ring) - 1];
        foreach ($ring as [$qx, $qy]) {
            $dx = $qx - $px;
            $dy = $qy - $py;
            $square = $dx * $dx + $dy * $dy;
            $t = $square > 0.0 ? max(0.0, min(1.0, (($x - $px) * $dx + ($y - $py) * $dy) / $square)) : 0.0;
            $ex = $x - $px - $t * $dx;
            $ey = $y - $py - $t * $dy;
            $least = min($least, $ex * $ex + $ey * $ey);
            [$px, $py] = [$qx, $qy];
        }

        return self::holds($ring, $x, $y) ? sqrt($least) : -sqrt($least);
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
