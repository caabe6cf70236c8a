<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

use IdleRidge\Core\Measure\Sorted;

/**
 * How much of each cell between the lines of a raster an area covers, 0 … 1, exactly: every edge adds the area that lies
 * to its right within the cells it crosses, and fills its rows from there on.
 */
final class CellCoverage
{
    /**
     * @param  list<list<array{float, float}>>  $rings outlines counter-clockwise, holes clockwise, within the raster
     * @param  list<float>  $xs rising
     * @param  list<float>  $ys rising
     * @return array<int, float> cell (row × (count of xs − 1) + column) → covered share; what is not covered is left out
     */
    public static function of(array $rings, array $xs, array $ys): array
    {
        $cols = count($xs) - 1;
        $part = $fill = [];
        foreach ($rings as $ring) {
            [$px, $py] = $ring[count($ring) - 1];
            foreach ($ring as [$qx, $qy]) {
                if ($py !== $qy) {
                    self::edge($px, $py, $qx, $qy, $xs, $ys, $part, $fill);
                }
                [$px, $py] = [$qx, $qy];
            }
        }
        $out = [];
        foreach ($part as $j => $cells) {
            ksort($cells);
            $tall = $ys[$j + 1] - $ys[$j];
            $carried = 0.0;
            $last = $cols - 1;
            for ($i = (int) array_key_first($cells); $i <= $last; $i++) {
                $wide = $xs[$i + 1] - $xs[$i];
                $share = ($carried * $wide + ($cells[$i] ?? 0.0)) / ($wide * $tall);
                $carried += $fill[$j][$i] ?? 0.0;
                if ($share > 1e-9) {
                    $out[$j * $cols + $i] = min(1.0, $share);
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  array<int, array<int, float>>  $part
     * @param  array<int, array<int, float>>  $fill
     */
    private static function edge(float $px, float $py, float $qx, float $qy, array $xs, array $ys, array &$part, array &$fill): void
    {
        // A falling edge has the inside to its right and adds; a rising one takes away.
        $sign = $qy < $py ? 1.0 : -1.0;
        if ($qy < $py) {
            [$px, $py, $qx, $qy] = [$qx, $qy, $px, $py];
        }
        $slope = ($qx - $px) / ($qy - $py);
        for ($j = Sorted::gap($ys, $py); $j < count($ys) - 1 && $ys[$j] < $qy; $j++) {
            $y1 = max($py, $ys[$j]);
            $y2 = min($qy, $ys[$j + 1]);
            if ($y2 <= $y1) {
                continue;
            }
            $x1 = $px + ($y1 - $py) * $slope;
            $x2 = $px + ($y2 - $py) * $slope;
            [$low, $high] = $x1 < $x2 ? [$x1, $x2] : [$x2, $x1];
            for ($i = Sorted::gap($xs, $low); $i < count($xs) - 1; $i++) {
                $from = max($low, $xs[$i]);
                $to = min($high, $xs[$i + 1]);
                $dy = $high - $low < 1e-12 ? $y2 - $y1 : max(0.0, $to - $from) / ($high - $low) * ($y2 - $y1);
                if ($dy > 0.0) {
                    $part[$j][$i] = ($part[$j][$i] ?? 0.0) + $sign * $dy * ($xs[$i + 1] - ($from + $to) / 2.0);
                    $fill[$j][$i] = ($fill[$j][$i] ?? 0.0) + $sign * $dy;
                }
                if ($xs[$i + 1] >= $high) {
                    break;
                }
            }
        }
    }
}
