<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\MaterialAmount;

/** What a move cannot begin without: so much of a material is not there. */
final readonly class Shortage
{
    public function __construct(public string $material, public float $missing, public string $unit)
    {
    }

    /** “short of 14 ml white glue” */
    public function words(): string
    {
        [$figure, $unit] = MaterialAmount::shown($this->missing, $this->unit);

        return "short of {$figure} {$unit} {$this->material}";
    }
}
