<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

use IdleRidge\Core\Measure\InvalidValue;

/** So many equal sheets, or one offcut: width along x and height along y, mm. */
final readonly class NestSheet
{
    /**
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public string $id,
        public float $width,
        public float $height,
        public int $count,
    ) {
        InvalidValue::unlessBetween($width, 1.0, 10_000.0, 'The width of a sheet', 'mm', 'w');
        InvalidValue::unlessBetween($height, 1.0, 10_000.0, 'The height of a sheet', 'mm', 'h');
        if ($count < 0 || $count > 200) {
            throw new InvalidValue('There are 0 to 200 sheets of a kind.', 'count');
        }
    }
}
