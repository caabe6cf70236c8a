<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

/** What went wrong on a run. */
enum Mishap: string
{
    case Stalled = 'stalled';
    case Scraped = 'scraped';
    case CameOff = 'came off';

    public function kind(): JournalKind
    {
        return JournalKind::from($this->value);
    }
}
