<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\Format;

/**
 * A block under a run: its station, height over the board at the centreline, bevel of its top along the run (degrees, positive
 * uphill), what it reaches to the left and right of the centreline, and the sheets that are stacked to it; mm.
 */
final readonly class Riser
{
    public function __construct(
        public float $station,
        public float $height,
        public float $bevelDeg,
        public float $left,
        public float $right,
        public SheetPacking $of,
    ) {
    }

    public function width(): float
    {
        return $this->left + $this->right;
    }

    /** Its face across the run, standing on the board: a template of what is cut. */
    public function template(string $name): Template
    {
        $face = [[0.0, 0.0], [$this->width(), 0.0], [$this->width(), $this->height], [0.0, $this->height]];

        return new Template(
            $name,
            sprintf(
                '%s, at station %s, %s high, top bevelled %.1f degrees',
                $name,
                Format::cell($this->station),
                Format::length($this->height, 1),
                $this->bevelDeg,
            ),
            [$face],
            [],
            [[[$this->left, 0.0], [$this->left, $this->height]]],
            [],
            [[$this->left + 2.0, $this->height / 2.0, $name]],
        );
    }
}
