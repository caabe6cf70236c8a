<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Geometry\PolygonSplitter;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** A piece cut in two by a line. */
final class PolygonSplitterTest extends TestCase
{
    public function test_a_square_becomes_two_and_a_fork_three(): void
    {
        [$left, $right] = PolygonSplitter::of([Build::square(0, 0, 100, 60)], 30.0);
        $this->assertEqualsWithDelta([1800.0, 4200.0], [Polygon::area($left[0][0]), Polygon::area($right[0][0])], 1e-3);
        // A handle to the left, three tines to the right.
        $fork = [
            [0, 0],
            [100, 0],
            [100, 20],
            [40, 20],
            [40, 40],
            [100, 40],
            [100, 60],
            [40, 60],
            [40, 80],
            [100, 80],
            [100, 100],
            [0, 100],
        ];
        [$handle, $tines] = PolygonSplitter::of([array_map(fn (array $p): array => [(float) $p[0], (float) $p[1]], $fork)], 60.0);
        $this->assertCount(1, $handle);
        $this->assertEqualsWithDelta([800.0, 800.0, 800.0], array_map(fn (array $p): float => Polygon::area($p[0]), $tines), 1e-3);
    }

    public function test_holes_stay_in_their_half_or_open_into_the_cut(): void
    {
        $frame = [
            Build::square(0, 0, 100, 100),
            array_reverse(Build::square(30, 30, 70, 70)),
            array_reverse(Build::square(80, 40, 90, 60)),
        ];
        [$left, $right] = PolygonSplitter::of($frame, 50.0);
        $this->assertEqualsWithDelta(5000.0 - 800.0, self::area($left), 1e-3);
        $this->assertEqualsWithDelta(5000.0 - 800.0 - 200.0, self::area($right), 1e-3);
        $this->assertCount(2, $right[0], 'the small hole stays a hole');
        $this->assertCount(1, $left[0], 'the cut opens the other');
    }

    public function test_random_rings_keep_their_area(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            mt_srand($seed);
            $ring = array_map(function (int $k): array {
                $away = mt_rand(20, 100);

                return [$away * cos(($k * M_PI) / 12), $away * sin(($k * M_PI) / 12)];
            }, range(0, 23));
            foreach ([0.0, mt_rand(-60, 60), $ring[5][0]] as $at) {
                [$left, $right] = PolygonSplitter::of([$ring], (float) $at);
                $this->assertEqualsWithDelta(Polygon::area($ring), self::area($left) + self::area($right), 1e-3, "seed {$seed} at {$at}");
                foreach ([...$left, ...$right] as $piece) {
                    $this->assertGreaterThan(0.0, Polygon::area($piece[0]));
                }
            }
        }
    }

    /** @param  list<list<list<array{float, float}>>>  $pieces */
    private static function area(array $pieces): float
    {
        return array_sum(array_map(fn (array $rings): float => array_sum(array_map(Polygon::area(...), $rings)), $pieces));
    }
}
