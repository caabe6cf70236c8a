<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/**
 * Where a section lies in the layout: its lower left corner (mm) and its turn (degrees, counter-clockwise).
 * `toLayout` and `toSection` are inverse to each other.
 */
final readonly class Placement
{
    private float $cos;

    private float $sin;

    public function __construct(public float $x, public float $y, public float $angleDeg)
    {
        $this->cos = cos(deg2rad($angleDeg));
        $this->sin = sin(deg2rad($angleDeg));
    }

    public function toLayout(Point $p): Point
    {
        return new Point($this->x + $this->cos * $p->x - $this->sin * $p->y, $this->y + $this->sin * $p->x + $this->cos * $p->y);
    }

    public function toSection(Point $p): Point
    {
        $dx = $p->x - $this->x;
        $dy = $p->y - $this->y;

        return new Point($this->cos * $dx + $this->sin * $dy, -$this->sin * $dx + $this->cos * $dy);
    }

    public function isAxisParallel(): bool
    {
        return abs($this->sin) < 1e-12 && $this->cos > 0.0;
    }
}
