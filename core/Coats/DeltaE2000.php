<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * The difference of two colours in CIELAB as it is seen, CIEDE2000 with all factors 1 (G. Sharma, W. Wu, E. N. Dalal, The CIEDE2000
 * color-difference formula: implementation notes, supplementary test data, and mathematical observations, Color Research and Application
 * 30, 2005, pp. 21–30; the names of the steps are theirs).
 */
final class DeltaE2000
{
    private const POW_25_7 = 6_103_515_625.0;

    /**
     * @param  array{float, float, float}  $one L, a, b
     * @param  array{float, float, float}  $other
     */
    public static function between(array $one, array $other): float
    {
        [$l1, $a1, $b1] = $one;
        [$l2, $a2, $b2] = $other;
        $mean = (hypot($a1, $b1) + hypot($a2, $b2)) / 2.0;
        $g = 0.5 * (1.0 - self::saturation($mean));
        [$a1, $a2] = [(1.0 + $g) * $a1, (1.0 + $g) * $a2];
        [$c1, $c2] = [hypot($a1, $b1), hypot($a2, $b2)];
        [$h1, $h2] = [self::hue($a1, $b1), self::hue($a2, $b2)];
        $grey = $c1 * $c2 < 1e-12;
        $dh = match (true) {
            $grey => 0.0,
            $h2 - $h1 > 180.0 => $h2 - $h1 - 360.0,
            $h2 - $h1 < -180.0 => $h2 - $h1 + 360.0,
            default => $h2 - $h1,
        };
        $dL = $l2 - $l1;
        $dC = $c2 - $c1;
        $dH = 2.0 * sqrt($c1 * $c2) * sin(deg2rad($dh / 2.0));
        $l = ($l1 + $l2) / 2.0;
        $c = ($c1 + $c2) / 2.0;
        $h = match (true) {
            $grey => $h1 + $h2,
            abs($h1 - $h2) <= 180.0 => ($h1 + $h2) / 2.0,
            $h1 + $h2 < 360.0 => ($h1 + $h2 + 360.0) / 2.0,
            default => ($h1 + $h2 - 360.0) / 2.0,
        };
        $t = 1.0
            - 0.17 * cos(deg2rad($h - 30.0))
            + 0.24 * cos(deg2rad(2.0 * $h))
            + 0.32 * cos(deg2rad(3.0 * $h + 6.0))
            - 0.20 * cos(deg2rad(4.0 * $h - 63.0));
        $sL = 1.0 + 0.015 * ($l - 50.0) ** 2 / sqrt(20.0 + ($l - 50.0) ** 2);
        $sC = 1.0 + 0.045 * $c;
        $sH = 1.0 + 0.015 * $c * $t;
        $turn = 30.0 * exp(-(($h - 275.0) / 25.0) ** 2);
        $rT = -2.0 * self::saturation($c) * sin(deg2rad(2.0 * $turn));

        return sqrt(($dL / $sL) ** 2 + ($dC / $sC) ** 2 + ($dH / $sH) ** 2 + $rT * ($dC / $sC) * ($dH / $sH));
    }

    private static function saturation(float $chroma): float
    {
        return sqrt($chroma ** 7 / ($chroma ** 7 + self::POW_25_7));
    }

    /** Degrees, 0 … 360; 0 for grey. */
    private static function hue(float $a, float $b): float
    {
        $h = rad2deg(atan2($b, $a));

        return $h < 0.0 ? $h + 360.0 : $h;
    }
}
