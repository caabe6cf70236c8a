<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** One piece of foam: its outline counter-clockwise, holes clockwise, in section coordinates (mm); area in mm². */
final readonly class Piece
{
    /** @param  list<list<array{float, float}>>  $rings  the outline first */
    public function __construct(public string $id, public array $rings, public float $area)
    {
    }
}
