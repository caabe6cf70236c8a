<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/** What a pack of a material costs: so much of it, and the price in the currency's smallest unit. */
final readonly class PackPrice
{
    public const MAX_MINOR = 100_000_000;

    /**
     * @param  float  $amount of a pack, in the material's own unit
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $material,
        public float $amount,
        public int $minor,
        public array $extra = [],
    ) {
        if (trim($material) === '') {
            throw new InvalidValue('A price belongs to a material.', 'material');
        }
        InvalidValue::unlessBetween($amount, 0.001, 1e7, 'The pack', '', 'amount');
        InvalidValue::unlessBetween($minor, 0, self::MAX_MINOR, 'The price', '', 'price');
    }

    /**
     * What amounts come to by the share of packs that is used up, in the smallest unit, and the materials that have no price.
     *
     * @param  array<string, float>  $amounts material → amount
     * @param  list<self>  $prices
     * @return array{int, list<string>}
     */
    public static function cost(array $amounts, array $prices): array
    {
        $by = array_column(array_map(fn (self $p): array => [$p->material, $p], $prices), 1, 0);
        $sum = 0.0;
        foreach (array_intersect_key($amounts, $by) as $material => $amount) {
            $sum += $amount / $by[$material]->amount * $by[$material]->minor;
        }

        return [(int) round($sum), array_map('strval', array_keys(array_diff_key($amounts, $by, ['water' => true])))];
    }
}
