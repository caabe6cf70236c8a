<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/** A point in plan, mm. */
final readonly class Point
{
    public function __construct(public float $x, public float $y)
    {
    }

    public function distanceTo(self $other): float
    {
        return hypot($this->x - $other->x, $this->y - $other->y);
    }

    public function toward(float $headingRad, float $distance): self
    {
        return new self($this->x + $distance * cos($headingRad), $this->y + $distance * sin($headingRad));
    }
}
