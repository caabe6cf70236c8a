<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Schedule\ReasonKind;
use IdleRidge\Core\Schedule\StartReason;

/** Why a move waits for what was not right. */
final readonly class MendReasons
{
    /** @param  array<string, array{int, int}>  $at check that was not right (uid) → when it is put right, minutes of Unix time */
    public function __construct(private BenchWork $work, private array $at)
    {
    }

    /** What is put right between two moments: before it, or with its hands */
    public function between(Move $move, int $from, int $until): ?StartReason
    {
        $words = new ClockWords($this->work->zone(), $this->work->now);
        foreach ($this->work->mending->heldBack[$move->id] ?? [] as $mend) {
            [$start, $end] = $this->at[$mend->uid] ?? [PHP_INT_MIN, PHP_INT_MIN];
            if ($start >= $from && $end <= $until) {
                $text = "“{$mend->asks}” was not right: put right until {$words->moment($end)}";

                return new StartReason(ReasonKind::Check, $mend->uid, $text);
            }
        }
        foreach ($this->at as $uid => [, $end]) {
            if ($end === $until) {
                $text = "hands put right “{$this->work->mending->open[$uid]->asks}” until {$words->moment($end)}";

                return new StartReason(ReasonKind::Hands, (string) $uid, $text);
            }
        }

        return null;
    }

    /** @return array{ReasonKind, string}|null kind and sentence, where no session is left to put it right */
    public function never(Move $move): ?array
    {
        foreach ($this->work->mending->heldBack[$move->id] ?? [] as $mend) {
            if (! isset($this->at[$mend->uid])) {
                return [ReasonKind::Check, "“{$mend->asks}” was not right, and no session is left to put it right."];
            }
        }

        return null;
    }
}
