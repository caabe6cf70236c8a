<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\Material;
use IdleRidge\Core\Coats\MaterialForm;
use IdleRidge\Core\Coats\Mix;
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
     * Loose materials by weight, as one writes them: “2 sifted soil, 1 stone ballast”.
     *
     * @param  array<string, Material>  $materials by name
     * @param  float  $grams of all of it
     *
     * @throws InvalidValue at `mix` for what is not loose, or not weighed; at `value`
     */
    public static function blend(array $materials, string $text, float $grams): Mixture
    {
        InvalidValue::unlessBetween($grams, 0.1, 100_000.0, 'The mix', 'g', 'value');
        try {
            $of = Mix::read($text, array_map(fn (Material $m): Material => $m->weighed(), $materials));
        } catch (InvalidValue $refusal) {
            throw new InvalidValue($refusal->getMessage(), 'mix');
        }
        $sum = array_sum(array_column($of, 'parts'));
        if ($sum <= 0.0) {
            throw new InvalidValue('The parts come to nothing.', 'mix');
        }
        $portions = [];
        foreach ($of as $one) {
            $material = $materials[$one['material']];
            if ($material->form !== MaterialForm::Loose) {
                throw new InvalidValue("{$material->name} is not mixed dry.", 'mix');
            }
            $share = $grams * $one['parts'] / $sum;
            $amount = $material->unit === 'g' ? $share : $share / (float) $material->density;
            $portions[] = new Portion($material->name, $amount, $material->unit, $amount, $material->density);
        }
        $words = Mix::words($of);

        return new Mixture("blend|{$words}", "{$words}, by weight", 'Mix it dry, from the bottom up', PotKind::Dry, $portions);
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
