<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/** What a shop sells of a material: how much is in it, its price in the currency's smallest unit, and the most that can be had of it. */
final readonly class PurchasePack
{
    /**
     * @param  int|null  $available null without limit
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $id,
        public string $for,
        public int $amount,
        public int $price,
        public ?int $available = null,
        public string $supplier = '',
    ) {
        if (trim($id) === '') {
            throw new InvalidValue('A pack has an id.', 'id');
        }
        InvalidValue::unlessBetween($amount, 1, PurchaseNeed::MAX_AMOUNT, 'What is in the pack', '', 'amount');
        InvalidValue::unlessBetween($price, 0, PackPrice::MAX_MINOR, 'The price', '', 'price');
        if ($available !== null) {
            InvalidValue::unlessBetween($available, 0, 1_000_000, 'What can be had', '', 'available');
        }
    }
}
