<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\HeightGrid;
use SplPriorityQueue;

/**
 * Where water would gather: the topographic index `ln(a / tan β)` (K. Beven and M. Kirkby, Hydrological Sciences Bulletin 24,
 * 1979), a the upslope area for each mm of contour (mm), tan β the slope down which it flows, at least 0.001. Pits are filled
 * from the board's edge (R. Barnes, C. Lehman and D. Mulla, Computers & Geosciences 62, 2014), water goes to the lowest of
 * the eight neighbours.
 */
final class Wetness
{
    private const MIN_SLOPE = 0.001;

    /** What a filled pit rises from its outlet inward with each cell, mm, so that it drains. */
    private const FILLED_TILT_MM = 1e-4;

    /** @return list<float> a value for each cell */
    public static function index(HeightGrid $land): array
    {
        [$n, $m] = [$land->cols, $land->rows];
        [$z, $order] = self::filled($land->values, $n, $m);
        $upslope = array_fill(0, $n * $m, 1.0);
        $slopes = [];
        // Whoever is filled last lies highest upstream: in this order every cell has all its water when it passes it on.
        foreach (array_reverse($order) as $p) {
            [$to, $slope] = self::below($z, $p, $n, $m);
            if ($to !== null) {
                $upslope[$to] += $upslope[$p];
            }
            $slopes[$p] = $slope / $land->cell;
        }
        $index = [];
        foreach ($upslope as $p => $cells) {
            $index[] = log(($cells * $land->cell) / max(self::MIN_SLOPE, $slopes[$p]));
        }

        return $index;
    }

    /**
     * The way that water takes from a place, to the edge or until `$stop` says so; through a pit it goes on where the pit
     * spills over.
     *
     * @param  (callable(float, float): bool)|null  $stop
     * @return list<array{float, float}> middles of cells, mm
     */
    public static function downhill(HeightGrid $land, float $x, float $y, ?callable $stop = null): array
    {
        [$n, $m] = [$land->cols, $land->rows];
        [$z] = self::filled($land->values, $n, $m);
        $p =
            max(0, min($m - 1, (int) floor(($y - $land->y0) / $land->cell))) * $n +
            max(0, min($n - 1, (int) floor(($x - $land->x0) / $land->cell)));
        $way = [];
        while ($p !== null) {
            $way[] = [$land->x0 + (($p % $n) + 0.5) * $land->cell, $land->y0 + (intdiv($p, $n) + 0.5) * $land->cell];
            if ($stop !== null && $stop(...$way[count($way) - 1])) {
                break;
            }
            [$p] = self::below($z, $p, $n, $m);
        }

        return $way;
    }

    /**
     * @param  list<float>  $z
     * @return array{list<float>, list<int>} filled heights, and the cells in the order in which they drain
     */
    private static function filled(array $z, int $n, int $m): array
    {
        $queue = new SplPriorityQueue();
        $seen = $order = [];
        for ($p = 0; $p < $n * $m; $p++) {
            $i = $p % $n;
            if ($i === 0 || $i === $n - 1 || $p < $n || $p >= $n * ($m - 1)) {
                $queue->insert($p, -$z[$p]);
                $seen[$p] = true;
            }
        }
        while (! $queue->isEmpty()) {
            /** @var int $p */
            $p = $queue->extract();
            $order[] = $p;
            foreach (self::around($p, $n, $m) as [$q]) {
                if (! isset($seen[$q])) {
                    $seen[$q] = true;
                    $z[$q] = max($z[$q], $z[$p] + self::FILLED_TILT_MM);
                    $queue->insert($q, -$z[$q]);
                }
            }
        }

        return [array_values($z), $order];
    }

    /**
     * @param  list<float>  $z
     * @return array{int|null, float} the neighbour down the steepest slope, and that slope for each cell's width
     */
    private static function below(array $z, int $p, int $n, int $m): array
    {
        $best = null;
        $steepest = 0.0;
        foreach (self::around($p, $n, $m) as [$q, $away]) {
            $slope = ($z[$p] - $z[$q]) / $away;
            if ($slope > $steepest) {
                [$best, $steepest] = [$q, $slope];
            }
        }

        return [$best, $steepest];
    }

    /** @return list<array{int, float}> neighbours and how many cells away they are */
    private static function around(int $p, int $n, int $m): array
    {
        [$i, $j] = [$p % $n, intdiv($p, $n)];
        $out = [];
        foreach (
            [
                [-1, -1, M_SQRT2],
                [0, -1, 1.0],
                [1, -1, M_SQRT2],
                [-1, 0, 1.0],
                [1, 0, 1.0],
                [-1, 1, M_SQRT2],
                [0, 1, 1.0],
                [1, 1, M_SQRT2],
            ] as [$di, $dj, $away]
        ) {
            if ($i + $di >= 0 && $i + $di < $n && $j + $dj >= 0 && $j + $dj < $m) {
                $out[] = [$p + $dj * $n + $di, $away];
            }
        }

        return $out;
    }
}
