<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Measure\InvalidValue;

/** A gap in a row with something that opens: its middle along the row, mm of the model, and its width outdoors, m. */
final readonly class Gate
{
    /** @throws InvalidValue */
    public function __construct(public float $at, public float $wideM = 3.6)
    {
        InvalidValue::unlessBetween($at, 0.0, 200_000.0, 'The place of the gate', 'mm', 'gates');
        InvalidValue::unlessBetween($wideM, 0.5, 20.0, 'The width of the gate outdoors', 'm', 'gates');
    }
}
