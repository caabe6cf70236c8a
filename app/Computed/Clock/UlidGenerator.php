<?php

declare(strict_types=1);

namespace App\Computed\Clock;

use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Ulid;

/** New ULIDs, dated by the clock. */
final readonly class UlidGenerator
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function next(): string
    {
        return Ulid::generate($this->clock->now());
    }
}
