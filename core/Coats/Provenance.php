<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * Where the figures of a recipe come from.
 */
enum Provenance: string
{
    case StartingValue = 'starting value';

    case Yours = 'yours';

    case Learned = 'learned';
}
