<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Schedule\TimeLag;

/**
 * A wait between moves that are parts of longer jobs: the lower one ends `$rest` minutes before its job, the upper one begins
 * `$lead` minutes into its own.
 */
final readonly class PartTimeLag implements TimeLag
{
    private function __construct(private DryingTimeLag $gap, private int $rest, private int $lead)
    {
    }

    public static function of(DryingTimeLag $gap, int $rest, int $lead): TimeLag
    {
        return $rest === 0 && $lead === 0 ? $gap : new self($gap, $rest, $lead);
    }

    public function earliest(int $end): int
    {
        return $this->gap->earliest($end - $this->rest) - $this->lead;
    }

    public function latest(int $start, int $end): ?int
    {
        return null;
    }

    public function again(int $end): ?int
    {
        return null;
    }

    public function least(): int
    {
        return $this->gap->least() - $this->rest - $this->lead;
    }
}
