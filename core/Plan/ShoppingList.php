<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Purchase;
use IdleRidge\Core\Shelf\PurchaseNeed;
use IdleRidge\Core\Shelf\PurchasePack;
use IdleRidge\Core\Shelf\PurchaseProblem;
use IdleRidge\Core\Shelf\ShelfRules;

/** What to buy for what a plan is short of: the cheapest packs by the price list, carriage weighed in, within the budget. */
final readonly class ShoppingList
{
    /** What is bought is counted in whole ones of these. */
    private const WHOLE = ['m²' => 1e4, 'm' => 1e3];

    /**
     * @param  list<array{price: PackPrice, count: int}>  $buy
     * @param  array<string, float>  $over material → bought above what is short, in its unit
     * @param  array<string, float>  $short material → what cannot be had
     * @param  list<string>  $left materials that the budget does not reach
     * @param  list<string>  $unpriced materials without a price
     */
    private function __construct(
        public array $buy,
        public int $cost,
        public int $carriage,
        public array $over,
        public array $short,
        public array $left,
        public array $unpriced,
    ) {
    }

    /**
     * @param  array<string, ShelfNeed>  $needs the most pressing first
     * @param  list<PackPrice>  $prices
     *
     * @throws InvalidValue for more suppliers than can be weighed
     */
    public static function of(array $needs, array $prices, ShelfRules $rules): self
    {
        $short = array_filter($needs, fn (ShelfNeed $n): bool => $n->missing() > 1e-6);
        $priced = array_flip(array_column($prices, 'material'));
        $unit = array_map(fn (ShelfNeed $n): float => self::WHOLE[$n->unit] ?? 1.0, $short);
        $packs = $carriage = [];
        foreach ($prices as $price) {
            if (isset($unit[$price->material])) {
                $amount = max(1, (int) floor($price->amount * $unit[$price->material] + 1e-6));
                $packs[] = new PurchasePack($price->uid, $price->material, $amount, $price->minor, $price->available, $price->supplier);
                $carriage[$price->supplier] = $rules->carriage[$price->supplier] ?? 0;
            }
        }
        $wanted = array_map(
            fn (ShelfNeed $n): PurchaseNeed => new PurchaseNeed($n->material, (int) ceil($n->missing() * $unit[$n->material] - 1e-6)),
            array_intersect_key($short, $priced),
        );
        $best = Purchase::best(new PurchaseProblem(array_values($wanted), $packs, $carriage, $rules->budget));
        $by = array_column($prices, null, 'uid');
        $in = fn (array $whole): array => array_combine(
            array_keys($whole),
            array_map(fn (string $m, int $n): float => $n / $unit[$m], array_keys($whole), $whole),
        );

        return new self(
            array_map(fn (array $b): array => ['price' => $by[$b['pack']->id], 'count' => $b['count']], $best->buy),
            $best->cost,
            $best->carriage,
            $in($best->surplus),
            $in($best->short),
            $best->left,
            array_map('strval', array_keys(array_diff_key($short, $priced))),
        );
    }

    /**
     * One kind of pack alone, small against bulk: how many of it, what they cost together, what a thousand of the unit costs, and what
     * would be left over.
     *
     * @param  list<PackPrice>  $prices
     * @return list<array{price: PackPrice, count: int, minor: int, per: float, over: float}> the cheapest first
     */
    public static function against(ShelfNeed $need, array $prices): array
    {
        $rows = [];
        foreach ($prices as $price) {
            if ($price->material === $need->material) {
                $count = max(1, (int) ceil($need->missing() / $price->amount - 1e-9));
                $rows[] = [
                    'price' => $price,
                    'count' => $count,
                    'minor' => $count * $price->minor,
                    'per' => 1000.0 * $price->minor / $price->amount,
                    'over' => $count * $price->amount - $need->missing(),
                ];
            }
        }
        usort($rows, fn (array $a, array $b): int => [$a['minor'], $a['over']] <=> [$b['minor'], $b['over']]);

        return $rows;
    }
}
