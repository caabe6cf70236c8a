<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Track\Run;

/**
 * The place that is meant by one near it: a corner of the board, an end of a run, a spot, a run's centreline or the board's
 * edge, in this order; section coordinates, mm.
 */
final readonly class Snap
{
    /** What is so near is meant, mm. */
    public const SNAP_DISTANCE_MM = 7.0;

    private function __construct(public Point $at, public ?string $to, public ?Run $run = null, public float $station = 0.0)
    {
    }

    /**
     * @param  list<Run>  $runs
     * @param  list<Point>  $spots
     */
    public static function near(Point $p, float $width, float $depth, array $runs, array $spots = []): self
    {
        foreach ([[0.0, 0.0], [$width, 0.0], [$width, $depth], [0.0, $depth]] as [$x, $y]) {
            if (hypot($p->x - $x, $p->y - $y) <= self::SNAP_DISTANCE_MM) {
                return new self(new Point($x, $y), 'corner');
            }
        }
        foreach ($runs as $run) {
            foreach ([0.0, $run->alignment->length] as $station) {
                $end = $run->alignment->pointAt($station);
                if ($end->distanceTo($p) <= self::SNAP_DISTANCE_MM) {
                    return new self($end, 'end', $run, $station);
                }
            }
        }
        foreach ($spots as $spot) {
            if ($spot->distanceTo($p) <= self::SNAP_DISTANCE_MM) {
                return new self($spot, 'spot');
            }
        }
        $nearest = null;
        foreach ($runs as $run) {
            $place = $run->alignment->nearest($p);
            if (
                abs($place['offset']) <= self::SNAP_DISTANCE_MM &&
                ($nearest === null || abs($place['offset']) < abs($nearest[1]['offset']))
            ) {
                $nearest = [$run, $place];
            }
        }
        if ($nearest !== null) {
            return new self($nearest[0]->alignment->pointAt($nearest[1]['station']), 'run', $nearest[0], $nearest[1]['station']);
        }
        $x = $p->x <= self::SNAP_DISTANCE_MM ? 0.0 : ($p->x >= $width - self::SNAP_DISTANCE_MM ? $width : $p->x);
        $y = $p->y <= self::SNAP_DISTANCE_MM ? 0.0 : ($p->y >= $depth - self::SNAP_DISTANCE_MM ? $depth : $p->y);

        return new self(new Point($x, $y), $x !== $p->x || $y !== $p->y ? 'edge' : null);
    }
}
