<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/**
 * All of one level on a mesh. `lines` are what a pencil would draw; `rings` enclose the ground at or above the level,
 * outlines counter-clockwise and holes clockwise, closed along the board's edge. Points are [x, y] in mm; rings do not
 * repeat their first point.
 */
final readonly class Contour
{
    /**
     * @param  list<array{points: list<array{float, float}>, closed: bool}>  $lines
     * @param  list<list<array{float, float}>>  $rings
     */
    public function __construct(
        public float $level,
        public array $lines,
        public array $rings,
        public float $length,
        public float $areaAbove,
    ) {
    }

    public function closedLines(): int
    {
        return count(array_filter($this->lines, fn (array $line): bool => $line['closed']));
    }
}
