<?php

declare(strict_types=1);

namespace App\Actions\Shelf;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\BenchFile;
use IdleRidge\Core\Interchange\ShelfCsv;
use IdleRidge\Core\Interchange\StockFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\Cup;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\ShelfRules;

/** Shopping: ticking a pack makes its lot; price list and stock come in as tables; when one shops, for how much, and into which cups. */
final readonly class SaveShopping
{
    public function __construct(
        private Ledger $ledger,
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShelfRows $rows,
        private Library $library,
    ) {
    }

    /** @param  array<string, mixed>  $input price (its uid), count */
    public function bought(Layout $layout, array $input): MaterialLot
    {
        $typed = new FormInput($input);
        $price = array_column($this->load->works($layout)->prices, null, 'uid')[$typed->text('price')]
            ?? throw new InvalidValue('That pack is no longer in the price list.', 'price');
        $count = $typed->made(
            fn (): int => (int) InvalidValue::unlessBetween($typed->number('count', 1.0), 1.0, 500.0, 'The number of packs', '', 'count'),
        );
        $sentence = "Bought: {$count} × {$price->material}";
        $this->ledger->unlessDone($layout, $sentence);
        $material = $this->library->materials[$price->material] ?? throw new InvalidValue('There is no such material.', 'price');
        $now = $this->desk->minute();
        $lot = new MaterialLot(
            $this->rows->uid(),
            $price->material,
            $material->unit,
            $price->amount,
            $price->minor * $count,
            $price->supplier,
            boughtOn: (new DateTimeImmutable('@'.$now * 60))->setTimezone(new DateTimeZone($layout->zone))->format('Y-m-d'),
            keepsDays: $material->keepsDays,
        );
        $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($layout, $lot, $price, $count, $now): void {
            $this->rows->add($changes, $layout, $lot);
            $this->rows->move($changes, $layout, $lot->uid, $price->amount * $count, MovementCause::Bought, $now);
            if ($price->available !== null) {
                $row = $layout->prices()->where('uid', $price->uid)->firstOrFail();
                $left = new PackPrice(
                    $price->uid,
                    $price->material,
                    $price->amount,
                    $price->minor,
                    $price->extra,
                    $price->supplier,
                    max(0, $price->available - $count),
                );
                $changes->add($row->keep(StockFile::fromPrice($left)));
            }
        });

        return $lot;
    }

    /** @return int how many packs the list has now */
    public function prices(Layout $layout, string $csv): int
    {
        $new = (new ShelfCsv($this->library->materials))->readPrices($csv, $this->rows->uid(...));
        $this->ledger->record($layout, 'Price list taken in', function (ChangeSet $changes) use ($layout, $new): void {
            $old = [];
            foreach ($this->load->works($layout)->prices as $price) {
                $old[$price->key()] = $price;
            }
            foreach ($new as $price) {
                $had = $old[$price->key()] ?? null;
                if ($had === null) {
                    $this->rows->price($changes, $layout, $price);
                } else {
                    $values = ['uid' => $had->uid] + StockFile::fromPrice($price) + $had->extra;
                    $changes->add($layout->prices()->where('uid', $had->uid)->firstOrFail()->keep($values));
                }
            }
        });

        return count($new);
    }

    /**
     * The price list as a form has it: a row without a price is taken away.
     *
     * @param  array<string, mixed>  $input prices[k] with uid (empty for a new one), material, amount, price, supplier, available
     */
    public function keepPrices(Layout $layout, array $input): void
    {
        $typed = new FormInput($input);
        $old = array_column($this->load->works($layout)->prices, null, 'uid');
        $rows = $typed->made(function () use ($typed, $old): array {
            $rows = [];
            foreach (array_keys($typed->list('prices')) as $k) {
                $at = fn (string $field): string => "prices.{$k}.{$field}";
                $had = $old[$typed->text($at('uid'))] ?? null;
                if ($typed->text($at('price')) === '' && $typed->text($at('amount')) === '') {
                    $rows[] = [$had, null];

                    continue;
                }
                try {
                    $rows[] = [$had, $this->typed($typed, $at, $had)];
                } catch (InvalidValue $refusal) {
                    throw $refusal->within("prices/{$k}");
                }
            }

            return $rows;
        });
        $this->ledger->record($layout, 'Price list changed', function (ChangeSet $changes) use ($layout, $rows): void {
            foreach ($rows as [$had, $price]) {
                $row = $had === null ? null : $layout->prices()->where('uid', $had->uid)->firstOrFail();
                match (true) {
                    $price === null => $row === null ?: $changes->delete($row),
                    $row === null => $this->rows->price($changes, $layout, $price),
                    default => $changes->save($row->keep(StockFile::fromPrice($price))),
                };
            }
        });
    }

    /** @param  callable(string): string  $at */
    private function typed(FormInput $typed, callable $at, ?PackPrice $had): PackPrice
    {
        $material = $typed->text($at('material'));
        if (! isset($this->library->materials[$material])) {
            throw new InvalidValue($material === '' ? 'Which material is it?' : "There is no material “{$material}”.", 'material');
        }
        $available = $typed->text($at('available'));

        return new PackPrice(
            $had->uid ?? $this->rows->uid(),
            $material,
            $typed->amount($at('amount'), $this->library->materials[$material]->unit, current: $had?->amount, decimals: 3),
            (int) round(100.0 * $typed->number($at('price'))),
            $had->extra ?? [],
            $typed->text($at('supplier')),
            $available === '' ? null : (int) $typed->number($at('available')),
        );
    }

    /** @return int how many lots came in or were counted */
    public function stock(Layout $layout, string $csv): int
    {
        return $this->ledger->record($layout, 'Stock taken in', function (ChangeSet $changes) use ($layout, $csv): int {
            $store = $this->load->works($layout)->store;
            $known = array_column($store->materials(), 'uid');
            $rows = (new ShelfCsv($this->library->materials))->readStock($csv, $store, $this->rows->uid(...));
            foreach ($rows as ['lot' => $lot, 'amount' => $amount]) {
                $old = in_array($lot->uid, $known, true);
                $old ? $this->rows->change($changes, $layout, $lot) : $this->rows->add($changes, $layout, $lot);
                $by = $amount - $store->amount($lot->uid);
                // What a table rounds is no movement.
                if (abs($by) > 5e-4) {
                    $cause = $old ? MovementCause::Counted : MovementCause::Bought;
                    $this->rows->move($changes, $layout, $lot->uid, $by, $cause, $this->desk->minute());
                }
            }

            return count($rows);
        });
    }

    /** @param  array<string, mixed>  $input shop_on, budget, carriage[k] with supplier and minor, cups[k] with name, ml, tare_g */
    public function rules(Layout $layout, array $input): void
    {
        $typed = new FormInput($input);
        $bench = ProjectLoader::sheet($layout)->bench;
        $old = $bench->shelf;
        $now = new DateTimeImmutable('@'.$this->desk->minute() * 60);
        $carriage = [];
        foreach (array_keys($typed->list('carriage')) as $k) {
            if ($typed->text("carriage.{$k}.minor") !== '') {
                $carriage[$typed->text("carriage.{$k}.supplier")] = (int) round(100.0 * $typed->number("carriage.{$k}.minor"));
            }
        }
        $rules = $typed->made(function () use ($typed, $old, $now, $carriage): ShelfRules {
            $cups = [];
            foreach (array_keys($typed->list('cups')) as $k) {
                $was = $old->cups[$k] ?? null;
                if ($typed->text("cups.{$k}.name").$typed->text("cups.{$k}.ml") !== '') {
                    $tare = $typed->text("cups.{$k}.tare_g") === '' ? null : $typed->amount(
                        "cups.{$k}.tare_g",
                        'g',
                        current: $was?->tare,
                        decimals: 1,
                    );
                    try {
                        $cups[] = new Cup(
                            $typed->text("cups.{$k}.name"),
                            $typed->amount("cups.{$k}.ml", 'ml', current: $was?->ml, decimals: 1),
                            $tare,
                        );
                    } catch (InvalidValue $refusal) {
                        throw $refusal->within("cups/{$k}");
                    }
                }
            }

            return $old->but(
                shopOn: $typed->has('shop_on') ? ($typed->text('shop_on') === '' ? null : $typed->day('shop_on', $now)) : $old->shopOn,
                budget: match (true) {
                    ! $typed->has('budget') => $old->budget,
                    $typed->text('budget') === '' => null,
                    default => (int) round(100.0 * $typed->number('budget')),
                },
                carriage: $typed->has('carriage') ? $carriage : $old->carriage,
                cups: $typed->has('cups') ? $cups : $old->cups,
            );
        });
        $this->ledger->record($layout, 'Shopping and cups set', function (ChangeSet $changes) use ($layout, $bench, $rules): void {
            $layout->bench = BenchFile::fromRules($bench->but(shelf: $rules));
            $changes->save($layout);
        });
    }
}
