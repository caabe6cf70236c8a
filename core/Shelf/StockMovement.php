<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/** So many more, or fewer, of a lot at a moment (minutes of Unix time), and why; the section that it was cut for. */
final readonly class StockMovement
{
    public const CAUSES = ['bought', 'cut', 'left over', 'counted'];

    /**
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $lot,
        public int $by,
        public string $cause,
        public ?string $section,
        public int $at,
        public array $extra = [],
    ) {
        if (! in_array($cause, self::CAUSES, true)) {
            throw new InvalidValue('A movement is bought, cut, left over or counted.', 'cause');
        }
        if ($by === 0 || abs($by) > 500) {
            throw new InvalidValue('A movement is of 1 to 500 sheets.', 'by');
        }
    }
}
