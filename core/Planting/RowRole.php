<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** What a thing of a row does in it. */
enum RowRole: string
{
    case Plain = 'plain';

    /** Takes the pull of the wires: at ends, bends, gates, joints, and every so often between. */
    case Straining = 'straining';

    case Gate = 'gate';

    /** A pole that is held against the pull of its wires. */
    case Stayed = 'stayed';
}
