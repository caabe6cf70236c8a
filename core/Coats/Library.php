<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** The recipes and materials there are, build-ups to begin a zone with, and schools: other ways to answer one question. */
final readonly class Library
{
    /** Alcohol as it is usually sold, %. */
    public const USUAL_STOCK = 99.0;

    /**
     * @param  array<string, Recipe>  $recipes by id
     * @param  array<string, array{name: string, recipes: list<string>}>  $buildUps
     * @param  array<string, Material>  $materials by name
     * @param  array<string, School>  $schools by key
     * @param  array<string, string>  $preferred family → way in which it is laid where a coat says no other
     * @param  float  $stock strength of the alcohol in store, %
     */
    private function __construct(
        public array $recipes,
        public array $buildUps,
        public array $materials = [],
        public array $schools = [],
        public Ways $ways = new Ways(),
        public array $preferred = [],
        public float $stock = self::USUAL_STOCK,
    ) {
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
        return $this->changed(['schools' => array_column(array_map(fn (School $s): array => [$s->key, $s], $schools), 1, 0)]);
    }

    /**
     * The same with ways.
     *
     * @throws InvalidValue when one takes what is not there
     */
    public function going(Ways $ways): self
    {
        foreach ($ways->glues as $glue) {
            $this->recipe($glue->through);
            $this->recipe($glue->film);
        }
        foreach ($ways->orders as $order) {
            array_map($this->recipe(...), array_filter([$order->as, ...array_map(fn (WayTurn $t): ?string => $t->as, $order->then)]));
            $ways->read($order->key);
        }

        return $this->changed(['ways' => $ways]);
    }

    /**
     * The same as a layout prefers to work.
     *
     * @param  array<string, string>  $preferred
     *
     * @throws InvalidValue at the family whose way cannot be read, or does not suit it
     */
    public function preferring(array $preferred, float $stock): self
    {
        foreach ($preferred as $family => $way) {
            try {
                $order = $this->ways->read($way)->order;
            } catch (InvalidValue $refusal) {
                throw new InvalidValue($refusal->getMessage(), "ways/{$family}");
            }
            if (! in_array(Family::tryFrom($family), $order->for, true)) {
                throw new InvalidValue("{$family} is not laid like that: “{$order->name}”.", "ways/{$family}");
            }
        }

        return $this->changed(['preferred' => $preferred, 'stock' => $stock]);
    }

    /** @param  array<string, mixed>  $values by the names of the constructor */
    private function changed(array $values): self
    {
        return new self(...$values + get_object_vars($this));
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

        return $own === [] ? $this : $this->changed(['recipes' => $byId]);
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

    /** The stage of a recipe; null where there is no such recipe. */
    public function stageOf(string $id): ?int
    {
        return ($this->recipes[$id] ?? null)?->stage->value;
    }

    /**
     * A recipe as it is laid: in a way of its own, else as the layout prefers for its family, else as it says itself.
     *
     * @throws InvalidValue as above, and at `way`
     */
    public function laid(string $id, ?string $way = null): Recipe
    {
        $recipe = $this->recipe($id);
        $way ??= WayRecipe::isLoose($recipe) ? $this->preferred[$recipe->family->value] ?? null : null;

        return $way === null ? $recipe : WayRecipe::of($this, $recipe, $this->ways->read($way), $this->stock);
    }
}
