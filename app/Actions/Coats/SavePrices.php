<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Actions\Ledger\NewRows;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Price as PriceRow;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\StockFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\PackPrice;

/** What packs of materials cost; an empty price takes it away. */
final readonly class SavePrices
{
    public function __construct(private Ledger $ledger, private NewRows $rows, private ProjectLoader $load, private Library $library)
    {
    }

    /** @param  array<string, mixed>  $input prices[k] with material, price, amount */
    public function keep(Layout $layout, array $input): void
    {
        $typed = new FormInput($input);
        $old = array_column(array_map(fn (PackPrice $p): array => [$p->material, $p], $this->load->works($layout)->prices), 1, 0);
        $set = $gone = [];
        foreach (array_keys($typed->list('prices')) as $k) {
            $material = $typed->text("prices.{$k}.material");
            if ($typed->text("prices.{$k}.price") === '') {
                $gone[] = $material;

                continue;
            }
            [$price, $amount] = [
                $typed->number("prices.{$k}.price"),
                $typed->amount(
                    "prices.{$k}.amount",
                    $this->library->materials[$material]->unit ?? '',
                    current: $old[$material]->amount ?? null,
                ),
            ];
            $set[] = function () use ($k, $material, $price, $amount, $old): PackPrice {
                try {
                    return new PackPrice(
                        $old[$material]->uid ?? $this->rows->uid(),
                        $material,
                        $amount,
                        (int) round(100.0 * $price),
                        $old[$material]->extra ?? [],
                    );
                } catch (InvalidValue $refusal) {
                    throw $refusal->within("prices/{$k}");
                }
            };
        }
        $prices = $typed->made(fn (): array => array_map(fn (callable $make): PackPrice => $make(), $set));
        $this->ledger->record($layout, 'Prices set', function (ChangeSet $changes) use ($layout, $prices, $gone, $old): void {
            foreach ($prices as $price) {
                $values = StockFile::fromPrice($price);
                isset($old[$price->material])
                    ? $changes->save($layout->prices()->where('uid', $price->uid)->firstOrFail()->keep($values))
                    : $this->rows->add($changes, $layout, PriceRow::class, $values);
            }
            foreach (array_intersect_key($old, array_flip($gone)) as $price) {
                $changes->delete($layout->prices()->where('uid', $price->uid)->firstOrFail());
            }
        });
    }
}
