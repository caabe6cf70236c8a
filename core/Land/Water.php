<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** Water that lies on the land: where it stands, and how deep. Section coordinates, mm. */
interface Water
{
    /** Level of the water at a place; null where there is none. */
    public function waterAt(float $x, float $y): ?float;

    /** How far outside its bank a place lies, mm; less than nothing within it. */
    public function beyond(float $x, float $y): float;

    /** How deep the water is at a place whose height is known, mm; less than nothing where there is none. */
    public function under(float $x, float $y, float $height): float;
}
