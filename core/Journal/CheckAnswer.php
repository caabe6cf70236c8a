<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

/** What one says of a check. */
enum CheckAnswer: string
{
    case Right = 'right';
    case NotRight = 'not right';
    case Later = 'later';
}
