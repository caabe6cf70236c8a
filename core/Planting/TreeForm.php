<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** The outline of a crown. */
enum TreeForm: string
{
    case Round = 'round';

    case Cone = 'cone';

    case Spread = 'spread';

    case Column = 'column';

    case Bush = 'bush';

    /** Where the crown begins, as a share of the height. */
    public function crownFrom(): float
    {
        return match ($this) {
            self::Bush => 0.0,
            self::Cone => 0.1,
            self::Column => 0.15,
            self::Round => 0.25,
            self::Spread => 0.35,
        };
    }
}
