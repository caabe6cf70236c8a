<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** A solved ground, with what a next solution can begin from: how far each spot's spring multipliers it, mm. */
final readonly class GroundAnswer
{
    /** @param  list<float>  $multipliers */
    public function __construct(public Lattice $lattice, public array $multipliers)
    {
    }
}
