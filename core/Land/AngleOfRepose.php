<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** How steep loose ground lies by itself. Those of what is scattered on it stand with its recipe, as `resting_deg`. */
final class AngleOfRepose
{
    /** Earth and stone that are tipped: 30° to 38° in tables of soil mechanics. A starting value. */
    public const EARTH_DEG = 35.0;
}
