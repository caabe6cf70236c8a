<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

/** What lies under the land where nobody sees it. */
enum HiddenKind: string
{
    case Wire = 'wire';
    case Screw = 'screw';
    case Dowel = 'dowel';
    case Motor = 'motor';
    case Pipe = 'pipe';

    /** A line from place to place, rather than a thing at one. */
    public function isLine(): bool
    {
        return $this === self::Wire || $this === self::Pipe;
    }
}
