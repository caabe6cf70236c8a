<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;

/** A stretch of a run under one law of curvature, placed: start (mm), heading (radians, counter-clockwise from x), length (mm). */
abstract readonly class Element
{
    /** A foot this far beyond an end still counts, mm: between two elements no place may fall through. */
    protected const HAIR = 1e-6;

    public function __construct(public Point $start, public float $heading, public float $length)
    {
    }

    /** Signed curvature, 1/mm; positive turns left. */
    abstract public function curvatureAt(float $along): float;

    /** The greatest curvature of all, unsigned, 1/mm. */
    abstract public function sharpest(): float;

    abstract public function pointAt(float $along): Point;

    abstract public function headingAt(float $along): float;

    /**
     * Foot of the perpendicular from (x, y): distance along the element and signed offset (left positive), or null when
     * the foot lies beyond its ends.
     *
     * @return array{float, float}|null
     */
    abstract public function foot(float $x, float $y): ?array;

    /** @return array{float, float, float, float} least x, least y, greatest x, greatest y */
    public function bounds(): array
    {
        $xs = $ys = [];
        $parts = max(1, (int) ceil($this->sharpest() * $this->length / 0.2));
        for ($k = 0; $k <= $parts; $k++) {
            $p = $this->pointAt($this->length * $k / $parts);
            $xs[] = $p->x;
            $ys[] = $p->y;
        }
        $bulge = $this->sharpest() === 0.0 ? 0.0 : (1.0 - cos(0.1)) / $this->sharpest();

        return [min($xs) - $bulge, min($ys) - $bulge, max($xs) + $bulge, max($ys) + $bulge];
    }
}
