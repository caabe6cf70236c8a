<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Measure\InvalidValue;

/** A kind of tree or shrub as it grows outdoors: metres, from a young one to an old one; and how many parts of a mix it is. */
final readonly class Species
{
    public string $name;

    /**
     * @throws InvalidValue
     */
    public function __construct(
        string $name,
        public TreeForm $form,
        public float $lowM,
        public float $highM,
        public float $crownLowM,
        public float $crownHighM,
        public float $parts = 1.0,
    ) {
        if (trim($name) === '' || mb_strlen($name) > 40) {
            throw new InvalidValue('A species needs a name of 1 to 40 characters.', 'name');
        }
        foreach (['height_m/0' => $lowM, 'height_m/1' => $highM] as $at => $value) {
            if ($value <= 0.0) {
                throw new InvalidValue("How high is a {$name}, young and old? In metres outdoors.", $at);
            }
            InvalidValue::unlessBetween($value, 0.2, 60.0, 'The height outdoors', 'm', $at);
        }
        foreach (['crown_m/0' => $crownLowM, 'crown_m/1' => $crownHighM] as $at => $value) {
            InvalidValue::unlessBetween($value, 0.1, 40.0, 'The width of the crown outdoors', 'm', $at);
        }
        if ($highM < $lowM) {
            throw new InvalidValue('An old one is at least as high as a young one.', 'height_m/1');
        }
        if ($crownHighM < $crownLowM) {
            throw new InvalidValue('The crown of an old one is at least as wide as that of a young one.', 'crown_m/1');
        }
        InvalidValue::unlessBetween($parts, 0.0, 1000.0, 'The parts', '', 'parts');
        $this->name = trim($name);
    }

    /**
     * @param  float  $age 0 young … 1 old
     * @return array{float, float} height and width of the crown outdoors, m
     */
    public function at(float $age): array
    {
        return [
            $this->lowM + $age * ($this->highM - $this->lowM),
            $this->crownLowM + $age * ($this->crownHighM - $this->crownLowM),
        ];
    }

    /** Width of the crown outdoors at a height, m. */
    public function crownAt(float $heightM): float
    {
        $age = $this->highM > $this->lowM ? ($heightM - $this->lowM) / ($this->highM - $this->lowM) : 1.0;

        return $this->at(max(0.0, min(1.0, $age)))[1];
    }
}
