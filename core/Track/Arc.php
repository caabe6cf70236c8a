<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;

/** A circular stretch; `turn` is +1 to the left, −1 to the right. */
final readonly class Arc extends Element
{
    private Point $centre;

    public function __construct(Point $start, float $heading, float $length, public float $radius, public int $turn)
    {
        parent::__construct($start, $heading, $length);
        $this->centre = $start->toward($heading + $turn * M_PI / 2.0, $radius);
    }

    public function curvatureAt(float $along): float
    {
        return $this->turn / $this->radius;
    }

    public function sharpest(): float
    {
        return 1.0 / $this->radius;
    }

    public function pointAt(float $along): Point
    {
        return $this->centre->toward($this->headingAt($along) - $this->turn * M_PI / 2.0, $this->radius);
    }

    public function headingAt(float $along): float
    {
        return $this->heading + $this->turn * $along / $this->radius;
    }

    public function foot(float $x, float $y): ?array
    {
        $dx = $x - $this->centre->x;
        $dy = $y - $this->centre->y;
        $from = $this->heading - $this->turn * M_PI / 2.0;
        $swept = $this->turn * (atan2($dy, $dx) - $from);
        $swept -= 2.0 * M_PI * floor($swept / (2.0 * M_PI));
        $along = $swept * $this->radius;
        if ($along > $this->length) {
            // A foot a hair before the start comes out as almost a full turn.
            if ($along > $this->length + self::HAIR && (2.0 * M_PI - $swept) * $this->radius > self::HAIR) {
                return null;
            }
            $along = $along > $this->length + self::HAIR ? 0.0 : $this->length;
        }

        return [$along, $this->turn * ($this->radius - hypot($dx, $dy))];
    }
}
