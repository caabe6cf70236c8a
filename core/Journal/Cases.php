<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

/** A figure as it came out several times: how often, between what, and its middle. */
final readonly class Cases
{
    /** Fewer are an accident and nothing to go by. */
    public const ENOUGH = 3;

    /** @param  list<float>  $values in order */
    private function __construct(private array $values)
    {
    }

    /** @param  list<float>  $values */
    public static function of(array $values): self
    {
        sort($values);

        return new self($values);
    }

    public function count(): int
    {
        return count($this->values);
    }

    public function areEnough(): bool
    {
        return $this->count() >= self::ENOUGH;
    }

    public function low(): float
    {
        return $this->values[0] ?? 0.0;
    }

    public function high(): float
    {
        return $this->values[$this->count() - 1] ?? 0.0;
    }

    /** The middle one, that a single evening gone wrong does not move. */
    public function median(): float
    {
        $n = $this->count();

        return $n === 0 ? 0.0 : ($this->values[intdiv($n - 1, 2)] + $this->values[intdiv($n, 2)]) / 2.0;
    }

    public function times(float $factor): self
    {
        return self::of(array_map(fn (float $v): float => $v * $factor, $this->values));
    }
}
