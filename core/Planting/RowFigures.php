<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Measure\InvalidValue;

/** Sizes of a row as it stands outdoors, m: from one thing to the next, over the ground, across; heights of its wires. */
final readonly class RowFigures
{
    private const MAX_WIRES = 12;

    /**
     * @param  float  $spacing greatest span, exact pitch, or the length of a piece
     * @param  list<float>  $wires heights over the ground, rising
     * @param  float  $strain greatest way from one straining post to the next; 0 for none but at ends and bends
     *
     * @throws InvalidValue
     */
    public function __construct(
        public float $spacing,
        public float $height,
        public float $wide,
        public array $wires = [],
        public float $strain = 0.0,
    ) {
        if ($spacing <= 0.0) {
            throw new InvalidValue('How far apart do they stand? More than nothing.', 'spacing_m');
        }
        InvalidValue::unlessBetween($spacing, 0.05, 5000.0, 'The spacing outdoors', 'm', 'spacing_m');
        InvalidValue::unlessBetween($height, 0.02, 40.0, 'The height outdoors', 'm', 'height_m');
        InvalidValue::unlessBetween($wide, 0.01, 10.0, 'The width outdoors', 'm', 'wide_m');
        InvalidValue::unlessBetween($strain, 0.0, 5000.0, 'The way between straining posts', 'm', 'strain_m');
        if (count($wires) > self::MAX_WIRES) {
            throw new InvalidValue('At most '.self::MAX_WIRES.' wires.', 'wires_m');
        }
        foreach ($wires as $k => $wire) {
            InvalidValue::unlessBetween($wire, 0.01, 40.0, 'The height of a wire', 'm', 'wires_m');
            if ($k > 0 && $wire < $wires[$k - 1]) {
                throw new InvalidValue('Wires are told from the lowest up.', 'wires_m');
            }
            if ($wire > $height + 1e-9) {
                throw new InvalidValue('A wire hangs higher than the post is.', 'wires_m');
            }
        }
    }
}
