<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/** What a plan takes of one material, against what is in store. */
final readonly class ShelfNeed
{
    private const NOTHING = ['used' => 0.0, 'need' => 0.0, 'first' => null, 'short' => false, 'places' => []];

    /**
     * @param  float  $used by all of it, waste included
     * @param  float  $need what has to be there at its beginning for none to run short: what is taken up again comes back for the next
     * @param  float|null  $have null where nothing of it was ever put on the shelf
     * @param  PlacedMove|null  $first the first for which there is not enough; of what is planned
     * @param  list<string>  $places zones it is for
     * @param  Move  $last the last that takes it
     */
    private function __construct(
        public string $material,
        public string $unit,
        public float $used,
        public float $need,
        public ?float $have,
        public bool $isShort,
        public ?PlacedMove $first,
        public array $places,
        public Move $last,
    ) {
    }

    public function missing(): float
    {
        return max(0.0, $this->need - ($this->have ?? 0.0));
    }

    /**
     * In the order of the plan, what finds no session last.
     *
     * @return array<string, self> by material; what is first short first, then by name
     */
    public static function of(BenchPlan $plan): array
    {
        $stock = $plan->work->project->works->store->stock($plan->work->now);
        $placed = array_map(fn (PlacedMove $p): array => [$p->move, $p], $plan->moves);
        $rows = [];
        foreach ([...$placed, ...array_map(fn (UnplacedMove $u): array => [$u->move, null], $plan->unplaced)] as [$move, $at]) {
            foreach ($move->amounts as $one) {
                if ($one->material === 'water' || $one->material === 'wet water' || $one->amount <= 0.0) {
                    continue;
                }
                $row = $rows[$one->material] ?? ['unit' => $one->unit] + self::NOTHING;
                $row['need'] = max($row['need'], $row['used'] + $one->atHand());
                $row['used'] += $one->amount;
                if (! $row['short'] && $row['need'] > ($stock[$one->material] ?? 0.0) + 1e-6) {
                    [$row['short'], $row['first']] = [true, $at];
                }
                $row['places'][$move->place()] = true;
                $row['last'] = $move;
                $rows[$one->material] = $row;
            }
        }
        $out = [];
        foreach ($rows as $material => $row) {
            $out[$material] = new self(
                (string) $material,
                $row['unit'],
                $row['used'],
                $row['need'],
                $stock[$material] ?? null,
                $row['short'],
                $row['first'],
                array_map('strval', array_keys($row['places'])),
                $row['last'],
            );
        }
        uasort(
            $out,
            fn (self $a, self $b): int => [$a->first->start ?? ($a->isShort ? PHP_INT_MAX - 1 : PHP_INT_MAX), $a->material] <=> [
                $b->first->start ?? ($b->isShort ? PHP_INT_MAX - 1 : PHP_INT_MAX),
                $b->material,
            ],
        );

        return $out;
    }
}
