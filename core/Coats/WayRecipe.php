<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A loose material laid in a way: the recipe that comes of both. The material gives what is laid, where, and how long hands take;
 * the way what holds it, and with that the cure, what softens it again, its film temperature and its vapour.
 */
final class WayRecipe
{
    /** Of what says nothing of its pores: as soil, on a base that takes up, ml/m². Starting values. */
    private const LOOSE_PORES = 0.5;

    private const POROUS_BASE = 100.0;

    /** Spray holds on what is touch-dry: lengths follow one another in a day. */
    private const SPRAYED_NEEDS = ['fibre' => 'touch_dry'];

    /** What nothing is known of that cures: it is done when it is done, minutes. */
    private const DONE_MINUTES = 1.0;

    private function __construct(
        private readonly Library $library,
        private readonly Recipe $material,
        private readonly Way $way,
        private readonly float $stock,
    ) {
    }

    /**
     * @param  float  $stock strength of the alcohol in store, %
     *
     * @throws InvalidValue at `way` when the material is not laid so
     */
    public static function of(Library $library, Recipe $material, Way $way, float $stock): Recipe
    {
        if (! self::isLoose($material)) {
            throw new InvalidValue("{$material->name} is not laid loose: there are no ways to hold it.", 'way');
        }
        if (! in_array($material->family, $way->order->for, true)) {
            throw new InvalidValue("{$material->name} is not laid like that: “{$way->order->name}”.", 'way');
        }

        return (new self($library, $material, $way, $stock))->whole();
    }

    public static function isLoose(Recipe $recipe): bool
    {
        return self::loose($recipe) !== [];
    }

    private function whole(): Recipe
    {
        $m = $this->material;
        $order = $this->way->order;
        $id = "{$m->id}+{$this->way->text()}";
        $holds = $this->holds($order->steps, $order->as);
        $steps = $this->steps($order->steps, $order->as);
        $wetting = $order->wets() ? $this->way->wetting : null;

        return new Recipe(
            $this->cure($id, $order->steps, $holds, $m->cure->referenceMm),
            $m->name,
            $this->words($order->action),
            $m->stage,
            $m->family,
            [],
            new Labour(
                $m->labour->setUp + array_sum(array_column($steps, 'setUp')),
                $m->labour->perDm2,
                $m->labour->firstPerDm2,
                $m->labour->firstDm2,
                $m->labour->metresPerHour,
            ),
            $m->bed,
            $m->waste,
            $m->recovered,
            $order->tools ?? $m->tools,
            $this->hazards($holds, $wetting),
            self::cautions([
                ...$this->ownCautions(),
                ...array_merge(...array_map(fn (Recipe $r): array => $r->cautions, $holds)),
                ...$wetting->cautions ?? [],
            ]),
            $order->as === null ? $m->needs : ($m->family === Family::Fibre ? self::SPRAYED_NEEDS : []),
            $m->coversWhite || $order->coversWhite,
            $m->angleOfReposeDeg,
            $m->check,
            $this->traits($holds, $wetting),
            $m->length,
            $holds === [] ? $m->undo : $holds[0]->undo,
            [],
            $m->provenance,
            null,
            $order->tools === null ? $m->holds : [],
            $steps,
            array_map(fn (int $k): Recipe => $this->turn($order->then[$k], $id.'/'.($k + 2)), array_keys($order->then)),
        );
    }

    private function turn(WayTurn $turn, string $id): Recipe
    {
        $holds = $this->holds($turn->steps, $turn->as);
        $steps = $this->steps($turn->steps, $turn->as);
        $lays = array_filter($steps, fn (Step $s): bool => $s->parts !== []) !== [];

        return new Recipe(
            $this->cure($id, $turn->steps, $holds, $lays ? $this->material->cure->referenceMm : 1.0),
            $turn->name,
            $this->words($turn->action),
            $this->material->stage,
            $this->material->family,
            [],
            new Labour(array_sum(array_column($steps, 'setUp')), array_sum(array_column($steps, 'perDm2'))),
            $this->material->bed,
            $this->material->waste,
            $this->material->recovered,
            hazards: $this->hazards($holds, null, false),
            cautions: self::cautions(array_merge(...array_map(fn (Recipe $r): array => $r->cautions, $holds))),
            needs: ['*' => ($turn->after->milestone() ?? Milestone::NextCoat)->value],
            traits: array_merge(...array_map(fn (Recipe $r): array => $r->traits, $holds)),
            window: $turn->window === null
                ? null
                : new FollowWindow('self', '*', $turn->window[0], $turn->window[1], missed: $turn->missed),
            steps: $steps,
        );
    }

    /**
     * The recipes whose glue is in it, the one that takes longest first.
     *
     * @param  list<WayStep>  $steps
     * @return list<Recipe>
     */
    private function holds(array $steps, ?string $as): array
    {
        $ids = $as === null ? [] : [$as];
        $glue = $this->way->glue;
        foreach ($steps as $step) {
            if ($glue !== null && $step->takesGlue()) {
                $ids[] = $step->fill === 'glue' ? $glue->through : $glue->film;
            }
        }
        $out = array_map($this->library->recipe(...), array_values(array_unique($ids)));
        usort(
            $out,
            fn (Recipe $a, Recipe $b): int => ($b->cure->minutes[Milestone::DryThrough->value] ?? 0.0) <=>
                ($a->cure->minutes[Milestone::DryThrough->value] ?? 0.0),
        );

        return $out;
    }

    /**
     * It can be worked while the first of its glues can, and is ready when the last is.
     *
     * @param  list<WayStep>  $steps
     * @param  list<Recipe>  $holds
     */
    private function cure(string $id, array $steps, array $holds, float $referenceMm): CureFigures
    {
        $name = "{$this->material->name}, {$this->words($this->way->order->name)}";
        if ($holds === []) {
            $milestones = [Milestone::TouchDry->value, Milestone::NextCoat->value, Milestone::DryThrough->value];

            return new CureFigures($id, $name, Mechanism::Solvent, array_fill_keys($milestones, self::DONE_MINUTES));
        }
        $minutes = [];
        foreach ($holds as $recipe) {
            $slower = $this->slower($steps, $recipe);
            foreach ($recipe->cure->minutes as $milestone => $time) {
                $first = $milestone === Milestone::WorkableUntil->value;
                $minutes[$milestone] = $first
                    ? min($time, $minutes[$milestone] ?? INF)
                    : max($time * $slower, $minutes[$milestone] ?? 0.0);
            }
        }
        $slowest = $holds[0]->cure;

        return new CureFigures($id, $name, $slowest->mechanism, $minutes, $referenceMm, $slowest->exponent, $slowest->filmTemperature);
    }

    /** @param  list<WayStep>  $steps */
    private function slower(array $steps, Recipe $recipe): float
    {
        $glue = $this->way->glue;
        $product = $glue === null ? null : $this->library->materials[$glue->material] ?? null;
        if ($glue === null || $product === null) {
            return 1.0;
        }
        if ($recipe->id === $glue->through) {
            return ThinnedGlue::slower($product, $this->way->parts, $this->way->water, $glue->known);
        }
        $thinned = array_filter($steps, fn (WayStep $s): bool => $s->fill === 'film') !== [];

        return $recipe->id === $glue->film && $thinned ? ThinnedGlue::slower($product, $this->way->parts, $this->way->water, 0.0) : 1.0;
    }

    /**
     * @param  list<WayStep>  $steps
     * @param  string|null  $as recipe that fixes them, where one does
     * @return list<Step>
     */
    private function steps(array $steps, ?string $as): array
    {
        return array_map(
            fn (WayStep $s): Step => new Step(
                $s->kind,
                $this->words($s->action),
                $s->after,
                $this->parts($s),
                $s->setUp,
                $s->perDm2,
                $s->patch,
                $s->tools,
                $this->cautionsOf($s, $as),
            ),
            $steps,
        );
    }

    /** @return list<array{do: string, why: string}> of the material itself: not of a glue that its own recipe has, nor of a tool laid by */
    private function ownCautions(): array
    {
        $of = fn (ThinnedGlue $glue): array => $this->library->recipe($glue->through)->cautions;
        $glues = array_map($of, array_values($this->library->ways->glues));
        $told = array_column(array_merge(...$glues, ...[[]]), 'do');

        return $this->way->order->tools !== null
            ? []
            : array_values(array_filter($this->material->cautions, fn (array $one): bool => ! in_array($one['do'], $told, true)));
    }

    /**
     * @param  string|null  $as recipe that fixes it
     * @return list<array{do: string, why: string}> of what goes on in a step
     */
    private function cautionsOf(WayStep $s, ?string $as): array
    {
        $glue = $this->way->glue;

        return match (true) {
            $s->fill === 'loose' => $this->ownCautions(),
            $s->fill === 'wetting' => $this->way->wetting->cautions ?? [],
            $glue !== null && $s->takesGlue() => $this->library->recipe($s->fill === 'glue' ? $glue->through : $glue->film)->cautions,
            $s->kind === StepKind::Fixing && $as !== null => $this->library->recipe($as)->cautions,
            default => [],
        };
    }

    /** @return list<Ingredient> */
    private function parts(WayStep $s): array
    {
        $way = $this->way;
        $mixed = $way->glue?->mixed($way->parts, $way->water) ?? [];

        return match ($s->fill) {
            'loose' => array_map(fn (Ingredient $p): Ingredient => $p->times($s->value), self::loose($this->material)),
            'wetting' => [$this->pores($s->value, $way->wetting?->mixed($way->strength, $this->stock) ?? [], 0.0)],
            'glue' => [$this->pores($s->value, $mixed, $this->poresOfMaterial()->base ?? self::POROUS_BASE)],
            'film' => [new Ingredient(MeasureRule::Area, $s->value, 'ml', $mixed)],
            'neat' => [new Ingredient(MeasureRule::Area, $s->value, 'ml', $way->glue?->mixed(1.0, 0.0) ?? [])],
            'of' => [new Ingredient(MeasureRule::Area, $s->value, $s->unit, $s->of)],
            'edge' => [new Ingredient(MeasureRule::Edge, $s->value, $s->unit, $s->of)],
            default => [],
        };
    }

    /** @param  list<array{material: string, parts: float}>  $of */
    private function pores(float $share, array $of, float $base): Ingredient
    {
        return new Ingredient(MeasureRule::Pores, $share, 'ml', $of, $this->poresOfMaterial()->phi ?? self::LOOSE_PORES, $base);
    }

    /** The part of its own recipe that takes most up: what its pores and its base are is known from there. */
    private function poresOfMaterial(): ?Ingredient
    {
        $pores = array_filter($this->material->parts, fn (Ingredient $p): bool => $p->rule === MeasureRule::Pores);
        usort($pores, fn (Ingredient $a, Ingredient $b): int => $b->base <=> $a->base);

        return $pores[0] ?? null;
    }

    /**
     * What of a recipe is laid loose; of one that was written before there were steps, what it says is loose, or stands in a bed.
     *
     * @return list<Ingredient>
     */
    private static function loose(Recipe $recipe): array
    {
        if ($recipe->steps === []) {
            $ballast = $recipe->family === Family::Ballast;

            return array_values(
                array_filter($recipe->parts, fn (Ingredient $p): bool => $p->loose || ($ballast && $p->rule === MeasureRule::Volume)),
            );
        }

        return array_merge(
            ...array_map(
                fn (Step $s): array => $s->parts,
                array_values(array_filter($recipe->steps, fn (Step $s): bool => $s->kind === StepKind::Loose)),
            ),
        );
    }

    /**
     * @param  list<Recipe>  $holds
     * @return list<Hazard>
     */
    private function hazards(array $holds, ?Wetting $wetting, bool $material = true): array
    {
        $own = $material ? array_filter($this->material->hazards, fn (Hazard $h): bool => $this->sparks() || $h !== Hazard::Sparks) : [];

        return array_values(
            array_unique(
                [...$own, ...array_merge(...array_map(fn (Recipe $r): array => $r->hazards, $holds)), ...$wetting->hazards ?? []],
                SORT_REGULAR,
            ),
        );
    }

    private function sparks(): bool
    {
        return $this->way->order->tools === null;
    }

    /**
     * @param  list<Recipe>  $holds
     * @return list<RecipeTrait>
     */
    private function traits(array $holds, ?Wetting $wetting): array
    {
        $liquid = [RecipeTrait::Wet, RecipeTrait::Rewets, RecipeTrait::Solvent, RecipeTrait::Alcohol];

        return array_values(
            array_unique(
                [
                    ...array_filter($this->material->traits, fn (RecipeTrait $t): bool => ! in_array($t, $liquid, true)),
                    ...array_merge(...array_map(fn (Recipe $r): array => $r->traits, $holds)),
                    ...$wetting->traits ?? [],
                    ...$this->way->order->as === null || $this->material->family !== Family::Fibre ? [] : [RecipeTrait::Sprayed],
                ],
                SORT_REGULAR,
            ),
        );
    }

    /**
     * @param  list<array{do: string, why: string}>  $cautions
     * @return list<array{do: string, why: string}> each once
     */
    private static function cautions(array $cautions): array
    {
        return array_values(array_column($cautions, null, 'do'));
    }

    private function words(string $text): string
    {
        $of = array_map(fn (Ingredient $p): array => array_column($p->of, 'material'), self::loose($this->material));
        $stuff = implode(' and ', array_unique(array_merge(...$of)));

        return strtr($text, ['{stuff}' => $stuff, '{wetting}' => $this->way->wettingWord(), '{glue}' => $this->way->glueWord()]);
    }
}
