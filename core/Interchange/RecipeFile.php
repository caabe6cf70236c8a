<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Recipe;
use IdleRidge\Core\Measure\Refusal;
use JsonException;

/** Reads one recipe of the library. */
final class RecipeFile
{
    /** @throws Refusal with the JSON pointer of what is wrong */
    public static function read(string $json): Recipe
    {
        try {
            $r = Record::of(json_decode($json, false, 16, JSON_THROW_ON_ERROR), '');
        } catch (JsonException) {
            throw new Refusal('not a readable JSON file', '/');
        }
        $mechanism = Mechanism::tryFrom($r->text('mechanism'))
            ?? throw new Refusal('a mechanism is one of '.implode(', ', array_map(fn (Mechanism $m): string => $m->value, Mechanism::cases())), '/mechanism');
        $times = $r->record('minutes');
        $minutes = [];
        foreach (Milestone::cases() as $milestone) {
            $time = $times->numberOrNull($milestone->value);
            if ($time !== null) {
                $minutes[$milestone->value] = $time;
            }
        }
        $times->close();
        $r->text('provenance');
        try {
            $recipe = Recipe::of($r->text('id'), $r->text('name'), $mechanism, $minutes, $r->number('reference_mm', 1.0), $r->number('exponent', 0.0), $r->numberOrNull('film_c'));
        } catch (Refusal $refusal) {
            throw str_starts_with($refusal->place, '/') ? $refusal : $refusal->within('/');
        }
        $r->extra();

        return $recipe;
    }
}
