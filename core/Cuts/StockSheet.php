<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * Sheets of foam of one kind: mm, how many there are (null for as many as are wanted), what one costs in minor units (null for no price
 * yet).
 */
final readonly class StockSheet
{
    /**
     * @throws InvalidValue naming the value that cannot be
     */
    public function __construct(
        public float $thickness,
        public float $width,
        public float $depth,
        public ?int $count = null,
        public ?int $price = null,
    ) {
        InvalidValue::unlessBetween($thickness, 3.0, 200.0, 'The thickness of the sheets', 'mm', 'sheet_mm');
        InvalidValue::unlessBetween($width, 50.0, 5000.0, 'The width of a sheet', 'mm', 'sheet_width_mm');
        InvalidValue::unlessBetween($depth, 50.0, 5000.0, 'The depth of a sheet', 'mm', 'sheet_depth_mm');
        if ($count !== null && ($count < 0 || $count > 500)) {
            throw new InvalidValue('There are 0 to 500 sheets of a kind in store.', 'count');
        }
        if ($price !== null && ($price < 0 || $price > 10_000_000)) {
            throw new InvalidValue('A sheet costs something between nothing and 100 000.', 'price');
        }
    }

    public function area(): float
    {
        return $this->width * $this->depth;
    }

    /** @return array<string, float|int> */
    public function toArray(): array
    {
        return ['sheet_mm' => $this->thickness, 'sheet_width_mm' => $this->width, 'sheet_depth_mm' => $this->depth] +
            ($this->count === null ? [] : ['count' => $this->count]) +
            ($this->price === null ? [] : ['price' => $this->price]);
    }
}
