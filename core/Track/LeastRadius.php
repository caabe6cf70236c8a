<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Side;

/**
 * How tight a curve may be for a vehicle, and why; mm. What goes by the length of a body follows the common guideline for curves by the
 * longest vehicle on them: from so many times its body it runs at all, runs surely, looks right, couples on the curve.
 */
final class LeastRadius
{
    public const RUNS = 2.5;

    public const SURE = 3.0;

    public const LOOKS = 4.0;

    public const COUPLES = 5.0;

    private const EXACT_MM = 0.01;

    /** Radius over body. */
    public static function lengths(float $radius, Vehicle $vehicle): float
    {
        return $radius / $vehicle->body;
    }

    /** What a vehicle does on a radius, in words. */
    public static function word(float $radius, Vehicle $vehicle): string
    {
        $lengths = self::lengths($radius, $vehicle);

        return match (true) {
            $lengths < self::RUNS => 'may be thrown off when pushed',
            $lengths < self::SURE => 'runs, if it is set up well',
            $lengths < self::LOOKS => 'runs surely',
            $lengths < self::COUPLES => 'runs surely and looks right',
            default => 'runs, looks right and couples on it',
        };
    }

    /**
     * From which radius on a vehicle's body stays over the formation, whichever way the curve goes.
     *
     * @return float|null null where it does not even on the straight
     */
    public static function within(Vehicle $vehicle, FormationProfile $profile): ?float
    {
        $room = min($profile->halfWidth(Side::Left), $profile->halfWidth(Side::Right));
        if ($vehicle->width / 2.0 > $room) {
            return null;
        }
        [$low, $high] = [$vehicle->bogieCentres / 2.0 + $vehicle->width / 2.0 + self::EXACT_MM, Alignment::MAX_RADIUS_MM];
        while ($high - $low > self::EXACT_MM) {
            $middle = ($low + $high) / 2.0;
            if (max($vehicle->throwOn($middle)) <= $room) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $high;
    }
}
