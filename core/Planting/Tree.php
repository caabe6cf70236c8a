<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;

/** One tree of a stand: its stem in layout coordinates, its height over the ground and the width of its crown, mm of the model. */
final readonly class Tree
{
    /** A stem is as thick as such a share of its height, and no thinner than a wire, mm. */
    private const SLENDERNESS = 1.0 / 35.0;

    private const THINNEST_STEM_MM = 1.0;

    /** Decimals in which it is kept: what stood free still does, as far as `Obstacles::EXACT_MM` sees. */
    private const PLACES = 3;

    /**
     * @param  int  $species number in the stand's mix
     * @param  bool  $fixed stays where it is when the stand is planted anew
     *
     * @throws InvalidValue
     */
    public function __construct(
        public float $x,
        public float $y,
        public int $species,
        public float $height,
        public float $crown,
        public bool $dead = false,
        public bool $fixed = false,
    ) {
        InvalidValue::unlessBetween($x, -100_000.0, 100_000.0, 'x', 'mm', 'x');
        InvalidValue::unlessBetween($y, -100_000.0, 100_000.0, 'y', 'mm', 'y');
        InvalidValue::unlessBetween($height, 1.0, 1500.0, 'The height of a tree', 'mm', 'height');
        InvalidValue::unlessBetween($crown, 0.5, 600.0, 'The crown', 'mm', 'crown');
    }

    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }

    /** The same, which was told in a section's coordinates, in those of the layout, as exact as it is kept. */
    public function placed(Placement $placement): self
    {
        $there = $placement->toLayout(new Point($this->x, $this->y));

        return $this->but(
            x: round($there->x, self::PLACES),
            y: round($there->y, self::PLACES),
            height: round($this->height, self::PLACES),
            crown: round($this->crown, self::PLACES),
        );
    }

    /** Thickness of the stem at its foot, mm. */
    public function stem(): float
    {
        return max(self::THINNEST_STEM_MM, $this->height * self::SLENDERNESS);
    }
}
