<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;

/**
 * The plate that a run lies on, cut to its outline in pieces that fit a sheet. Joints lie over risers; under each goes a splice
 * as wide as the plate but for a margin. Section coordinates and stations, mm.
 */
final readonly class TrackBase
{
    /** How long a splice is, and how far it stays within the plate's edges. */
    private const SPLICE_LENGTH_MM = 100.0;

    private const OUTLINE_STEP_MM = 4.0;

    /**
     * @param  list<array{name: string, from: float, to: float, ring: list<array{float, float}>}>  $pieces
     * @param  list<array{station: float, length: float, width: float}>  $splices
     */
    private function __construct(public array $pieces, public array $splices)
    {
    }

    /**
     * @param  array{float, float}  $over stations over the board
     * @param  list<Riser>  $risers
     * @param  float  $longest that a piece may be
     */
    public static function under(Run $run, array $over, array $risers, float $longest): self
    {
        $stations = array_map(fn (Riser $r): float => $r->station, $risers);
        $cuts = [$over[0]];
        while ($longest + 1e-6 < $over[1] - $cuts[count($cuts) - 1]) {
            $from = $cuts[count($cuts) - 1];
            $within = array_filter($stations, fn (float $s): bool => $s > $from + 1.0 && $s <= $from + $longest);
            $cuts[] = $within === [] ? $from + $longest : max($within);
        }
        $cuts[] = $over[1];
        $pieces = $splices = [];
        [$left, $right] = [$run->profile->halfWidth(Side::Left), $run->profile->halfWidth(Side::Right)];
        $side = fn (float $from, float $to, float $offset): array => array_map(
            fn (Point $p): array => [$p->x, $p->y],
            $run->alignment->polyline($from, $to, $offset, 0.1),
        );
        foreach (array_slice($cuts, 1) as $k => $to) {
            $pieces[] = [
                'name' => 'B'.($k + 1),
                'from' => $cuts[$k],
                'to' => $to,
                'ring' => [...$side($cuts[$k], $to, -$right), ...array_reverse($side($cuts[$k], $to, $left))],
            ];
            if ($to < $over[1] - 1e-6) {
                $splices[] = [
                    'station' => $to,
                    'length' => self::SPLICE_LENGTH_MM,
                    'width' => max(5.0, $left + $right - 2.0 * self::OUTLINE_STEP_MM),
                ];
            }
        }

        return new self($pieces, $splices);
    }

    /** @return list<Template> pieces and splices */
    public function templates(Run $run): array
    {
        $out = [];
        foreach ($this->pieces as $piece) {
            $middle = $run->alignment->pointAt(($piece['from'] + $piece['to']) / 2.0);
            $centre = array_map(fn (Point $p): array => [$p->x, $p->y], $run->alignment->polyline($piece['from'], $piece['to'], 0.0, 0.1));
            $out[] = new Template(
                $piece['name'],
                sprintf(
                    '%s, %s from station %s to %s',
                    $piece['name'],
                    $run->name,
                    Format::cell($piece['from']),
                    Format::cell($piece['to']),
                ),
                [$piece['ring']],
                [],
                [$centre],
                [],
                [[$middle->x, $middle->y, $piece['name']]],
            );
        }
        foreach ($this->splices as $k => $splice) {
            $name = 'S'.($k + 1);
            $ring = [[0.0, 0.0], [$splice['length'], 0.0], [$splice['length'], $splice['width']], [0.0, $splice['width']]];
            $out[] = new Template(
                $name,
                sprintf('%s, splice under the joint at %s', $name, Format::cell($splice['station'])),
                [$ring],
                [],
                [[[$splice['length'] / 2.0, 0.0], [$splice['length'] / 2.0, $splice['width']]]],
                [],
                [[4.0, 4.0, $name]],
            );
        }

        return $out;
    }
}
