<?php

declare(strict_types=1);

namespace App\Computed\Clock;

use IdleRidge\Core\Measure\TimeBudget;

/** Time that searches may take, by the clock of this machine that never goes backward. */
final class SearchTime
{
    public static function of(float $seconds): TimeBudget
    {
        return new TimeBudget($seconds, fn (): float => hrtime(true) / 1e9);
    }
}
