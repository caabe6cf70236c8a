<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Schedule\ReasonKind;

/** A move that finds no session, with the word of what stands in its way and a sentence. */
final readonly class UnplacedMove
{
    public function __construct(public Move $move, public ReasonKind $kind, public string $text)
    {
    }
}
