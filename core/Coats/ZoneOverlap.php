<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** Where two zones of a section lie over each other. */
final readonly class ZoneOverlap
{
    /** Less than this is a shared edge, mm². */
    private const MIN_AREA_MM2 = 100.0;

    public function __construct(public float $area, public AreaProfile $acrossX, public AreaProfile $acrossY, public bool $apart = false)
    {
    }

    /** Of zones that only lie beside each other, whose coats run out into one another: wherever both are. */
    public static function beside(): self
    {
        $anywhere = new AreaProfile([-1e6, 1e6], [0 => 1e12]);

        return new self(0.0, $anywhere, $anywhere);
    }

    public static function none(): self
    {
        return new self(0.0, new AreaProfile([0.0, 1.0], []), new AreaProfile([0.0, 1.0], []));
    }

    /** Of zones of which nothing comes onto the other, but one has to be done first: wherever both are. */
    public static function apart(): self
    {
        return new self(0.0, self::beside()->acrossX, self::beside()->acrossY, true);
    }

    public function counts(): bool
    {
        return $this->area > self::MIN_AREA_MM2;
    }

    /** Whether they do within a rectangle, as far as both axes can tell. */
    public function within(Strip $band): bool
    {
        return $this->acrossX->between($band->x1, $band->x2) > 1.0 && $this->acrossY->between($band->y1, $band->y2) > 1.0;
    }
}
