<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/** Packs that cover one need, or all there are of them where they cannot. */
final readonly class PackPick
{
    /** More packs than this are never bought at once. */
    private const COUNTS = 1_000_000;

    /** More sums than these take too much memory. */
    private const MAX_SUMS = 4_000_000;

    /**
     * @param  array<string, int>  $counts pack → how many
     * @param  int  $over bought above the need
     * @param  int  $short missing of it
     */
    private function __construct(public array $counts, public int $cost, public int $over, public int $short)
    {
    }

    /** Whether it is better than another: nothing missing, then cheaper, then less over, then fewer packs. */
    public function beats(?self $other): bool
    {
        return $other === null || $this->rank() < $other->rank();
    }

    /** @return array{int, int, int, int} */
    private function rank(): array
    {
        return [$this->short, $this->cost, $this->over, array_sum($this->counts)];
    }

    /**
     * The cheapest packs that come to at least an amount; of those with the least over, of those the fewest. Exact: a bounded knapsack
     * over all sums (R. Bellman, Dynamic Programming, 1957), after as many of the pack that is cheapest by amount as every best
     * purchase holds: of others it never holds as many as would make up a number of it.
     *
     * @param  list<PurchasePack>  $packs
     *
     * @throws InvalidValue where there are too many sums to try
     */
    public static function cover(int $open, array $packs): self
    {
        $packs = array_values(array_filter($packs, fn (PurchasePack $p): bool => $p->available !== 0));
        $most = array_map(fn (PurchasePack $p): ?int => $p->available === null ? null : $p->available * $p->amount, $packs);
        if ($open === 0) {
            return new self([], 0, 0, 0);
        }
        if (! in_array(null, $most, true) && array_sum($most) <= $open) {
            $all = array_column(array_map(fn (PurchasePack $p): array => [$p->id, (int) $p->available], $packs), 1, 0);

            return new self($all, self::costOf($all, $packs), 0, $open - (int) array_sum($most));
        }
        $unit = self::divisor(array_column($packs, 'amount'));
        [$best, $forced] = self::forced(intdiv($open + $unit - 1, $unit), $packs, $unit);
        $left = $open - $forced * ($best->amount ?? 0);
        $counts = self::knapsack(intdiv($left + $unit - 1, $unit), $packs, $unit);
        if ($best !== null && $forced > 0) {
            $counts[$best->id] = ($counts[$best->id] ?? 0) + $forced;
        }
        $bought = array_sum(array_map(fn (PurchasePack $p): int => ($counts[$p->id] ?? 0) * $p->amount, $packs));

        return new self($counts, self::costOf($counts, $packs), $bought - $open, 0);
    }

    /**
     * The pack that is cheapest by amount, of those the largest, and how many of it stand in every best purchase.
     *
     * @param  list<PurchasePack>  $packs
     * @return array{PurchasePack|null, int}
     */
    private static function forced(int $open, array $packs, int $unit): array
    {
        $free = array_filter($packs, fn (PurchasePack $p): bool => $p->available === null);
        usort(
            $packs,
            fn (PurchasePack $a, PurchasePack $b): int => [$a->price * $b->amount, $b->amount] <=> [$b->price * $a->amount, $a->amount],
        );
        $best = $packs[0] ?? null;
        if ($best === null || ! in_array($best, $free, true)) {
            return [null, 0];
        }
        $others = max([0, ...array_map(fn (PurchasePack $p): int => intdiv($p->amount, $unit), array_slice($packs, 1))]);
        $size = intdiv($best->amount, $unit);

        return [$best, max(0, intdiv($open - $size * $others, $size) - 1)];
    }

    /**
     * @param  list<PurchasePack>  $packs
     * @return array<string, int>
     */
    private static function knapsack(int $open, array $packs, int $unit): array
    {
        if ($open <= 0) {
            return [];
        }
        // A best purchase is over by less than its smallest pack.
        $size = $open + max(0, ...array_map(fn (PurchasePack $p): int => intdiv($p->amount, $unit), $packs));
        if ($size > self::MAX_SUMS) {
            throw new InvalidValue('Needs and packs are too finely measured for so much: take them in larger units.', 'needs');
        }
        $least = array_fill(0, $size, PHP_INT_MAX);
        $least[0] = 0;
        $items = [];
        foreach (self::items($open, $packs, $unit) as [$pack, $many, $again]) {
            $step = $many * intdiv($pack->amount, $unit);
            $price = $many * ($pack->price * self::COUNTS + 1);
            $taken = str_repeat("\0", $size);
            for ($k = $step; $k < $size; $k++) {
                $at = $again ? $k : $size - 1 - ($k - $step);
                $with = $least[$at - $step];
                if ($with !== PHP_INT_MAX && $with + $price < $least[$at]) {
                    $least[$at] = $with + $price;
                    $taken[$at] = "\1";
                }
            }
            $items[] = [$pack, $many, $again, $step, $taken];
        }
        $at = $open;
        for ($k = $open; $k < $size; $k++) {
            $at = intdiv($least[$k], self::COUNTS) < intdiv($least[$at], self::COUNTS) ? $k : $at;
        }

        return self::read($at, $items);
    }

    /**
     * What can be taken: a pack as often as one likes, or, where there are few, 1, 2, 4 … of it together, once each.
     *
     * @param  list<PurchasePack>  $packs
     * @return list<array{PurchasePack, int, bool}> pack, how many at once, whether again and again
     */
    private static function items(int $open, array $packs, int $unit): array
    {
        $items = [];
        foreach ($packs as $pack) {
            $useful = intdiv($open * $unit + $pack->amount - 1, $pack->amount);
            if ($pack->available === null || $pack->available >= $useful) {
                $items[] = [$pack, 1, true];

                continue;
            }
            for ($left = $pack->available, $many = 1; $left > 0; $left -= $many, $many *= 2) {
                $items[] = [$pack, min($many, $left), false];
            }
        }

        return $items;
    }

    /**
     * @param  list<array{PurchasePack, int, bool, int, string}>  $items
     * @return array<string, int>
     */
    private static function read(int $at, array $items): array
    {
        $counts = [];
        foreach (array_reverse($items) as [$pack, $many, $again, $step, $taken]) {
            while ($at > 0 && $taken[$at] === "\1") {
                $counts[$pack->id] = ($counts[$pack->id] ?? 0) + $many;
                $at -= $step;
                if (! $again) {
                    break;
                }
            }
        }

        return $counts;
    }

    /**
     * @param  array<string, int>  $counts
     * @param  list<PurchasePack>  $packs
     */
    private static function costOf(array $counts, array $packs): int
    {
        return (int) array_sum(array_map(fn (PurchasePack $p): int => ($counts[$p->id] ?? 0) * $p->price, $packs));
    }

    /** @param  list<int>  $amounts */
    private static function divisor(array $amounts): int
    {
        $all = 0;
        foreach ($amounts as $one) {
            while ($one !== 0) {
                [$all, $one] = [$one, $all % $one];
            }
        }

        return max(1, $all);
    }
}
