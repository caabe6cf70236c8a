<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * What a pack of a material costs: so much of it, and the price in the currency's smallest unit; where it is sold, and how many can
 * be had.
 */
final readonly class PackPrice
{
    public const MAX_MINOR = 100_000_000;

    /**
     * @param  float  $amount of a pack, in the material's own unit
     * @param  array<string, mixed>  $extra
     * @param  int|null  $available null without limit
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public string $material,
        public float $amount,
        public int $minor,
        public array $extra = [],
        public string $supplier = '',
        public ?int $available = null,
    ) {
        if (trim($material) === '') {
            throw new InvalidValue('A price belongs to a material.', 'material');
        }
        InvalidValue::unlessBetween($amount, 0.001, 1e7, 'The pack', '', 'amount');
        InvalidValue::unlessBetween($minor, 0, self::MAX_MINOR, 'The price', '', 'price');
        if (mb_strlen($supplier) > 80) {
            throw new InvalidValue('At most 80 characters.', 'supplier');
        }
        if ($available !== null) {
            InvalidValue::unlessBetween($available, 0, 100_000, 'What can be had', '', 'available');
        }
    }

    /** Two prices of one pack at one place are one. */
    public function key(): string
    {
        return mb_strtolower("{$this->material}|{$this->amount}|{$this->supplier}");
    }

    /**
     * The pack of each material that is cheapest by amount.
     *
     * @param  list<self>  $prices
     * @return array<string, self> material → pack
     */
    public static function cheapest(array $prices): array
    {
        $by = [];
        foreach ($prices as $one) {
            $best = $by[$one->material] ?? null;
            if ($best === null || $one->minor / $one->amount < $best->minor / $best->amount) {
                $by[$one->material] = $one;
            }
        }

        return $by;
    }

    /**
     * What amounts come to by the share that is used up of the packs that are cheapest by amount, in the smallest unit, and the
     * materials that have no price.
     *
     * @param  array<string, float>  $amounts material → amount
     * @param  list<self>  $prices
     * @return array{int, list<string>}
     */
    public static function cost(array $amounts, array $prices): array
    {
        $by = self::cheapest($prices);
        $sum = 0.0;
        foreach (array_intersect_key($amounts, $by) as $material => $amount) {
            $sum += $amount / $by[$material]->amount * $by[$material]->minor;
        }

        return [(int) round($sum), array_map('strval', array_keys(array_diff_key($amounts, $by, ['water' => true])))];
    }
}
