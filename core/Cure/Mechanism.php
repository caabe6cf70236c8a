<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

/** By what a material sets or dries, and how fast it does so in an air against the reference (20 °C, 50 %, still). */
enum Mechanism: string
{
    case Evaporation = 'evaporation';
    case Hydration = 'hydration';
    case TwoPart = 'two-part';
    case Moisture = 'moisture';
    case Solvent = 'solvent';

    /** Activation energy of two-part resins, J/mol, and the gas constant. */
    private const ACTIVATION_ENERGY_J_PER_MOL = 55_000.0;

    private const GAS_CONSTANT = 8.314462618;

    /** Even saturated air takes a little: draughts and the warmth of day. */
    private const MIN_EVAPORATION_RATE = 0.02;

    public function rate(Climate $air): float
    {
        $reference = Climate::reference();

        return match ($this) {
            self::Evaporation => max(self::MIN_EVAPORATION_RATE, ($air->vapourDeficit() / $reference->vapourDeficit()) * $air->airflow),
            self::Hydration => max(0.6, min(1.5, 1.0 + 0.03 * ($air->temperature - 20.0))),
            self::TwoPart => exp(
                (-self::ACTIVATION_ENERGY_J_PER_MOL / self::GAS_CONSTANT) * (1.0 / ($air->temperature + 273.15) - 1.0 / 293.15),
            ),
            self::Moisture => ($air->saturation() * $air->humidity) / ($reference->saturation() * $reference->humidity),
            self::Solvent => $air->airflow * 2.0 ** (($air->temperature - 20.0) / 15.0),
        };
    }
}
