<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

/** Why a lot became more or fewer. */
enum MovementCause: string
{
    case Bought = 'bought';

    case Cut = 'cut';

    case LeftOver = 'left over';

    case Counted = 'counted';

    /** Out of a lot into a pot; and the pot itself made. */
    case Mixed = 'mixed';

    case Laid = 'laid';

    case Recovered = 'recovered';

    case PouredAway = 'poured away';

    case ThrownAway = 'thrown away';
}
