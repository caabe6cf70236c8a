<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/** Rings of points that do not repeat their first. */
final class Polygon
{
    /**
     * Signed by the shoelace formula: positive counter-clockwise, mm².
     *
     * @param list<array{float, float}> $ring
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
     * @param list<array{float, float}> $ring
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
}
