<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Measure\InvalidValue;

/** A pot of a recipe that no move asks for: for an area, to a volume, or with what is left of one of its ingredients. */
final class FreePot
{
    public const WAYS = ['area', 'volume', 'left'];

    /** On one dm² everything else scales by. */
    private const DM2 = 1e4;

    /**
     * @param  float  $value dm², ml, or g or ml of the ingredient
     * @param  string  $material that is left, for *left*
     * @param  float|null  $workable in the room's air, min
     * @return list<Mixture>
     *
     * @throws InvalidValue
     */
    public static function of(
        Mixtures $mixtures,
        Recipe $recipe,
        string $by,
        float $value,
        string $material = '',
        ?float $workable = null,
        ?string $colour = null,
    ): array {
        if (! in_array($by, self::WAYS, true)) {
            throw new InvalidValue('A pot is for an area, to a volume, or with what is left of an ingredient.', 'by');
        }
        InvalidValue::unlessBetween($value, 0.01, 1e6, $by === 'area' ? 'The area' : 'The amount', $by === 'area' ? 'dm²' : '', 'value');
        $mm = $recipe->cure->referenceMm;
        $side = 4.0 * sqrt(self::DM2);
        $minutes = $recipe->labour->minutes(self::DM2, sqrt(self::DM2));
        $one = $mixtures->of(
            $recipe,
            $recipe->amounts(self::DM2, self::DM2 * $mm, $side, sqrt(self::DM2)),
            [],
            $minutes,
            1.0,
            $workable,
            $colour,
        );
        if ($one === []) {
            throw new InvalidValue("{$recipe->name} takes nothing that is mixed or weighed.", 'recipe');
        }

        return match ($by) {
            'area' => array_map(fn (Mixture $m): Mixture => $m->times($value), $one),
            'volume' => array_values(
                array_map(
                    fn (Mixture $m): Mixture => $m->times($value / ($m->volume() ?? $m->total())),
                    array_filter($one, fn (Mixture $m): bool => $m->total() > 0.0),
                ),
            ),
            default => self::left($one, $value, $material),
        };
    }

    /**
     * @param  list<Mixture>  $one
     * @return list<Mixture>
     */
    private static function left(array $one, float $value, string $material): array
    {
        foreach ($one as $mixture) {
            foreach ($mixture->portions as $portion) {
                if ($portion->material === $material && $portion->amount > 0.0) {
                    return [$mixture->times($value / $portion->amount)];
                }
            }
        }
        throw new InvalidValue("There is no {$material} in it.", 'material');
    }
}
