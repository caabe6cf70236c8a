<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * What goes into coats: the unit it is measured in, density (g/ml, null where it is counted or only weighed), share of it that stays once
 * dry, what it is in the hand, and how long it keeps once it is open (days; null for what does not spoil).
 */
final readonly class Material
{
    /**
     * @throws InvalidValue
     */
    public function __construct(
        public string $name,
        public string $unit,
        public ?float $density,
        public float $solids,
        public MaterialForm $form = MaterialForm::Liquid,
        public ?int $keepsDays = null,
    ) {
        if (! in_array($unit, Ingredient::UNITS, true)) {
            throw new InvalidValue('an amount is in '.implode(', ', Ingredient::UNITS), 'unit');
        }
        if ($density !== null) {
            InvalidValue::unlessBetween($density, 0.005, 12.0, 'The density', 'g/ml', 'density_g_ml');
        }
        InvalidValue::unlessBetween($solids, 0.0, 1.0, 'What stays', '', 'solids');
        if ($keepsDays !== null) {
            InvalidValue::unlessBetween($keepsDays, 1, 36_500, 'What it keeps', 'days', 'keeps_days');
        }
    }

    /** The same as it is weighed, whatever it is measured in. */
    public function weighed(): self
    {
        return new self($this->name, 'g', $this->density, $this->solids, $this->form, $this->keepsDays);
    }

    /** Grams of an amount, wet as it is laid or once it is dry; null where neither mass nor density is known. */
    public function grams(float $amount, string $unit, bool $dry): ?float
    {
        $grams = match ($unit) {
            'g' => $amount,
            'ml' => $this->density === null ? null : $amount * $this->density,
            default => null,
        };

        return $grams === null ? null : $grams * ($dry ? $this->solids : 1.0);
    }
}
