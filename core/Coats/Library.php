<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** The recipes and materials there are, build-ups to begin a zone with, and schools: other ways to answer one question. */
final readonly class Library
{
    /**
     * @param  array<string, Recipe>  $recipes by id
     * @param  array<string, array{name: string, recipes: list<string>}>  $buildUps
     * @param  array<string, Material>  $materials by name
     * @param  array<string, School>  $schools by key
     */
    private function __construct(public array $recipes, public array $buildUps, public array $materials = [], public array $schools = [])
    {
    }

    /**
     * @param  list<Recipe>  $recipes
     * @param  array<string, array{name: string, recipes: list<string>}>  $buildUps
     * @param  list<Material>  $materials where there are any, recipes take nothing else
     *
     * @throws InvalidValue when one stands twice, or a build-up or recipe names what is not there
     */
    public static function of(array $recipes, array $buildUps = [], array $materials = []): self
    {
        $byId = [];
        foreach ($recipes as $recipe) {
            if (isset($byId[$recipe->id])) {
                throw new InvalidValue("The recipe “{$recipe->id}” stands twice.", $recipe->id);
            }
            $byId[$recipe->id] = $recipe;
        }
        foreach ($buildUps as $key => $buildUp) {
            foreach ($buildUp['recipes'] as $id) {
                if (! isset($byId[$id])) {
                    throw new InvalidValue("The build-up “{$key}” names “{$id}”, and there is no such recipe.", $key);
                }
            }
        }

        $stuff = array_column(array_map(fn (Material $m): array => [$m->name, $m], $materials), 1, 0);
        foreach ($stuff === [] ? [] : $byId as $recipe) {
            foreach ($recipe->materials() as $name) {
                if (! isset($stuff[$name])) {
                    throw new InvalidValue("The recipe “{$recipe->id}” takes “{$name}”, and there is no such material.", $recipe->id);
                }
            }
        }

        return new self($byId, $buildUps, $stuff);
    }

    /** @param  list<School>  $schools */
    public function teaching(array $schools): self
    {
        return new self(
            $this->recipes,
            $this->buildUps,
            $this->materials,
            array_column(array_map(fn (School $s): array => [$s->key, $s], $schools), 1, 0),
        );
    }

    /**
     * The same with recipes of one's own, which stand in the place of those with their id.
     *
     * @param  list<Recipe>  $own
     */
    public function with(array $own): self
    {
        $byId = $this->recipes;
        foreach ($own as $recipe) {
            $byId[$recipe->id] = $recipe;
        }

        return $own === [] ? $this : new self($byId, $this->buildUps, $this->materials, $this->schools);
    }

    /** @return array<string, list<School>> question → its schools */
    public function questions(): array
    {
        $out = [];
        foreach ($this->schools as $school) {
            $out[$school->question][] = $school;
        }

        return $out;
    }

    /**
     * Grams of what amounts come to, wet as laid or once dry; what is only counted is left out.
     *
     * @param  list<MaterialAmount>  $amounts
     */
    public function grams(array $amounts, bool $dry): float
    {
        return array_sum(
            array_map(
                fn (MaterialAmount $a): float => ($this->materials[$a->material] ?? null)?->grams($a->amount, $a->unit, $dry) ?? 0.0,
                $amounts,
            ),
        );
    }

    /** @throws InvalidValue when there is no such recipe */
    public function recipe(string $id): Recipe
    {
        return $this->recipes[$id] ??
            throw new InvalidValue("There is no recipe “{$id}”; there are ".implode(', ', array_keys($this->recipes)).'.', 'recipe');
    }
}
