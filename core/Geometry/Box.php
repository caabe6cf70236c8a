<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/** Rectangles along the axes: least x, least y, greatest x, greatest y; mm. */
final class Box
{
    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @return array{float, float, float, float} the rectangle around points, and so much more on each side
     */
    public static function around(array $points, float $more = 0.0): array
    {
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];

        return [min($xs) - $more, min($ys) - $more, max($xs) + $more, max($ys) + $more];
    }
}
