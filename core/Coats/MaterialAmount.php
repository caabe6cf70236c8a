<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;

/** So much of a material is used up, waste included; `recovered` is the share of what is put on that comes off again. */
final readonly class MaterialAmount
{
    public function __construct(public string $material, public float $amount, public string $unit, public float $recovered = 0.0)
    {
    }

    /** What has to lie ready: more than is used up, where loose material is laid on thick and taken up again. */
    public function atHand(): float
    {
        return $this->amount / (1.0 - $this->recovered);
    }

    /** @return array{string, string} what has to lie ready, or what is used up of it, as it is shown */
    public function words(bool $ready = true): array
    {
        return self::shown($ready ? $this->atHand() : $this->amount, $this->unit);
    }

    /**
     * As a person weighs it out, in the units in use: pieces whole, small amounts to a tenth.
     *
     * @return array{string, string} figure and unit
     */
    public static function shown(float $amount, string $unit): array
    {
        return match ($unit) {
            'pcs' => [Decimal::trimmed(ceil($amount - 1e-6), 0), $unit],
            'm²' => Format::parts($amount, $unit, 2),
            default => Format::parts($amount, $unit, $amount < 10.0 ? 1 : 0),
        };
    }

    /**
     * Sums by material and unit.
     *
     * @param  list<self>  $amounts
     * @return list<self>
     */
    public static function sum(array $amounts): array
    {
        $sums = [];
        foreach ($amounts as $one) {
            $key = "{$one->material}|{$one->unit}|{$one->recovered}";
            $sums[$key] = new self($one->material, ($sums[$key]->amount ?? 0.0) + $one->amount, $one->unit, $one->recovered);
        }

        return array_values($sums);
    }
}
