<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * How long a mix of two parts can be poured: a large pot heats itself and sets sooner. Between the masses of the table it goes by the
 * logarithm of the mass, and on beyond them likewise. Starting values of data sheets of casting resins at 20 °C.
 */
final class PotLife
{
    /** g → minutes */
    public const MINUTES_BY_MASS = [200 => 30.0, 500 => 18.0, 1000 => 10.0];

    /** However large the pot. */
    public const MIN_MINUTES = 2.0;

    /** Of a mix of resin and hardener. */
    public const DENSITY_G_PER_ML = 1.09;

    public static function minutes(float $grams): float
    {
        $masses = array_keys(self::MINUTES_BY_MASS);
        $minutes = array_values(self::MINUTES_BY_MASS);
        if ($grams <= $masses[0]) {
            return $minutes[0];
        }
        for ($k = 1; $k < count($masses) - 1 && $grams > $masses[$k]; $k++);
        $share = log($grams / $masses[$k - 1]) / log($masses[$k] / $masses[$k - 1]);

        return max(self::MIN_MINUTES, $minutes[$k - 1] + $share * ($minutes[$k] - $minutes[$k - 1]));
    }
}
