<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** A glue that is thinned with water. What its cure is known for is one dilution; another has more or less water to lose. */
final readonly class ThinnedGlue
{
    /**
     * @param  string  $through recipe whose figures hold for it dripped through a bed
     * @param  string  $film recipe whose figures hold for it brushed on, neat
     * @param  float  $parts usual parts of it to one of water, and of water
     * @param  float  $known parts of water to one of it for which the figures through a bed hold
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $suits,
        public string $material,
        public string $through,
        public string $film,
        public float $parts = 1.0,
        public float $water = 3.0,
        public float $known = 3.0,
    ) {
    }

    /**
     * @return list<array{material: string, parts: float}>
     *
     * @throws InvalidValue for nothing to nothing, or water alone
     */
    public function mixed(float $parts, float $water): array
    {
        if ($parts <= 0.0) {
            throw new InvalidValue(
                $water <= 0.0 ? "{$this->name} 0:0 is nothing: parts of it, then of water, such as 1:3." : 'Water alone glues nothing.',
                'way',
            );
        }
        $glue = ['material' => $this->material, 'parts' => $parts];

        return $water > 0.0 ? [$glue, ['material' => 'water', 'parts' => $water]] : [$glue];
    }

    /**
     * How much longer it dries than at the dilution that its figures hold for: as its share of water.
     *
     * @param  Material  $product what it is as sold
     * @param  float  $known parts of water to one, of the figures
     */
    public static function slower(Material $product, float $parts, float $water, float $known): float
    {
        // ml of water in a ml as sold: what is not solids, of 1 g/ml.
        $own = ($product->density ?? 1.0) * (1.0 - $product->solids);
        $share = fn (float $of): float => ($of + $own) / ($of + 1.0);

        return $share($water / $parts) / $share($known);
    }
}
