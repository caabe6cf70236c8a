<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\Polygon;

/** The part of a section that a strip takes up, section coordinates, mm. */
final readonly class Strip
{
    public function __construct(public float $x1 = -INF, public float $x2 = INF, public float $y1 = -INF, public float $y2 = INF)
    {
    }

    public function and(self $other): self
    {
        return new self(max($this->x1, $other->x1), min($this->x2, $other->x2), max($this->y1, $other->y1), min($this->y2, $other->y2));
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @return list<list<array{float, float}>> what of them lies within
     */
    public function of(array $rings): array
    {
        $far = fn (float $v): float => is_finite($v) ? $v : ($v < 0.0 ? -1e6 : 1e6);
        $out = [];
        foreach ($rings as $ring) {
            $kept = Polygon::within($ring, $far($this->x1), $far($this->y1), $far($this->x2), $far($this->y2));
            if ($kept !== []) {
                $out[] = $kept;
            }
        }

        return $out;
    }
}
