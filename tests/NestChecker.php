<?php

declare(strict_types=1);

namespace Tests;

use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestResult;
use IdleRidge\Core\Geometry\Polygon;

/** Holds an answer against its problem by plain distances between edges; knows nothing of how it was found. */
final class NestChecker
{
    private const FORGIVEN = 0.2;

    /** @return list<string> what is wrong */
    public static function faults(NestProblem $problem, NestResult $answer): array
    {
        $faults = [];
        $pieces = array_column(array_map(fn ($p): array => [$p->id, $p], $problem->pieces), 1, 0);
        $sheets = array_column(array_map(fn ($s): array => [$s->id, $s], $problem->sheets), 1, 0);
        $named = [...array_column($answer->placements, 'piece'), ...$answer->unplaced];
        sort($named);
        $all = array_keys($pieces);
        sort($all);
        if ($named !== $all) {
            $faults[] = 'not every piece stands once: '.implode(', ', $named);
        }
        $on = [];
        foreach ($answer->placements as $p) {
            [$cos, $sin] = [cos(deg2rad($p['rotation'])), sin(deg2rad($p['rotation']))];
            $rings = array_map(
                fn (array $ring): array => array_map(
                    fn (array $q): array => [$cos * $q[0] - $sin * $q[1] + $p['dx'], $sin * $q[0] + $cos * $q[1] + $p['dy']],
                    $ring,
                ),
                $pieces[$p['piece']]->rings,
            );
            if (! in_array($p['rotation'], $problem->rotations, true)) {
                $faults[] = "{$p['piece']} is turned by {$p['rotation']}";
            }
            $sheet = $sheets[$p['sheet']];
            if ($p['index'] < 0 || $p['index'] >= $sheet->count) {
                $faults[] = "{$p['piece']} lies on a sheet that is not there";
            }
            foreach ($rings[0] as [$x, $y]) {
                if (min($x, $y, $sheet->width - $x, $sheet->height - $y) < $problem->margin - self::FORGIVEN) {
                    $faults[] = "{$p['piece']} leaves the margin at {$x}, {$y}";
                    break;
                }
            }
            foreach ($on[$p['sheet'].'/'.$p['index']] ?? [] as [$other, $theirs]) {
                $apart = self::apart($rings, $theirs);
                if ($apart < $problem->kerf - self::FORGIVEN) {
                    $faults[] = "{$p['piece']} and {$other} are ".round($apart, 2).' apart';
                }
            }
            $on[$p['sheet'].'/'.$p['index']][] = [$p['piece'], $rings];
        }

        return $faults;
    }

    /**
     * @param  list<list<array{float, float}>>  $a
     * @param  list<list<array{float, float}>>  $b
     */
    private static function apart(array $a, array $b): float
    {
        if (self::holds($a, ...$b[0][0]) || self::holds($b, ...$a[0][0])) {
            return 0.0;
        }
        $least = INF;
        foreach ($a as $ring) {
            foreach ($ring as $i => $p) {
                $q = $ring[($i + 1) % count($ring)];
                foreach ($b as $other) {
                    foreach ($other as $j => $r) {
                        $s = $other[($j + 1) % count($other)];
                        $least = min(
                            $least,
                            self::cross($p, $q, $r, $s)
                                ? 0.0
                                : min(self::to($p, $r, $s), self::to($q, $r, $s), self::to($r, $p, $q), self::to($s, $p, $q)),
                        );
                    }
                }
            }
        }

        return $least;
    }

    /** @param  list<list<array{float, float}>>  $rings */
    private static function holds(array $rings, float $x, float $y): bool
    {
        $inside = Polygon::holds($rings[0], $x, $y);
        foreach (array_slice($rings, 1) as $hole) {
            $inside = $inside && ! Polygon::holds($hole, $x, $y);
        }

        return $inside;
    }

    /**
     * @param  array{float, float}  $p
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    private static function to(array $p, array $a, array $b): float
    {
        [$dx, $dy] = [$b[0] - $a[0], $b[1] - $a[1]];
        $t = max(0.0, min(1.0, (($p[0] - $a[0]) * $dx + ($p[1] - $a[1]) * $dy) / max(1e-12, $dx * $dx + $dy * $dy)));

        return hypot($p[0] - $a[0] - $t * $dx, $p[1] - $a[1] - $t * $dy);
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     * @param  array{float, float}  $d
     */
    private static function cross(array $a, array $b, array $c, array $d): bool
    {
        $turn = fn (array $p, array $q, array $r): float => ($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]);

        return $turn($a, $b, $c) * $turn($a, $b, $d) < 0.0 && $turn($c, $d, $a) * $turn($c, $d, $b) < 0.0;
    }
}
