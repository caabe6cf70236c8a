<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * Heights (mm) on a square raster, row-major from the lowest y. Either every value stands in the middle of its cell and
 * the cells cover the board (`cells`), or the outermost values stand on the board's edges (`nodes`).
 */
final readonly class HeightGrid
{
    /** Most values a grid may hold: a board of 5 × 2 m at 2.5 mm. */
    public const MAX_CELLS = 1_600_000;

    /** A last middle nearer to the edge than this share of a cell would leave a strip too thin to measure in. */
    private const MIN_STRIP_MM = 0.02;

    /**
     * @param  list<float>  $values
     * @param  list<float>|null  $rim
     */
    private function __construct(
        public int $cols,
        public int $rows,
        public float $cell,
        public float $x0,
        public float $y0,
        public bool $onNodes,
        public array $values,
        public ?array $rim = null,
    ) {
    }

    /**
     * Middles of the cells of an extent that begins at 0, all of them within it, whatever its length: the last strip along its
     * far end is as wide as is left.
     *
     * @return list<float> at least two, where the extent takes 1.52 cells or more
     */
    public static function middles(float $extent, float $cell): array
    {
        $count = max(2, (int) ceil($extent / $cell - 0.5 - self::MIN_STRIP_MM));

        return array_map(fn (int $i): float => ($i + 0.5) * $cell, range(0, $count - 1));
    }

    /**
     * @param  float  $x0 left edge of the first cell
     * @param  list<float>  $values
     * @param  list<float>|null  $rim heights along the board's edges, in the order of the mesh: its first row, the first and last of every
     *     row of values, its last row
     *
     * @throws InvalidValue when the counts do not agree
     */
    public static function cells(int $cols, int $rows, float $cell, float $x0, float $y0, array $values, ?array $rim = null): self
    {
        return self::checked($cols, $rows, $cell, $x0, $y0, false, $values, $rim);
    }

    /**
     * @param  float  $x0 place of the first value
     * @param  list<float>  $values
     *
     * @throws InvalidValue when the counts do not agree
     */
    public static function nodes(int $cols, int $rows, float $cell, float $x0, float $y0, array $values): self
    {
        return self::checked($cols, $rows, $cell, $x0, $y0, true, $values);
    }

    /**
     * The surface between the values, out to the board's edges: where values stand in cell middles, the strip along each edge
     * goes to the heights of the rim, or continues the nearest values. `$width` and `$depth` say where the edges are, where that
     * is not at the end of the last cell.
     */
    public function mesh(?float $width = null, ?float $depth = null): HeightMesh
    {
        if ($this->onNodes) {
            return new HeightMesh($this->line($this->x0, $this->cols), $this->line($this->y0, $this->rows), $this->values);
        }
        $xs = $this->padded($this->x0, $this->cols, $width);
        $ys = $this->padded($this->y0, $this->rows, $depth);
        if ($this->rim !== null) {
            return new HeightMesh($xs, $ys, $this->rimmed($this->rim));
        }
        $values = [];
        for ($j = 0; $j < $this->rows; $j++) {
            $row = array_slice($this->values, $j * $this->cols, $this->cols);
            array_unshift($row, $row[0]);
            $row[] = $row[$this->cols];
            $repeat = 1 + ($j === 0 ? 1 : 0) + ($j === $this->rows - 1 ? 1 : 0);
            for ($k = 0; $k < $repeat; $k++) {
                array_push($values, ...$row);
            }
        }

        return new HeightMesh($xs, $ys, $values);
    }

    /** @param  list<float>  $values the same raster with other heights */
    public function with(array $values): self
    {
        return self::checked($this->cols, $this->rows, $this->cell, $this->x0, $this->y0, $this->onNodes, $values);
    }

    /**
     * The same raster lowered at every value; along the edges by as much as at the nearest one.
     *
     * @param  list<float>  $by
     */
    public function less(array $by): self
    {
        $edges =
            $this->rim === null
                ? []
                : self::checked($this->cols, $this->rows, $this->cell, $this->x0, $this->y0, $this->onNodes, $by)->rimOfNearest();

        return self::checked(
            $this->cols,
            $this->rows,
            $this->cell,
            $this->x0,
            $this->y0,
            $this->onNodes,
            array_map(fn (float $z, float $less): float => $z - $less, $this->values, $by),
            $this->rim === null ? null : array_map(fn (float $z, float $less): float => $z - $less, $this->rim, $edges),
        );
    }

    /** Steepest slope, rise over run, from 3 × 3 windows (B. K. P. Horn, "Hill shading and the reflectance map", 1981). */
    public function maxSlope(): float
    {
        $steepest = 0.0;
        $n = $this->cols;
        $z = $this->values;
        for ($j = 1; $j < $this->rows - 1; $j++) {
            for ($i = 1; $i < $n - 1; $i++) {
                $p = $j * $n + $i;
                $gx = $z[$p - $n + 1] + 2 * $z[$p + 1] + $z[$p + $n + 1] - ($z[$p - $n - 1] + 2 * $z[$p - 1] + $z[$p + $n - 1]);
                $gy = $z[$p + $n - 1] + 2 * $z[$p + $n] + $z[$p + $n + 1] - ($z[$p - $n - 1] + 2 * $z[$p - $n] + $z[$p - $n + 1]);
                $steepest = max($steepest, $gx * $gx + $gy * $gy);
            }
        }

        return sqrt($steepest) / (8.0 * $this->cell);
    }

    /**
     * Slope at every value, degrees, by differences across it (one-sided along the edges).
     *
     * @return list<float>
     */
    public function slopes(): array
    {
        $n = $this->cols;
        $z = $this->values;
        $out = [];
        for ($j = 0; $j < $this->rows; $j++) {
            $south = $j > 0 ? -$n : 0;
            $north = $j < $this->rows - 1 ? $n : 0;
            for ($i = 0; $i < $n; $i++) {
                $p = $j * $n + $i;
                $west = $i > 0 ? -1 : 0;
                $east = $i < $n - 1 ? 1 : 0;
                $gx = ($z[$p + $east] - $z[$p + $west]) / max(1, $east - $west);
                $gy = (($z[$p + $north] - $z[$p + $south]) * $n) / max(1, $north - $south);
                $out[] = rad2deg(atan(sqrt($gx * $gx + $gy * $gy) / $this->cell));
            }
        }

        return $out;
    }

    /**
     * @param  list<float>  $values
     * @param  list<float>|null  $rim
     */
    private static function checked(
        int $cols,
        int $rows,
        float $cell,
        float $x0,
        float $y0,
        bool $onNodes,
        array $values,
        ?array $rim = null,
    ): self {
        InvalidValue::unlessBetween($cell, 0.1, 1000.0, 'The cell size', 'mm', 'cellsize');
        if ($cols < 2 || $rows < 2) {
            throw new InvalidValue("A grid needs at least 2 columns and 2 rows; this one has {$cols} × {$rows}.", 'ncols');
        }
        if ($cols * $rows > self::MAX_CELLS) {
            throw new InvalidValue(
                "{$cols} × {$rows} values are more than the ".self::MAX_CELLS.' a grid may hold; use larger cells.',
                'ncols',
            );
        }
        if (count($values) !== $cols * $rows) {
            throw new InvalidValue(sprintf('%d values for %d × %d cells.', count($values), $cols, $rows), 'values');
        }

        if ($rim !== null && count($rim) !== 2 * ($cols + $rows + 2)) {
            throw new InvalidValue(sprintf('%d heights along the edges of %d × %d cells.', count($rim), $cols, $rows), 'rim');
        }

        return new self($cols, $rows, $cell, $x0, $y0, $onNodes, $values, $rim);
    }

    /** @return list<float> the nearest values along the edges, in the order of a rim */
    private function rimOfNearest(): array
    {
        $row = function (int $j): array {
            $values = array_slice($this->values, $j * $this->cols, $this->cols);

            return [$values[0], ...$values, $values[$this->cols - 1]];
        };
        $out = $row(0);
        for ($j = 0; $j < $this->rows; $j++) {
            array_push($out, $this->values[$j * $this->cols], $this->values[($j + 1) * $this->cols - 1]);
        }

        return [...$out, ...$row($this->rows - 1)];
    }

    /**
     * @param  list<float>  $rim
     * @return list<float> heights of the mesh, row by row
     */
    private function rimmed(array $rim): array
    {
        $n = $this->cols + 2;
        $out = array_slice($rim, 0, $n);
        for ($j = 0; $j < $this->rows; $j++) {
            $out[] = $rim[$n + 2 * $j];
            array_push($out, ...array_slice($this->values, $j * $this->cols, $this->cols));
            $out[] = $rim[$n + 2 * $j + 1];
        }
        array_push($out, ...array_slice($rim, $n + 2 * $this->rows));

        return $out;
    }

    /** @return list<float> */
    private function line(float $from, int $count): array
    {
        $out = [];
        for ($i = 0; $i < $count; $i++) {
            $out[] = $from + $i * $this->cell;
        }

        return $out;
    }

    /** @return list<float> */
    private function padded(float $from, int $count, ?float $extent): array
    {
        $end = $from + ($extent ?? $count * $this->cell);
        $out = [$from];
        for ($i = 0; $i < $count; $i++) {
            $out[] = $from + ($i + 0.5) * $this->cell;
        }
        if ($end - $out[$count] < 0.5 * self::MIN_STRIP_MM * $this->cell) {
            throw new InvalidValue(
                sprintf('%d cells of %s reach over an edge at %s.', $count, Format::length($this->cell, 2), Format::length($end, 2)),
                'ncols',
            );
        }
        $out[] = $end;

        return $out;
    }
}
