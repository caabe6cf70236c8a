<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

/** A part of a bed that lies between two depths, mm: its plan area and true surface, mm², and the water over it, mm³. */
final readonly class DepthBand
{
    public function __construct(
        public float $from,
        public float $to,
        public float $area,
        public float $volume,
        public float $surface,
    ) {
    }
}
