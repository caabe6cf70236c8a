<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/**
 * One piece and what it is glued on: area in mm², half-width of the joint in mm, days that adhesive would take, the glue for it and why,
 * ml.
 */
final readonly class GlueJoint
{
    public function __construct(
        public string $piece,
        public string $on,
        public float $area,
        public float $half,
        public float $days,
        public string $glue,
        public string $why,
        public float $ml,
    ) {
    }
}
