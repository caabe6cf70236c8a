<?php

declare(strict_types=1);

namespace App\Computed\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Land\Wall;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Track\Turnout;

/**
 * What is kept of a section's land once it is worked out: enough to show it without computing it again. Lines and rings
 * are in section coordinates, mm.
 */
final readonly class LandResult
{
    /**
     * @param  array<string, Quantity>  $figures
     * @param  list<Finding>  $findings
     * @param  list<Wall>  $walls
     * @param  list<array{level: float, lines: list<array{points: list<array{float, float}>, closed: bool}>}>  $contours
     * @param  list<array{level: float, rings: list<list<array{float, float}>>}>  $bands rising; each covers what is at or above its level
     * @param  list<Turnout>  $turnouts
     * @param  string  $heights packed 32-bit floats, row by row from the front
     * @param  string  $rim likewise, along the board's edges
     */
    public function __construct(
        public string $hash,
        public float $cell,
        public int $cols,
        public int $rows,
        public array $figures,
        public array $findings,
        public array $walls,
        public array $contours,
        public array $bands,
        public string $heights,
        public array $turnouts,
        public string $rim,
    ) {
    }

    /** The heights at the middles of its cells. */
    public function grid(): HeightGrid
    {
        $unpacked = fn (string $packed): array => array_values(unpack('g*', $packed) ?: []);

        return HeightGrid::cells($this->cols, $this->rows, $this->cell, 0.0, 0.0, $unpacked($this->heights), $unpacked($this->rim));
    }
}
