<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/**
 * What a gap is bridged with: how stiff and how strong it is, what it weighs, and what air does to its length. Starting values:
 * lower ends of what data sheets of such boards give for bending; plywood's from the Wood Handbook (Forest Products Laboratory,
 * FPL-GTR-282, 2021, ch. 12): in its plane it grows some 0.15 % from 30 to 90 % relative humidity.
 */
enum SpanMaterial: string
{
    case ExtrudedFoam = 'extruded foam';
    case BeadFoam = 'bead foam';
    case Plywood = 'plywood';

    /** Modulus of elasticity in bending, N/mm². */
    public function stiffness(): float
    {
        return match ($this) {
            self::ExtrudedFoam => 12.0,
            self::BeadFoam => 5.0,
            self::Plywood => 5000.0,
        };
    }

    /** Shear modulus, N/mm². */
    public function shear(): float
    {
        return match ($this) {
            self::ExtrudedFoam => 4.0,
            self::BeadFoam => 2.0,
            self::Plywood => 250.0,
        };
    }

    /** Bending stress at which it breaks, N/mm². */
    public function strength(): float
    {
        return match ($this) {
            self::ExtrudedFoam => 0.30,
            self::BeadFoam => 0.15,
            self::Plywood => 25.0,
        };
    }

    /** kg/m³ */
    public function density(): float
    {
        return match ($this) {
            self::ExtrudedFoam => Densities::FOAM_KG_PER_M3,
            self::BeadFoam => 20.0,
            self::Plywood => Densities::PLYWOOD_KG_PER_M3,
        };
    }

    /** What a metre grows by for every percent of relative humidity, mm. */
    public function growsPerPercent(): float
    {
        return $this === self::Plywood ? 0.025 : 0.0;
    }

    /** What a metre grows by for every kelvin, mm. */
    public function growsPerKelvin(): float
    {
        return $this === self::Plywood ? 0.006 : 0.07;
    }
}
