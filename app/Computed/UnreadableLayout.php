<?php

declare(strict_types=1);

namespace App\Computed;

use App\Models\Layout;
use IdleRidge\Core\Measure\InvalidValues;
use RuntimeException;
use Throwable;

/** A layout whose rows do not make a whole: a fault of an earlier version, or of a hand in the file. */
final class UnreadableLayout extends RuntimeException
{
    public function __construct(public readonly Layout $layout, public readonly InvalidValues $faults, ?Throwable $cause = null)
    {
        parent::__construct("“{$layout->name}” cannot be read: {$faults->getMessage()}", previous: $cause);
    }
}
