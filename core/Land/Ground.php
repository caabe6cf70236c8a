<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;

/**
 * The ground as a section sees it: the layout's lattice read through the section's placement, with the beds of its waters
 * carved out.
 */
final readonly class Ground
{
    /** @param  list<Basin>  $basins in section coordinates */
    public function __construct(private Lattice $lattice, private Placement $placement, public array $basins = [])
    {
    }

    /** Height in mm at a place in section coordinates. */
    public function at(float $x, float $y): float
    {
        $p = $this->placement->toLayout(new Point($x, $y));

        $ground = $this->lattice->at($p->x, $p->y);
        foreach ($this->basins as $basin) {
            $ground = $basin->carve($x, $y, $ground);
        }

        return $ground;
    }

    /**
     * @param list<float> $xs
     * @param list<float> $ys
     * @return list<float> row by row
     */
    public function raster(array $xs, array $ys): array
    {
        if ($this->placement->isAxisParallel()) {
            return $this->carved($xs, $ys, $this->lattice->raster(
                array_map(fn (float $x): float => $x + $this->placement->x, $xs),
                array_map(fn (float $y): float => $y + $this->placement->y, $ys),
            ));
        }
        $out = [];
        foreach ($ys as $y) {
            foreach ($xs as $x) {
                $out[] = $this->at($x, $y);
            }
        }

        return $out;
    }

    /**
     * @param list<float> $xs
     * @param list<float> $ys
     * @param list<float> $ground
     * @return list<float>
     */
    private function carved(array $xs, array $ys, array $ground): array
    {
        $n = count($xs);
        foreach ($this->basins as $basin) {
            [$x1, $y1, $x2, $y2] = $basin->reach($ground === [] ? 0.0 : max($ground));
            foreach ($ys as $j => $y) {
                if ($y < $y1 || $y > $y2) {
                    continue;
                }
                foreach ($xs as $i => $x) {
                    if ($x >= $x1 && $x <= $x2) {
                        $ground[$j * $n + $i] = $basin->carve($x, $y, $ground[$j * $n + $i]);
                    }
                }
            }
        }

        return array_values($ground);
    }
}
