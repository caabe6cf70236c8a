<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * What goes into coats: the unit it is measured in, density (g/ml, null where it is counted or only weighed), share of it that stays once
 * dry.
 */
final readonly class Material
{
    /**
     * @throws InvalidValue
     */
    public function __construct(public string $name, public string $unit, public ?float $density, public float $solids)
    {
        if (! in_array($unit, Ingredient::UNITS, true)) {
            throw new InvalidValue('an amount is in '.implode(', ', Ingredient::UNITS), 'unit');
        }
        if ($density !== null) {
            InvalidValue::unlessBetween($density, 0.005, 12.0, 'The density', 'g/ml', 'density_g_ml');
        }
        InvalidValue::unlessBetween($solids, 0.0, 1.0, 'What stays', '', 'solids');
    }

    /** Grams of an amount, wet as it is laid or once it is dry; null where neither mass nor density is known. */
    public function grams(float $amount, string $unit, bool $dry): ?float
    {
        $grams = match ($unit) {
            'g' => $amount,
            'ml' => $this->density === null ? null : $amount * $this->density,
            default => null,
        };

        return $grams === null ? null : $grams * ($dry ? $this->solids : 1.0);
    }
}
