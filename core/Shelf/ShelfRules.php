<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\Day;
use IdleRidge\Core\Measure\InvalidValue;

/** How a builder shops and mixes: the next day on which one shops, what may be spent, what carriage costs, and the cups there are. */
final readonly class ShelfRules
{
    /**
     * @param  string|null  $shopOn day, such as 2026-10-17
     * @param  int|null  $budget in the currency's smallest unit
     * @param  array<string, int>  $carriage supplier → what is paid for an order there
     * @param  list<Cup>  $cups the first is the one that is taken
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public ?string $shopOn = null,
        public ?int $budget = null,
        public array $carriage = [],
        public array $cups = [],
    ) {
        if ($shopOn !== null) {
            Day::of($shopOn, 'shop_on');
        }
        if ($budget !== null) {
            InvalidValue::unlessBetween($budget, 0, 10 * PackPrice::MAX_MINOR, 'The budget', '', 'budget');
        }
        foreach ($carriage as $supplier => $minor) {
            InvalidValue::unlessBetween($minor, 0, PackPrice::MAX_MINOR, 'The carriage', '', "carriage/{$supplier}");
        }
        foreach ($cups as $k => $cup) {
            if (in_array($cup->name, array_column(array_slice($cups, 0, $k), 'name'), true)) {
                throw new InvalidValue("There are two cups called “{$cup->name}”.", "cups/{$k}/name");
            }
        }
    }

    /** What the cup that is taken usually holds, ml; null where none is set. */
    public function cup(): ?float
    {
        return $this->cups[0]->ml ?? null;
    }

    /** When one shops next, minutes of Unix time: as that day begins; null where no day is set, or it is over. */
    public function shopsAt(DateTimeZone $zone, int $now): ?int
    {
        $day = $this->shopOn === null ? null : new DateTimeImmutable($this->shopOn, $zone);

        return $day === null || intdiv($day->modify('+1 day')->getTimestamp(), 60) <= $now ? null : intdiv($day->getTimestamp(), 60);
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }
}
