<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** A part of the land that has something in common: its rings (outlines counter-clockwise, holes clockwise) and true area, mm². */
final readonly class LandClass
{
    /** @param  list<list<array{float, float}>>  $rings section coordinates */
    public function __construct(public string $name, public array $rings, public float $area)
    {
    }
}
