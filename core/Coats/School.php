<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Measure\InvalidValue;

/** One answer to a question of method: what it suits, what can go wrong with it, and its coats in their order. */
final readonly class School
{
    /**
     * @param  list<string>  $wrong
     * @param  list<array{recipe: Recipe, way: string|null, mm: float|null, passes: int, share: float}>  $steps
     * @param  CutSchool|null  $cut what its coats go over, where it is a way to make the land itself
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $key,
        public string $question,
        public string $name,
        public string $suits,
        public array $wrong,
        public array $steps,
        public ?CutSchool $cut = null,
    ) {
        if ($steps === []) {
            throw new InvalidValue("The school “{$key}” has no coats.", $key);
        }
    }

    /**
     * Its coats on a zone.
     *
     * @param  callable(): string  $uid
     * @param  Library  $library as the layout works with it
     * @return list<Coat>
     */
    public function coats(string $zone, callable $uid, Library $library): array
    {
        return array_map(
            fn (array $s): Coat => new Coat(
                $uid(),
                $zone,
                $library->laid($s['recipe']->base(), $s['way']),
                $s['mm'],
                $s['share'],
                $s['passes'],
                way: $s['way'],
            ),
            $this->steps,
        );
    }
}
