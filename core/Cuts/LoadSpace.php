<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\InvalidValue;

/** The room that boards are carried in, a vehicle's or a store's: its floor and height, mm; what it may carry, kg, null for no limit. */
final readonly class LoadSpace
{
    /** @throws InvalidValue naming the value that cannot be */
    public function __construct(public float $length, public float $width, public float $height, public ?float $limit = null)
    {
        InvalidValue::unlessBetween($length, 100.0, 20_000.0, 'The load space', 'mm', 'cuts/board/load_length_mm');
        InvalidValue::unlessBetween($width, 100.0, 5000.0, 'The load space', 'mm', 'cuts/board/load_width_mm');
        InvalidValue::unlessBetween($height, 50.0, 5000.0, 'The load space', 'mm', 'cuts/board/load_height_mm');
        if ($limit !== null) {
            InvalidValue::unlessBetween($limit, 1.0, 40_000.0, 'What it carries', 'kg', 'cuts/board/load_limit_kg');
        }
    }

    /** @return array<string, float> */
    public function toArray(): array
    {
        return [
            'load_length_mm' => $this->length,
            'load_width_mm' => $this->width,
            'load_height_mm' => $this->height,
        ] + ($this->limit === null ? [] : ['load_limit_kg' => $this->limit]);
    }
}
