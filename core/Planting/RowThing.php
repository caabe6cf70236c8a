<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** One thing of a row where it stands: station along the row, place and heading in layout coordinates, height in mm of the model. */
final readonly class RowThing
{
    public function __construct(
        public float $station,
        public float $x,
        public float $y,
        public float $headingRad,
        public float $height,
        public RowRole $role,
        public ?string $section,
    ) {
    }
}
