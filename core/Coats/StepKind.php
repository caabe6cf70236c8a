<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** What hands do in one step of a coat. */
enum StepKind: string
{
    case Work = 'work';

    case Bed = 'bed';

    case Wetting = 'wetting';

    case Loose = 'loose';

    case Glue = 'glue';

    case Fixing = 'fixing';

    case Blot = 'blot';

    case SuckUp = 'suck up';

    case Lift = 'lift';

    case Sand = 'sand';
}
