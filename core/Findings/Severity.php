<?php

declare(strict_types=1);

namespace IdleRidge\Core\Findings;

/** How much a finding weighs: work must stop, take care, or a hint. */
enum Severity: string
{
    case Stop = 'stop';
    case Care = 'care';
    case Hint = 'hint';

    /** 0 for what weighs most. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
