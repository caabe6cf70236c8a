<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

/** What to buy: the cheapest packs that cover the needs, with the least over, in the fewest packs. Proven, not a rule of thumb. */
final readonly class Purchase
{
    /**
     * @param  list<array{pack: PurchasePack, count: int}>  $buy
     * @param  int  $carriage of the cost
     * @param  array<string, int>  $surplus need → bought above it
     * @param  array<string, int>  $short need → what cannot be had
     * @param  list<string>  $left needs that the budget does not reach
     */
    private function __construct(
        public array $buy,
        public int $cost,
        public int $carriage,
        public array $surplus,
        public array $short,
        public array $left,
    ) {
    }

    /** Where the budget does not reach, the most pressing needs are covered, as many as can be. */
    public static function best(PurchaseProblem $problem): self
    {
        for ($many = count($problem->needs); $many > 0; $many--) {
            $found = self::of($problem, $many);
            if ($problem->budget === null || $found->cost <= $problem->budget) {
                return $found;
            }
        }

        return self::of($problem, 0);
    }

    private static function of(PurchaseProblem $problem, int $many): self
    {
        $needs = array_values(array_filter(array_slice($problem->needs, 0, $many), fn (PurchaseNeed $n): bool => $n->open() > 0));
        $of = array_fill_keys(array_column($needs, 'id'), []);
        foreach ($problem->packs as $pack) {
            if (isset($of[$pack->for])) {
                $of[$pack->for][] = $pack;
            }
        }
        $suppliers = array_values(array_unique(array_column(array_merge(...array_values($of)), 'supplier')));
        $known = [];
        $best = $rank = null;
        for ($set = 0; $set < 1 << count($suppliers); $set++) {
            $from = array_filter($suppliers, fn (int $k): bool => ($set >> $k & 1) === 1, ARRAY_FILTER_USE_KEY);
            $picks = [];
            foreach ($needs as $need) {
                $packs = array_values(array_filter($of[$need->id], fn (PurchasePack $p): bool => in_array($p->supplier, $from, true)));
                $key = $need->id.'|'.implode('|', array_column($packs, 'id'));
                $picks[$need->id] = $known[$key] ??= PackPick::cover($need->open(), $packs);
            }
            $carriage = array_sum(array_map(fn (string $s): int => $problem->carriage[$s] ?? 0, $from));
            $sum = fn (callable $of): int => (int) array_sum(array_map($of, $picks));
            $told = [
                $sum(fn (PackPick $p): int => $p->short),
                $sum(fn (PackPick $p): int => $p->cost) + $carriage,
                $sum(fn (PackPick $p): int => $p->over),
                $sum(fn (PackPick $p): int => (int) array_sum($p->counts)),
            ];
            if ($rank === null || $told < $rank) {
                [$best, $rank] = [[$picks, $carriage], $told];
            }
        }
        [$picks, $carriage] = $best ?? [[], 0];
        $packs = array_column($problem->packs, null, 'id');
        $buy = [];
        foreach ($picks as $pick) {
            foreach (array_filter($pick->counts) as $id => $count) {
                $buy[] = ['pack' => $packs[$id], 'count' => $count];
            }
        }

        return new self(
            $buy,
            $rank[1] ?? 0,
            $carriage,
            array_filter(array_map(fn (PackPick $p): int => $p->over, $picks)),
            array_filter(array_map(fn (PackPick $p): int => $p->short, $picks)),
            array_values(
                array_map(
                    fn (PurchaseNeed $n): string => $n->id,
                    array_filter(array_slice($problem->needs, $many), fn (PurchaseNeed $n): bool => $n->open() > 0),
                ),
            ),
        );
    }
}
