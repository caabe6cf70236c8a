<?php

declare(strict_types=1);

namespace Tests\Core\Water;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Water\BedOutlines;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class BedOutlinesTest extends TestCase
{
    /**
     * @param  non-empty-list<float>  $depths
     * @return array{list<list<list<array{float, float}>>>, list<float>} rings by depth, and the areas that its curve has there
     */
    private static function outlined(LandFeature $water, array $depths): array
    {
        $study = Build::study(Build::project([], [$water], base: 50.0));
        $curve = WaterStudy::of($study)->bodies()[0]->curve;

        return [(new BedOutlines($study->model))->of($water->uid, $depths), array_map(fn (float $d): float => $curve->area($d), $depths)];
    }

    /** @param  list<list<array{float, float}>>  $rings */
    private static function area(array $rings): float
    {
        return array_sum(array_map(Polygon::area(...), $rings));
    }

    public function test_outlines_of_a_pond_enclose_what_is_deeper(): void
    {
        $pond = Ponds::pond(Build::square(400, 200, 700, 400), 48.0, 12.0, 40.0);
        [$outlines, $areas] = self::outlined($pond, [0.0, 4.0, 8.0]);
        foreach ($outlines as $k => $rings) {
            $this->assertEqualsWithDelta($areas[$k], self::area($rings), 0.02 * $areas[$k], "depth {$k}");
        }
        $this->assertGreaterThan(self::area($outlines[1]), self::area($outlines[0]));
    }

    public function test_a_pond_over_an_edge_is_outlined_on_the_board_alone(): void
    {
        foreach (
            [
                Ponds::pond([[400.0, -60.0], [600.0, -60.0], [600.0, 120.0], [400.0, 120.0]], 50.0, 12.0, 20.0),
                Ponds::pond([[-60.0, 200.0], [120.0, 200.0], [120.0, 400.0], [-60.0, 400.0]], 50.0, 12.0, 20.0),
                Ponds::pond([[1100.0, 500.0], [1290.0, 500.0], [1290.0, 690.0], [1100.0, 690.0]], 50.0, 12.0, 20.0),
            ] as $pond
        ) {
            [$outlines, $areas] = self::outlined($pond, [0.0, 6.0]);
            foreach ($outlines as $k => $rings) {
                $this->assertEqualsWithDelta($areas[$k], self::area($rings), 0.03 * $areas[$k]);
                foreach (array_merge(...$rings) as [$x, $y]) {
                    $this->assertTrue($x >= 0.0 && $y >= 0.0 && $x <= 1200.0 && $y <= 600.0);
                }
            }
        }
    }

    public function test_a_stream_is_outlined_as_wide_as_its_parabola_there(): void
    {
        [$outlines] = self::outlined(Ponds::stream([[100.0, 300.0], [1100.0, 300.0]], 24.0, 4.0), [0.0, 3.0, 4.0]);
        $this->assertEqualsWithDelta(24.0 * 1000.0, self::area($outlines[0]), 30.0);
        // Half as wide at three quarters of its depth.
        $this->assertEqualsWithDelta(12.0 * 1000.0, self::area($outlines[1]), 30.0);
        $this->assertSame([], $outlines[2], 'nothing is deeper than its deepest');
        [$over] = self::outlined(Ponds::stream([[-100.0, 300.0], [1300.0, 300.0]], 24.0, 4.0), [0.0]);
        $this->assertEqualsWithDelta(24.0 * 1200.0, self::area($over[0]), 24.0 * 17.0);
    }

    public function test_what_is_not_there_has_no_outline(): void
    {
        $model = Build::study(Build::project([], [], base: 50.0))->model;
        $this->assertSame([[], []], (new BedOutlines($model))->of(Build::uid(5), [0.0, 2.0]));
        $far = Build::study(Build::project([], [Ponds::pond(Build::square(1250, 100, 1450, 300), 48.0)], base: 50.0))->model;
        $this->assertSame([[]], (new BedOutlines($far))->of(Build::uid(5), [0.0]));
    }
}
