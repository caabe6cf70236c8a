<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cure\Room;

/** How long a room airs after something that gives off vapour, before anything in it may spark. */
final class Airing
{
    /** After spray cans and solvents, of which no amount is known. A starting value: one air change of a room with a window tilted. */
    public const MIN_MINUTES = 30;

    /**
     * Minutes; 0 after what gives off no vapour.
     *
     * @param  list<MaterialAmount>  $amounts what is laid
     */
    public static function after(Recipe $recipe, array $amounts, Room $room): int
    {
        if (! in_array(Hazard::Vapour, $recipe->hazards, true)) {
            return 0;
        }
        $alcohol = AlcoholVapour::pure($amounts);
        $minutes = AlcoholVapour::of($alcohol, 1.0, $room->volume, $room->airChanges)->minutes;

        return max(self::MIN_MINUTES, $alcohol > 0.0 ? (int) ceil($minutes) : 0);
    }
}
