<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use Closure;
use IdleRidge\Core\Geometry\HeightMesh;

/** What a zone's rule says of a section: positive inside, on a mesh that is so many times finer than the land's, and at any place. */
final readonly class ZoneField
{
    /** @param  Closure(float, float): float  $at */
    public function __construct(public HeightMesh $mesh, public Closure $at, public int $finer)
    {
    }
}
