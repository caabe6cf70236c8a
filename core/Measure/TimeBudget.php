<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

use Closure;

/** So many seconds by a clock that is handed in, from the first time that it is asked. */
final class TimeBudget implements Budget
{
    private ?float $began = null;

    /** @param  Closure(): float  $clock seconds since any moment, never backward */
    public function __construct(private readonly float $seconds, private readonly Closure $clock)
    {
    }

    public function take(): bool
    {
        return $this->spent() < 1.0;
    }

    public function spent(): float
    {
        $now = ($this->clock)();
        $this->began ??= $now;

        return $this->seconds <= 0.0 ? 1.0 : min(1.0, ($now - $this->began) / $this->seconds);
    }
}
