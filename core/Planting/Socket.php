<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Measure\InvalidValue;

/** What trees that lift off stand in: a tube of so wide a bore, so deep in skin and foam, and the pin at each foot. mm. */
final readonly class Socket
{
    /** A pin turns and lifts freely with so much less than its bore. */
    private const PLAY_MM = 0.2;

    /** Foam or board that has to stay under a bore. */
    public const FLOOR_MM = 3.0;

    /** @throws InvalidValue */
    public function __construct(public float $bore = 3.0, public float $depth = 18.0)
    {
        InvalidValue::unlessBetween($bore, 0.8, 20.0, 'The bore', 'mm', 'bore_mm');
        InvalidValue::unlessBetween($depth, 3.0, 120.0, 'The depth of the socket', 'mm', 'depth_mm');
    }

    /** The pin that goes into it: as long as it is deep. */
    public function pin(): float
    {
        return $this->bore - self::PLAY_MM;
    }
}
