<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Measure\Format;

/**
 * A stretch of a stream so steep that no water stays on it: it is built by hand, of strips from the lip down and peaks at its foot.
 * Stations along the stream's line, mm.
 */
final readonly class Fall
{
    /** Strips are about so wide; each goes so far over the lip and into the pool. */
    private const STRIP_MM = 4.0;

    private const OVER_MM = 6.0;

    /** A peak of foam at the foot to so much width. */
    private const PEAK_MM = 3.0;

    /** @param  array{float, float}  $at its middle, section coordinates */
    public function __construct(
        public float $from,
        public float $to,
        public float $drop,
        public float $width,
        public array $at,
    ) {
    }

    public function strips(): int
    {
        return max(1, (int) ceil($this->width / self::STRIP_MM - 1e-9));
    }

    /** Length of each strip, mm. */
    public function strip(): float
    {
        return hypot($this->drop, $this->to - $this->from) + 2.0 * self::OVER_MM;
    }

    public function peaks(): int
    {
        return max(1, (int) ceil($this->width / self::PEAK_MM - 1e-9));
    }

    public function words(): string
    {
        return sprintf(
            'falls %s: %s of %s drawn out on film, %s dabbed at the foot',
            Format::length($this->drop, 1),
            $this->strips() === 1 ? '1 strip' : $this->strips().' strips',
            Format::length($this->strip()),
            $this->peaks() === 1 ? '1 peak' : $this->peaks().' peaks',
        );
    }
}
