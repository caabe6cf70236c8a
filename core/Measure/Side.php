<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** A side of a run, looking the way its stations go. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';

    /** That of an offset: to the left they are positive. */
    public static function at(float $offset): self
    {
        return $offset >= 0.0 ? self::Left : self::Right;
    }

    /** An offset to this side, from how far it lies from the line. */
    public function offset(float $distance): float
    {
        return $this === self::Left ? $distance : -$distance;
    }

    public function other(): self
    {
        return $this === self::Left ? self::Right : self::Left;
    }
}
