<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * So much more, or less, of a lot at a moment (minutes of Unix time), and why; the section that a sheet was cut for, or what it went
 * into: a pot, or what was laid. In the lot's own unit; of sheets whole ones.
 */
final readonly class StockMovement
{
    public const MAX_BY = 1e7;

    /**
     * @param  string|null  $for uid of the pot or of the application that it went into or came from
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $lot,
        public float $by,
        public MovementCause $cause,
        public ?string $section,
        public int $at,
        public array $extra = [],
        public ?string $for = null,
    ) {
        InvalidValue::unlessBetween($by, -self::MAX_BY, self::MAX_BY, 'A movement', '', 'by');
        if ($by === 0.0) {
            throw new InvalidValue('A movement of nothing is none.', 'by');
        }
    }
}
