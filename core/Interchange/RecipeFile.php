<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use BackedEnum;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\FollowWindow;
use IdleRidge\Core\Coats\Hazard;
use IdleRidge\Core\Coats\Ingredient;
use IdleRidge\Core\Coats\Labour;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Material;
use IdleRidge\Core\Coats\MaterialForm;
use IdleRidge\Core\Coats\MeasureRule;
use IdleRidge\Core\Coats\PourLimits;
use IdleRidge\Core\Coats\Provenance;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\School;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Coats\Step;
use IdleRidge\Core\Coats\StepKind;
use IdleRidge\Core\Coats\StepRelation;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Measure\InvalidValue;
use JsonException;

/** Recipes of the library, and those that laid work keeps. */
final class RecipeFile
{
    private const LOOSE_MATERIALS = ['fine turf', 'coarse turf', 'leaf litter', 'sifted soil', 'pale unsanded grout', 'stone scatter'];

    /** @throws InvalidValue with the JSON pointer of what is wrong */
    public static function read(string $json): Recipe
    {
        $r = self::root($json);
        $recipe = self::recipe($r);
        $r->extra();

        return $recipe;
    }

    /**
     * @param  iterable<string, string>  $recipes file → JSON
     * @param  string  $buildUps JSON
     * @param  string  $materials JSON
     * @param  string  $schools JSON
     * @param  string  $ways JSON
     *
     * @throws InvalidValue naming the file and the pointer
     */
    public static function library(
        iterable $recipes,
        string $buildUps,
        string $materials = '{}',
        string $schools = '[]',
        string $ways = '{}',
    ): Library {
        $all = [];
        foreach ($recipes as $file => $json) {
            try {
                $all[] = self::read($json);
            } catch (InvalidValue $refusal) {
                throw new InvalidValue($refusal->getMessage(), "{$file}: {$refusal->place}");
            }
        }
        $ups = [];
        foreach (self::root($buildUps)->members() as $key => $up) {
            $ups[$key] = ['name' => $up->text('name'), 'recipes' => $up->words('recipes')];
        }

        $stuff = [];
        foreach (self::root($materials)->members() as $name => $one) {
            $stuff[] = $one->within(
                fn (): Material => new Material(
                    (string) $name,
                    $one->text('unit'),
                    $one->numberOrNull('density_g_ml'),
                    $one->number('solids'),
                    InvalidValue::unlessOneOf(MaterialForm::class, $one->text('form'), 'form'),
                    $one->numberOrNull('keeps_days') === null ? null : (int) $one->number('keeps_days'),
                ),
            );
            $one->close();
        }
        $library = Library::of($all, $ups, $stuff)->going(WaysFile::read(self::root($ways)));

        return $library->teaching(array_map(fn (Record $r): School => self::school($r, $library), self::list($schools)));
    }

    /** @throws InvalidValue */
    public static function recipe(Record $r): Recipe
    {
        $mechanism =
            Mechanism::tryFrom($r->text('mechanism')) ??
            throw new InvalidValue(
                'a mechanism is one of '.implode(', ', array_map(fn (Mechanism $m): string => $m->value, Mechanism::cases())),
                $r->at('mechanism'),
            );
        $stage =
            Stage::named($r->text('stage')) ??
            throw new InvalidValue('a stage is one of '.implode(', ', array_map(self::word(...), Stage::cases())), $r->at('stage'));
        $times = $r->record('minutes');
        $minutes = [];
        foreach (Milestone::cases() as $milestone) {
            $time = $times->numberOrNull($milestone->value);
            if ($time !== null) {
                $minutes[$milestone->value] = $time;
            }
        }
        $times->close();
        $cautions = self::cautions($r);
        if ($r->has('steps') && $r->has('parts')) {
            throw new InvalidValue('What goes into it stands in its steps.', $r->at('parts'));
        }

        return $r->within(
            fn (): Recipe => new Recipe(
                new CureFigures(
                    $r->text('id'),
                    $r->text('name'),
                    $mechanism,
                    $minutes,
                    $r->number('reference_mm', 1.0),
                    $r->number('exponent', 0.0),
                    $r->numberOrNull('film_c'),
                ),
                $r->text('short'),
                $r->text('action'),
                $stage,
                self::oneOf(Family::class, $r->text('family'), 'a family', 'family'),
                $r->has('parts') ? array_map(self::part(...), $r->records('parts')) : [],
                self::labour($r->record('labour')),
                $r->text('bed', 'area'),
                $r->number('waste', 0.0),
                $r->number('recovered', 0.0),
                $r->words('tools'),
                array_map(fn (string $word): Hazard => self::oneOf(Hazard::class, $word, 'a hazard', 'hazards'), $r->words('hazards')),
                $cautions,
                $r->texts('needs'),
                $r->flag('covers_white'),
                $r->numberOrNull('resting_deg'),
                $r->text('check', ''),
                array_map(
                    fn (string $word): RecipeTrait => self::oneOf(RecipeTrait::class, $word, 'a trait', 'traits'),
                    $r->words('traits'),
                ),
                $r->numberOrNull('length_mm'),
                $r->text('undo', ''),
                self::ranges($r),
                self::oneOf(Provenance::class, $r->text('provenance', 'starting value'), 'a figure', 'provenance'),
                self::window($r),
                $r->texts('holds'),
                $r->has('steps') ? array_map(self::step(...), $r->records('steps')) : [],
                $r->has('then') ? array_map(self::recipe(...), $r->records('then')) : [],
                self::pour($r),
            ),
        );
    }

    /** @return list<array{do: string, why: string}> */
    public static function cautions(Record $r): array
    {
        return array_map(function (Record $one): array {
            $caution = ['do' => $one->text('do'), 'why' => $one->text('why')];
            $one->close();

            return $caution;
        }, $r->records('cautions'));
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws InvalidValue naming what there is
     */
    public static function oneOf(string $enum, string $word, string $what, string $at): BackedEnum
    {
        return $enum::tryFrom($word) ??
            throw new InvalidValue("{$what} is one of ".implode(', ', array_column($enum::cases(), 'value')), $at);
    }

    private static function window(Record $r): ?FollowWindow
    {
        if (! $r->has('window')) {
            return null;
        }
        $w = $r->record('window');
        $at = fn (string $key): Milestone|float => $w->isText($key)
            ? Milestone::tryFrom($w->text($key)) ?? throw new InvalidValue('expected minutes or a milestone', $w->at($key))
            : $w->number($key);
        $window = new FollowWindow(
            $w->text('side'),
            $w->text('coat', '*'),
            $at('opens'),
            $at('closes'),
            $w->numberOrNull('again'),
            $w->text('missed', ''),
        );
        $w->close();

        return $window;
    }

    private static function pour(Record $r): ?PourLimits
    {
        if (! $r->has('pour')) {
            return null;
        }
        $p = $r->record('pour');
        $pour = $p->within(fn (): PourLimits => new PourLimits(
            $p->number('most_mm'),
            $p->number('loss', 0.0),
            $p->number('steepest_deg', 0.0),
            $p->numberOrNull('large_ml'),
            $p->numberOrNull('most_mm_large'),
        ));
        $p->close();

        return $pour;
    }

    /** @return array<string, array{float, float}> */
    private static function ranges(Record $r): array
    {
        $out = [];
        foreach ($r->has('ranges') ? $r->record('ranges')->lists() : [] as $at => $pair) {
            $numbers = array_map(
                fn (mixed $v): float => is_int($v) || is_float($v)
                    ? (float) $v
                    : throw new InvalidValue('expected a number', $r->at("ranges/{$at}")),
                $pair,
            );
            $out[(string) $at] =
                count($numbers) === 2
                    ? [$numbers[0], $numbers[1]]
                    : throw new InvalidValue('expected low and high', $r->at("ranges/{$at}"));
        }

        return $out;
    }

    private static function school(Record $r, Library $library): School
    {
        $steps = array_map(function (Record $s) use ($library): array {
            $step = [
                'recipe' => $library->laid($s->text('recipe'), $s->has('way') ? $s->text('way') : null),
                'way' => $s->has('way') ? $s->text('way') : null,
                'mm' => $s->numberOrNull('mm'),
                'passes' => (int) $s->number('passes', 1.0),
                'share' => $s->number('share', 1.0),
            ];
            $s->close();

            return $step;
        }, $r->records('steps'));
        $school = new School(
            $r->text('key'),
            $r->text('question'),
            $r->text('name'),
            $r->text('suits'),
            $r->words('wrong'),
            $steps,
            $r->has('cut')
                ? CutSchool::tryFrom($r->text('cut')) ??
                    throw new InvalidValue('the cuts are '.implode(', ', array_column(CutSchool::cases(), 'value')), $r->at('cut'))
                : null,
        );
        $r->close();

        return $school;
    }

    /** @return array<string, mixed> what `recipe` reads */
    public static function write(Recipe $recipe): array
    {
        $cure = $recipe->cure;

        return [
            'id' => $recipe->id,
            'name' => $cure->name,
            'short' => $recipe->name,
            'action' => $recipe->action,
            'stage' => self::word($recipe->stage),
            'family' => $recipe->family->value,
            'bed' => $recipe->bed,
            'waste' => $recipe->waste,
            'recovered' => $recipe->recovered,
            'labour' => array_filter(
                [
                    'setup_min' => $recipe->labour->setUp,
                    'minutes_per_dm2' => $recipe->labour->perDm2,
                    'first_minutes_per_dm2' => $recipe->labour->firstPerDm2,
                    'first_dm2' => $recipe->labour->firstDm2,
                    'metres_per_hour' => $recipe->labour->metresPerHour,
                    'open_minutes_per_dm2' => $recipe->labour->openPerDm2,
                    'minutes_each' => $recipe->labour->perThing,
                ],
                fn (?float $v): bool => $v !== null,
            ),
            'tools' => $recipe->tools,
            'hazards' => array_column($recipe->hazards, 'value'),
            'cautions' => $recipe->cautions,
            'covers_white' => $recipe->coversWhite,
            'check' => $recipe->check,
            'mechanism' => $cure->mechanism->value,
            'minutes' => $cure->minutes,
            'reference_mm' => $cure->referenceMm,
            'exponent' => $cure->exponent,
            'traits' => array_column($recipe->traits, 'value'),
            'undo' => $recipe->undo,
            'provenance' => $recipe->provenance->value,
        ] +
            ($recipe->steps === []
                ? ['parts' => array_map(self::fromPart(...), $recipe->parts)]
                : ['steps' => array_map(self::fromStep(...), $recipe->steps)]) +
            ($recipe->then === [] ? [] : ['then' => array_map(self::write(...), $recipe->then)]) +
            ($recipe->needs === [] ? [] : ['needs' => $recipe->needs]) +
            ($recipe->ranges === [] ? [] : ['ranges' => $recipe->ranges]) +
            ($recipe->window === null ? [] : ['window' => self::fromWindow($recipe->window)]) +
            ($recipe->holds === [] ? [] : ['holds' => $recipe->holds]) +
            ($recipe->pour === null ? [] : ['pour' => self::fromPour($recipe->pour)]) +
            ($recipe->length === null ? [] : ['length_mm' => $recipe->length]) +
            ($recipe->angleOfReposeDeg === null ? [] : ['resting_deg' => $recipe->angleOfReposeDeg]) +
            ($cure->filmTemperature === null ? [] : ['film_c' => $cure->filmTemperature]);
    }

    /** @return array<string, float> */
    private static function fromPour(PourLimits $p): array
    {
        return ['most_mm' => $p->mostMm, 'loss' => $p->loss, 'steepest_deg' => $p->steepestDeg] +
            ($p->largeMl === null ? [] : ['large_ml' => $p->largeMl, 'most_mm_large' => (float) $p->mostMmLarge]);
    }

    /** @return array<string, mixed> */
    private static function fromPart(Ingredient $p): array
    {
        return [
            'rule' => $p->rule->value,
            'value' => $p->value,
            'unit' => $p->unit,
            'of' => $p->of,
            'phi' => $p->phi,
            'base' => $p->base,
            'bulk' => $p->bulk,
        ] + ($p->loose || self::isLoose($p->of) ? ['loose' => $p->loose] : []);
    }

    /** @return array<string, mixed> */
    private static function fromStep(Step $s): array
    {
        return [
            'kind' => $s->kind->value,
            'do' => $s->action,
            'after' => $s->after->value,
            'parts' => array_map(self::fromPart(...), $s->parts),
            'setup_min' => $s->setUp,
            'minutes_per_dm2' => $s->perDm2,
        ] +
            ($s->patch ? ['patch' => true] : []) +
            ($s->tools === [] ? [] : ['tools' => $s->tools]) +
            ($s->cautions === [] ? [] : ['cautions' => $s->cautions]);
    }

    /** @throws InvalidValue */
    public static function step(Record $r): Step
    {
        $step = $r->within(
            fn (): Step => new Step(
                self::oneOf(StepKind::class, $r->text('kind'), 'a step', 'kind'),
                $r->text('do'),
                self::oneOf(StepRelation::class, $r->text('after', 'at once'), 'how it follows', 'after'),
                $r->has('parts') ? array_map(self::part(...), $r->records('parts')) : [],
                $r->number('setup_min', 0.0),
                $r->number('minutes_per_dm2', 0.0),
                $r->flag('patch'),
                $r->words('tools'),
                self::cautions($r),
            ),
        );
        $r->close();

        return $step;
    }

    /** @return array<string, mixed> */
    private static function fromWindow(FollowWindow $w): array
    {
        $at = fn (Milestone|float $v): string|float => is_float($v) ? $v : $v->value;

        return ['side' => $w->side, 'coat' => $w->coat, 'opens' => $at($w->opens), 'closes' => $at($w->closes)] +
            ($w->again === null ? [] : ['again' => $w->again]) +
            ($w->missed === '' ? [] : ['missed' => $w->missed]);
    }

    private static function part(Record $r): Ingredient
    {
        $of = array_map(self::ingredient(...), $r->records('of'));
        $part = $r->within(
            fn (): Ingredient => new Ingredient(
                InvalidValue::unlessOneOf(MeasureRule::class, $r->text('rule'), 'rule'),
                $r->number('value'),
                $r->text('unit'),
                $of,
                $r->number('phi', 0.0),
                $r->number('base', 0.0),
                $r->number('bulk', 1.0),
                $r->has('loose') ? $r->flag('loose') : self::isLoose($of),
            ),
        );
        $r->close();

        return $part;
    }

    /** @return array{material: string, parts: float} */
    public static function ingredient(Record $r): array
    {
        $one = ['material' => $r->text('material'), 'parts' => $r->number('parts')];
        $r->close();

        return $one;
    }

    /**
     * Recipes written before parts said so themselves: by what they take.
     *
     * @param  list<array{material: string, parts: float}>  $of
     */
    private static function isLoose(array $of): bool
    {
        return array_filter(
            $of,
            fn (array $one): bool => in_array($one['material'], self::LOOSE_MATERIALS, true) || str_starts_with($one['material'], 'fibre '),
        ) !== [];
    }

    private static function labour(Record $r): Labour
    {
        $labour = $r->within(
            fn (): Labour => new Labour(
                $r->number('setup_min', 0.0),
                $r->number('minutes_per_dm2', 0.0),
                $r->number('first_minutes_per_dm2', 0.0),
                $r->number('first_dm2', 0.0),
                $r->numberOrNull('metres_per_hour'),
                $r->numberOrNull('open_minutes_per_dm2'),
                $r->numberOrNull('minutes_each'),
            ),
        );
        $r->close();

        return $labour;
    }

    private static function word(Stage $stage): string
    {
        return strtolower($stage->name);
    }

    /** @return list<Record> */
    private static function list(string $json): array
    {
        try {
            return (new Record((object) ['all' => json_decode($json, false, 16, JSON_THROW_ON_ERROR)], ''))->records('all');
        } catch (JsonException) {
            throw new InvalidValue('not a readable JSON file', '/');
        }
    }

    private static function root(string $json): Record
    {
        try {
            return new Record(json_decode($json, false, 16, JSON_THROW_ON_ERROR), '');
        } catch (JsonException) {
            throw new InvalidValue('not a readable JSON file', '/');
        }
    }
}
