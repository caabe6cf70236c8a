<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\MaterialAmount;

/** One application of a school that is tried: what it takes, and between which moments it is laid, minutes from the start. */
final readonly class TrialStep
{
    /**
     * @param  list<Move>  $moves
     * @param  list<MaterialAmount>  $amounts of them together
     */
    public function __construct(
        public Coat $coat,
        public int $application,
        public float $from,
        public float $to,
        public array $moves,
        public array $amounts,
    ) {
    }

    /** @return float of a unit, all its materials together */
    public function total(string $unit): float
    {
        return array_sum(array_map(fn (MaterialAmount $a): float => $a->unit === $unit ? $a->amount : 0.0, $this->amounts));
    }
}
