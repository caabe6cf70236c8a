<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * What a recipe can do to whoever lays it, or to the room.
 */
enum Hazard: string
{
    case Sparks = 'sparks';

    case Vapour = 'vapour';

    case Dust = 'dust';

    case Skin = 'skin';
}
