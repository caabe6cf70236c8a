<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/**
 * Cuts a piece with holes along a line x = at, so that what is parted becomes pieces of its own. Each ring's way is followed on
 * one side of the line; where it leaves it goes along the line to where a way comes in again.
 */
final class PolygonSplitter
{
    /**
     * @param  list<list<array{float, float}>>  $rings outline counter-clockwise, holes clockwise
     * @return array{list<list<list<array{float, float}>>>, list<list<list<array{float, float}>>>} pieces to the left, and to the right,
     *     each its outline and holes
     */
    public static function of(array $rings, float $at): array
    {
        return [self::side($rings, $at, -1.0), self::side($rings, $at, 1.0)];
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @return list<list<list<array{float, float}>>>
     */
    private static function side(array $rings, float $at, float $side): array
    {
        $whole = $ways = [];
        foreach ($rings as $ring) {
            // No point may lie on the line itself: it is moved off it by less than anything that is cut.
            $ring = array_map(fn (array $p): array => abs($p[0] - $at) < 1e-7 ? [$at + 2e-7, $p[1]] : $p, $ring);
            $kept = array_map(fn (array $p): bool => ($p[0] - $at) * $side > 0.0, $ring);
            $n = count($ring);
            $entry = null;
            for ($k = 0; $k < $n && $entry === null; $k++) {
                $entry = ! $kept[$k] && $kept[($k + 1) % $n] ? $k : null;
            }
            if ($entry === null) {
                if ($kept[0]) {
                    $whole[] = $ring;
                }

                continue;
            }
            $way = [];
            for ($m = 0; $m < $n; $m++) {
                [$p, $q] = [$ring[($entry + $m) % $n], $ring[($entry + $m + 1) % $n]];
                [$in, $goesOn] = [$kept[($entry + $m) % $n], $kept[($entry + $m + 1) % $n]];
                if ($in !== $goesOn) {
                    $way[] = [$at, $p[1] + (($q[1] - $p[1]) * ($at - $p[0])) / ($q[0] - $p[0])];
                }
                if ($goesOn) {
                    $way[] = $q;
                } elseif ($in) {
                    $ways[] = $way;
                    $way = [];
                }
            }
        }

        return self::pieces([...$whole, ...self::joined($ways)]);
    }

    /**
     * Closes the ways along the line: of all their ends by height, each two neighbours bound a stretch of the cut.
     *
     * @param  list<list<array{float, float}>>  $ways
     * @return list<list<array{float, float}>>
     */
    private static function joined(array $ways): array
    {
        $ends = [];
        foreach ($ways as $k => $way) {
            $ends[] = [$way[0][1], $k, true];
            $ends[] = [$way[count($way) - 1][1], $k, false];
        }
        usort($ends, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $next = [];
        for ($k = 1; $k < count($ends); $k += 2) {
            foreach ([[$ends[$k - 1], $ends[$k]], [$ends[$k], $ends[$k - 1]]] as [$one, $other]) {
                if (! $one[2] && $other[2]) {
                    $next[$one[1]] = $other[1];
                }
            }
        }
        $rings = $done = [];
        foreach (array_keys($ways) as $first) {
            $ring = [];
            for ($k = $first; ! isset($done[$k]); $k = $next[$k] ?? $k) {
                $done[$k] = true;
                array_push($ring, ...$ways[$k]);
            }
            if (count($ring) > 2) {
                $rings[] = $ring;
            }
        }

        return $rings;
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @return list<list<list<array{float, float}>>>
     */
    private static function pieces(array $rings): array
    {
        $outlines = array_values(array_filter($rings, fn (array $r): bool => Polygon::area($r) > 1e-3));
        usort($outlines, fn (array $a, array $b): int => Polygon::area($a) <=> Polygon::area($b));
        $pieces = array_map(fn (array $r): array => [$r], $outlines);
        foreach (array_filter($rings, fn (array $r): bool => Polygon::area($r) < -1e-3) as $hole) {
            foreach ($outlines as $k => $outline) {
                if (Polygon::holds($outline, $hole[0][0], $hole[0][1])) {
                    $pieces[$k][] = $hole;
                    break;
                }
            }
        }

        return $pieces;
    }
}
