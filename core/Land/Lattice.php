<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/**
 * The smooth carrier of the natural ground: heights at nodes a fixed spacing apart, read between nodes by cubic
 * convolution, with straight continuation over the edges. Node (0, 0) stands at (x0, y0), mm; heights in mm, row-major
 * from the lowest y.
 *
 * Formula: R. Keys, "Cubic convolution interpolation for digital image processing", IEEE Trans. ASSP 29 (1981),
 * kernel with a = -1/2.
 */
final readonly class Lattice
{
    /** @param  list<float>  $heights */
    public function __construct(
        public float $x0,
        public float $y0,
        public float $spacing,
        public int $cols,
        public int $rows,
        public array $heights,
    ) {
    }

    public function sameNodes(float $x0, float $y0, float $spacing, int $cols, int $rows): bool
    {
        return [$this->x0, $this->y0, $this->spacing, $this->cols, $this->rows] === [$x0, $y0, $spacing, $cols, $rows];
    }

    /** Height in mm at (x, y); outside the lattice the edge's value. */
    public function at(float $x, float $y): float
    {
        [$i, $wx] = self::weights(($x - $this->x0) / $this->spacing, $this->cols);
        [$j, $wy] = self::weights(($y - $this->y0) / $this->spacing, $this->rows);
        $sum = 0.0;
        $p = $j * $this->cols + $i;
        foreach ($wy as $w) {
            $sum += $w * ($wx[0] * $this->heights[$p] + $wx[1] * $this->heights[$p + 1]
                + $wx[2] * $this->heights[$p + 2] + $wx[3] * $this->heights[$p + 3]);
            $p += $this->cols;
        }

        return $sum;
    }

    /**
     * Heights on a rectangular raster whose axes are parallel to the lattice; the same values as `at`, several times
     * faster.
     *
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @return list<float> row by row
     */
    public function raster(array $xs, array $ys): array
    {
        $across = [];
        foreach ($xs as $x) {
            $across[] = self::weights(($x - $this->x0) / $this->spacing, $this->cols);
        }
        $bands = [];
        $out = [];
        foreach ($ys as $y) {
            [$j, $wy] = self::weights(($y - $this->y0) / $this->spacing, $this->rows);
            for ($k = $j; $k < $j + 4; $k++) {
                if (! isset($bands[$k])) {
                    $base = $k * $this->cols;
                    $band = [];
                    foreach ($across as [$i, $wx]) {
                        $p = $base + $i;
                        $band[] = $wx[0] * $this->heights[$p] + $wx[1] * $this->heights[$p + 1]
                            + $wx[2] * $this->heights[$p + 2] + $wx[3] * $this->heights[$p + 3];
                    }
                    $bands[$k] = $band;
                }
            }
            [$a, $b, $c, $d] = [$bands[$j], $bands[$j + 1], $bands[$j + 2], $bands[$j + 3]];
            [$wa, $wb, $wc, $wd] = $wy;
            foreach ($a as $i => $v) {
                $out[] = $wa * $v + $wb * $b[$i] + $wc * $c[$i] + $wd * $d[$i];
            }
        }

        return $out;
    }

    /**
     * First node and the four weights for a position in node units; the ghosts beyond an edge (2·z₀ − z₁) are folded
     * into the nodes they come from.
     *
     * @return array{int, array{float, float, float, float}}
     */
    public static function weights(float $t, int $count): array
    {
        $t = max(0.0, min($count - 1.0, $t));
        $i = min($count - 2, (int) $t);
        $f = $t - $i;
        $w = [
            (-0.5 * $f + 1.0) * $f * $f - 0.5 * $f,
            (1.5 * $f - 2.5) * $f * $f + 1.0,
            (-1.5 * $f + 2.0) * $f * $f + 0.5 * $f,
            (0.5 * $f - 0.5) * $f * $f,
        ];
        if ($i === 0) {
            return [0, [$w[1] + 2.0 * $w[0], $w[2] - $w[0], $w[3], 0.0]];
        }
        if ($i === $count - 2) {
            return [$count - 4, [0.0, $w[0], $w[1] - $w[3], $w[2] + 2.0 * $w[3]]];
        }

        return [$i - 1, $w];
    }
}
