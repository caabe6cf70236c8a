<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Geometry\Outline;
use IdleRidge\Core\Geometry\Polygon;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Ways between areas and places in them, held against going through every place. */
final class PolygonTest extends TestCase
{
    public function test_gaps_are_those_between_the_nearest_places_of_two_outlines(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        for ($n = 0; $n < 60; $n++) {
            $a = self::blob($chance, 0.0, 0.0);
            $b = self::blob($chance, $chance->getInt(-400000, 400000) / 1000.0, $chance->getInt(-400000, 400000) / 1000.0);
            $least = INF;
            foreach (self::along($a) as $p) {
                $least = min($least, Polygon::holds($b, ...$p) ? 0.0 : sqrt(Polygon::squareTo($b, ...$p)));
            }
            foreach (self::along($b) as $p) {
                $least = Polygon::holds($a, ...$p) ? 0.0 : $least;
            }
            $this->assertEqualsWithDelta($least, Polygon::gap([$a], [$b]), 0.5, "case {$n}");
            $this->assertSame(Polygon::gap([$a], [$b]), Polygon::gap([$b], [$a]), "case {$n}");
        }
    }

    public function test_what_lies_in_a_hole_is_as_far_off_as_the_edge_of_the_hole(): void
    {
        $outer = [[0.0, 0.0], [100.0, 0.0], [100.0, 100.0], [0.0, 100.0]];
        $hole = [[10.0, 10.0], [10.0, 90.0], [90.0, 90.0], [90.0, 10.0]];
        $pond = [[40.0, 40.0], [60.0, 40.0], [60.0, 60.0], [40.0, 60.0]];
        $this->assertSame(30.0, Polygon::gap([$outer, $hole], [$pond]));
        $this->assertSame(30.0, Polygon::gap([$pond], [$outer, $hole]));
        $this->assertSame(0.0, Polygon::gap([$outer], [$pond]));
        $this->assertSame(INF, Polygon::gap([$outer], []), 'a zone that is nowhere');
        $this->assertSame(20.0, Polygon::gap([$pond, []], [[[80.0, 0.0], [90.0, 0.0], [90.0, 99.0], [80.0, 99.0]]]));
    }

    public function test_the_roomiest_place_is_the_best_of_a_net(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        for ($n = 0; $n < 30; $n++) {
            $rings = [self::blob($chance, 0.0, 0.0), self::blob($chance, 250.0, 40.0)];
            [$x, $y] = ZoneArea::roomiest($rings);
            $depth = fn (float $x, float $y): float => array_sum(array_map(
                fn (array $ring): int => (int) Polygon::holds($ring, $x, $y), $rings,
            )) % 2 === 1 ? min(array_map(fn (array $ring): float => sqrt(Polygon::squareTo($ring, $x, $y)), $rings)) : 0.0;
            $most = 0.0;
            foreach ($rings as $ring) {
                [$x1, $y1, $x2, $y2] = [min(array_column($ring, 0)), min(array_column($ring, 1)),
                    max(array_column($ring, 0)), max(array_column($ring, 1))];
                for ($k = 0; $k < 144; $k++) {
                    $most = max($most, $depth(
                        $x1 + ($x2 - $x1) * ($k % 12 + 0.5) / 12,
                        $y1 + ($y2 - $y1) * (intdiv($k, 12) + 0.5) / 12,
                    ));
                }
            }
            $this->assertEqualsWithDelta($most, $depth($x, $y), 1e-9, "case {$n}");
        }
    }

    public function test_an_outline_answers_as_its_ring_does_to_the_last_digit(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        foreach ([3, 7, 8, 9, 16, 17, 60, 200] as $corners) {
            $ring = self::blob($chance, 0.0, 0.0, $corners);
            $outline = new Outline($ring);
            $places = $ring;
            for ($k = 0; $k < 900; $k++) {
                $places[] = [-200.0 + 13.0 * ($k % 30), -200.0 + 13.0 * intdiv($k, 30)];
            }
            // Ways that go by the coordinates of corners, where boxes of edges end.
            foreach ($ring as [$x, $y]) {
                array_push($places, [$x, 0.0], [0.0, $y], [$x, -300.0], [300.0, $y], [$x, $ring[0][1]]);
            }
            foreach ($places as [$x, $y]) {
                $this->assertSame(Polygon::depth($ring, $x, $y), $outline->depth($x, $y), "{$corners}: {$x}, {$y}");
                $this->assertSame(Polygon::holds($ring, $x, $y), $outline->holds($x, $y), "{$corners}: {$x}, {$y}");
            }
        }
    }

    public function test_looking_for_the_nearest_edge_ends_where_it_is_near_enough(): void
    {
        $square = [[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]];
        $this->assertSame(4.0, Polygon::squareTo($square, 5.0, 2.0));
        $this->assertLessThanOrEqual(25.0, Polygon::squareTo($square, 5.0, 2.0, 25.0));
        $this->assertSame(4.0, Polygon::squareTo($square, 5.0, 2.0, 3.9));
    }

    /** @return non-empty-list<array{float, float}> a ring about a place that bends in and out */
    private static function blob(Randomizer $chance, float $x, float $y, ?int $corners = null): array
    {
        $ring = [];
        $corners ??= $chance->getInt(5, 40);
        for ($k = 0; $k < $corners; $k++) {
            $radius = $chance->getInt(60000, 150000) / 1000.0;
            $ring[] = [$x + $radius * cos(2.0 * M_PI * $k / $corners), $y + $radius * sin(2.0 * M_PI * $k / $corners)];
        }

        return $ring;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $ring
     * @return iterable<array{float, float}> every half millimetre
     */
    private static function along(array $ring): iterable
    {
        foreach ($ring as $k => [$x, $y]) {
            [$u, $v] = $ring[($k + 1) % count($ring)];
            $parts = max(1, (int) ceil(hypot($u - $x, $v - $y) * 2.0));
            for ($n = 0; $n < $parts; $n++) {
                yield [$x + ($u - $x) * $n / $parts, $y + ($v - $y) * $n / $parts];
            }
        }
    }
}
