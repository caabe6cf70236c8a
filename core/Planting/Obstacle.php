<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/**
 * A place that growth keeps off: no stem within `stem` mm of it, and no crown within `room` mm where the crown reaches between the
 * heights `low` and `high`. A track is a row of them. Section coordinates.
 */
final readonly class Obstacle
{
    public function __construct(
        public float $x,
        public float $y,
        public float $stem,
        public float $room,
        public float $low,
        public float $high,
        public string $what,
    ) {
    }
}
