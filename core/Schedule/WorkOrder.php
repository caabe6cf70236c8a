<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** What takes turns at the bench: nothing, boards (one is finished before the next), or stages over all boards. */
enum WorkOrder: string
{
    case Free = 'free';
    case Board = 'board';
    case Stage = 'stage';
}
