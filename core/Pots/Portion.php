<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\Material;

/** So much of one material in a pot: what is used up, and what has to be there of what is taken up again. In g or ml. */
final readonly class Portion
{
    public function __construct(
        public string $material,
        public float $amount,
        public string $unit,
        public float $used,
        public ?float $density,
    ) {
    }

    public static function of(?Material $known, string $material, float $atHand, string $unit, float $used): self
    {
        return new self($material, $atHand, $unit, $used, $known?->density);
    }

    /** As a scale shows it; null where its density is not known. */
    public function grams(): ?float
    {
        return $this->unit === 'g' ? $this->amount : ($this->density === null ? null : $this->amount * $this->density);
    }

    /** Poured loosely; null where its density is not known. */
    public function ml(): ?float
    {
        return $this->unit === 'ml' ? $this->amount : ($this->density === null ? null : $this->amount / $this->density);
    }

    public function times(float $factor): self
    {
        return new self($this->material, $this->amount * $factor, $this->unit, $this->used * $factor, $this->density);
    }

    public function and(self $other): self
    {
        return new self($this->material, $this->amount + $other->amount, $this->unit, $this->used + $other->used, $this->density);
    }

    /** @return array{material: string, amount: float, unit: string} as a pot keeps it */
    public function part(): array
    {
        return ['material' => $this->material, 'amount' => $this->amount, 'unit' => $this->unit];
    }

    public function isWater(): bool
    {
        return in_array($this->material, ['water', 'wet water'], true);
    }

    public function isAlcohol(): bool
    {
        return str_starts_with($this->material, 'alcohol');
    }
}
