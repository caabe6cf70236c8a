<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/**
 * One place that grading changed: height, what it is (constants of Grading), and the run that ruled it with station and
 * signed offset. `gap` is what separates it: on a formation the difference of overlapping levels, at a wall its
 * height, in cut and fill the depth; mm.
 */
final readonly class Graded
{
    public function __construct(
        public float $height,
        public int $kind,
        public int $run,
        public float $station,
        public float $offset,
        public float $gap,
    ) {
    }
}
