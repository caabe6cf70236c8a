<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Measure\InvalidValue;

/** What holds for all that grows on a layout: what things are built to at the far side, and where boards stand with their trees. */
final readonly class LayoutGrowth
{
    /**
     * @param  float  $farScale what of the scale things at the far side are built to; 1 without forced perspective
     * @param  float|null  $shelf clear height of the shelf in store, mm
     *
     * @throws InvalidValue
     */
    public function __construct(public float $farScale = 1.0, public ?float $shelf = null)
    {
        InvalidValue::unlessBetween($farScale, 0.4, 1.0, 'The scale at the far side', '', 'far_percent');
        if ($shelf !== null) {
            InvalidValue::unlessBetween($shelf, 50.0, 4000.0, 'The clear height of the shelf', 'mm', 'shelf_mm');
        }
    }
}
