<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/**
 * What came of a problem. *optimal*: no plan finishes earlier; *feasible*: a valid plan; *infeasible*: proven that there
 * is none, with the reason; *unknown*: none was found.
 */
final readonly class Timetable
{
    /** @param  array<string, int>  $starts */
    public function __construct(
        public string $status,
        public ?int $finish,
        public int $lowerBound,
        public array $starts,
        public ?string $why = null,
    ) {
    }
}
