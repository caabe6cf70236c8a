<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** A scale of 1:ratio. Prototype and model lengths are both in mm. */
final readonly class Scale
{
    /** Ratios in common use. */
    public const PRESETS = [220.0, 160.0, 148.0, 120.0, 87.1, 76.2, 64.0, 48.0, 43.5, 32.0, 22.5];

    private function __construct(public float $ratio)
    {
    }

    /** @throws InvalidValue for a ratio under 1 or over 1000 */
    public static function oneTo(float $ratio): self
    {
        return new self(InvalidValue::unlessBetween($ratio, 1.0, 1000.0, 'The scale ratio', '', 'ratio'));
    }

    public function toModel(float $prototypeMm): float
    {
        return $prototypeMm / $this->ratio;
    }

    public function toPrototype(float $modelMm): float
    {
        return $modelMm * $this->ratio;
    }

    public function label(): string
    {
        return '1:'.Decimal::trimmed($this->ratio, 2);
    }
}
