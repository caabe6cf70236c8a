<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

/** What goes together into a cup, for one move or for several that share it, and over how long it is used up. */
final readonly class Mixture
{
    /** Powder takes up so much of the water it is stirred into: gypsum without its air, g/ml. */
    private const GYPSUM_G_PER_ML = 2.65;

    /**
     * @param  string  $key the same for what can stand in one cup
     * @param  string  $action the step that it is for, in words of the bench
     * @param  non-empty-list<Portion>  $portions in adding order
     * @param  list<string>  $moves for which it is
     * @param  float  $minutes from the first of it to the last
     * @param  float|null  $workable for which it can surely be worked in the room's air, min
     * @param  float  $pace so many times as long as at 20 °C
     * @param  float  $bulk of plaster with air or pulp in it: so many times water and powder
     * @param  string|null  $colour uid of the colour it is tinted to
     */
    public function __construct(
        public string $key,
        public string $title,
        public string $action,
        public PotKind $kind,
        public array $portions,
        public array $moves = [],
        public float $minutes = 0.0,
        public ?float $workable = null,
        public float $pace = 1.0,
        public float $bulk = 1.0,
        public ?string $colour = null,
    ) {
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    /** So many times as much, used up in as much more time. */
    public function times(float $factor): self
    {
        return $this->but(
            portions: array_map(fn (Portion $p): Portion => $p->times($factor), $this->portions),
            minutes: $this->minutes * $factor,
        );
    }

    /** One cup for both. */
    public function and(self $other): self
    {
        return $this->but(
            portions: array_map(fn (Portion $a, Portion $b): Portion => $a->and($b), $this->portions, $other->portions),
            moves: array_values(array_unique([...$this->moves, ...$other->moves])),
            minutes: $this->minutes + $other->minutes,
        );
    }

    /** In what it is counted as a whole: ml where all is poured, else g. */
    public function unit(): string
    {
        return array_filter($this->portions, fn (Portion $p): bool => $p->unit !== 'ml') === [] ? 'ml' : 'g';
    }

    /** All of it in that unit; what has no known density is left out of it. */
    public function total(): float
    {
        $grams = $this->unit() === 'g';

        return array_sum(array_map(fn (Portion $p): float => $grams ? $p->grams() ?? 0.0 : $p->amount, $this->portions));
    }

    /** What it comes to in the cup, ml; null where a density is not known. Plaster: `water/1.0 + powder/2.65`, times its bulk. */
    public function volume(): ?float
    {
        $sum = 0.0;
        foreach ($this->portions as $portion) {
            $ml = $this->kind === PotKind::Sets && $portion->unit === 'g' ? $portion->amount / self::GYPSUM_G_PER_ML : $portion->ml();
            if ($ml === null) {
                return null;
            }
            $sum += $ml;
        }

        return $sum * ($this->kind === PotKind::Sets ? $this->bulk : 1.0);
    }

    /** All of it on a scale, g; null where a density is not known. */
    public function grams(): ?float
    {
        $grams = array_map(fn (Portion $p): ?float => $p->grams(), $this->portions);

        return in_array(null, $grams, true) ? null : array_sum($grams);
    }
}
