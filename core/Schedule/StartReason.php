<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** Why work does not start sooner. */
final readonly class StartReason
{
    /** @param  string  $ref what is waited for: a job, coat, check, tool or material; empty where it is nothing of its own */
    public function __construct(public ReasonKind $kind, public string $ref, public string $text)
    {
    }
}
