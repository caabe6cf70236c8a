<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Plan\BenchPlan;

/** The Drying line: the plan over the coming days, and the move that was touched. */
final readonly class DryingPage
{
    /**
     * @param  int  $from midnight of the first day shown, minutes of Unix time
     * @param  list<string>  $chain moves that hold up the end
     * @param  callable(string): string  $address of this screen with a move touched
     */
    public function __construct(
        public BenchPlan $plan,
        public ClockWords $words,
        public int $from,
        public int $days,
        public array $chain,
        public ?string $picked,
        public mixed $address,
    ) {
    }
}
