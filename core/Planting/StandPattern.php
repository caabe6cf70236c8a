<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** How the trees of a stand lie to one another. */
enum StandPattern: string
{
    /** All over, no two nearer than their crowns allow. */
    case Wood = 'wood';

    /** Odd groups with open ground between them. */
    case Groups = 'groups';

    /** Square, in rows. */
    case Orchard = 'orchard';

    /** Only those that are set by hand. */
    case ByHand = 'by-hand';
}
