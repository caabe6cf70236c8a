<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Side;

/** What a stretch of a run is built on, in or beside. */
enum StructureKind: string
{
    case Tunnel = 'tunnel';
    case Bridge = 'bridge';
    case WallLeft = 'wall left';
    case WallRight = 'wall right';

    public static function wall(Side $side): self
    {
        return $side === Side::Left ? self::WallLeft : self::WallRight;
    }

    /** The side that a wall stands on; null for what is no wall. */
    public function side(): ?Side
    {
        return match ($this) {
            self::WallLeft => Side::Left,
            self::WallRight => Side::Right,
            self::Bridge, self::Tunnel => null,
        };
    }

    /** A wall of either side is a wall. */
    public function word(): string
    {
        return $this->side() === null ? $this->value : 'wall';
    }
}
