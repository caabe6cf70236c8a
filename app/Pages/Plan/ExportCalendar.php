<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Computed\Plan\ComputedPlan;
use App\Models\Layout;
use IdleRidge\Core\Interchange\CalendarFile;

/** A layout's plan as a calendar to take along. */
final readonly class ExportCalendar
{
    public function __construct(private ComputedPlan $plans)
    {
    }

    public function of(Layout $layout): string
    {
        return CalendarFile::write($this->plans->plan($layout));
    }
}
