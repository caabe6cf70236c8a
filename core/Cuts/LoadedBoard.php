<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** Where a board lies: in which load, on which shelf of it, its corner from the space's, and what it takes along and across, mm. */
final readonly class LoadedBoard
{
    public function __construct(
        public CarriedBoard $board,
        public int $load,
        public int $shelf,
        public float $x,
        public float $y,
        public float $z,
        public float $along,
        public float $across,
    ) {
    }
}
