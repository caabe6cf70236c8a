<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * What was mixed in one cup: what went in, for which moves, and until when it can be used. How much is left is told by its movements,
 * as of any lot. Moments are minutes of Unix time.
 */
final readonly class Pot
{
    public float $made;

    /**
     * @param  string  $mixture what it is a pot of, so that the same is found again
     * @param  non-empty-list<array{material: string, amount: float, unit: string}>  $parts in adding order
     * @param  list<string>  $moves for which it was mixed
     * @param  int|null  $workableUntil when it sets or skins in the cup, at the earliest likely
     * @param  int|null  $keepsUntil closed, of what does not set
     * @param  list<int>  $stirred when
     * @param  array<string, mixed>  $extra
     * @param  float  $made all that went in, in its unit; of parts in that unit their sum
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $title,
        public string $mixture,
        public string $unit,
        public array $parts,
        public array $moves,
        public int $mixedAt,
        public ?int $workableUntil = null,
        public ?int $keepsUntil = null,
        public array $stirred = [],
        public array $extra = [],
        float $made = 0.0,
    ) {
        if (trim($title) === '' || mb_strlen($title) > 160) {
            throw new InvalidValue('A pot has a name of 1 to 160 characters.', 'title');
        }
        if (! in_array($unit, MaterialLot::UNITS, true)) {
            throw new InvalidValue('An amount is in '.implode(', ', MaterialLot::UNITS).'.', 'unit');
        }
        foreach ($parts as $k => $part) {
            InvalidValue::unlessBetween($part['amount'], 0.0, 1e6, 'What goes in', $part['unit'], "parts/{$k}/amount");
        }
        $this->made = $made > 0.0 ? $made : array_sum(array_map(fn (array $p): float => $p['unit'] === $unit ? $p['amount'] : 0.0, $parts));
        if ($this->made <= 0.0) {
            throw new InvalidValue('The parts come to nothing.', 'parts');
        }
        foreach ([$workableUntil, $keepsUntil, ...$stirred] as $moment) {
            if ($moment !== null && $moment < $mixedAt) {
                throw new InvalidValue('It was mixed before that.', 'mixed_at');
            }
        }
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    /** Whether it can no longer be used. */
    public function isOver(int $now): bool
    {
        return $now > min($this->workableUntil ?? PHP_INT_MAX, $this->keepsUntil ?? PHP_INT_MAX);
    }
}
