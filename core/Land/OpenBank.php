<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** A bank that is drawn along the edge of its board is none: the water goes on there, and the board cuts it off. */
final class OpenBank
{
    /** A corner of the bank so near an edge lies on it, mm: no strip of land as narrow as that stands. */
    private const ON_EDGE_MM = 3.0;

    /**
     * A ring whose stretches along the edges of a board lie so far beyond them instead.
     *
     * @param  non-empty-list<array{float, float}>  $ring counter-clockwise, section coordinates
     * @return non-empty-list<array{float, float}>
     */
    public static function past(array $ring, float $width, float $depth, float $by): array
    {
        $n = count($ring);
        $beyond = array_map(fn (int $k): ?array => self::outward($ring[$k], $ring[($k + 1) % $n], $width, $depth), range(0, $n - 1));
        $out = [];
        foreach ($ring as $k => [$x, $y]) {
            [$before, $after] = [$beyond[($k + $n - 1) % $n], $beyond[$k]];
            $moved = fn (array $way): array => [$x + $by * $way[0], $y + $by * $way[1]];
            $points = match (true) {
                $before === null && $after === null => [[$x, $y]],
                $before === null => [[$x, $y], $moved($after)],
                $after === null => [$moved($before), [$x, $y]],
                $before === $after => [$moved($after)],
                default => [$moved([$before[0] + $after[0], $before[1] + $after[1]])],
            };
            array_push($out, ...$points);
        }

        return $out;
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return array{float, float}|null the way out over the edge along which a stretch of the bank lies; null where it lies along none
     */
    private static function outward(array $a, array $b, float $width, float $depth): ?array
    {
        $on = fn (int $axis, float $at): bool => abs($a[$axis] - $at) < self::ON_EDGE_MM && abs($b[$axis] - $at) < self::ON_EDGE_MM;

        // The water lies to the left of its bank: only then does the board end beyond it.
        return match (true) {
            $on(1, 0.0) && $b[0] > $a[0] => [0.0, -1.0],
            $on(0, $width) && $b[1] > $a[1] => [1.0, 0.0],
            $on(1, $depth) && $b[0] < $a[0] => [0.0, 1.0],
            $on(0, 0.0) && $b[1] < $a[1] => [-1.0, 0.0],
            default => null,
        };
    }
}
