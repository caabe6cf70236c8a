<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** So many steps: the same on every machine. */
final class StepBudget implements Budget
{
    private int $taken = 0;

    public function __construct(private readonly int $steps)
    {
    }

    public function take(): bool
    {
        return $this->taken < $this->steps && ++$this->taken > 0;
    }

    public function spent(): float
    {
        return $this->steps === 0 ? 0.0 : $this->taken / $this->steps;
    }
}
