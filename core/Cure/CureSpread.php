<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

/** How far times scatter: standard deviations of their logarithm. Starting values, until cases in a room say otherwise. */
final class CureSpread
{
    /** The prior's: what is not known of a recipe in a room before anything was seen there. */
    public const PRIOR = 0.35;

    /** From one case to the next in the same room. */
    public const BETWEEN_CASES = 0.25;

    /** What a new lot of a material adds to what was learned. */
    public const NEW_LOT = 0.15;
}
