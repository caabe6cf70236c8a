<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandClass;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Land\TapeMeasure;
use IdleRidge\Core\Land\Wetness;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class LandClassesTest extends TestCase
{
    public function test_water_gathers_along_a_valley(): void
    {
        // A valley along x that falls to the left: a V in y.
        $land = self::grid(fn (float $x, float $y): float => 0.05 * $x + 0.4 * abs($y - 150.0));
        $index = Wetness::index($land);
        $floor = $index[30 * 80 + 4];
        $this->assertGreaterThan($index[30 * 80 + 70] + 1.0, $floor, 'wetter downstream');
        $this->assertGreaterThan($index[50 * 80 + 4] + 2.0, $floor, 'wetter than the slope beside it');
        // On an even slope every cell hands on its row: a counts from the top.
        $plane = Wetness::index(self::grid(fn (float $x, float $y): float => 0.2 * $x));
        $this->assertEqualsWithDelta(log((10 * 5.0) / 0.2), $plane[20 * 80 + 70], 1e-6, 'ten cells at and above it');
        $this->assertEqualsWithDelta(log(5.0 / 0.2), $plane[20 * 80 + 79], 1e-6);
    }

    public function test_a_pit_fills_and_drains(): void
    {
        $index = Wetness::index(
            self::grid(fn (float $x, float $y): float => 50.0 - 30.0 * exp(-(($x - 200) ** 2 + ($y - 150) ** 2) / 1500.0) + 0.01 * $x),
        );
        $this->assertCount(80 * 60, $index);
        $this->assertGreaterThan(2.0 + $index[5 * 80 + 60], $index[30 * 80 + 40], 'its middle is wet');
        foreach ($index as $value) {
            $this->assertTrue(is_finite($value));
        }
    }

    public function test_damp_is_the_wettest_share(): void
    {
        $land = self::grid(fn (float $x, float $y): float => 0.05 * $x + 0.4 * abs($y - 150.0));
        [$damp] = LandClasses::damp($land, 400.0, 300.0);
        $this->assertEqualsWithDelta(0.15 * 400 * 300, $damp->area, 0.06 * 400 * 300);
        foreach ($damp->rings as $ring) {
            foreach ($ring as [, $y]) {
                $this->assertLessThan(110.0, abs($y - 150.0), 'along the valley floor');
            }
        }
    }

    public function test_slopes_add_up_to_the_land(): void
    {
        // A cone: 30° all round, flat beyond its foot.
        $land = self::grid(fn (float $x, float $y): float => max(0.0, 80.0 - tan(deg2rad(30.0)) * hypot($x - 200, $y - 150)));
        $classes = LandClasses::slopes($land, 400.0, 300.0);
        $this->assertSame(
            ['under 10°', '10–20°', '20–34°', '34–45°', '45° and steeper'],
            array_map(fn (LandClass $c): string => $c->name, $classes),
        );
        $this->assertEqualsWithDelta(
            $land->mesh(400.0, 300.0)->surface(),
            array_sum(array_map(fn (LandClass $c): float => $c->area, $classes)),
            1.0,
        );
        $cone = (M_PI * (80.0 / tan(deg2rad(30.0))) ** 2) / cos(deg2rad(30.0));
        $this->assertEqualsWithDelta($cone, $classes[2]->area, 0.06 * $cone);
        $this->assertEqualsWithDelta(0.0, $classes[4]->area, 1.0);
    }

    public function test_the_sun_side_faces_south(): void
    {
        $land = self::grid(fn (float $x, float $y): float => 0.3 * $y);
        [$sun, $north] = LandClasses::sun($land, 400.0, 300.0, 90.0);
        $this->assertSame(['sun side', 'north-facing'], [$sun->name, $north->name]);
        $this->assertEqualsWithDelta(120_000.0 * hypot(1.0, 0.3), $sun->area, 1000.0, 'it falls to the front, and north lies at the back');
        $this->assertSame(0.0, $north->area);
        [$sun, $north] = LandClasses::sun($land, 400.0, 300.0, -90.0);
        $this->assertSame(0.0, $sun->area);
        $this->assertGreaterThan(100_000.0, $north->area);
        $this->assertSame(
            0.0,
            LandClasses::sun(self::grid(fn (float $x, float $y): float => 0.05 * $y), 400.0, 300.0, 90.0)[0]->area,
            'flat land faces nowhere',
        );
    }

    public function test_a_tape_follows_the_ground(): void
    {
        // A formation 50 mm wide at 40, ground at 0 with banks 1 in 1: across it 50 level, twice 40 out and 40 up, the rest flat.
        $land = Build::flatLand(0.0, [Build::straight(1, 300.0, 40.0, 40.0, Build::evenProfile(25.0, 1.0))]);
        $tape = TapeMeasure::along($land, [new Point(600.0, 100.0), new Point(600.0, 500.0)]);
        $this->assertEqualsWithDelta(400.0, $tape->plan, 1e-9);
        $this->assertEqualsWithDelta(400.0 - 80.0 + 80.0 * M_SQRT2, $tape->ground, 1.0);
        $this->assertEqualsWithDelta(0.0, $tape->rise, 1e-6);
        $this->assertEqualsWithDelta(
            40.0,
            TapeMeasure::along($land, [new Point(600.0, 100.0), new Point(600.0, 200.0), new Point(600.0, 300.0)])->rise,
            1e-6,
        );
    }

    /** @param  callable(float, float): float  $height over 400 × 300 mm at 5 mm */
    private static function grid(callable $height): HeightGrid
    {
        $z = [];
        for ($j = 0; $j < 60; $j++) {
            for ($i = 0; $i < 80; $i++) {
                $z[] = $height(($i + 0.5) * 5.0, ($j + 0.5) * 5.0);
            }
        }

        return HeightGrid::cells(80, 60, 5.0, 0.0, 0.0, $z);
    }
}
