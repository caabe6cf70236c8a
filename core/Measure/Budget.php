<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** How much a search may spend: steps, or time that somebody else tells. The core has no clock of its own. */
interface Budget
{
    /** Takes one more step, if there is one. */
    public function take(): bool;

    /** The share that is spent, 0 … 1. */
    public function spent(): float;
}
