<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

/** What an entry of the journal tells of. */
enum JournalKind: string
{
    case Done = 'done';
    case Stopped = 'stopped';
    case StillWet = 'still wet';
    case Dry = 'dry';
    case Undone = 'undone';
    case DoneAgain = 'done again';
    case Stripped = 'stripped';
    case PouredAway = 'poured away';
    case Noted = 'noted';
    case Photographed = 'photographed';
    case Right = 'right';
    case NotRight = 'not right';
    case Stalled = 'stalled';
    case Scraped = 'scraped';
    case CameOff = 'came off';
    case Tried = 'tried';

    /** Written by hand, and so of any length that a hand writes. */
    public function isByHand(): bool
    {
        return $this === self::Noted || $this === self::Tried;
    }

    /** Whether something went wrong. */
    public function isBad(): bool
    {
        return in_array($this, [self::StillWet, self::NotRight, self::Stalled, self::Scraped, self::CameOff], true);
    }
}
