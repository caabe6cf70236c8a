<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Measure\InvalidValue;

/** How a stand is planted. */
final readonly class PlantingRule
{
    public const MAX_SEED = 999_999;

    /**
     * @param  float  $spacing from stem to stem, in mean widths of the two crowns; crowns touch at 1
     * @param  float  $tallBehind how much of a tree's age goes by its distance from the viewing edges, 0 … 1; the rest is chance
     * @param  float  $dead share of the trees that stand dead, 0 … 1
     * @param  float  $steepestDeg no stem stands on steeper ground
     * @param  float  $clear mm between crowns and what passes or hangs there
     *
     * @throws InvalidValue
     */
    public function __construct(
        public StandPattern $pattern = StandPattern::Wood,
        public float $spacing = 0.8,
        public float $tallBehind = 0.6,
        public float $dead = 0.05,
        public float $steepestDeg = 40.0,
        public float $clear = 3.0,
        public int $seed = 1,
    ) {
        InvalidValue::unlessBetween($spacing, 0.2, 10.0, 'The spacing, in widths of a crown,', '', 'spacing');
        InvalidValue::unlessBetween($tallBehind, 0.0, 1.0, 'What goes by distance', '', 'tall_behind');
        InvalidValue::unlessBetween($dead, 0.0, 1.0, 'The dead share', '', 'dead');
        InvalidValue::unlessBetween($steepestDeg, 1.0, 89.0, 'The steepest ground', '°', 'steepest_deg');
        InvalidValue::unlessBetween($clear, 0.0, 200.0, 'The room beside crowns', 'mm', 'clear_mm');
        InvalidValue::unlessBetween((float) $seed, 0.0, (float) self::MAX_SEED, 'The seed', '', 'seed');
    }

    public function seeded(int $seed): self
    {
        return new self($this->pattern, $this->spacing, $this->tallBehind, $this->dead, $this->steepestDeg, $this->clear, $seed);
    }
}
