<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * What a coat is made of, in the large: rules and drawings go by it.
 */
enum Family: string
{
    case Foam = 'foam';

    case Plaster = 'plaster';

    case Paint = 'paint';

    case Glue = 'glue';

    case Cover = 'cover';

    case Ballast = 'ballast';

    case Fibre = 'fibre';

    case Growth = 'growth';

    case Gloss = 'gloss';

    case Resin = 'resin';
}
