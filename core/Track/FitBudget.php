<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Refusal;

/** How much reckoning the lines of one file may take: counted in products, never in time, so that it is the same on every machine. */
final class FitBudget
{
    /** A line of five pieces through a thousand points takes a fiftieth of it, one that is no track all of it, in some seconds. */
    public const PRODUCTS = 80_000_000.0;

    public function __construct(private float $left = self::PRODUCTS)
    {
    }

    /** @throws Refusal when it is used up */
    public function spend(float $products): void
    {
        $this->left -= $products;
        if ($this->left < 0.0) {
            throw new Refusal('These lines are too rough to be track: no tangents and arcs lie near them.', 'points');
        }
    }

    public function left(): float
    {
        return $this->left;
    }
}
