<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\PlacedMove;

/** The session that is on, or the next: what was laid in it, what is being laid, what comes; numbered through. */
final readonly class TonightPage
{
    /**
     * @param  array{int, int, int}  $session from, to, hands
     * @param  list<CoatApplication>  $done finished within the session
     * @param  list<PlacedMove>  $moves still to come in it
     */
    public function __construct(
        public BenchPlan $plan,
        public ClockWords $words,
        public array $session,
        public array $done,
        public ?CoatApplication $current,
        public array $moves,
    ) {
    }

    /** The number of the first move that is not begun. */
    public function next(): int
    {
        return count($this->done) + ($this->current === null ? 0 : 1) + 1;
    }
}
