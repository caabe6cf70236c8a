<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Shelf\Store;

/** What laying something took: from the pots that were mixed of it first, and of what stood in none from the lots themselves. */
final class StockDraw
{
    /** What pots and lots may be off by rounding. */
    private const ROUNDING = 1e-9;

    /**
     * No more than there is of a lot; of what was never put on the shelf nothing.
     *
     * @param  list<Mixture>  $cups what it takes by the cup
     * @return array<string, float> lot → how much of it
     */
    public static function of(Store $store, CoatApplication $laid, array $cups): array
    {
        $left = [];
        foreach ($laid->amounts as $one) {
            $left[$one->material] = ($left[$one->material] ?? 0.0) + $one->atHand();
        }
        $taken = [];
        foreach ($cups as $cup) {
            $share = 1.0;
            foreach (PotOffer::standing($store, $cup->key, $laid->startedAt) as ['pot' => $pot, 'left' => $there]) {
                $part = min($share, $there / max(self::ROUNDING, $cup->total()));
                if ($part > 0.0) {
                    $taken[$pot->uid] = ($taken[$pot->uid] ?? 0.0) + $part * $cup->total();
                    $share -= $part;
                }
            }
            foreach ($cup->portions as $portion) {
                $left[$portion->material] -= (1.0 - $share) * $portion->amount;
            }
        }
        foreach ($left as $material => $amount) {
            foreach ($amount > self::ROUNDING ? $store->draw((string) $material, $amount)[0] : [] as [$lot, $part]) {
                $taken[$lot->uid] = ($taken[$lot->uid] ?? 0.0) + $part;
            }
        }

        return $taken;
    }
}
