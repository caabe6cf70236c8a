<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/**
 * What things weigh that boards and land are made of. Starting values: means of what data sheets of such materials give, and of what
 * pieces of them weighed.
 */
final class Densities
{
    /** Extruded foam board. */
    public const FOAM_KG_PER_M3 = 32.0;

    /** Pulp plaster once it has set and dried, as filler and as skin. */
    public const PLASTER_KG_PER_M3 = 1100.0;

    /** Softwood for frames. */
    public const TIMBER_KG_PER_M3 = 480.0;

    public const PLYWOOD_KG_PER_M3 = 650.0;

    /** The board that ribs are cut from. */
    public const RIB_BOARD_KG_PER_M2 = 3.0;

    /** A layer of plaster cloth, dry. */
    public const PLASTER_CLOTH_KG_PER_M2 = 0.6;

    /** A layer of paper towels with the plaster they hold, dry. */
    public const PLASTER_TOWEL_KG_PER_M2 = 1.3;

    /** Card strips woven at a mesh of 25 mm. */
    public const CARD_WEB_KG_PER_M2 = 0.5;

    /** Plaster as it is laid against what is left of it dry: about 0.6 of its weight in water goes. */
    public const WET_OVER_DRY = 1.6;

    /** Track at 16.5 mm gauge, kg a metre; it goes with the square of the gauge. */
    public const TRACK_KG_PER_M = 0.2;
}
