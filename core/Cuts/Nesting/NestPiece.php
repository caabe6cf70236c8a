<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\InvalidValue;

/** A piece to be laid on a sheet: its outline counter-clockwise, then its holes, mm. It is never turned over. */
final readonly class NestPiece
{
    /** @var non-empty-list<list<array{float, float}>> */
    public array $rings;

    public float $area;

    /**
     * @param  list<list<array{float, float}>>  $rings
     *
     * @throws InvalidValue naming the ring
     */
    public function __construct(
        public string $id,
        array $rings,
    ) {
        if ($rings === []) {
            throw new InvalidValue("Piece “{$id}” has no outline.", 'rings');
        }
        $area = 0.0;
        foreach ($rings as $k => $ring) {
            if (count($ring) < 3) {
                throw new InvalidValue("A ring of piece “{$id}” has fewer than three points.", "rings/{$k}");
            }
            foreach ($ring as [$x, $y]) {
                InvalidValue::unlessBetween($x, -1e6, 1e6, 'x', 'mm', "rings/{$k}");
                InvalidValue::unlessBetween($y, -1e6, 1e6, 'y', 'mm', "rings/{$k}");
            }
            $area += ($k === 0 ? 1.0 : -1.0) * abs(Polygon::area($ring));
        }
        if ($area < 1e-3) {
            throw new InvalidValue("Piece “{$id}” has no area.", 'rings/0');
        }

        $this->rings = $rings;
        $this->area = $area;
    }
}
