<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\DepthCurve;

/**
 * What stands in a zone: places of its trees or posts, section coordinates, mm; the length of the wires they carry, mm; of a bed the
 * strips of its falls, the length of its dams, and how deep the water is that lies on it.
 */
final readonly class Standing
{
    /** @param  list<array{float, float}>  $places */
    public function __construct(public array $places = [], public float $wire = 0.0, public ?DepthCurve $water = null)
    {
    }

    /** @param  callable(float, float): bool  $stays */
    public function where(callable $stays): self
    {
        $places = array_values(array_filter($this->places, fn (array $p): bool => $stays(...$p)));

        return new self($places, $this->wire, $this->water);
    }

    public function within(Strip $band): int
    {
        $held = fn (array $p): bool => $p[0] >= $band->x1 && $p[0] < $band->x2 && $p[1] >= $band->y1 && $p[1] < $band->y2;

        return count(array_filter($this->places, $held));
    }
}
