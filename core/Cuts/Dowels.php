<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Polygon;

/** Where dowels go through a piece and what is glued onto it, so that the layers lie true: two, far apart and well inside both. */
final class Dowels
{
    /** So far from any edge at least, mm, and looked for on a raster of this. */
    private const MIN_EDGE_DISTANCE_MM = 12.0;

    private const RASTER_MM = 15.0;

    /** @return list<array{float, float}> none where too little lies on it */
    public static function between(Piece $piece, Layer $next): array
    {
        $out = [];
        foreach ($next->pieces as $over) {
            array_push($out, ...self::deepest([$piece, $over], $over->rings[0] ?? [], 2));
        }

        return $out;
    }

    /**
     * Places inside all pieces: one deepest, or of those deep enough the two that lie furthest apart.
     *
     * @param  list<Piece>  $pieces
     * @param  list<array{float, float}>  $ring that they lie within
     * @return list<array{float, float}>
     */
    public static function deepest(array $pieces, array $ring, int $count): array
    {
        if ($ring === []) {
            return [];
        }
        [$x1, $y1, $x2, $y2] = Box::around($ring);
        $deep = [];
        $best = [0.0, null];
        for ($y = $y1 + self::RASTER_MM / 2.0; $y < $y2; $y += self::RASTER_MM) {
            for ($x = $x1 + self::RASTER_MM / 2.0; $x < $x2; $x += self::RASTER_MM) {
                $depth = INF;
                foreach ($pieces as $piece) {
                    foreach ($piece->rings as $k => $edge) {
                        $depth = min($depth, ($k === 0 ? 1.0 : -1.0) * Polygon::depth($edge, $x, $y));
                    }
                }
                if ($depth > $best[0]) {
                    $best = [$depth, [$x, $y]];
                }
                if ($depth >= self::MIN_EDGE_DISTANCE_MM) {
                    $deep[] = [$x, $y];
                }
            }
        }
        if ($count === 1 || count($deep) < 2) {
            return $best[1] === null || ($count > 1 && $deep === []) ? [] : [$best[1]];
        }
        $one = self::furthest($deep, $deep[0]);
        $other = self::furthest($deep, $one);

        return $one === $other ? [$one] : [$one, $other];
    }

    /**
     * @param  non-empty-list<array{float, float}>  $places
     * @param  array{float, float}  $from
     * @return array{float, float}
     */
    private static function furthest(array $places, array $from): array
    {
        $best = $places[0];
        foreach ($places as $p) {
            if (hypot($p[0] - $from[0], $p[1] - $from[1]) > hypot($best[0] - $from[0], $best[1] - $from[1])) {
                $best = $p;
            }
        }

        return $best;
    }
}
