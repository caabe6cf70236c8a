<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** How long it takes to form land, hands-on minutes. Starting values: what people at it were timed at, rounded. */
final class FormingMinutes
{
    /** Foam: a piece, a metre of its outline, a layer that is glued. */
    public const PER_FOAM_PIECE = 5.0;

    public const PER_CUT_METRE = 10.0;

    public const PER_GLUED_LAYER = 5.0;

    /** A dm² of land that is carved, or filled; of what is both, half is either. */
    public const PER_CARVED_DM2 = 8.0;

    public const PER_FILLED_DM2 = 4.0;

    /** A shell: a rib, and 100 mm of its outline; a metre of strip; a dm² of a layer of cloth or towels. */
    public const PER_RIB = 5.0;

    public const PER_RIB_OUTLINE_DM = 1.0;

    public const PER_STRIP_METRE = 1.5;

    public const PER_COVER_DM2 = 3.0;
}
