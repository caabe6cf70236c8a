<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** A retaining wall that the land needs: along a run, on its `left` or `right`, stations and heights in mm, face in mm². */
final readonly class Wall
{
    public function __construct(
        public string $run,
        public string $side,
        public float $from,
        public float $to,
        public float $lowest,
        public float $highest,
        public float $face,
        public string $cause,
        public float $x,
        public float $y,
    ) {
    }
}
