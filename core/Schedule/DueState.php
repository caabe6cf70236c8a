<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** How far a board has to have come by its date: all of it laid, ready to be looked at, or dry through and fit to travel. */
enum DueState: string
{
    case Worked = 'worked';
    case Shown = 'shown';
    case Travel = 'travel';
}
