<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/** So much of a material is wanted and so much of it is there, in whole units of its own. */
final readonly class PurchaseNeed
{
    public const MAX_AMOUNT = 10_000_000;

    /** @throws InvalidValue */
    public function __construct(public string $id, public int $amount, public int $inStore = 0)
    {
        if (trim($id) === '') {
            throw new InvalidValue('A need has an id.', 'id');
        }
        InvalidValue::unlessBetween($amount, 0, self::MAX_AMOUNT, 'What is needed', '', 'amount');
        InvalidValue::unlessBetween($inStore, 0, self::MAX_AMOUNT, 'What is in store', '', 'in_store');
    }

    public function open(): int
    {
        return max(0, $this->amount - $this->inStore);
    }
}
