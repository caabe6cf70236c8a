<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Layout;
use IdleRidge\Core\Measure\Refusals;
use RuntimeException;
use Throwable;

/** A layout whose rows do not make a whole: a fault of an earlier version, or of a hand in the file. */
final class Unreadable extends RuntimeException
{
    public function __construct(public readonly Layout $layout, public readonly Refusals $faults, ?Throwable $cause = null)
    {
        parent::__construct("“{$layout->name}” cannot be read: {$faults->getMessage()}", previous: $cause);
    }
}
