<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Measure\InvalidValue;

/** Sheets of one size that lie in store, whole or an offcut, mm; how many there are is told by their movements. */
final readonly class SheetLot
{
    /**
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public SheetKind $kind,
        public float $thickness,
        public float $width,
        public float $depth,
        public array $extra = [],
    ) {
        new StockSheet($thickness, $width, $depth);
    }

    public function isLike(float $thickness, float $width, float $depth): bool
    {
        return abs($this->thickness - $thickness) < 0.05 && abs($this->width - $width) < 0.5 && abs($this->depth - $depth) < 0.5;
    }
}
