<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** A board as it is carried: level on its frame, with what stands on it. Width and depth as it is built, height over all, mm; kg. */
final readonly class CarriedBoard
{
    public function __construct(
        public string $uid,
        public string $name,
        public float $width,
        public float $depth,
        public float $height,
        public float $weight,
    ) {
    }
}
