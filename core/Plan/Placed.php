<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/** A move in its session, minutes of Unix time, with why it does not start earlier. */
final readonly class Placed
{
    /** @param  array{kind: string, ref: string, text: string}  $reason */
    public function __construct(public Move $move, public int $start, public int $end, public array $reason)
    {
    }
}
