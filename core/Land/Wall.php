<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/**
 * A retaining wall that the land needs (`between`, `edge`, `reach`) or that is `placed`: along a run, on its `left` or
 * `right`, stations and heights in mm, face in mm². Its profile tells its height at stations along it.
 */
final readonly class Wall
{
    /** @param  list<array{float, float}>  $profile station, height; mm */
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
        public array $profile = [],
    ) {
    }
}
