<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * A recipe on a zone: how thick, over what share of it, in how many passes; minutes of one pass where they are known better than
 * by the recipe. A zone's coats stand in their order.
 */
final readonly class Coat
{
    public float $mm;

    public string $name;

    /**
     * @param  float  $share of the zone that is covered, 0 … 1
     * @param  array<string, mixed>  $extra
     * @param  string|null  $colour uid of a colour of the palette
     * @param  string|null  $way in which it is laid; null as the layout prefers
     * @param  float  $blend mm over which it runs out into what lies beside it, half as thick on average
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $zone,
        public Recipe $recipe,
        ?float $mm = null,
        public float $share = 1.0,
        public int $passes = 1,
        string $name = '',
        public array $extra = [],
        public ?float $minutes = null,
        public ?string $colour = null,
        public float $blend = 0.0,
        public ?string $way = null,
        public ?CoatPieces $pieces = null,
    ) {
        InvalidValue::unlessBetween($mm ?? $recipe->cure->referenceMm, 0.01, 200.0, 'The thickness', 'mm', 'mm');
        InvalidValue::unlessBetween($share, 0.01, 1.0, 'The share covered', '', 'share');
        InvalidValue::unlessBetween($passes, 1, 30, 'The number of passes', '', 'passes');
        InvalidValue::unlessBetween($blend, 0.0, 200.0, 'The width over which it blends', 'mm', 'blend_mm');
        if ($minutes !== null) {
            InvalidValue::unlessBetween($minutes, 1.0, 10_080.0, 'The work', 'min', 'minutes');
        }
        if (mb_strlen($name) > 80) {
            throw new InvalidValue('At most 80 characters.', 'name');
        }

        $this->mm = $mm ?? $recipe->cure->referenceMm;
        $this->name = trim($name);
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    /**
     * The same once some of it was begun: then it goes on as it was begun, whatever the layout prefers by now.
     *
     * @param  list<CoatApplication>  $begun
     */
    public function asBegun(array $begun, Library $library): self
    {
        $first = array_values(array_filter($begun, fn (CoatApplication $l): bool => $l->coat === $this->uid))[0]->recipe ?? null;
        if ($first === null || $first->base() !== $this->recipe->base()) {
            return $this;
        }
        $recipe = $this->recipe;
        if ($this->way === null && $first->act() !== $recipe->act()) {
            $way = $first->way();
            $recipe = $way === null ? $library->recipe($recipe->base()) : $library->laid($recipe->base(), $way);
        }
        // Applications are counted by the turns that it had then; a turn itself does not tell how many there were.
        if ($first->id === $first->act() && count($first->turns()) !== count($recipe->turns())) {
            $recipe = $first;
        }

        return $recipe === $this->recipe ? $this : $this->but(recipe: $recipe);
    }

    /** How often it is gone over: every pass in as many applications as the recipe has. They are counted from 1. */
    public function applications(): int
    {
        return $this->passes * count($this->recipe->turns());
    }

    public function recipeOf(int $application): Recipe
    {
        $turns = $this->recipe->turns();

        return $turns[($application - 1) % count($turns)];
    }

    /** The pass that an application belongs to. */
    public function passOf(int $application): int
    {
        return intdiv($application - 1, count($this->recipe->turns())) + 1;
    }

    /**
     * The applications of the pass that an application ends, from its first on: what goes over it goes over all of them.
     *
     * @return list<int>
     */
    public function upTo(int $application): array
    {
        $turns = count($this->recipe->turns());

        return range(intdiv($application - 1, $turns) * $turns + 1, $application);
    }

    /**
     * Hands-on minutes of what is laid of one application. Those that are known better are of a pass's first.
     *
     * @param  float  $share of the pass
     * @param  int  $things that stand there
     */
    public function minutesOf(float $area, float $track, float $share, int $application, int $things = 0): float
    {
        $recipe = $this->recipeOf($application);

        return $this->minutes === null || $recipe !== $this->recipe
            ? $recipe->labour->minutes($area, $track, $recipe->layers($this->mm), $things)
            : $this->minutes * $share;
    }

    /** The window in which an application of it has to follow one of a lower coat, or of its own, by either's recipe. */
    public function windowOver(self $lower, int $under, int $over): ?FollowWindow
    {
        [$below, $above] = [$lower->recipeOf($under), $this->recipeOf($over)];
        foreach ([[$above->window, true], [$below->window, false]] as [$window, $own]) {
            if (
                $window !== null &&
                $own === ($window->side !== 'above') &&
                $window->rules($below, $lower->uid === $this->uid, $above)
            ) {
                return $window;
            }
        }

        return null;
    }

    /** Of an area of it, what has to be done while it can be worked, minutes; null where that does not limit it. */
    public function openMinutesOf(float $area, int $application): ?float
    {
        $recipe = $this->recipeOf($application);
        $open = $recipe->openMinutesPerDm2();

        return $open === null ? null : $recipe->layers($this->mm) * $open * $area / 1e4;
    }

    public function title(): string
    {
        return $this->name === '' ? $this->recipe->name : $this->name;
    }

    /**
     * Where a coat first stands among those of its zone: after the last of its stage or an earlier one.
     *
     * @param  list<self>  $coats in their order
     */
    public function firstPlace(array $coats): int
    {
        $place = 0;
        foreach ($coats as $k => $coat) {
            $place = $coat->recipe->stage->value <= $this->recipe->stage->value ? $k + 1 : $place;
        }

        return $place;
    }
}
