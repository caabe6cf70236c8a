<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Measure\InvalidValue;

/** A place where a vehicle stalled, scraped or came off, on one of the passes that were driven to find it. */
final readonly class Stall
{
    /**
     * @param  float  $station mm along the run
     * @param  bool  $cleaned whether the rails had been cleaned before this pass
     * @param  int  $pass passes are counted through
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public int $at,
        public string $run,
        public float $station,
        public string $vehicle,
        public Mishap $what,
        public bool $cleaned,
        public int $pass,
        public array $extra = [],
    ) {
        InvalidValue::unlessBetween($station, 0.0, 1e6, 'The station', 'mm', 'station');
        InvalidValue::unlessBetween($pass, 1, 100_000, 'The pass', '', 'pass');
        if (mb_strlen($vehicle) > 60) {
            throw new InvalidValue('At most 60 characters.', 'vehicle');
        }
    }
}
