<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\School;
use IdleRidge\Core\Geometry\DepthCurve;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Water\WaterBody;
use IdleRidge\Core\Water\WaterPlan;

/**
 * A school of water as it is laid in one water: a pour in as many even layers as its depth asks for, each as deep as the product and its
 * volume allow; thin coats as often as was chosen.
 */
final class WaterCoats
{
    public const MAX_LAYERS = 30;

    /**
     * @param  Library  $library with what goes with a pour: dams set before it and taken off after, falls before the last coat
     *
     * @throws InvalidValue at `fill` when no number of layers does
     */
    public static function school(School $school, WaterPlan $plan, WaterBody $body, Library $library): School
    {
        $water = $body->curve;
        $fill = self::fill($plan, $water);
        $steps = array_map(function (array $step) use ($plan, $water, $fill): array {
            /** @var Recipe $recipe */
            $recipe = $step['recipe'];
            if ($recipe->pour === null) {
                return $step;
            }
            if ($recipe->is(RecipeTrait::Pour)) {
                $layers = self::layers($recipe, $water, $fill);

                return ['mm' => $fill / $layers, 'passes' => $layers] + $step;
            }

            return $step['passes'] > 1 && $plan->coats !== null ? ['passes' => $plan->coats] + $step : $step;
        }, $school->steps);

        $steps = self::withDams(self::withFalls($steps, $body, $library), $body, $library);

        return new School($school->key, $school->question, $school->name, $school->suits, $school->wrong, $steps, $school->cut);
    }

    /**
     * @param  list<array{recipe: Recipe, way: string|null, mm: float|null, passes: int, share: float}>  $steps
     * @return list<array{recipe: Recipe, way: string|null, mm: float|null, passes: int, share: float}>
     */
    private static function withDams(array $steps, WaterBody $body, Library $library): array
    {
        $pours = array_keys(array_filter($steps, fn (array $s): bool => $s['recipe']->is(RecipeTrait::Pour)));
        if ($body->dams === [] || $pours === []) {
            return $steps;
        }
        array_splice($steps, $pours[count($pours) - 1] + 1, 0, [self::step($library, 'dam-off')]);
        array_splice($steps, $pours[0], 0, [self::step($library, 'dam-set')]);

        return $steps;
    }

    /**
     * @param  list<array{recipe: Recipe, way: string|null, mm: float|null, passes: int, share: float}>  $steps
     * @return list<array{recipe: Recipe, way: string|null, mm: float|null, passes: int, share: float}>
     */
    private static function withFalls(array $steps, WaterBody $body, Library $library): array
    {
        if ($body->falls !== []) {
            array_splice($steps, count($steps) - 1, 0, [self::step($library, 'falls-drawn')]);
        }

        return $steps;
    }

    /** @return array{recipe: Recipe, way: string|null, mm: float|null, passes: int, share: float} */
    private static function step(Library $library, string $recipe): array
    {
        return ['recipe' => $library->recipe($recipe), 'way' => null, 'mm' => null, 'passes' => 1, 'share' => 1.0];
    }

    /** How deep it is filled from its deepest place up, mm. */
    public static function fill(WaterPlan $plan, DepthCurve $water): float
    {
        return min($plan->fill ?? $water->most, $water->most);
    }

    /** @throws InvalidValue */
    private static function layers(Recipe $recipe, DepthCurve $water, float $fill): int
    {
        for ($layers = 1; $layers <= self::MAX_LAYERS; $layers++) {
            $mm = $fill / $layers;
            $holds = true;
            for ($k = 1; $k <= $layers && $holds; $k++) {
                $foot = $water->most - ($k - 1) * $mm;
                $ml = (1.0 + $recipe->waste) * (float) $recipe->pour?->poured($water->between(max(0.0, $foot - $mm), $foot)) / 1000.0;
                $holds = $mm <= ($recipe->pour?->deepest($ml) ?? 0.0) + 1e-6;
            }
            if ($holds) {
                return $layers;
            }
        }
        throw new InvalidValue(
            sprintf(
                '%s may be %s deep a layer: %s would take more than %d. Fill the bed with foam and plaster first.',
                $recipe->name,
                Format::length((float) $recipe->pour?->deepest(0.0), 1),
                Format::length($fill, 1),
                self::MAX_LAYERS,
            ),
            'fill',
        );
    }
}
