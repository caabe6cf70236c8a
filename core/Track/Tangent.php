<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;

/** A straight stretch. */
final readonly class Tangent extends Element
{
    private float $cos;

    private float $sin;

    public function __construct(Point $start, float $heading, float $length)
    {
        parent::__construct($start, $heading, $length);
        $this->cos = cos($heading);
        $this->sin = sin($heading);
    }

    public function curvatureAt(float $along): float
    {
        return 0.0;
    }

    public function sharpest(): float
    {
        return 0.0;
    }

    public function pointAt(float $along): Point
    {
        return new Point($this->start->x + $along * $this->cos, $this->start->y + $along * $this->sin);
    }

    public function headingAt(float $along): float
    {
        return $this->heading;
    }

    public function foot(float $x, float $y): ?array
    {
        $dx = $x - $this->start->x;
        $dy = $y - $this->start->y;
        $along = $dx * $this->cos + $dy * $this->sin;

        if ($along < -self::HAIR || $along > $this->length + self::HAIR) {
            return null;
        }

        return [max(0.0, min($this->length, $along)), $dy * $this->cos - $dx * $this->sin];
    }
}
