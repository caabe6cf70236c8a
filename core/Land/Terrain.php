<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;

/**
 * A section's land on a raster: natural ground and terrain in the middle of each cell (mm, row-major from the front), and
 * what grading made of the cells it touched.
 */
final readonly class Terrain
{
    /**
     * @param  list<float>  $ground
     * @param  list<float>  $heights
     * @param  array<int, Graded>  $graded
     * @param  list<float>|null  $rim heights along the board's edges, as a grid takes them
     */
    public function __construct(
        public float $width,
        public float $depth,
        public float $cell,
        public int $cols,
        public int $rows,
        public array $ground,
        public array $heights,
        public array $graded,
        public ?array $rim = null,
    ) {
    }

    public function grid(): HeightGrid
    {
        return HeightGrid::cells($this->cols, $this->rows, $this->cell, 0.0, 0.0, $this->heights, $this->rim);
    }

    /** The surface out to the board's edges. */
    public function mesh(): HeightMesh
    {
        return $this->grid()->mesh($this->width, $this->depth);
    }

    /**
     * What is taken away from the ground and what is put on it, mm³.
     *
     * @return array{cut: float, fill: float}
     */
    public function earthworks(): array
    {
        $cut = $fill = 0.0;
        foreach ($this->graded as $p => $at) {
            $change = ($at->height - $this->ground[$p]) * $this->cellArea($p);
            if ($change > 0.0) {
                $fill += $change;
            } else {
                $cut -= $change;
            }
        }

        return ['cut' => $cut, 'fill' => $fill];
    }

    /**
     * How much grading changed each cell, cut or fill, mm; the toe of a bank is where it comes to nothing.
     *
     * @return list<float>
     */
    public function earth(): array
    {
        return array_map(fn (float $height, float $ground): float => abs($height - $ground), $this->heights, $this->ground);
    }

    /**
     * How far the slopes of a run reach out from its formation at most, mm.
     *
     * @param  int  $run its place among the graded runs
     */
    public function slopeReach(int $run, float $halfLeft, float $halfRight): float
    {
        $most = 0.0;
        foreach ($this->graded as $at) {
            if ($at->run === $run && ($at->kind === Grading::CUT || $at->kind === Grading::FILL)) {
                $most = max($most, abs($at->offset) - ($at->offset >= 0.0 ? $halfLeft : $halfRight));
            }
        }

        return $most;
    }

    /**
     * The rectangle in which another land of the same board differs by more than a millimetre.
     *
     * @return array{float, float} its width and depth, mm
     */
    public function extentOfChange(self $other): array
    {
        $i1 = $j1 = PHP_INT_MAX;
        $i2 = $j2 = -1;
        foreach ($this->heights as $p => $z) {
            if (abs($z - $other->heights[$p]) > 1.0) {
                [$i, $j] = [$p % $this->cols, intdiv($p, $this->cols)];
                [$i1, $i2, $j1, $j2] = [min($i1, $i), max($i2, $i), min($j1, $j), max($j2, $j)];
            }
        }

        return $i2 < 0 ? [0.0, 0.0] : [min($this->width, ($i2 - $i1 + 1) * $this->cell), min($this->depth, ($j2 - $j1 + 1) * $this->cell)];
    }

    /** @return array{float, float} middle of a cell */
    public function middle(int $p): array
    {
        return [($p % $this->cols + 0.5) * $this->cell, (intdiv($p, $this->cols) + 0.5) * $this->cell];
    }

    /** Plan area of a cell; the last along the far edges go on to the board's end. */
    public function cellArea(int $p): float
    {
        [$i, $j] = [$p % $this->cols, intdiv($p, $this->cols)];
        $dx = $i === $this->cols - 1 ? $this->width - $i * $this->cell : $this->cell;
        $dy = $j === $this->rows - 1 ? $this->depth - $j * $this->cell : $this->cell;

        return $dx * $dy;
    }
}
