<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\Polygon;

/** One piece of foam: its outline counter-clockwise, holes clockwise, in section coordinates (mm); area in mm². */
final readonly class Piece
{
    /** @param  list<list<array{float, float}>>  $rings  the outline first */
    public function __construct(public string $id, public array $rings, public float $area)
    {
    }

    public function holds(float $x, float $y): bool
    {
        foreach ($this->rings as $k => $ring) {
            if (Polygon::holds($ring, $x, $y) !== ($k === 0)) {
                return false;
            }
        }

        return $this->rings !== [];
    }
}
