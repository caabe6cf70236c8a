<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Measure\InvalidValue;

/** What lies in store, foam, materials and pots, as lots with all that came and went: what there is of one is the sum of its movements. */
final readonly class Store
{
    /** What sums of movements may be off by rounding. */
    private const ROUNDING = 1e-6;

    private const MAX_SHEETS = 500;

    /** @var array<string, float> lot → what there is of it */
    private array $sums;

    /**
     * @param  list<SheetLot|MaterialLot|Pot>  $lots
     * @param  list<StockMovement>  $movements in their order
     */
    public function __construct(public array $lots = [], public array $movements = [])
    {
        $sums = [];
        foreach ($movements as $one) {
            $sums[$one->lot] = ($sums[$one->lot] ?? 0.0) + $one->by;
        }
        $this->sums = $sums;
    }

    /** What there is of a lot, in its unit; sheets by their number. */
    public function amount(string $lot): float
    {
        $sum = $this->sums[$lot] ?? 0.0;

        return abs($sum) < self::ROUNDING ? 0.0 : $sum;
    }

    public function count(string $lot): int
    {
        return (int) round($this->amount($lot));
    }

    /** @return list<SheetLot> */
    public function sheetLots(): array
    {
        return array_values(array_filter($this->lots, fn (object $l): bool => $l instanceof SheetLot));
    }

    /** @return list<MaterialLot> */
    public function materials(): array
    {
        return array_values(array_filter($this->lots, fn (object $l): bool => $l instanceof MaterialLot));
    }

    /** @return list<Pot> the newest first */
    public function pots(): array
    {
        $pots = array_values(array_filter($this->lots, fn (object $l): bool => $l instanceof Pot));
        usort($pots, fn (Pot $a, Pot $b): int => [$b->mixedAt, $b->uid] <=> [$a->mixedAt, $a->uid]);

        return $pots;
    }

    /**
     * Of a material in the order in which it is used up: what is open before what is not, the oldest first; what was taken up again
     * only after that.
     *
     * @return list<MaterialLot> of which there is any
     */
    public function lotsOf(string $material): array
    {
        $lots = array_filter($this->materials(), fn (MaterialLot $l): bool => $l->material === $material && $this->amount($l->uid) > 0.0);
        $rank = fn (MaterialLot $l): array => [
            $l->recovered,
            $l->openedAt ?? PHP_INT_MAX,
            $l->boughtOn ?? '9999',
            $l->uid,
        ];
        usort($lots, fn (MaterialLot $a, MaterialLot $b): int => $rank($a) <=> $rank($b));

        return $lots;
    }

    /**
     * Lots that went into what was laid, by itself or by way of its pots.
     *
     * @return list<MaterialLot>
     */
    public function lotsIn(string $laid): array
    {
        return array_values($this->materialsIn($laid, array_column($this->materials(), null, 'uid')));
    }

    /**
     * @param  array<string, MaterialLot>  $materials
     * @return array<string, MaterialLot>
     */
    private function materialsIn(string $uid, array $materials): array
    {
        $out = [];
        foreach ($this->movements as $one) {
            if ($one->for === $uid && $one->by < 0.0) {
                $out += isset($materials[$one->lot])
                    ? [$one->lot => $materials[$one->lot]]
                    : $this->materialsIn($one->lot, $materials);
            }
        }

        return $out;
    }

    /** @return list<Pot> that went into what was laid */
    public function potsIn(string $laid): array
    {
        $lots = array_map(fn (StockMovement $m): string => $m->lot, array_filter(
            $this->movements,
            fn (StockMovement $m): bool => $m->for === $laid && $m->by < 0.0,
        ));

        return array_values(array_filter($this->pots(), fn (Pot $pot): bool => in_array($pot->uid, $lots, true)));
    }

    /** Whether anything of a material was ever put on the shelf: of what was not, nobody knows how much there is. */
    public function knows(string $material): bool
    {
        return array_filter($this->materials(), fn (MaterialLot $l): bool => $l->material === $material) !== [];
    }

    /**
     * What there is of every material that is known, what stands mixed in pots for a move included.
     *
     * @return array<string, float>
     */
    public function stock(int $now): array
    {
        $stock = [];
        foreach ($this->materials() as $lot) {
            $stock[$lot->material] = ($stock[$lot->material] ?? 0.0) + $this->amount($lot->uid);
        }
        foreach ($this->pots() as $pot) {
            $left = $pot->isOver($now) ? 0.0 : $this->amount($pot->uid) / $pot->made;
            foreach ($pot->parts as $part) {
                if (isset($stock[$part['material']])) {
                    $stock[$part['material']] += $left * $part['amount'];
                }
            }
        }

        return $stock;
    }

    /** What of it a plan goes by: how much there is of each material, whatever lots it is in. */
    public function planned(int $now): self
    {
        $units = array_column(array_map(fn (MaterialLot $l): array => [$l->material, $l->unit], $this->materials()), 1, 0);
        $lots = $movements = [];
        foreach ($this->stock($now) as $material => $amount) {
            $lots[] = new MaterialLot((string) $material, (string) $material, $units[$material]);
            if ($amount !== 0.0) {
                $movements[] = new StockMovement((string) $material, (string) $material, $amount, MovementCause::Counted, null, 0);
            }
        }

        return new self($lots, $movements);
    }

    /**
     * From which lots an amount of a material is taken.
     *
     * @param  list<string>  $first lots that are to be used before others
     * @return array{list<array{MaterialLot, float}>, float} lots and how much of each; what is short
     */
    public function draw(string $material, float $amount, array $first = []): array
    {
        $lots = $this->lotsOf($material);
        $picked = array_filter($lots, fn (MaterialLot $l): bool => in_array($l->uid, $first, true));
        $drawn = [];
        foreach ([...$picked, ...array_diff_key($lots, $picked)] as $lot) {
            $part = min($amount, $this->amount($lot->uid));
            if ($part > 0.0) {
                $drawn[] = [$lot, $part];
                $amount -= $part;
            }
        }

        return [$drawn, $amount > self::ROUNDING ? $amount : 0.0];
    }

    /** @return list<array{lot: SheetLot, count: int}> sheets of which there are any, the thickest and largest first */
    public function inStore(): array
    {
        $out = array_values(
            array_filter(
                array_map(fn (SheetLot $l): array => ['lot' => $l, 'count' => $this->count($l->uid)], $this->sheetLots()),
                fn (array $one): bool => $one['count'] > 0,
            ),
        );
        usort(
            $out,
            fn (array $a, array $b): int => [$b['lot']->thickness, $b['lot']->width * $b['lot']->depth] <=> [
                $a['lot']->thickness,
                $a['lot']->width * $a['lot']->depth,
            ],
        );

        return $out;
    }

    /** @return list<StockSheet> as pieces can be laid on them */
    public function sheets(): array
    {
        return array_map(
            fn (array $one): StockSheet => new StockSheet(
                $one['lot']->thickness,
                $one['lot']->width,
                $one['lot']->depth,
                min(self::MAX_SHEETS, $one['count']),
            ),
            $this->inStore(),
        );
    }

    /**
     * What does not fit together.
     *
     * @return list<InvalidValue> with JSON pointers
     */
    public function faults(): array
    {
        $faults = [];
        $known = array_column($this->lots, null, 'uid');
        $sums = [];
        foreach ($this->movements as $k => $movement) {
            $lot = $known[$movement->lot] ?? null;
            if ($lot === null) {
                $faults[] = new InvalidValue('There is no such lot.', "/movements/{$k}/lot");

                continue;
            }
            if ($lot instanceof SheetLot && (floor($movement->by) !== $movement->by || abs($movement->by) > self::MAX_SHEETS)) {
                $faults[] = new InvalidValue('A movement is of 1 to '.self::MAX_SHEETS.' sheets, whole ones.', "/movements/{$k}/by");
            }
            $sums[$movement->lot] = ($sums[$movement->lot] ?? 0.0) + $movement->by;
            if ($sums[$movement->lot] < -self::ROUNDING) {
                $faults[] = new InvalidValue('More is taken than there was.', "/movements/{$k}/by");
            }
        }
        $units = [];
        foreach ($this->lots as $k => $lot) {
            if ($lot instanceof MaterialLot) {
                $units[$lot->material] ??= $lot->unit;
                if ($units[$lot->material] !== $lot->unit) {
                    $faults[] = new InvalidValue("Another lot of {$lot->material} is in {$units[$lot->material]}.", "/lots/{$k}/unit");
                }
            }
        }

        return $faults;
    }
}
