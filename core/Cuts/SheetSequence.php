<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\HeightMesh;

/**
 * The sheets to stack, from the board up, so that foam, carving and filling cost least together: dynamic programming over
 * the heights that sheets can reach, exact for that sum with areas counted by the mesh's cells. Without prices a millimetre
 * of one sheet costs what one of any other does.
 */
final class SheetSequence
{
    /** Carving away costs this share of the foam itself, filling up so many times as much: starting values. */
    public const CARVING_COST = 0.5;

    public const FILLING_COST = 3.0;

    /** A layer more costs as much as so many millimetres of foam under all of it: gluing, cutting. A starting value. */
    public const LAYER_COST = 2.5;

    /** So much of a sheet can be covered at best. */
    private const COVERED_SHARE = 0.85;

    private const MAX_LAYERS = 400;

    private const MIN_LAYERS = 3;

    /** @var list<float> heights of cells, from the highest down */
    private array $heights = [];

    /** @var list<float> area of all cells so high or higher, and the volume under them over nothing */
    private array $areas = [0.0];

    /** @var list<float> */
    private array $volumes = [0.0];

    private function __construct(HeightMesh $shape)
    {
        $cells = [];
        $n = count($shape->xs);
        for ($j = 0; $j < count($shape->ys) - 1; $j++) {
            for ($i = 0; $i < $n - 1; $i++) {
                $p = $j * $n + $i;
                $cells[] = [
                    ($shape->z[$p] + $shape->z[$p + 1] + $shape->z[$p + $n] + $shape->z[$p + $n + 1]) / 4.0,
                    ($shape->xs[$i + 1] - $shape->xs[$i]) * ($shape->ys[$j + 1] - $shape->ys[$j]),
                ];
            }
        }
        rsort($cells);
        foreach ($cells as $k => [$z, $area]) {
            $this->heights[] = $z;
            $this->areas[] = $this->areas[$k] + $area;
            $this->volumes[] = $this->volumes[$k] + $area * $z;
        }
    }

    /**
     * @param  HeightMesh  $shape the land less its skin
     * @return list<float> thicknesses from the board up, mm; empty where no land stands over the board
     */
    public static function of(HeightMesh $shape, float $base, CutSettings $cuts): array
    {
        return self::cheapest($shape, $base, $cuts)[0];
    }

    /**
     * The best few, the best first: where whole sheets count, one of the others may come out cheaper.
     *
     * @return non-empty-list<list<float>>
     */
    public static function cheapest(HeightMesh $shape, float $base, CutSettings $cuts): array
    {
        return (new self($shape))->best($base, $cuts);
    }

    /** @return non-empty-list<list<float>> */
    private function best(float $base, CutSettings $cuts): array
    {
        $top = $this->heights[0] ?? $base;
        $kinds = $this->kinds($cuts);
        // Height over the board in tenths → layers of each limited kind → cost, way, area taken of each kind.
        $open = [0 => ['' => [0.0, [], []]]];
        $found = [];
        // Sheets only ever reach higher, so what is lowest is settled.
        while ($open !== []) {
            $height = min(array_keys($open));
            $states = $open[$height];
            unset($open[$height]);
            $bottom = $base + $height / 10.0;
            foreach ($states as [$cost, $way, $taken]) {
                if ($bottom >= $top - 0.05) {
                    $found[] = [$cost, $way];

                    continue;
                }
                foreach (count($way) < self::MAX_LAYERS ? $kinds : [] as $k => [$thickness, $price, $room]) {
                    $area = $this->areaAbove($bottom + $cuts->school->share() * $thickness);
                    $used = [$k => ($taken[$k] ?? 0.0) + $area] + $taken;
                    if ($room !== null && $used[$k] > $room) {
                        continue;
                    }
                    $land = $this->volumeAbove($bottom) - $this->volumeAbove($bottom + $thickness);
                    $foam = $area * $thickness;
                    $unit = $price / $thickness;
                    $now =
                        $cost +
                        $area * $price +
                        $unit *
                            (self::CARVING_COST * max(0.0, $foam - $land) +
                                self::FILLING_COST * max(0.0, $land - $foam) +
                                self::LAYER_COST * $this->areaAbove($bottom));
                    $there = $height + (int) round(10.0 * $thickness);
                    $which = $this->layersOf([...$way, $thickness], $kinds);
                    if (! isset($open[$there][$which]) || $now < $open[$there][$which][0]) {
                        $open[$there][$which] = [$now, [...$way, $thickness], $used];
                    }
                }
            }
        }

        usort($found, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $ways = array_slice(array_column($found, 1), 0, self::MIN_LAYERS);

        return $ways === []
            ? [array_fill(0, max(0, (int) ceil(($top - $base) / $cuts->first()->thickness - 1e-9)), $cuts->first()->thickness)]
            : $ways;
    }

    /**
     * @param  list<float>  $way
     * @param  list<array{float, float, float|null}>  $kinds
     */
    private function layersOf(array $way, array $kinds): string
    {
        $out = [];
        foreach ($kinds as [$thickness, , $room]) {
            if ($room !== null) {
                $out[] = count(array_filter($way, fn (float $t): bool => $t === $thickness));
            }
        }

        return implode(',', $out);
    }

    /** @return list<array{float, float, float|null}> thickness, price of a mm², area that there is (null for any) */
    private function kinds(CutSettings $cuts): array
    {
        $priced = array_values(array_filter($cuts->sheets, fn (StockSheet $s): bool => $s->price !== null && $s->price > 0));
        $mean =
            $priced === []
                ? 1.0
                : array_sum(
                    array_map(fn (StockSheet $s): float => ($s->price ?? 0) / $s->area() / $s->thickness, $priced),
                ) / count($priced);
        $kinds = [];
        foreach ($cuts->thicknesses() as $thickness) {
            $all = $cuts->ofThickness($thickness);
            // What can be bought has no end.
            $bought = array_values(array_filter($all, fn (StockSheet $s): bool => $s->count === null));
            $sheet = $bought[0] ?? $all[0];
            $room =
                $bought !== []
                    ? null
                    : self::COVERED_SHARE * array_sum(array_map(fn (StockSheet $s): float => ($s->count ?? 0) * $s->area(), $all));
            $kinds[] = [$thickness, $sheet->price === null ? $mean * $thickness : $sheet->price / $sheet->area(), $room];
        }

        return $kinds;
    }

    private function areaAbove(float $z): float
    {
        return $this->areas[$this->above($z)];
    }

    private function volumeAbove(float $z): float
    {
        $k = $this->above($z);

        return $this->volumes[$k] - $z * $this->areas[$k];
    }

    /** How many cells are higher. */
    private function above(float $z): int
    {
        [$low, $high] = [0, count($this->heights)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->heights[$middle] > $z) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
