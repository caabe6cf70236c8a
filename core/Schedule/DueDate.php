<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\Day;
use IdleRidge\Core\Measure\InvalidValue;

/** By the beginning of which day (yyyy-mm-dd) a section has to have come how far. */
final readonly class DueDate
{
    /** @throws InvalidValue naming the field */
    public function __construct(public string $section, public string $date, public DueState $state)
    {
        Day::of($date, 'date');
    }
}
