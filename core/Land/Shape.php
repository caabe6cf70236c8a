<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** Something that gives the natural ground another height within some reach of it; section coordinates, mm. */
interface Shape
{
    /** The height at a place where the ground was `$ground` before. */
    public function shape(float $x, float $y, float $ground): float;

    /**
     * The part of the plan that it can reach, given the lowest and highest ground there is.
     *
     * @return array{float, float, float, float} least x, least y, greatest x, greatest y
     */
    public function reach(float $lowest, float $highest): array;
}
