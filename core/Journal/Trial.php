<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Measure\InvalidValue;

/** A recipe tried on scrap: what it took and what became of it, beside what the recipe said. */
final readonly class Trial
{
    public string $name;

    /**
     * @param  string  $recipe id; $title as it was called then
     * @param  float  $area mm²
     * @param  list<array{material: string, unit: string, said: float, used: float}>  $amounts what the recipe said and what was used
     * @param  float  $said minutes of work by the recipe
     * @param  float|null  $saidDry minutes until it was to be dry to the touch, in the air of that time
     * @param  float|null  $minutes that it took
     * @param  float|null  $dry minutes until it was dry to the touch
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public int $at,
        string $name,
        public string $recipe,
        public string $title,
        public float $area,
        public float $mm,
        public array $amounts,
        public float $said,
        public ?float $saidDry = null,
        public ?float $minutes = null,
        public ?float $dry = null,
        public ?Verdict $verdict = null,
        public string $note = '',
        public array $extra = [],
    ) {
        if (trim($name) === '' || mb_strlen(trim($name)) > 60) {
            throw new InvalidValue('A trial needs a name of 1 to 60 characters.', 'name');
        }
        InvalidValue::unlessBetween($area, 100.0, 1e6, 'The area', 'mm²', 'area');
        InvalidValue::unlessBetween($mm, 0.01, 200.0, 'The thickness', 'mm', 'mm');
        foreach ($amounts as $k => $one) {
            InvalidValue::unlessBetween($one['used'], 0.0, 1e5, 'What was used', $one['unit'], "amounts/{$k}/used");
        }
        if ($minutes !== null) {
            InvalidValue::unlessBetween($minutes, 0.1, 1000.0, 'The work', 'min', 'minutes');
        }
        if ($dry !== null) {
            InvalidValue::unlessBetween($dry, 1.0, 43_200.0, 'Drying', 'min', 'dry');
        }
        if (mb_strlen($note) > JournalEntry::MAX_NOTE) {
            throw new InvalidValue('At most '.JournalEntry::MAX_NOTE.' characters.', 'note');
        }
        $this->name = trim($name);
    }

    /** How many times as much of everything was used as the recipe said; null where it said nothing. */
    public function usedOfSaid(): ?float
    {
        $shares = array_filter(
            array_map(fn (array $a): ?float => $a['said'] > 0.0 ? $a['used'] / $a['said'] : null, $this->amounts),
            fn (?float $share): bool => $share !== null,
        );

        return $shares === [] ? null : array_sum($shares) / count($shares);
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }
}
