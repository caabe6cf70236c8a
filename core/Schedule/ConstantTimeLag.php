<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** The same gap at any time: at least `min` and, if given, at most `max` minutes by the clock. */
final readonly class ConstantTimeLag implements TimeLag
{
    public function __construct(private int $min, private ?int $max)
    {
    }

    public function earliest(int $end): int
    {
        return $end + $this->min;
    }

    public function latest(int $start, int $end): ?int
    {
        return $this->max === null ? null : $end + $this->max;
    }

    public function again(int $end): ?int
    {
        return null;
    }

    public function least(): int
    {
        return $this->min;
    }
}
