<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/** A cup, jar or bowl to mix in: what it holds, and what it weighs empty. */
final readonly class Cup
{
    /** @throws InvalidValue */
    public function __construct(public string $name, public float $ml, public ?float $tare = null)
    {
        if (trim($name) === '' || mb_strlen($name) > 40) {
            throw new InvalidValue('A cup has a name of 1 to 40 characters.', 'name');
        }
        // A smaller one holds no spoon.
        InvalidValue::unlessBetween($ml, 5.0, 100_000.0, 'The cup', 'ml', 'ml');
        if ($tare !== null) {
            InvalidValue::unlessBetween($tare, 0.0, 20_000.0, 'The empty cup', 'g', 'tare_g');
        }
    }
}
