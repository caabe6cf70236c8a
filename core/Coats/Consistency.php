<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;

/**
 * How thick or thin something is mixed, as its cure feels it: by the water there is to lose. Of a glue or paint that is what is not
 * solids; of plaster what is left when the powder has bound its share in setting.
 */
final class Consistency
{
    /** What gypsum binds of water as it sets, of its own weight: CaSO4·½H2O to CaSO4·2H2O, 27.0 / 145.1. */
    public const BOUND_WATER_SHARE = 0.186;

    /** What waits for water to leave, by mechanism: plaster sets whatever there is of it, and then dries. */
    private const WAITS = [
        'evaporation' => [Milestone::TouchDry, Milestone::NextCoat, Milestone::DryThrough],
        'hydration' => [Milestone::DryThrough],
    ];

    /**
     * The cure of a recipe that was mixed otherwise: what was not told otherwise by hand takes as much longer as there is more water.
     *
     * @param  array<string, Material>  $materials
     */
    public static function cure(Recipe $old, Recipe $new, array $materials): CureFigures
    {
        $was = self::water($old, $materials);
        $slower = $was <= 0.0 ? 1.0 : self::water($new, $materials) / $was;
        $minutes = $new->cure->minutes;
        foreach (self::WAITS[$new->cure->mechanism->value] ?? [] as $milestone) {
            $key = $milestone->value;
            if (isset($minutes[$key]) && $minutes[$key] === ($old->cure->minutes[$key] ?? null) && $slower > 0.0) {
                $minutes[$key] = round($minutes[$key] * $slower, 1);
            }
        }

        return new CureFigures(
            $new->cure->id,
            $new->cure->name,
            $new->cure->mechanism,
            $minutes,
            $new->cure->referenceMm,
            $new->cure->exponent,
            $new->cure->filmTemperature,
        );
    }

    /**
     * Water that a m² of it has to lose at its reference thickness, g.
     *
     * @param  array<string, Material>  $materials
     */
    public static function water(Recipe $recipe, array $materials): float
    {
        $sum = 0.0;
        foreach ($recipe->parts as $part) {
            foreach ($part->amounts(1e6, 1e6 * $recipe->cure->referenceMm) as $one) {
                $material = $materials[$one['material']] ?? null;
                if ($one['unit'] === 'ml' && ! str_starts_with($one['material'], 'alcohol')) {
                    $sum += $one['amount'] * ($material->density ?? 1.0) * (1.0 - ($material->solids ?? 0.0));
                } elseif ($one['unit'] === 'g' && $recipe->cure->mechanism === Mechanism::Hydration) {
                    $sum -= self::BOUND_WATER_SHARE * $one['amount'];
                }
            }
        }

        return max(0.0, $sum);
    }
}
