<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Measure\InvalidValue;

/** What lies in store: lots with all that came and went. */
final readonly class Store
{
    /**
     * @param  list<SheetLot>  $lots
     * @param  list<StockMovement>  $movements in their order
     */
    public function __construct(public array $lots = [], public array $movements = [])
    {
    }

    public function count(string $lot): int
    {
        return array_sum(array_map(fn (StockMovement $m): int => $m->lot === $lot ? $m->by : 0, $this->movements));
    }

    /** @return list<array{lot: SheetLot, count: int}> of which there are any, the thickest and largest first */
    public function inStore(): array
    {
        $out = array_values(
            array_filter(
                array_map(fn (SheetLot $l): array => ['lot' => $l, 'count' => $this->count($l->uid)], $this->lots),
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
                min(500, $one['count']),
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
        $known = array_map(fn (SheetLot $l): string => $l->uid, $this->lots);
        $counts = [];
        foreach ($this->movements as $k => $movement) {
            if (! in_array($movement->lot, $known, true)) {
                $faults[] = new InvalidValue('There is no such lot.', "/movements/{$k}/lot");

                continue;
            }
            $counts[$movement->lot] = ($counts[$movement->lot] ?? 0) + $movement->by;
            if ($counts[$movement->lot] < 0) {
                $faults[] = new InvalidValue('More is taken than there was.', "/movements/{$k}/by");
            }
        }

        return $faults;
    }
}
