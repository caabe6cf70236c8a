<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** What a survey has to know of a coat: on which zone it lies, how often it is gone over. */
final readonly class CoatPasses
{
    public function __construct(public string $coat, public string $zone, public int $passes)
    {
    }

    public static function of(Coat $coat): self
    {
        return new self($coat->uid, $coat->zone, $coat->applications());
    }
}
