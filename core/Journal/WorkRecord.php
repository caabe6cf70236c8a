<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * The work that an entry tells of, in words and figures that stand by themselves: zone, coat, recipe and palette may be changed or
 * taken away after it.
 */
final readonly class WorkRecord
{
    /**
     * @param  string  $zone uid; $zoneName as it was called then
     * @param  string  $coat uid; $title as it was called then
     * @param  float  $area mm²
     * @param  int|null  $minutes it took; null where nobody kept its beginning
     * @param  int|null  $estimate minutes that the plan had for it
     * @param  list<string>  $lots what it was drawn from, as their labels say it
     * @param  list<string>  $pots what it was mixed in
     * @param  array{name: string, hex: string, mix: string}|null  $colour as it was mixed then; hex dry
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $zone,
        public string $zoneName,
        public string $coat,
        public string $title,
        public string $recipe,
        public float $area,
        public ?int $minutes = null,
        public ?int $estimate = null,
        public array $lots = [],
        public array $pots = [],
        public ?array $colour = null,
    ) {
        InvalidValue::unlessBetween($area, 0.0, 1e8, 'The area', 'mm²', 'work/area_mm2');
        foreach (['minutes' => $minutes, 'estimate' => $estimate] as $key => $value) {
            if ($value !== null) {
                InvalidValue::unlessBetween($value, 0, 100_000, 'The work', 'min', "work/{$key}");
            }
        }
    }

    /** The same work without what was done to it: for what is added to an entry. */
    public function named(): self
    {
        return new self($this->zone, $this->zoneName, $this->coat, $this->title, $this->recipe, $this->area);
    }
}
