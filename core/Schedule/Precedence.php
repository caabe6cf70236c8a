<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\InvalidValue;

/** One job waits for another, as a gap says; `max` where a greatest wait is known beforehand. */
final readonly class Precedence
{
    private function __construct(public string $after, public string $before, public TimeLag $gap, public ?int $max)
    {
    }

    /**
     * Between the end of one job and the start of another at least `min` and, if given, at most `max` minutes by the clock.
     *
     * @throws InvalidValue
     */
    public static function of(string $after, string $before, int $min, ?int $max = null): self
    {
        InvalidValue::unlessBetween($min, 0, 10_000_000, 'The least wait', 'min', 'min');
        if ($max !== null && $max < $min) {
            throw new InvalidValue("The wait from {$after} to {$before} may last at most {$max} minutes but needs at least {$min}.", 'max');
        }

        return new self($after, $before, new ConstantTimeLag($min, $max), $max);
    }

    /** A wait whose length depends on when it begins. */
    public static function by(string $after, string $before, TimeLag $gap): self
    {
        return new self($after, $before, $gap, null);
    }
}
