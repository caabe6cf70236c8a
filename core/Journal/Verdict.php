<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

/** Whether one would do again what an entry tells of. */
enum Verdict: string
{
    case Again = 'would do again';
    case NotAgain = 'would not';
}
