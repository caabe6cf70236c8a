<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\MaterialLot;

/**
 * One ingredient of a recipe, or several mixed by parts, and how its amount follows from what is laid:
 * *area*: `value` per m² · *edge*: `value` per m of the zone’s outline · *length*: `value` per m along it · *volume*: `value` per ml of the
 * bed · *pores*: the share `value` of the bed's pore volume,
 * `phi` of it being pores, and what a porous base takes up, `base` ml per m² · *plaster*: powder (g) and water (ml) of a
 * bed, `value` ml of water to a gram, set volume `water/1.0 + powder/2.65` times `bulk`.
 * *tree*, *post*: `value` for each that stands there, where none is set out for `base` of them to m² or to m along · *wire*: `value` per m
 * of wire, `base` per m along where none is strung · *dam*: `value` per m of dam · *strip*: `value` for each strip of a fall,
 * `base` to m along.
 * Of a *loose* part more is put on than stays: what a recipe recovers is of these alone.
 */
final readonly class Ingredient
{
    public const UNITS = MaterialLot::UNITS;

    /** Density of gypsum powder without its air, g/ml. */
    private const GYPSUM_G_PER_ML = 2.65;

    /**
     * @param  list<array{material: string, parts: float}>  $of for plaster the powder and then the water
     *
     * @throws InvalidValue
     */
    public function __construct(
        public MeasureRule $rule,
        public float $value,
        public string $unit,
        public array $of,
        public float $phi = 0.0,
        public float $base = 0.0,
        public float $bulk = 1.0,
        public bool $loose = false,
    ) {
        if (! in_array($unit, self::UNITS, true)) {
            throw new InvalidValue('an amount is in '.implode(', ', self::UNITS), 'unit');
        }
        InvalidValue::unlessBetween($value, 0.0, 100_000.0, 'The amount', $unit, 'value');
        InvalidValue::unlessBetween($phi, 0.0, 0.95, 'The share of pores', '', 'phi');
        InvalidValue::unlessBetween($base, 0.0, 5_000.0, 'What the base takes up', 'ml', 'base');
        InvalidValue::unlessBetween($bulk, 0.1, 5.0, 'The bulk', '', 'bulk');
        foreach ($of as $k => $one) {
            InvalidValue::unlessBetween($one['parts'], 0.0, 1000.0, 'The parts', '', "of/{$k}/parts");
        }
        if ($of === [] || array_sum(array_column($of, 'parts')) <= 0.0) {
            throw new InvalidValue('the parts come to nothing', 'of');
        }
        if ($rule === MeasureRule::Plaster && count($of) !== 2) {
            throw new InvalidValue('plaster is powder and water', 'of');
        }
    }

    /** The unit of its value, such as g/m²; of plaster what water goes on powder. */
    public function rate(): string
    {
        return $this->rule->rate($this->unit);
    }

    /**
     * @param  float  $area mm²
     * @param  float  $bed mm³
     * @param  float  $edge mm of the zone’s outline
     * @param  float  $length mm along it
     * @param  int  $things that stand there
     * @param  float  $wire mm
     * @return list<array{material: string, amount: float, unit: string}>
     */
    public function amounts(float $area, float $bed, float $edge = 0.0, float $length = 0.0, int $things = 0, float $wire = 0.0): array
    {
        $ml = $bed / 1000.0;
        if ($this->rule === MeasureRule::Plaster) {
            $powder = $ml / (($this->value + 1.0 / self::GYPSUM_G_PER_ML) * $this->bulk);

            return [
                ['material' => $this->of[0]['material'], 'amount' => $powder, 'unit' => 'g'],
                ['material' => $this->of[1]['material'], 'amount' => $powder * $this->value, 'unit' => 'ml'],
            ];
        }
        $whole = match ($this->rule) {
            MeasureRule::Area => ($this->value * $area) / 1e6,
            MeasureRule::Volume => $this->value * $ml,
            MeasureRule::Edge => ($this->value * $edge) / 1000.0,
            MeasureRule::Length => ($this->value * $length) / 1000.0,
            MeasureRule::Tree => $this->value * ($things > 0 ? $things : ($this->base * $area) / 1e6),
            MeasureRule::Post, MeasureRule::Strip => $this->value * ($things > 0 ? $things : ($this->base * $length) / 1000.0),
            MeasureRule::Wire, MeasureRule::Dam => ($wire > 0.0 ? $this->value * $wire : $this->base * $length) / 1000.0,
            MeasureRule::Pores => $ml * $this->phi * $this->value + ($this->base * $area) / 1e6,
        };
        $sum = array_sum(array_column($this->of, 'parts'));

        return array_map(
            fn (array $one): array => ['material' => $one['material'], 'amount' => ($whole * $one['parts']) / $sum, 'unit' => $this->unit],
            $this->of,
        );
    }

    /** So many times as much of it. */
    public function times(float $factor): self
    {
        return $factor === 1.0
            ? $this
            : new self($this->rule, $this->value * $factor, $this->unit, $this->of, $this->phi, $this->base, $this->bulk, $this->loose);
    }

    /** Whether it makes a layer as thick as its bed. */
    public function isLayer(): bool
    {
        return $this->rule === MeasureRule::Volume || $this->rule === MeasureRule::Plaster;
    }
}
