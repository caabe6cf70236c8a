<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** What loose material is wetted with, so that glue runs in: water, or alcohol of a strength, thinned from what is in store. */
final readonly class Wetting
{
    /**
     * @param  list<array{material: string, parts: float}>  $of what it is made of; empty where it is alcohol and water by strength
     * @param  float|null  $strength usual strength, % of alcohol by volume
     * @param  list<Hazard>  $hazards
     * @param  list<array{do: string, why: string}>  $cautions
     * @param  list<RecipeTrait>  $traits
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $suits,
        public array $of,
        public ?float $strength = null,
        public array $hazards = [],
        public array $cautions = [],
        public array $traits = [],
    ) {
        if ($of === [] && $strength === null) {
            throw new InvalidValue("The wetting “{$key}” is made of nothing.", $key);
        }
    }

    /**
     * What it is made of by volume. `V₁ = V₂·c₂/c₁`.
     *
     * @param  float|null  $strength wanted, %
     * @param  float  $stock strength of the alcohol in store, %
     * @return list<array{material: string, parts: float}>
     *
     * @throws InvalidValue when the stock is too weak
     */
    public function mixed(?float $strength, float $stock): array
    {
        if ($this->strength === null) {
            return $this->of;
        }
        $strength ??= $this->strength;
        InvalidValue::unlessBetween($strength, 10.0, 99.0, 'The strength of the alcohol', '%', 'way');
        if ($strength > $stock) {
            throw new InvalidValue("Alcohol of {$stock} % does not make one of {$strength} %: take a stronger one.", 'way');
        }
        $alcohol = ['material' => "alcohol {$stock} %", 'parts' => $strength / $stock];

        return $strength < $stock ? [$alcohol, ['material' => 'water', 'parts' => 1.0 - $strength / $stock]] : [$alcohol];
    }
}
