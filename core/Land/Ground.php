<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;

/**
 * The ground as a section sees it: the layout's lattice read through the section's placement, and what is made of it before
 * any track is laid: roughness, pads, the beds of streams and waters, one after the other.
 */
final readonly class Ground
{
    /** @var list<Basin> */
    public array $basins;

    /** @var list<Stream> */
    public array $streams;

    /** @var list<Pad> */
    public array $pads;

    /** @var list<Heap> */
    public array $heaps;

    /** @var list<array{float, float, float, float}> where each shape can reach */
    private array $boxes;

    /** @param  list<Shape>  $shapes in section coordinates */
    public function __construct(private Lattice $lattice, private Placement $placement, private array $shapes = [])
    {
        $this->basins = array_values(array_filter($shapes, fn (Shape $shape): bool => $shape instanceof Basin));
        $this->streams = array_values(array_filter($shapes, fn (Shape $shape): bool => $shape instanceof Stream));
        $this->pads = array_values(array_filter($shapes, fn (Shape $shape): bool => $shape instanceof Pad));
        $this->heaps = array_values(array_filter($shapes, fn (Shape $shape): bool => $shape instanceof Heap));
        $this->boxes = $shapes === [] ? [] : $this->boxes(min($lattice->heights), max($lattice->heights));
    }

    /** How far outside the banks of all standing water a place lies, mm; less than nothing within one. */
    public function beyondPonds(float $x, float $y): float
    {
        return min([INF, ...array_map(fn (Basin $b): float => $b->beyond($x, $y), $this->basins)]);
    }

    /**
     * @return list<array{float, float, float, float}> for ground from the lowest to the highest node, and a little more for what lies
     *     between nodes and for what the shapes before have made
     */
    private function boxes(float $lowest, float $highest): array
    {
        $more = 0.15 * ($highest - $lowest) + 1.0;
        [$lowest, $highest] = [$lowest - $more, $highest + $more];
        $boxes = [];
        foreach ($this->shapes as $shape) {
            $boxes[] = $shape->reach($lowest, $highest);
            if ($shape instanceof Pad) {
                [$lowest, $highest] = [min($lowest, $shape->level), max($highest, $shape->level)];
            } elseif ($shape instanceof Heap) {
                $highest = max($highest, ...array_map(fn (Spot $p): float => $p->z, $shape->crest));
            } elseif ($shape instanceof Roughness) {
                [$lowest, $highest] = [$lowest - $shape->height, $highest + $shape->height];
            }
        }

        return $boxes;
    }

    /** The same ground with one more thing made of it. */
    public function with(Shape $shape): self
    {
        return new self($this->lattice, $this->placement, [...$this->shapes, $shape]);
    }

    /**
     * Height in mm at a place in section coordinates.
     *
     * @param  Shape|null  $before only of what is made before this
     */
    public function at(float $x, float $y, ?Shape $before = null): float
    {
        $p = $this->placement->toLayout(new Point($x, $y));

        $ground = $this->lattice->at($p->x, $p->y);
        foreach ($this->shapes as $k => $shape) {
            if ($shape === $before) {
                break;
            }
            [$x1, $y1, $x2, $y2] = $this->boxes[$k];
            if ($x >= $x1 && $x <= $x2 && $y >= $y1 && $y <= $y2) {
                $ground = $shape->shape($x, $y, $ground);
            }
        }

        return $ground;
    }

    /**
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @return list<float> row by row
     */
    public function raster(array $xs, array $ys): array
    {
        if ($this->placement->isAxisParallel()) {
            return $this->shaped($xs, $ys, $this->lattice->raster(
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
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  list<float>  $ground
     * @return list<float>
     */
    private function shaped(array $xs, array $ys, array $ground): array
    {
        $n = count($xs);
        foreach ($this->shapes as $shape) {
            [$x1, $y1, $x2, $y2] = $shape->reach(min([...$ground, INF]), max([...$ground, -INF]));
            foreach ($ys as $j => $y) {
                if ($y < $y1 || $y > $y2) {
                    continue;
                }
                foreach ($xs as $i => $x) {
                    if ($x >= $x1 && $x <= $x2) {
                        $ground[$j * $n + $i] = $shape->shape($x, $y, $ground[$j * $n + $i]);
                    }
                }
            }
        }

        return array_values($ground);
    }
}
