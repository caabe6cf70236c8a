<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

/**
 * A piece in one rotation, in columns of even width from its left: for each, the stretches of y that it covers anywhere in
 * the column. Twice: as it is, and with a kerf around it. Where no stretch of one meets a kerfed stretch of another in any
 * column, the two are a kerf apart; up to a column's width of room is given away for it. y counts from the piece's foot.
 */
final readonly class PieceShadow
{
    /** So many columns are asked first whether a sheet has any stretch that is long enough for theirs. */
    private const ASKED_FIRST = 6;

    /**
     * @param  list<list<array{float, float}>>  $columns
     * @param  array<int, list<array{float, float}>>  $kerfed by column, some to the left of the first
     * @param  list<int>  $order columns, those first that rule out most
     * @param  array<int, float>  $needs of the first of them: column → its longest stretch, mm
     * @param  float  $x least x of the turned piece, $y least y, mm
     */
    private function __construct(
        public float $rotation,
        public array $columns,
        public array $kerfed,
        public array $order,
        public array $needs,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
    ) {
    }

    public static function of(NestPiece $piece, float $rotation, float $column, float $kerf): self
    {
        [$cos, $sin] = [cos(deg2rad($rotation)), sin(deg2rad($rotation))];
        $rings = array_map(
            fn (array $ring): array => array_map(fn (array $p): array => [$cos * $p[0] - $sin * $p[1], $sin * $p[0] + $cos * $p[1]], $ring),
            $piece->rings,
        );
        [$xs, $ys] = [array_column($rings[0], 0), array_column($rings[0], 1)];
        [$x, $y] = [min($xs), min($ys)];
        $rings = array_map(fn (array $ring): array => array_map(fn (array $p): array => [$p[0] - $x, $p[1] - $y], $ring), $rings);
        [$width, $height] = [max($xs) - $x, max($ys) - $y];
        $count = max(1, (int) ceil($width / $column - 1e-9));
        $columns = array_values(self::stretches($rings, $column, 0, $count - 1, 0.0));
        $more = (int) ceil($kerf / $column - 1e-9);
        $kerfed = array_map(
            fn (array $all): array => self::merged(array_map(fn (array $s): array => [$s[0] - $kerf, $s[1] + $kerf], $all)),
            self::stretches($rings, $column, -$more, $count - 1 + $more, $kerf),
        );
        $order = range(0, $count - 1);
        $tall = array_map(fn (array $all): float => array_sum(array_map(fn (array $s): float => $s[1] - $s[0], $all)), $columns);
        usort($order, fn (int $a, int $b): int => $tall[$b] <=> $tall[$a]);
        // One of each end and the tallest first: they refuse soonest.
        $order = array_values(array_unique([$order[0], 0, $count - 1, intdiv($count, 2), ...$order]));

        $needs = [];
        foreach (array_slice($order, 0, self::ASKED_FIRST) as $k) {
            $needs[$k] = max([0.0, ...array_map(fn (array $s): float => $s[1] - $s[0], $columns[$k])]);
        }

        return new self($rotation, $columns, $kerfed, $order, $needs, $x, $y, $width, $height);
    }

    /**
     * What a piece covers in each column, widened to both sides: its edges within the column, and what lies inside it along
     * the column's two sides.
     *
     * @param  list<list<array{float, float}>>  $rings
     * @return array<int, list<array{float, float}>>
     */
    private static function stretches(array $rings, float $column, int $first, int $last, float $widen): array
    {
        $found = array_fill($first, $last - $first + 1, []);
        $sides = [];
        foreach ($rings as $ring) {
            [$px, $py] = $ring[count($ring) - 1];
            foreach ($ring as [$qx, $qy]) {
                [$x1, $y1, $x2, $y2] = $px <= $qx ? [$px, $py, $qx, $qy] : [$qx, $qy, $px, $py];
                $from = max($first, (int) floor(($x1 - $widen) / $column));
                $to = min($last, (int) floor(($x2 + $widen) / $column));
                for ($k = $from; $k <= $to; $k++) {
                    [$a, $b] = [max($x1, $k * $column - $widen), min($x2, ($k + 1) * $column + $widen)];
                    if ($a <= $b) {
                        $at = fn (float $x): float => $x2 - $x1 > 1e-12 ? $y1 + (($y2 - $y1) * ($x - $x1)) / ($x2 - $x1) : $y1;
                        [$ya, $yb] = $x2 - $x1 > 1e-12 ? [$at($a), $at($b)] : [$y1, $y2];
                        $found[$k][] = $ya <= $yb ? [$ya, $yb] : [$yb, $ya];
                    }
                    foreach ([$k * $column - $widen, ($k + 1) * $column + $widen] as $n => $line) {
                        if ($x1 <= $line && $line < $x2) {
                            $sides[$k][$n][] = $y1 + (($y2 - $y1) * ($line - $x1)) / ($x2 - $x1);
                        }
                    }
                }
                [$px, $py] = [$qx, $qy];
            }
        }
        foreach ($sides as $k => $lines) {
            foreach ($lines as $crossings) {
                sort($crossings);
                for ($n = 1; $n < count($crossings); $n += 2) {
                    $found[$k][] = [$crossings[$n - 1], $crossings[$n]];
                }
            }
        }

        return array_map(self::merged(...), $found);
    }

    /**
     * @param  list<array{float, float}>  $stretches
     * @return list<array{float, float}> rising, none meeting the next
     */
    private static function merged(array $stretches): array
    {
        sort($stretches);
        $out = [];
        $open = null;
        foreach ($stretches as [$from, $to]) {
            if ($open !== null && $from <= $open[1]) {
                $open = [$open[0], max($open[1], $to)];
            } else {
                if ($open !== null) {
                    $out[] = $open;
                }
                $open = [$from, $to];
            }
        }

        return $open === null ? [] : [...$out, $open];
    }
}
