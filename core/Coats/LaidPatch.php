<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;

/** Where a pass of a coat was laid: rings in layout coordinates, mm. */
final readonly class LaidPatch
{
    /** @param  list<list<array{float, float}>>  $rings */
    public function __construct(public string $coat, public int $pass, public array $rings)
    {
    }

    public static function of(CoatApplication $laid): self
    {
        return new self($laid->coat, $laid->pass, $laid->rings);
    }

    /** @return list<list<array{float, float}>> section coordinates */
    public function ringsOn(Placement $placement): array
    {
        return CoatApplication::moved($this->rings, fn (Point $p): Point => $placement->toSection($p));
    }
}
