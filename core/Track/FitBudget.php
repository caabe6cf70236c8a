<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

/**
 * How much reckoning a line may take, its share of what a file may: counted in products, never in time, so that it is the same
 * on every machine.
 */
final class FitBudget
{
    /** A line of five pieces through a thousand points takes a hundredth of it. */
    public const MAX_PRODUCTS = 150_000_000.0;

    public function __construct(private float $left = self::MAX_PRODUCTS)
    {
    }

    /** The share of one line among several of a file. */
    public static function among(int $lines): self
    {
        return new self(self::MAX_PRODUCTS / max(1, $lines));
    }

    /** @return bool whether there was as much left */
    public function spend(float $products): bool
    {
        $this->left -= $products;

        return $this->left >= 0.0;
    }

    public function left(): float
    {
        return $this->left;
    }
}
