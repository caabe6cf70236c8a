<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** How hours at the bench are told: every week, once, on every day of a visit; and what takes hours away. */
enum BenchTimeKind: string
{
    case Weekly = 'weekly';
    case Single = 'single';
    case Visit = 'visit';
    case Closed = 'closed';
    case Busy = 'busy';

    /** Whether it may last over several dates. */
    public function lasts(): bool
    {
        return $this === self::Visit || $this === self::Closed;
    }

    /** Whether there are hands at the bench then. */
    public function opens(): bool
    {
        return $this !== self::Closed && $this !== self::Busy;
    }
}
