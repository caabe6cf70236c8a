<?php

declare(strict_types=1);

namespace Tests\Core\Track;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Alignment;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\GradeProfile;
use IdleRidge\Core\Track\StationRange;
use IdleRidge\Core\Track\Vehicle;
use IdleRidge\Core\Track\VehicleSweep;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Fixtures;

final class TrackTest extends TestCase
{
    public function test_a_quarter_turn_ends_where_it_should(): void
    {
        $run = Alignment::from(new Point(0.0, 0.0), 0.0, [
            ['kind' => 'tangent', 'length_mm' => 100.0],
            ['kind' => 'arc', 'radius_mm' => 400.0, 'angle_deg' => 90.0],
            ['kind' => 'tangent', 'length_mm' => 50.0],
        ]);
        $this->assertEqualsWithDelta(150.0 + 200.0 * M_PI, $run->length, 1e-9);
        $end = $run->pointAt($run->length);
        $this->assertEqualsWithDelta(500.0, $end->x, 1e-9);
        $this->assertEqualsWithDelta(450.0, $end->y, 1e-9);
        $this->assertEqualsWithDelta(M_PI / 2.0, $run->headingAt($run->length), 1e-9);
        $this->assertEqualsWithDelta(1.0 / 400.0, $run->curvatureAt(200.0), 1e-12);
        $this->assertSame(0.0, $run->curvatureAt(50.0));
    }

    public function test_where_a_run_lies_over_a_board_is_what_going_along_it_by_the_millimetre_says(): void
    {
        $missed = 0;
        for ($seed = 1; $seed <= 120; $seed++) {
            mt_srand($seed);
            $pieces = [
                ['kind' => 'tangent', 'length_mm' => (float) mt_rand(1, 900) / 1.7],
                ['kind' => 'arc', 'radius_mm' => (float) mt_rand(300, 900), 'angle_deg' => (float) mt_rand(-170, 170) ?: 5.0],
                ['kind' => 'tangent', 'length_mm' => (float) mt_rand(1, 900) / 1.3],
            ];
            $run = Build::run(1, (float) mt_rand(-700, 700), (float) mt_rand(-500, 500), (float) mt_rand(0, 359), $pieces, 0.0);
            [$width, $depth] = [mt_rand(300, 1300) / 1.1, mt_rand(200, 700) / 1.3];
            [$first, $last] = [null, null];
            $parts = (int) ceil($run->alignment->length);
            for ($k = 0; $k <= $parts; $k++) {
                $p = $run->alignment->pointAt($run->alignment->length * $k / $parts);
                if ($p->x >= -0.5 && $p->x <= $width + 0.5 && $p->y >= -0.5 && $p->y <= $depth + 0.5) {
                    $first ??= $run->alignment->length * $k / $parts;
                    $last = $run->alignment->length * $k / $parts;
                }
            }
            $missed += $first === null ? 1 : 0;
            $this->assertSame($first === null ? null : [$first, $last], $run->within($width, $depth), "seed {$seed}");
        }
        $this->assertGreaterThan(10, $missed);
        $this->assertLessThan(90, $missed);
    }

    public function test_pieces_join_smoothly_and_the_nearest_place_is_found_again(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            mt_srand($seed);
            $pieces = [];
            for ($k = 0; $k < 4; $k++) {
                $pieces[] =
                    $k % 2 === 0
                        ? ['kind' => 'tangent', 'length_mm' => (float) mt_rand(50, 300)]
                        : [
                            'kind' => 'arc',
                            'radius_mm' => (float) mt_rand(300, 900),
                            'angle_deg' => (float) mt_rand(5, 60) * (mt_rand(0, 1) * 2 - 1),
                        ];
            }
            $run = Alignment::from(new Point(10.0, 20.0), (float) mt_rand(0, 359), $pieces);
            foreach ($run->begins as $begin) {
                $a = $run->pointAt($begin - 1e-7);
                $b = $run->pointAt($begin + 1e-7);
                $this->assertLessThan(1e-5, $a->distanceTo($b), "seed {$seed}");
            }
            foreach ([0.1, 0.37, 0.52, 0.9] as $share) {
                $station = $share * $run->length;
                $offset = (float) mt_rand(-60, 60);
                $near = $run->nearest($run->beside($station, $offset));
                $back = $run->beside($near['station'], $near['offset']);
                $this->assertLessThan(1e-6, $back->distanceTo($run->beside($station, $offset)), "seed {$seed}");
                $this->assertLessThanOrEqual(abs($offset) + 1e-6, abs($near['offset']));
            }
        }
    }

    public function test_beyond_an_end_the_end_is_nearest(): void
    {
        $run = Alignment::from(new Point(0.0, 0.0), 0.0, [['kind' => 'tangent', 'length_mm' => 100.0]]);
        $near = $run->nearest(new Point(130.0, -40.0));
        $this->assertSame(100.0, $near['station']);
        $this->assertEqualsWithDelta(-50.0, $near['offset'], 1e-9);
    }

    public function test_a_run_seen_from_a_turned_board_keeps_its_shape(): void
    {
        $run = Build::run(
            1,
            300.0,
            200.0,
            20.0,
            [['kind' => 'tangent', 'length_mm' => 100.0], ['kind' => 'arc', 'radius_mm' => 500.0, 'angle_deg' => -40.0]],
            60.0,
        );
        $placement = new Placement(120.0, -30.0, 25.0);
        $here = $run->seenFrom($placement);
        foreach ([0.0, 80.0, 300.0] as $station) {
            $this->assertLessThan(
                1e-9,
                $placement->toLayout($here->alignment->pointAt($station))->distanceTo($run->alignment->pointAt($station)),
            );
        }
    }

    public function test_grades_between_points_and_level_after_the_last(): void
    {
        $grade = GradeProfile::from(
            62.0,
            [['station_mm' => 1060.0, 'height_mm' => 76.1], ['station_mm' => 420.0, 'height_mm' => 62.0]],
            1233.0,
        );
        $this->assertEqualsWithDelta(62.0, $grade->heightAt(200.0), 1e-9);
        $this->assertEqualsWithDelta(69.05, $grade->heightAt(740.0), 1e-9);
        $this->assertEqualsWithDelta(76.1, $grade->heightAt(1200.0), 1e-9);
        $this->assertEqualsWithDelta(2.203, $grade->gradeAt(500.0), 0.001);
        $this->assertSame(0.0, $grade->gradeAt(1100.0));
        $this->assertSame([62.0, 76.1], $grade->range());
        $stretches = $grade->stretches(1233.0);
        $this->assertCount(3, $stretches);
        $this->assertEqualsWithDelta(14.1, $stretches[1]['rise'], 1e-9);
    }

    public function test_curve_resistance_is_the_rule_of_thumb(): void
    {
        $this->assertEqualsWithDelta(812.8 / 720.0, GradeProfile::curveResistance(-1.0 / 720.0, 16.5), 1e-9);
        $this->assertEqualsWithDelta((812.8 / 720.0) * 2.0, GradeProfile::curveResistance(1.0 / 720.0, 33.0), 1e-9);
    }

    public function test_the_room_of_vehicles_on_curves(): void
    {
        foreach (Fixtures::vectors('clearance') as $case) {
            $throw = Vehicle::from($case['body_mm'], $case['bogie_centres_mm'], $case['width_mm'], 46.0)->throwOn($case['radius_mm']);
            $this->assertEqualsWithDelta($case['inside_mm'], $throw['inside'], 0.0001);
            $this->assertEqualsWithDelta($case['outside_mm'], $throw['outside'], 0.0001);
        }
    }

    public function test_a_vehicle_stood_on_a_curve_takes_what_the_formula_says(): void
    {
        foreach (Fixtures::vectors('clearance') as $case) {
            $vehicle = Vehicle::from($case['body_mm'], $case['bogie_centres_mm'], $case['width_mm'], 46.0);
            $run = Alignment::from(new Point(0.0, 0.0), 30.0, [
                ['kind' => 'arc', 'radius_mm' => (float) $case['radius_mm'], 'angle_deg' => -170.0],
            ]);
            $room = (new VehicleSweep($run, $vehicle))->at($run->length / 2.0);
            $this->assertEqualsWithDelta($case['outside_mm'], $room['left'], 0.02, 'outside of a right curve');
            $this->assertEqualsWithDelta($case['inside_mm'], $room['right'], 0.02);
            $this->assertEqualsWithDelta($case['radius_mm'], $room['radius'], 1e-6);
        }
    }

    public function test_into_a_curve_the_room_grows_steadily_from_half_the_width(): void
    {
        $pieces = [
            ['kind' => 'tangent', 'length_mm' => 600.0],
            ['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 60.0],
            ['kind' => 'tangent', 'length_mm' => 600.0],
        ];
        $run = Alignment::from(new Point(0.0, 0.0), 0.0, $pieces);
        $coach = Vehicle::coach();
        $sweep = new VehicleSweep($run, $coach);
        $full = $coach->throwOn(600.0);
        $this->assertEqualsWithDelta(17.0, $sweep->at(300.0)['left'], 1e-6, 'no bogie has reached the curve');
        $before = [0.0, 0.0];
        for ($station = 400.0; $station <= 900.0; $station += 10.0) {
            $room = $sweep->at($station);
            $this->assertGreaterThanOrEqual($before[0] - 0.02, $room['left'], (string) $station);
            $this->assertLessThanOrEqual($full['inside'] + 0.02, $room['left']);
            $this->assertLessThanOrEqual($full['outside'] + 0.02, $room['right']);
            $before = [$room['left'], $room['right']];
        }
        $this->assertEqualsWithDelta($full['inside'], $before[0], 0.02);
        $this->assertGreaterThan(17.5, $sweep->at(560.0)['left'], 'the body cuts the corner before the curve begins');
        // The outer end swings out while the bogies still stand on the straight behind.
        $this->assertGreaterThan(17.0, $sweep->at(610.0)['right']);
    }

    public function test_a_transition_is_an_eulers_spiral(): void
    {
        // From straight to R over L: heading L/2R, offset L²/6R − L⁴/336R³ (series), length along x L − L³/40R² + L⁵/3456R⁴.
        [$l, $r] = [300.0, 800.0];
        $run = Alignment::from(new Point(0.0, 0.0), 0.0, [
            ['kind' => 'transition', 'length_mm' => $l, 'from_radius_mm' => 0.0, 'to_radius_mm' => $r],
            ['kind' => 'arc', 'radius_mm' => $r, 'angle_deg' => 20.0],
            ['kind' => 'transition', 'length_mm' => $l, 'from_radius_mm' => $r, 'to_radius_mm' => 0.0],
        ]);
        $end = $run->pointAt($l);
        $this->assertEqualsWithDelta($l - $l ** 3 / (40 * $r ** 2) + $l ** 5 / (3456 * $r ** 4), $end->x, 1e-4);
        $this->assertEqualsWithDelta($l ** 2 / (6 * $r) - $l ** 4 / (336 * $r ** 3) + $l ** 6 / (42240 * $r ** 5), $end->y, 1e-4);
        $this->assertEqualsWithDelta($l / (2 * $r), $run->headingAt($l), 1e-12);
        $this->assertEqualsWithDelta(0.5 / $r, $run->curvatureAt($l / 2.0), 1e-12);
        $this->assertEqualsWithDelta(deg2rad(20.0) + $l / $r, $run->headingAt($run->length), 1e-9);
        $this->assertEqualsWithDelta(1.0 / $r, $run->sharpest(0.0, $run->length), 1e-12);
        for ($station = 5.0; $station < $run->length; $station += 17.3) {
            foreach ([-55.0, 0.0, 40.0] as $offset) {
                $near = $run->nearest($run->beside($station, $offset));
                $this->assertEqualsWithDelta($station, $near['station'], 1e-4);
                $this->assertEqualsWithDelta($offset, $near['offset'], 1e-6);
            }
        }
        $this->assertEqualsWithDelta(0.0, $run->extended(-100.0)->distanceTo(new Point(-100.0, 0.0)), 1e-9);
    }

    public function test_a_rounded_grade_point_is_a_parabola(): void
    {
        // From +2 % to −2 % over 400 mm at 1000: the middle lies A·L/8 = 0.04 × 400 / 8 = 2 mm under the point.
        $grade = GradeProfile::from(
            0.0,
            [['station_mm' => 1000.0, 'height_mm' => 20.0, 'curve_mm' => 400.0], ['station_mm' => 2000.0, 'height_mm' => 0.0]],
            2000.0,
        );
        $this->assertEqualsWithDelta(18.0, $grade->heightAt(1000.0), 1e-9);
        $this->assertEqualsWithDelta(16.0, $grade->heightAt(800.0), 1e-9, 'it begins on the straight grade');
        $this->assertEqualsWithDelta(
            [2.0, 1.0, 0.0, -1.0, -2.0],
            array_map($grade->gradeAt(...), [500.0, 900.0, 1000.0, 1100.0, 1500.0]),
            1e-6,
        );
        $this->assertEqualsWithDelta([0.0, 18.0], $grade->range(), 1e-6);
        $this->assertEqualsWithDelta(100.0, $grade->rate(1), 1e-6, '400 mm for four percent');
        $this->assertEqualsWithDelta(1000.0, $grade->turning(1), 1e-6);
        $this->assertEqualsWithDelta($grade->heightAt(950.0), ($grade->heightAt(949.0) + $grade->heightAt(951.0)) / 2.0, 1e-3);
        $this->expectExceptionMessage('does not fit');
        GradeProfile::from(
            0.0,
            [
                ['station_mm' => 300.0, 'height_mm' => 6.0, 'curve_mm' => 500.0],
                ['station_mm' => 500.0, 'height_mm' => 6.0, 'curve_mm' => 200.0],
            ],
            2000.0,
        );
    }

    public function test_stretches_are_gathered_and_parted(): void
    {
        $samples = [];
        foreach ([...range(100, 200, 5), ...range(400, 450, 5)] as $station) {
            $samples[] = [(float) $station, $station / 100.0];
        }
        $stretches = StationRange::gather($samples, 5.0, 440.0);
        $this->assertCount(2, $stretches);
        $this->assertSame([97.5, 202.5], [$stretches[0]->from, $stretches[0]->to]);
        $this->assertSame(440.0, $stretches[1]->to);
        $this->assertSame([1.0, 2.0], [$stretches[0]->least, $stretches[0]->greatest]);
    }

    public function test_what_cannot_be_laid_is_refused_with_its_place(): void
    {
        $tangent = ['kind' => 'tangent', 'length_mm' => 300.0];
        foreach (
            [
                'elements' => fn () => Build::run(1, 0, 0, 0, [], 60),
                'elements/1/radius_mm' => fn () => Build::run(
                    1,
                    0,
                    0,
                    0,
                    [$tangent, ['kind' => 'arc', 'radius_mm' => 60.0, 'angle_deg' => 20.0]],
                    60,
                ),
                'elements/0/length_mm' => fn () => Build::run(1, 0, 0, 0, [['kind' => 'tangent', 'length_mm' => -20.0]], 60),
                'elements/0/angle_deg' => fn () => Build::run(
                    1,
                    0,
                    0,
                    0,
                    [['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 0.0]],
                    60,
                ),
                'elements/0/kind' => fn () => Build::run(1, 0, 0, 0, [['kind' => 'loop']], 60),
                'grade_points/0/station_mm' => fn () => Build::run(1, 0, 0, 0, [$tangent], 60, [[400, 70]]),
                'grade_points/1/station_mm' => fn () => Build::run(1, 0, 0, 0, [$tangent], 60, [[200, 70], [200.4, 80]]),
                'grade_points/0/height_mm' => fn () => Build::run(1, 0, 0, 0, [$tangent], 60, [[200, 9000]]),
                'profile/batter_cut_left' => fn () => FormationProfile::from(['batter_cut_left' => 0.0]),
                'profile/ditch_width_mm' => fn () => FormationProfile::from(['ditch_depth_mm' => 2.0, 'ditch_width_mm' => 30.0]),
                'profile' => fn () => FormationProfile::from(['wheels' => 4.0]),
                'radius_mm' => fn () => Vehicle::coach()->throwOn(110.0),
                'bogie_centres_mm' => fn () => Vehicle::from(100.0, 120.0, 30.0, 40.0),
            ] as $place => $make
        ) {
            try {
                $make();
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }
}
