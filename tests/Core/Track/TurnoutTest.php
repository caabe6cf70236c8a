<?php

declare(strict_types=1);

namespace Tests\Core\Track;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Rulebook\Land\CrossingsMeet;
use IdleRidge\Core\Rulebook\Land\TracksApart;
use IdleRidge\Core\Rulebook\Land\TurnoutsKeepClear;
use IdleRidge\Core\Track\AlignmentBuilder;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunEnds;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Turnout;
use IdleRidge\Core\Track\Vehicle;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Several runs on a board: where they leave, cross, meet and lie beside each other. */
final class TurnoutTest extends TestCase
{
    public function test_a_turnout_is_where_a_track_leaves_another_and_keeps_clear_to_the_fouling_point(): void
    {
        $vehicle = Vehicle::from(60.0, 30.0, 34.0, 46.0);
        // A straight branch from a point of the main at 6°: vehicles of 34 and a margin of 8 pass where the tracks are 42 apart.
        foreach ([[300.0, 6.0, true, 300.0], [300.0, -6.0, false, 300.0], [600.0, 174.0, true, 600.0]] as [$x, $heading, $left, $toe]) {
            $runs = [
                Build::straight(1, 200.0, 60.0, 60.0),
                Build::run(2, $x, 200.0, $heading, [['kind' => 'tangent', 'length_mm' => 500.0]], 60.0),
            ];
            [$turnout] = Turnout::among($runs, [$vehicle], 8.0);
            $this->assertEqualsWithDelta($toe, $turnout->toe, 1e-6);
            $this->assertSame($left, $turnout->left, "at {$heading}°");
            $this->assertEqualsWithDelta(6.0, $turnout->kinkDeg, 1e-9);
            $far = 42.0 / tan(deg2rad(6.0));
            $this->assertEqualsWithDelta(
                $heading === 174.0 ? [$toe - $far, $toe + Turnout::ROOM_BEFORE_TOE_MM] : [$toe - Turnout::ROOM_BEFORE_TOE_MM, $toe + $far],
                [$turnout->from, $turnout->to],
                12.0,
                "at {$heading}°",
            );
            $this->assertTrue($turnout->holds(Build::uid(1), $heading === 174.0 ? 500.0 : 400.0));
            $this->assertFalse($turnout->holds(Build::uid(1), $heading === 174.0 ? 640.0 : 260.0));
            $this->assertTrue($turnout->holds(Build::uid(2), 100.0));
            $this->assertFalse($turnout->holds(Build::uid(2), 450.0));
        }
    }

    public function test_a_branch_that_comes_back_ends_on_the_main(): void
    {
        $runs = [
            Build::straight(1, 200.0, 60.0, 60.0),
            Build::run(2, 100.0, 260.0, -6.0, [['kind' => 'tangent', 'length_mm' => 60.0 / sin(deg2rad(6.0))]], 60.0),
        ];
        [$turnout] = Turnout::among($runs, [Vehicle::coach()], 8.0);
        $this->assertTrue($turnout->atEnd);
        $this->assertEqualsWithDelta(100.0 + 60.0 / tan(deg2rad(6.0)), $turnout->toe, 0.01);
        $this->assertTrue($turnout->holds(Build::uid(2), $runs[1]->alignment->length - 10.0));
        $this->assertFalse($turnout->holds(Build::uid(2), 20.0));
    }

    public function test_ends_that_lie_apart_or_square_or_at_an_end_are_no_turnout(): void
    {
        foreach ([[300.0, 206.0, 6.0], [300.0, 200.0, 60.0], [1199.5, 200.0, 6.0]] as [$x, $y, $heading]) {
            $this->assertSame(
                [],
                Turnout::among(
                    [
                        Build::straight(1, 200.0, 60.0, 60.0),
                        Build::run(2, $x, $y, $heading, [['kind' => 'tangent', 'length_mm' => 300.0]], 60.0),
                    ],
                    [Vehicle::coach()],
                    8.0,
                ),
            );
        }
    }

    public function test_steps_kinks_grade_changes_and_roads_in_a_turnout_are_found(): void
    {
        $branch = fn (float $height, float $heading = 0.5): Run => Build::run(
            2,
            300.0,
            200.0,
            $heading,
            [['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 20.0], ['kind' => 'tangent', 'length_mm' => 200.0]],
            $height,
        );
        $road = fn (float $x): Run => Build::run(
            3,
            $x,
            60.0,
            90.0,
            [['kind' => 'tangent', 'length_mm' => 300.0]],
            68.0,
            [],
            ['roadbed_mm' => 0.8, 'sleeper_mm' => 0.0, 'rail_mm' => 0.0],
        )->but(kind: RunKind::Road);
        $main = Build::straight(1, 200.0, 60.0, 60.0);
        $ids = fn (array $runs): array => array_map(
            fn (Finding $f): string => $f->id,
            (new TurnoutsKeepClear())->check($this->study($runs)),
        );
        $this->assertSame([], $ids([$main, $branch(60.9)]));
        $this->assertSame(['turnout-joint'], $ids([$main, $branch(61.1)]));
        $this->assertSame([], $ids([$main, $branch(60.0, 1.4)]));
        $this->assertSame(['turnout-joint'], $ids([$main, $branch(60.0, 1.6)]));
        $graded = fn (float $station): Run => Build::run(1, 0.0, 200.0, 0.0, [['kind' => 'tangent', 'length_mm' => 1200.0]], 60.0, [
            [$station, 60.0],
            [1200.0, 70.0],
        ]);
        $this->assertSame(['turnout-on-grade-change'], $ids([$graded(320.0), $branch(60.0)]));
        $this->assertSame([], $ids([$graded(200.0), $branch(60.0 + 100.0 / 100.0)]));
        $this->assertSame(['road-on-turnout'], $ids([$main, $branch(60.0), $road(400.0)]));
        $this->assertSame([], $ids([$main, $branch(60.0), $road(900.0)]));
    }

    public function test_crossings_have_stations_an_angle_and_a_difference(): void
    {
        $one = Build::straight(1, 200.0, 60.0, 72.0);
        $other = Build::run(2, 500.0, 100.0, 60.0, [['kind' => 'tangent', 'length_mm' => 300.0]], 64.0);
        [$crossing] = Crossing::between($one, $other);
        $this->assertEqualsWithDelta(
            [500.0 + 100.0 / tan(deg2rad(60.0)), 100.0 / sin(deg2rad(60.0)), 60.0],
            [$crossing->station, $crossing->otherStation, $crossing->angleDeg],
            1e-6,
        );
        $this->assertEqualsWithDelta(64.0 - $one->grade->heightAt($crossing->station), $crossing->over(), 1e-9);
        $this->assertCount(
            2,
            Crossing::between(
                Build::straight(1, 250.0, 60.0, 60.0),
                Build::run(2, 300.0, 200.0, 60.0, [['kind' => 'arc', 'radius_mm' => 150.0, 'angle_deg' => -300.0]], 60.0),
            ),
            'over and back',
        );
        $this->assertSame([], Crossing::between($one, Build::straight(2, 260.0, 60.0, 60.0)));
    }

    public function test_a_road_is_brought_to_the_rails_and_held_there(): void
    {
        $tracks = [Build::straight(1, 200.0, 60.0, 60.0), Build::straight(2, 250.0, 62.0, 62.0)];
        $road = Build::run(
            3,
            500.0,
            0.0,
            90.0,
            [['kind' => 'tangent', 'length_mm' => 500.0]],
            50.0,
            [],
            ['roadbed_mm' => 1.0, 'sleeper_mm' => 0.0, 'rail_mm' => 0.0],
        )->but(kind: RunKind::Road);
        $laid = $road->but(gradePoints: [...Crossing::levelsOf($road, $tracks), ['station_mm' => 500.0, 'height_mm' => 55.0]]);
        $this->assertEqualsWithDelta(
            [67.8, 67.8, 69.8],
            [$laid->grade->heightAt(200.0), $laid->grade->heightAt(172.0), $laid->grade->heightAt(250.0)],
            0.01,
        );
        foreach ($tracks as $track) {
            $this->assertEqualsWithDelta(0.0, Crossing::between($track, $laid)[0]->over(), 0.01);
        }
        $this->assertLessThan(60.0, $laid->grade->heightAt(80.0));
    }

    public function test_level_crossings_are_level_to_a_millimetre_and_not_too_slanting(): void
    {
        $track = Build::straight(1, 200.0, 60.0, 60.0);
        $road = fn (float $height, float $heading = 90.0): Run => Build::run(
            3,
            500.0,
            60.0,
            $heading,
            [['kind' => 'tangent', 'length_mm' => 400.0]],
            $height,
            [],
            ['roadbed_mm' => 0.8, 'sleeper_mm' => 0.0, 'rail_mm' => 0.0],
        )->but(kind: RunKind::Road);
        $ids = fn (array $runs): array => array_map(fn (Finding $f): string => $f->id, (new CrossingsMeet())->check($this->study($runs)));
        $this->assertSame([], $ids([$track, $road(68.9)]));
        $this->assertSame(['level-crossing'], $ids([$track, $road(69.1)]));
        $this->assertSame(['level-crossing'], $ids([$track, $road(66.9)]));
        $this->assertSame([], $ids([$track, $road(68.0, 45.5)]));
        $this->assertSame(['crossing-slant'], $ids([$track, $road(68.0, 44.5)]));
        $this->assertSame(
            [],
            $ids([$track, $road(120.0)->but(structures: [['kind' => 'bridge', 'from_mm' => 60.0, 'to_mm' => 240.0]])]),
            'over it on a bridge',
        );
        $this->assertSame(
            ['crossing'],
            $ids([$track, Build::run(2, 500.0, 60.0, 60.0, [['kind' => 'tangent', 'length_mm' => 400.0]], 64.0)]),
        );
    }

    public function test_vehicles_on_two_tracks_pass_with_one_margin_between(): void
    {
        $sheet = ['clearance' => new LayoutClearance([Vehicle::from(200.0, 120.0, 34.0, 46.0)], 8.0)];
        $found = fn (float $apart): array => (new TracksApart())->check(
            Build::study(
                Build::project([Build::straight(1, 200.0, 60.0, 60.0), Build::straight(2, 200.0 + $apart, 60.0, 60.0)], [], $sheet),
            ),
        );
        $this->assertSame([], $found(42.1));
        $this->assertSame('Tracks close together', $found(41.9)[0]->subject);
        $this->assertSame('Vehicles on two tracks touch', $found(33.9)[0]->subject);
        $this->assertEqualsWithDelta(8.1, $found(33.9)[0]->figures['missing']->value, 1e-6);
        // On a curve both swing: 42.1 is too little.
        $curve = fn (int $n, float $radius): Run => Build::run(
            $n,
            100.0,
            100.0 + 500.0 - $radius,
            0.0,
            [['kind' => 'arc', 'radius_mm' => $radius, 'angle_deg' => 60.0]],
            60.0,
        );
        $this->assertNotSame(
            [],
            (new TracksApart())->check(Build::study(Build::project([$curve(1, 500.0), $curve(2, 457.9)], [], $sheet))),
        );
        $this->assertSame(
            [],
            (new TracksApart())->check(
                Build::study(Build::project([Build::straight(1, 200.0, 60.0, 60.0), Build::straight(2, 215.0, 130.0, 130.0)], [], $sheet)),
            ),
            'far above each other',
        );
        $next = Build::run(2, 600.0, 200.0, 0.0, [['kind' => 'tangent', 'length_mm' => 600.0]], 60.0);
        $this->assertSame(
            [],
            (new TracksApart())->check(
                Build::study(Build::project([Build::straight(1, 200.0, 60.0, 60.0, length: 605.0), $next], [], $sheet)),
            ),
            'one goes on as the other',
        );
    }

    public function test_stations_count_along_the_line_over_several_runs(): void
    {
        $runs = [
            Build::straight(1, 200.0, 60.0, 60.0, length: 400.0),
            Build::run(2, 400.0, 200.0, 0.0, [['kind' => 'tangent', 'length_mm' => 300.0]], 60.0),
            Build::run(3, 700.0, 200.0, 2.0, [['kind' => 'tangent', 'length_mm' => 100.0]], 60.0),
            Build::straight(4, 500.0, 60.0, 60.0),
        ];
        [$before, $first] = RunEnds::along($runs[2], $runs);
        $this->assertEqualsWithDelta(700.0, $before, 1e-9);
        $this->assertSame('Run 1', $first->name);
        $this->assertSame([0.0, $runs[3]], RunEnds::along($runs[3], $runs));
        $circle = Build::run(5, 100.0, 100.0, 0.0, [['kind' => 'arc', 'radius_mm' => 200.0, 'angle_deg' => 350.0]], 60.0);
        $this->assertSame(0.0, RunEnds::along($circle, [$circle])[0], 'a line that closes ends where it began');
    }

    public function test_pieces_toward_a_goal_touch_the_heading_and_end_there(): void
    {
        foreach ([[300.0, 60.0], [300.0, -60.0], [200.0, 2.0], [110.0, 100.0]] as [$x, $y]) {
            $piece = AlignmentBuilder::toward(new Point(0.0, 0.0), 0.0, new Point($x, $y));
            $end = Build::run(1, 0.0, 0.0, 0.0, [$piece], 60.0)->alignment;
            $this->assertLessThan($piece['kind'] === 'tangent' ? 3.0 : 0.1, $end->pointAt($end->length)->distanceTo(new Point($x, $y)));
        }
        $this->expectException(InvalidValue::class);
        AlignmentBuilder::toward(new Point(0.0, 0.0), 0.0, new Point(40.0, 60.0));
    }

    public function test_a_track_beside_another_keeps_its_distance(): void
    {
        $run = Build::run(
            1,
            100.0,
            100.0,
            20.0,
            [
                ['kind' => 'tangent', 'length_mm' => 200.0],
                ['kind' => 'transition', 'length_mm' => 120.0, 'from_radius_mm' => 0.0, 'to_radius_mm' => 600.0],
                ['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 40.0],
                ['kind' => 'arc', 'radius_mm' => 500.0, 'angle_deg' => -30.0],
            ],
            60.0,
        );
        foreach ([48.0, -48.0] as $offset) {
            $beside = $run->but(start: $run->alignment->beside(0.0, $offset), pieces: AlignmentBuilder::beside($run, $offset));
            for ($station = 0.0; $station <= $run->alignment->length; $station += 20.0) {
                $this->assertEqualsWithDelta(
                    48.0,
                    abs($beside->alignment->nearest($run->alignment->pointAt($station))['offset']),
                    0.7,
                    "{$offset} at {$station}",
                );
            }
        }
        $this->expectExceptionMessage('the radius would be');
        AlignmentBuilder::beside(Build::run(1, 0.0, 0.0, 0.0, [['kind' => 'arc', 'radius_mm' => 130.0, 'angle_deg' => 40.0]], 60.0), 48.0);
    }

    public function test_the_last_piece_follows_its_end(): void
    {
        $arc = Build::run(
            1,
            0.0,
            0.0,
            0.0,
            [['kind' => 'tangent', 'length_mm' => 100.0], ['kind' => 'arc', 'radius_mm' => 400.0, 'angle_deg' => 20.0]],
            60.0,
        );
        $moved = $arc->but(pieces: AlignmentBuilder::ending($arc, new Point(380.0, 80.0)));
        $this->assertLessThan(0.1, $moved->alignment->pointAt($moved->alignment->length)->distanceTo(new Point(380.0, 80.0)));
        $straight = Build::straight(1, 200.0, 60.0, 60.0);
        $this->assertSame(740.0, AlignmentBuilder::ending($straight->but(gradePoints: []), new Point(740.0, 260.0))[0]['length_mm'] ?? 0.0);
    }

    /** @param  list<Run>  $runs */
    private function study(array $runs): LandStudy
    {
        return Build::study(Build::project($runs, base: 60.0), 10.0);
    }
}
