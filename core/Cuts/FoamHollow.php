<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Geometry\Polygon;

/**
 * Where foam may be left out: no nearer to any surface than a wall, the sides of the board and of bores included. The land is
 * eroded by a ball of that radius; what is left under a layer's top is the layer's hollow.
 */
final readonly class FoamHollow
{
    /** Every so many nodes of the raster are looked at, and hollows smaller than this stay full, mm². */
    private const RASTER_STRIDE = 2;

    private const MIN_HOLLOW_MM2 = 2500.0;

    private function __construct(private HeightMesh $within)
    {
    }

    /**
     * @param  list<array<int, array{float, float, float}>>  $bored nodes of the shape that bores go under or near
     */
    public static function under(HeightMesh $shape, array $bored, float $wall): self
    {
        $z = $shape->z;
        foreach ($bored as $nodes) {
            foreach ($nodes as $p => [$away]) {
                $z[$p] = $away < 0.0 ? -INF : $z[$p];
            }
        }
        $pick = fn (array $line): array => array_values(
            array_filter($line, fn (int $k): bool => $k % self::RASTER_STRIDE === 0 || $k === count($line) - 1, ARRAY_FILTER_USE_KEY),
        );
        [$xs, $ys, $cols] = [$pick($shape->xs), $pick($shape->ys), count($shape->xs)];
        $at = fn (array $line, float $v): int => (int) array_search($v, $line, true);
        [$is, $js] = [array_map(fn (float $x): int => $at($shape->xs, $x), $xs), array_map(fn (float $y): int => $at($shape->ys, $y), $ys)];
        [$w, $d, $n, $m] = [$xs[count($xs) - 1], $ys[count($ys) - 1], count($xs), count($ys)];
        $step = ($w - $xs[0]) / max(1, $n - 1);
        // A raster's width more, for what lies between its nodes.
        $reach = $wall + $step * M_SQRT1_2;
        $ball = [];
        for ($dj = (int) -ceil($reach / $step); $dj * $step <= $reach; $dj++) {
            for ($di = (int) -ceil($reach / $step); $di * $step <= $reach; $di++) {
                $square = $reach * $reach - ($di * $di + $dj * $dj) * $step * $step;
                if ($square >= 0.0) {
                    $ball[] = [$di, $dj, sqrt($square)];
                }
            }
        }
        $out = [];
        foreach ($ys as $j => $y) {
            foreach ($xs as $i => $x) {
                $least = min($x - $xs[0], $w - $x, $y - $ys[0], $d - $y) < $wall ? -1e6 : INF;
                foreach ($least < 0.0 ? [] : $ball as [$di, $dj, $drop]) {
                    if ($i + $di >= 0 && $i + $di < $n && $j + $dj >= 0 && $j + $dj < $m) {
                        $there = $z[$js[$j + $dj] * $cols + $is[$i + $di]] - $drop;
                        $least = $there < $least ? $there : $least;
                    }
                }
                $out[] = max(-1e6, $least);
            }
        }

        return new self(new HeightMesh($xs, $ys, $out));
    }

    /** @return list<list<array{float, float}>> rings of what is left out of a layer that ends at this height, clockwise */
    public function below(float $top): array
    {
        $out = [];
        [$outline] = Contours::of($this->within, [$top]);
        foreach ($outline->rings as $ring) {
            $thin = LineSimplifier::line($ring, 0.5, true);
            if (Polygon::area($ring) >= self::MIN_HOLLOW_MM2 && count($thin) >= 3) {
                $out[] = array_reverse($thin);
            }
        }

        return $out;
    }
}
