<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;

/** Natural ground as a section sees it: the layout's lattice read through the section's placement. */
final readonly class Ground
{
    public function __construct(private Lattice $lattice, private Placement $placement)
    {
    }

    /** Height in mm at a place in section coordinates. */
    public function at(float $x, float $y): float
    {
        $p = $this->placement->toLayout(new Point($x, $y));

        return $this->lattice->at($p->x, $p->y);
    }

    /**
     * @param list<float> $xs
     * @param list<float> $ys
     * @return list<float> row by row
     */
    public function raster(array $xs, array $ys): array
    {
        if ($this->placement->isAxisParallel()) {
            return $this->lattice->raster(
                array_map(fn (float $x): float => $x + $this->placement->x, $xs),
                array_map(fn (float $y): float => $y + $this->placement->y, $ys),
            );
        }
        $out = [];
        foreach ($ys as $y) {
            foreach ($xs as $x) {
                $out[] = $this->at($x, $y);
            }
        }

        return $out;
    }
}
