<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/** What keeps work from coming sooner, or from coming at all. */
enum ReasonKind: string
{
    /** Something before it has to dry, or a moment to come. */
    case Wait = 'wait';

    /** Work after it may not come later. */
    case Window = 'window';

    /** It goes into the pot of the work before it. */
    case Pot = 'pot';

    case Session = 'session';

    case Hands = 'hands';

    case Tool = 'tool';

    /** Vapour and sparks. */
    case Apart = 'apart';

    case Cold = 'cold';

    /** Material that has to be bought. */
    case Short = 'short';

    /** A check that was not right. */
    case Check = 'check';

    case Order = 'order';

    /** No session is left that is long enough. */
    case Sessions = 'sessions';

    /** What is short there, in a word. */
    public function word(): string
    {
        return match ($this) {
            self::Wait => 'drying',
            self::Pot => 'order',
            self::Apart => 'air',
            self::Hands, self::Session, self::Sessions => 'time',
            default => $this->value,
        };
    }
}
