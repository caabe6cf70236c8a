<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Polygon;

/**
 * Where on a board something may grow: on land that is not too steep and not under water, off what obstructs, and not over an edge at
 * which boards join. Planting and what judges it ask the same. Section coordinates, mm.
 */
final readonly class PlantingGround
{
    /** No stem stands nearer to the edge of a board. */
    public const EDGE_MM = 3.0;

    private const EXACT_DEG = 0.01;

    /**
     * @param  HeightMesh  $land heights over the datum
     * @param  HeightMesh  $slopes degrees
     * @param  callable(float, float): bool  $isWet
     * @param  list<string>  $joined edges at which another board goes on
     */
    public function __construct(
        public float $width,
        public float $length,
        private HeightMesh $land,
        private HeightMesh $slopes,
        private Obstacles $obstacles,
        private mixed $isWet,
        private array $joined,
        public Depth $depth,
    ) {
    }

    public function height(float $x, float $y): float
    {
        return $this->land->at($x, $y);
    }

    public function slope(float $x, float $y): float
    {
        return $this->slopes->at($x, $y);
    }

    /**
     * Why a tree cannot stand somewhere, and the figure that says so; null where it can.
     *
     * @param  list<string>  $but obstacles that do not count
     * @return array{what: string, lacks: float}|null what is in the way: edge, joint, steep, water or an obstacle’s word
     */
    public function against(Tree $tree, PlantingRule $rule, array $but = []): ?array
    {
        return $this->onBoard($tree) ??
            $this->underfoot($tree, $rule) ??
            $this->obstacle($tree->x, $tree->y, $tree->height, $tree->stem() / 2.0, $tree->crown / 2.0, $rule->clear, $but);
    }

    /**
     * What a thing that stands somewhere comes too near to.
     *
     * @param  float  $height over the ground, mm
     * @param  list<string>  $but
     * @return array{what: string, lacks: float}|null
     */
    public function obstacle(float $x, float $y, float $height, float $half, float $spread, float $clear, array $but = []): ?array
    {
        $foot = $this->height($x, $y);

        return $this->obstacles->met($x, $y, $foot, $foot + $height, $half, $spread, $clear, $but);
    }

    /** @return array{what: string, lacks: float}|null */
    private function onBoard(Tree $tree): ?array
    {
        [$x, $y] = [$tree->x, $tree->y];
        foreach (BoardEdge::cases() as $edge) {
            $inside = $edge->inside($x, $y, $this->width, $this->length);
            $joint = in_array($edge->value, $this->joined, true);
            $needs = $joint ? max(self::EDGE_MM, $tree->crown / 2.0) : self::EDGE_MM;
            if ($inside < $needs - Obstacles::EXACT_MM) {
                return ['what' => $joint ? 'joint' : 'edge', 'lacks' => $needs - $inside];
            }
        }

        return null;
    }

    /** @return array{what: string, lacks: float}|null */
    private function underfoot(Tree $tree, PlantingRule $rule): ?array
    {
        $slope = $this->slope($tree->x, $tree->y);
        if ($slope > $rule->steepestDeg + self::EXACT_DEG) {
            return ['what' => 'steep', 'lacks' => $slope - $rule->steepestDeg];
        }

        return ($this->isWet)($tree->x, $tree->y) ? ['what' => 'water', 'lacks' => 0.0] : null;
    }

    /**
     * Whether rings hold a place, the holes among them left out.
     *
     * @param  list<list<array{float, float}>>  $rings
     */
    public static function within(array $rings, float $x, float $y): bool
    {
        $inside = false;
        foreach ($rings as $ring) {
            $inside = $inside !== Polygon::holds($ring, $x, $y);
        }

        return $inside;
    }
}
