<?php

declare(strict_types=1);

namespace App\Actions\Shelf;

use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\NewRows;
use App\Models\Layout;
use App\Models\Lot as LotRow;
use App\Models\Movement as MovementRow;
use App\Models\Price as PriceRow;
use IdleRidge\Core\Interchange\StockFile;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;

/** Rows of the shelf: lots, and movements, which are only ever added. */
final readonly class ShelfRows
{
    public function __construct(private NewRows $rows)
    {
    }

    public function uid(): string
    {
        return $this->rows->uid();
    }

    public function add(ChangeSet $changes, Layout $layout, MaterialLot|Pot $lot): void
    {
        $this->rows->add($changes, $layout, LotRow::class, StockFile::fromLot($lot));
    }

    public function price(ChangeSet $changes, Layout $layout, PackPrice $price): void
    {
        $this->rows->add($changes, $layout, PriceRow::class, StockFile::fromPrice($price));
    }

    public function change(ChangeSet $changes, Layout $layout, MaterialLot|Pot $lot): void
    {
        $changes->add(
            $layout
                ->lots()
                ->where('uid', $lot->uid)
                ->firstOrFail()
                ->keep(StockFile::fromLot($lot)),
        );
    }

    public function move(
        ChangeSet $changes,
        Layout $layout,
        string $lot,
        float $by,
        MovementCause $cause,
        int $at,
        ?string $for = null,
    ): void {
        if ($by !== 0.0) {
            $this->rows->add(
                $changes,
                $layout,
                MovementRow::class,
                StockFile::fromMovement(new StockMovement($this->rows->uid(), $lot, $by, $cause, null, $at, for: $for)),
            );
        }
    }

    /**
     * Taken from lots: what was closed is open from then on.
     *
     * @param  array<string, float>  $taken lot → how much
     */
    public function take(ChangeSet $changes, Layout $layout, Store $store, array $taken, MovementCause $cause, int $at, string $for): void
    {
        $lots = array_column($store->materials(), null, 'uid');
        foreach ($taken as $uid => $amount) {
            $lot = $lots[$uid] ?? null;
            if ($lot !== null && $lot->openedAt === null && ! $lot->recovered) {
                $this->change($changes, $layout, $lot->but(openedAt: $at));
            }
            $this->move($changes, $layout, (string) $uid, -$amount, $cause, $at, $for);
        }
    }
}
