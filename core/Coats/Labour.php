<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * Hands-on time of a coat: minutes to set up, minutes a dm², more for the first `firstDm2` of them, or metres of track an
 * hour; or, where things are set out, minutes for each. `openPerDm2` is what of a dm² has to be done before the material stops being
 * workable; without it pots are mixed anew as one goes, and the workable time limits the pot, not the strip.
 */
final readonly class Labour
{
    /** Ballast takes so much longer round a turnout, a pass: blades and tie bar are kept free by hand. A starting value, as timed. */
    public const BALLAST_MINUTES_PER_TURNOUT = 25.0;

    /**
     * @throws InvalidValue
     */
    public function __construct(
        public float $setUp,
        public float $perDm2,
        public float $firstPerDm2 = 0.0,
        public float $firstDm2 = 0.0,
        public ?float $metresPerHour = null,
        public ?float $openPerDm2 = null,
        public ?float $perThing = null,
    ) {
        InvalidValue::unlessBetween($setUp, 0.0, 240.0, 'Setting up', 'min', 'setup_min');
        InvalidValue::unlessBetween($perDm2, 0.0, 120.0, 'The work', 'min/dm²', 'minutes_per_dm2');
        InvalidValue::unlessBetween($firstPerDm2, 0.0, 120.0, 'The work', 'min/dm²', 'first_minutes_per_dm2');
        InvalidValue::unlessBetween($firstDm2, 0.0, 100.0, 'The first area', 'dm²', 'first_dm2');
        if ($metresPerHour !== null) {
            InvalidValue::unlessBetween($metresPerHour, 0.05, 100.0, 'The work', 'm/h', 'metres_per_hour');
        }
        if ($perThing !== null) {
            InvalidValue::unlessBetween($perThing, 0.01, 60.0, 'The work', 'min each', 'minutes_each');
        }
        if ($openPerDm2 !== null) {
            InvalidValue::unlessBetween($openPerDm2, 0.01, 120.0, 'The open work', 'min/dm²', 'open_minutes_per_dm2');
        }
    }

    /**
     * @param  float  $area mm²
     * @param  float  $length of track within it, mm
     * @param  float  $layers of the recipe's reference thickness
     * @param  int  $things that stand there
     */
    public function minutes(float $area, float $length, float $layers = 1.0, int $things = 0): float
    {
        if ($this->perThing !== null && $things > 0) {
            return $this->setUp + $this->perThing * $things;
        }
        $dm2 = $area / 1e4;
        $first = min($dm2, $this->firstDm2);

        return $this->setUp + $layers * ($this->metresPerHour !== null
            ? $length / 1000.0 / $this->metresPerHour * 60.0
            : $first * $this->firstPerDm2 + ($dm2 - $first) * $this->perDm2);
    }
}
