<?php

declare(strict_types=1);

namespace Tests\Core\Track;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Track\Alignment;
use IdleRidge\Core\Track\CurveSetting;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\LeastRadius;
use IdleRidge\Core\Track\Vehicle;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class CurveSettingTest extends TestCase
{
    public function test_an_arc_is_set_out_as_the_formulas_say(): void
    {
        foreach ([[720.0, 40.0], [600.0, -55.0], [1500.0, 12.0]] as [$radius, $turn]) {
            $alignment = Alignment::from(new Point(100.0, 200.0), 17.0, [
                ['kind' => 'tangent', 'length_mm' => 150.0],
                ['kind' => 'arc', 'radius_mm' => $radius, 'angle_deg' => $turn],
            ]);
            [$curve] = $all = CurveSetting::of($alignment, 0.0, $alignment->length, 50.0);
            $this->assertCount(1, $all);
            $half = $radius * sin(deg2rad(abs($turn)) / 2.0);
            $this->assertEqualsWithDelta(
                [150.0, 2.0 * $half, $radius, $turn],
                [$curve->from, $curve->chord(), $curve->radius, $curve->turnDeg],
                1e-6,
            );
            foreach ($curve->fromChord as [$x, $off]) {
                $this->assertEqualsWithDelta(sqrt($radius ** 2 - $x ** 2) - sqrt($radius ** 2 - $half ** 2), $off, 1e-5);
            }
            foreach ($curve->fromTangent as [$x, $off]) {
                $this->assertEqualsWithDelta($radius - sqrt($radius ** 2 - $x ** 2), $off, 1e-5);
            }
            $reach = $radius * sin(deg2rad(abs($turn)));
            $this->assertCount(1 + (int) floor($reach / 50.0), $curve->fromTangent);
            $this->assertCount(1 + 2 * (int) floor($half / 50.0), $curve->fromChord);
        }
    }

    public function test_a_long_curve_goes_in_parts_and_straight_track_in_none(): void
    {
        $alignment = fn (float $turn): Alignment => Alignment::from(new Point(0.0, 0.0), 0.0, [
            ['kind' => 'arc', 'radius_mm' => 500.0, 'angle_deg' => $turn],
            ['kind' => 'tangent', 'length_mm' => 300.0],
        ]);
        foreach ([[60.0, 1], [60.1, 2], [180.0, 3], [350.0, 6]] as [$turn, $parts]) {
            $all = CurveSetting::of($alignment($turn), 0.0, $alignment($turn)->length, 50.0);
            $this->assertCount($parts, $all);
            $this->assertEqualsWithDelta($turn, array_sum(array_map(fn (CurveSetting $c): float => $c->turnDeg, $all)), 1e-6);
        }
        // Only what lies between the stations, to the end of the curve.
        [$part] = CurveSetting::of($alignment(60.0), 100.0, 900.0, 50.0);
        $this->assertEqualsWithDelta([100.0, 500.0 * deg2rad(60.0)], [$part->from, $part->to], 1e-9);
        $this->assertSame([], CurveSetting::of($alignment(60.0), 530.0, 800.0, 50.0));
    }

    public function test_a_transition_is_measured_where_it_lies(): void
    {
        $alignment = Alignment::from(new Point(0.0, 0.0), 0.0, [
            ['kind' => 'transition', 'length_mm' => 400.0, 'from_radius_mm' => 0.0, 'to_radius_mm' => 800.0],
        ]);
        [$curve] = CurveSetting::of($alignment, 0.0, 400.0, 100.0);
        $this->assertFalse($curve->isArc);
        $this->assertEqualsWithDelta([800.0, rad2deg(0.25)], [$curve->radius, $curve->turnDeg], 1e-6);
        // The cubic parabola x³ / (6 R L) is the first term of it.
        foreach ([[100.0, 0.521], [200.0, 4.167], [300.0, 14.06]] as $k => [$x, $off]) {
            $this->assertSame($x, $curve->fromTangent[$k + 1][0]);
            $this->assertEqualsWithDelta($off, $curve->fromTangent[$k + 1][1], 0.15);
        }
    }

    public function test_the_least_radius_is_the_one_on_which_a_vehicle_just_stays_over_its_formation(): void
    {
        $coach = Vehicle::coach();
        $over = fn (float $half): ?float => LeastRadius::within($coach, FormationProfile::from(Build::evenProfile($half)));
        $least = $over(25.0);
        $this->assertNotNull($least);
        $this->assertLessThanOrEqual(25.0, max($coach->throwOn($least)));
        $this->assertGreaterThan(25.0, max($coach->throwOn($least - 0.1)));
        $this->assertNull($over(16.99), 'half its width is 17');
        $this->assertGreaterThan(50_000.0, $over(17.1));
    }

    public function test_what_a_vehicle_does_on_a_curve_goes_by_the_length_of_its_body(): void
    {
        $short = Vehicle::from(100.0, 60.0, 30.0, 40.0);
        $this->assertSame(
            [
                'may be thrown off when pushed', 'runs, if it is set up well', 'runs, if it is set up well', 'runs surely', 'runs surely',
                'runs surely and looks right', 'runs surely and looks right', 'runs, looks right and couples on it',
            ],
            array_map(fn (float $r): string => LeastRadius::word($r, $short), [249.0, 250.0, 299.0, 300.0, 399.0, 400.0, 499.0, 500.0]),
        );
    }
}
