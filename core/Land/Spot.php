<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** A place with a height, mm, in layout coordinates. */
final readonly class Spot
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }
}
