<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** Where two zones of a section lie over each other. */
final readonly class Overlap
{
    /** Less than this is a shared edge, mm². */
    private const LEAST = 100.0;

    public function __construct(public float $area, public Profile $acrossX, public Profile $acrossY)
    {
    }

    /** Of zones that only lie beside each other, whose coats run out into one another: wherever both are. */
    public static function beside(): self
    {
        $anywhere = new Profile([-1e6, 1e6], [0 => 1e12]);

        return new self(0.0, $anywhere, $anywhere);
    }

    public function counts(): bool
    {
        return $this->area > self::LEAST;
    }

    /** Whether they do within a rectangle, as far as both axes can tell. */
    public function within(Band $band): bool
    {
        return $this->acrossX->between($band->x1, $band->x2) > 1.0 && $this->acrossY->between($band->y1, $band->y2) > 1.0;
    }
}
