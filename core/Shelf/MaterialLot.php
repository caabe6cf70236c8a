<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\Day;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * One purchase of a material, or what was taken up of it again: how much is left is told by its movements. Days are as written
 * (2026-09-30), moments minutes of Unix time.
 */
final readonly class MaterialLot
{
    public const UNITS = ['g', 'ml', 'pcs', 'm²', 'm'];

    public string $mark;

    /**
     * @param  float|null  $pack what was in it when it was full
     * @param  int|null  $minor what it cost, in the currency's smallest unit
     * @param  string  $mark colour or batch, as it stands on the pack
     * @param  string|null  $boughtOn day
     * @param  int|null  $openedAt moment
     * @param  string|null  $bestBefore day, unopened
     * @param  int|null  $keepsDays once it is open
     * @param  float|null  $tare g, of what it stands in, empty
     * @param  float|null  $strength of alcohol, %
     * @param  bool  $recovered taken up again after it was laid: mixed, and not as new
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $material,
        public string $unit,
        public ?float $pack = null,
        public ?int $minor = null,
        public string $supplier = '',
        string $mark = '',
        public ?string $boughtOn = null,
        public ?int $openedAt = null,
        public ?string $bestBefore = null,
        public ?int $keepsDays = null,
        public ?float $tare = null,
        public ?float $strength = null,
        public bool $recovered = false,
        public array $extra = [],
    ) {
        if (trim($material) === '') {
            throw new InvalidValue('A lot is of a material.', 'material');
        }
        if (! in_array($unit, self::UNITS, true)) {
            throw new InvalidValue('An amount is in '.implode(', ', self::UNITS).'.', 'unit');
        }
        if ($pack !== null) {
            InvalidValue::unlessBetween($pack, 0.001, 1e7, 'The pack', $unit, 'pack');
        }
        if ($minor !== null) {
            InvalidValue::unlessBetween($minor, 0, PackPrice::MAX_MINOR, 'The price', '', 'price');
        }
        if ($keepsDays !== null) {
            InvalidValue::unlessBetween($keepsDays, 1, 36_500, 'What it keeps', 'days', 'keeps_days');
        }
        if ($tare !== null) {
            InvalidValue::unlessBetween($tare, 0.0, 20_000.0, 'The container', 'g', 'tare_g');
        }
        if ($strength !== null) {
            InvalidValue::unlessBetween($strength, 1.0, 100.0, 'The strength', '%', 'strength');
        }
        foreach (['supplier' => $supplier, 'mark' => $mark] as $field => $text) {
            if (mb_strlen($text) > 80) {
                throw new InvalidValue('At most 80 characters.', $field);
            }
        }
        foreach (['bought_on' => $boughtOn, 'best_before' => $bestBefore] as $field => $day) {
            if ($day !== null) {
                Day::of($day, $field);
            }
        }

        $this->mark = trim($mark);
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    /** What one lot of a material is told from another by. */
    public function called(): string
    {
        return match (true) {
            $this->recovered => 'taken up again',
            $this->mark !== '' => $this->mark,
            $this->boughtOn !== null => "bought {$this->boughtOn}",
            default => 'unmarked',
        };
    }

    /** Until when it is good, minutes of Unix time: the end of its day, or so many days after it was opened; null where nothing is said. */
    public function goodUntil(DateTimeZone $zone): ?int
    {
        $ends = [];
        if ($this->bestBefore !== null) {
            $ends[] = intdiv((new DateTimeImmutable("{$this->bestBefore} 00:00", $zone))->modify('+1 day')->getTimestamp(), 60);
        }
        if ($this->openedAt !== null && $this->keepsDays !== null) {
            $ends[] = $this->openedAt + 1440 * $this->keepsDays;
        }

        return $ends === [] ? null : min($ends);
    }
}
