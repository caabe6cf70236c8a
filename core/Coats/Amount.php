<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** So much of a material is used up, waste included; `recovered` is the share of what is put on that comes off again. */
final readonly class Amount
{
    public function __construct(public string $material, public float $amount, public string $unit, public float $recovered = 0.0)
    {
    }

    /** What has to lie ready: more than is used up, where loose material is laid on thick and taken up again. */
    public function atHand(): float
    {
        return $this->amount / (1.0 - $this->recovered);
    }

    /**
     * Sums by material and unit.
     *
     * @param list<self> $amounts
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
