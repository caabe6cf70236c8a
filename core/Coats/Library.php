<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\Refusal;

/** The recipes there are, and build-ups to begin a zone with. */
final readonly class Library
{
    /**
     * @param array<string, Recipe> $recipes by id
     * @param array<string, array{name: string, recipes: list<string>}> $buildUps
     */
    private function __construct(public array $recipes, public array $buildUps)
    {
    }

    /**
     * @param list<Recipe> $recipes
     * @param array<string, array{name: string, recipes: list<string>}> $buildUps
     *
     * @throws Refusal when one stands twice or a build-up names one that is not there
     */
    public static function of(array $recipes, array $buildUps = []): self
    {
        $byId = [];
        foreach ($recipes as $recipe) {
            if (isset($byId[$recipe->id])) {
                throw new Refusal("The recipe “{$recipe->id}” stands twice.", $recipe->id);
            }
            $byId[$recipe->id] = $recipe;
        }
        foreach ($buildUps as $key => $buildUp) {
            foreach ($buildUp['recipes'] as $id) {
                if (! isset($byId[$id])) {
                    throw new Refusal("The build-up “{$key}” names “{$id}”, and there is no such recipe.", $key);
                }
            }
        }

        return new self($byId, $buildUps);
    }

    /** @throws Refusal when there is no such recipe */
    public function recipe(string $id): Recipe
    {
        return $this->recipes[$id] ?? throw new Refusal("There is no recipe “{$id}”; there are ".implode(', ', array_keys($this->recipes)).'.', 'recipe');
    }
}
