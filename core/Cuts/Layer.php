<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** One layer of a stack, from the board up: index from 1, bottom over the datum and thickness in mm, area in mm². */
final readonly class Layer
{
    /** @param  list<Piece>  $pieces */
    public function __construct(
        public int $index,
        public float $bottom,
        public float $thickness,
        public float $area,
        public array $pieces,
    ) {
    }

    public function volume(): float
    {
        return $this->area * $this->thickness;
    }
}
