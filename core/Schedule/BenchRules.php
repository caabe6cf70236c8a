<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\ShelfRules;

/**
 * How a builder likes to plan: how sure a start has to be, whether boards or stages take turns, how many there are of each
 * tool, and by when a section has to have come how far.
 */
final readonly class BenchRules
{
    public const CERTAINTIES = [0.5, 0.8, 0.9];

    /** Strengths that alcohol is sold in, %. */
    public const ALCOHOLS = [99.0, 91.0, 70.0];

    /**
     * @param  array<string, int>  $tools how many there are; one of any that is not named
     * @param  list<DueDate>  $due one a section at most
     * @param  array<string, string>  $ways family of loose material → way in which it is laid
     * @param  float  $alcohol strength of what is in store, %
     * @param  list<string>  $first moves in the order of a plan that was taken
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public float $certainty = 0.8,
        public WorkOrder $order = WorkOrder::Free,
        public array $tools = [],
        public array $due = [],
        public array $first = [],
        public array $ways = [],
        public float $alcohol = 99.0,
        public ShelfRules $shelf = new ShelfRules(),
    ) {
        if (! in_array($alcohol, self::ALCOHOLS, true)) {
            throw new InvalidValue('Alcohol is sold as one of '.implode(', ', self::ALCOHOLS).' %.', 'alcohol');
        }
        if (! in_array($certainty, self::CERTAINTIES, true)) {
            throw new InvalidValue('A start is as likely right as 50, 80 or 90 %.', 'certainty');
        }
        foreach ($tools as $tool => $count) {
            InvalidValue::unlessBetween($count, 0, 50, "The number of “{$tool}”", '', "tools/{$tool}");
        }
        $seen = [];
        foreach ($due as $k => $one) {
            if (isset($seen[$one->section])) {
                throw new InvalidValue('A section has two dates.', "due/{$k}/section");
            }
            $seen[$one->section] = true;
        }
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    public function dueOf(string $section): ?DueDate
    {
        foreach ($this->due as $one) {
            if ($one->section === $section) {
                return $one;
            }
        }

        return null;
    }

    public function tools(string $tool): int
    {
        return $this->tools[$tool] ?? 1;
    }

    /**
     * The same with a plan's order to begin from.
     *
     * @param  list<string>  $first
     */
    public function taking(array $first): self
    {
        return $this->but(first: array_values($first));
    }
}
