<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/** A move that finds no session, with the word of what stands in its way and a sentence. */
final readonly class UnplacedMove
{
    public function __construct(public Move $move, public string $kind, public string $text)
    {
    }
}
