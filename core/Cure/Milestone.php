<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

/** What a builder waits for, from the end of laying. */
enum Milestone: string
{
    case WorkableUntil = 'workable_until';
    case TouchDry = 'touch_dry';
    case NextCoat = 'next_coat';
    case DryThrough = 'dry_through';
}
