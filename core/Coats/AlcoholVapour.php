<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * Alcohol vapour in a room as if it were well mixed: parts per million, and minutes until 200 ppm at the room's air changes.
 * Ideal gas at 20 °C (24.055 l/mol), 2-propanol of 60.1 g/mol and 0.785 g/ml; far more hangs near the mist.
 */
final readonly class AlcoholVapour
{
    /** ppm: a common guide for eight hours, a fifth of what is dangerous at once, and that itself. */
    public const GUIDE_PPM = 200.0;

    public const CARE_PPM = 400.0;

    public const STOP_PPM = 2000.0;

    /**
     * Alcohol in what is sprayed, ml: as strong as its name says.
     *
     * @param  list<MaterialAmount>  $amounts
     */
    public static function pure(array $amounts): float
    {
        return array_sum(
            array_map(
                fn (MaterialAmount $a): float => preg_match('/^alcohol (\d+) %$/', $a->material, $found) === 1
                    ? $a->amount * (float) $found[1] / 100.0
                    : 0.0,
                $amounts,
            ),
        );
    }

    private function __construct(public float $ppm, public float $minutes)
    {
    }

    /**
     * @param  float  $ml that is sprayed
     * @param  float  $strength share of alcohol in it
     *
     * @throws InvalidValue
     */
    public static function of(float $ml, float $strength, float $roomM3, float $airChanges): self
    {
        InvalidValue::unlessBetween($roomM3, 1.0, 100_000.0, 'The room', 'm³', 'volume_m3');
        InvalidValue::unlessBetween($airChanges, 0.05, 60.0, 'The air changes', 'an hour', 'air_changes');
        $ppm = $ml * $strength * 0.785 / 60.1 * 24.055 * 1000.0 / $roomM3;

        return new self($ppm, $ppm <= self::GUIDE_PPM ? 0.0 : 60.0 / $airChanges * log($ppm / self::GUIDE_PPM));
    }
}
