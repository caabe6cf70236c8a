<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\Step;
use IdleRidge\Core\Coats\StepRelation;

/** The steps of a coat as they are read at the bench: what is done at once, what goes into the wet, what waits. */
final readonly class ActSteps
{
    private const WAITS = [
        'touch_dry' => 'when it is set',
        'next_coat' => 'when it is ready for more',
        'dry_through' => 'when it is dry through',
        'workable_until' => 'after it',
    ];

    /**
     * @return list<array{do: string, wet: bool, wets: bool, with: string, cautions: list<array{do: string, why: string}>}> of one
     *     application; whether a step goes into the wet, and wets itself
     */
    public static function of(Recipe $recipe): array
    {
        $wet = false;
        $out = [];
        foreach ($recipe->steps as $step) {
            $into = $wet && $step->after === StepRelation::IntoTheWet;
            $out[] = [
                'do' => $step->action,
                'wet' => $into,
                'wets' => $step->wets(),
                'with' => implode(', ', $step->tools),
                'cautions' => $step->cautions,
            ];
            $wet = $into || $step->wets();
        }

        return $out;
    }

    /** @return list<array{waits: string, name: string, steps: list<array<string, mixed>>}> of a whole pass */
    public static function all(Recipe $recipe): array
    {
        return array_map(
            fn (Recipe $turn): array => [
                'waits' => $turn === $recipe ? '' : self::waits($turn, $recipe),
                'name' => $turn->name,
                'steps' => self::of($turn),
            ],
            array_values(array_filter($recipe->turns(), fn (Recipe $turn): bool => $turn->steps !== [])),
        );
    }

    private static function waits(Recipe $turn, Recipe $first): string
    {
        return $turn->window === null || ! is_float($turn->window->opens) || ! is_float($turn->window->closes)
            ? self::WAITS[$turn->needsOf($first)->value]
            : "{$turn->window->opens} to {$turn->window->closes} min after";
    }

    /** How many steps there are, and how many go into the wet. */
    public static function words(Recipe $recipe): string
    {
        $steps = self::of($recipe);
        $wet = count(array_filter($steps, fn (array $s): bool => $s['wet']));

        return count($steps).(count($steps) === 1 ? ' step' : ' steps').($wet === 0 ? '' : ", {$wet} into the wet");
    }

    /** @return list<array{do: string, why: string}> cautions that stand at none of its steps */
    public static function ofTheWhole(Recipe $recipe): array
    {
        $told = array_merge(...array_map(fn (Step $s): array => array_column($s->cautions, 'do'), $recipe->steps), ...[[]]);

        return array_values(array_filter($recipe->cautions, fn (array $one): bool => ! in_array($one['do'], $told, true)));
    }
}
