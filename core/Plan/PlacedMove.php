<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Schedule\StartReason;

/** A move in its session, minutes of Unix time. */
final readonly class PlacedMove
{
    public function __construct(public Move $move, public int $start, public int $end, private StartReasons $why)
    {
    }

    /** Why it does not start earlier: worked out once it is asked for. */
    public function reason(): StartReason
    {
        return $this->why->notEarlier($this->move);
    }

    /** Hands-on minutes: fewer than the move alone where it shares a set-up. */
    public function minutes(): int
    {
        return $this->end - $this->start;
    }

    /** @param  list<self>  $moves  their hands-on minutes together */
    public static function sum(array $moves): int
    {
        return (int) array_sum(array_map(fn (self $p): int => $p->minutes(), $moves));
    }

    /** Whether it goes on with the pot and set-up of the move before. */
    public function isJoined(): bool
    {
        return $this->minutes() < $this->move->minutes;
    }
}
