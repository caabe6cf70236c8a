<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Geometry\DepthCurve;

/**
 * A stretch of a stream between two falls, or its ends on the board: what flows stays on it if it is not too steep, or is held in steps
 * by small dams. Stations and levels in mm.
 */
final readonly class Reach
{
    public function __construct(
        public float $from,
        public float $to,
        public float $upper,
        public float $lower,
        public DepthCurve $curve,
    ) {
    }

    public function length(): float
    {
        return $this->to - $this->from;
    }

    public function drop(): float
    {
        return $this->upper - $this->lower;
    }

    /** How steep its water lies, degrees. */
    public function slopeDeg(): float
    {
        return rad2deg(atan2($this->drop(), max(1e-9, $this->length())));
    }

    /** Small dams within it, so that what finds its own level stands nowhere higher over the stream's line than so much. */
    public function dams(float $stepMm): int
    {
        return max(0, (int) ceil($this->drop() / $stepMm - 1e-9) - 1);
    }
}
