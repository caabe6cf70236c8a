<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

/** What keeps a pot from being larger. */
enum PotLimit: string
{
    case Need = 'need';

    case Container = 'container';

    case Workable = 'workable time';

    case PotLife = 'pot life';
}
