<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Geometry\HeightGrid;
use RuntimeException;

/**
 * Relief as black and white with alpha, to lie over any tint. Light from the upper left at 45°, two pixels a cell.
 * Slopes by central differences (B. K. P. Horn, "Hill shading and the reflectance map", Proc. IEEE 69, 1981).
 */
final class ReliefPng
{
    private const PER_CELL = 2;

    /** How much steeper than it is the land is shaded, so that gentle ground shows. */
    private const EXAGGERATION = 1.4;

    public static function png(HeightGrid $land): string
    {
        $cols = $land->cols;
        $rows = $land->rows;
        $z = $land->values;
        $width = $cols * self::PER_CELL;
        $height = $rows * self::PER_CELL;
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        if ($image === false) {
            throw new RuntimeException('No picture could be made.');
        }
        imagealphablending($image, false);
        imagesavealpha($image, true);
        $shade = self::shades($z, $cols, $rows, $land->cell);
        $flat = M_SQRT1_2;
        for ($py = 0; $py < $height; $py++) {
            $v = max(0.0, min($rows - 1.0, ($height - 1 - $py + 0.5) / self::PER_CELL - 0.5));
            $j = min($rows - 2, (int) $v);
            $fv = $v - $j;
            for ($px = 0; $px < $width; $px++) {
                $u = max(0.0, min($cols - 1.0, ($px + 0.5) / self::PER_CELL - 0.5));
                $i = min($cols - 2, (int) $u);
                $fu = $u - $i;
                $p = $j * $cols + $i;
                $light = (1 - $fv) * ((1 - $fu) * $shade[$p] + $fu * $shade[$p + 1])
                    + $fv * ((1 - $fu) * $shade[$p + $cols] + $fu * $shade[$p + $cols + 1]);
                $strength = $light < $flat ? ($flat - $light) / $flat : ($light - $flat) / (1 - $flat);
                $alpha = 127 - (int) (127 * min(1.0, $strength * ($light < $flat ? 0.6 : 0.9)));
                imagesetpixel($image, $px, $py, ($alpha << 24) | ($light < $flat ? 0x141A12 : 0xFFFFFF));
            }
        }
        ob_start();
        imagepng($image, null, 6);

        return (string) ob_get_clean();
    }

    /**
     * @param  list<float>  $z
     * @return list<float>
     */
    private static function shades(array $z, int $cols, int $rows, float $cell): array
    {
        $shade = [];
        $k = self::EXAGGERATION / (2.0 * $cell);
        for ($j = 0; $j < $rows; $j++) {
            $south = $j > 0 ? -$cols : 0;
            $north = $j < $rows - 1 ? $cols : 0;
            for ($i = 0; $i < $cols; $i++) {
                $p = $j * $cols + $i;
                $gx = ($z[$p + ($i < $cols - 1 ? 1 : 0)] - $z[$p - ($i > 0 ? 1 : 0)]) * $k;
                $gy = ($z[$p + $north] - $z[$p + $south]) * $k;
                $shade[] = max(0.0, (0.5 * $gx - 0.5 * $gy + M_SQRT1_2) / sqrt(1.0 + $gx * $gx + $gy * $gy));
            }
        }

        return $shade;
    }
}
