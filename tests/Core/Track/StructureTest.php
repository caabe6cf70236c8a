<?php

declare(strict_types=1);

namespace Tests\Core\Track;

use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\Wall;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Track\Vehicle;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Core\Rulebook\RulebookTest;

/** Bridges and tunnels: what they leave of the grading, and what is said about them. */
final class StructureTest extends TestCase
{
    private const EVEN = ['batter_cut_left' => 1.0, 'batter_cut_right' => 1.0, 'batter_fill_left' => 1.0, 'batter_fill_right' => 1.0];

    public function test_under_a_bridge_the_ground_stays_and_high_land_is_cut_away(): void
    {
        $run = $this->along('bridge');
        $low = Build::flatLand(20.0, [$run]);
        $this->assertEqualsWithDelta(60.0, $low->heightAt(300.0, 300.0), 1e-6, 'before it the formation');
        $this->assertEqualsWithDelta(20.0, $low->heightAt(600.0, 300.0), 1e-6, 'no land is asked for');
        $this->assertEqualsWithDelta(20.0, $low->heightAt(600.0, 335.0), 1e-6, 'no bank beside it');
        $high = Build::flatLand(100.0, [$run]);
        $this->assertEqualsWithDelta(60.0, $high->heightAt(600.0, 300.0), 1e-6, 'land above it is carved');
        $this->assertEqualsWithDelta(70.0, $high->heightAt(600.0, 335.0), 1e-6, 'and slopes up beside it');
    }

    public function test_over_a_tunnel_the_ground_stays_and_low_land_is_banked(): void
    {
        $run = $this->along('tunnel');
        $high = Build::flatLand(160.0, [$run]);
        $this->assertEqualsWithDelta(60.0, $high->heightAt(300.0, 300.0), 1e-6);
        $this->assertEqualsWithDelta(160.0, $high->heightAt(600.0, 300.0), 1e-6, 'no cutting over it');
        $this->assertEqualsWithDelta(160.0, $high->heightAt(600.0, 335.0), 1e-6);
        $this->assertEqualsWithDelta(60.0, Build::flatLand(20.0, [$run])->heightAt(600.0, 300.0), 1e-6, 'the track stands on something');
        $this->assertEqualsWithDelta(50.0, Build::flatLand(20.0, [$run])->heightAt(600.0, 335.0), 1e-6);
    }

    public function test_another_run_goes_under_a_bridge_on_its_own_formation(): void
    {
        $below = Build::run(2, 600.0, 0.0, 90.0, [['kind' => 'tangent', 'length_mm' => 600.0]], 10.0, [], Build::evenProfile());
        $at = (new Grading([$this->along('bridge'), $below]))->at(600.0, 300.0, 40.0);
        $this->assertSame([10.0, Grading::FORMATION, 1], [$at?->height, $at?->kind, $at?->run]);
    }

    public function test_a_run_is_cut_up_into_its_parts(): void
    {
        $run = Build::straight(
            1,
            300.0,
            60.0,
            60.0,
            structures: [
                ['kind' => 'tunnel', 'from_mm' => 700.0, 'to_mm' => 1200.04],
                ['kind' => 'bridge', 'from_mm' => 0.0, 'to_mm' => 90.0],
            ],
        );
        $this->assertSame([[0.0, 90.0, StructureKind::Bridge], [90.0, 700.0, null], [700.0, 1200.0, StructureKind::Tunnel]], $run->parts());
        $this->assertSame(StructureKind::Bridge, $run->structureAt(90.0)?->kind);
        $this->assertNull($run->structureAt(90.1));
        $this->assertSame([[0.0, 1200.0, null]], Build::straight(1, 300.0, 60.0, 60.0)->parts());
    }

    public function test_structures_that_cannot_be_are_refused_with_their_place(): void
    {
        $one = fn (string $kind, float $from, float $to): array => ['kind' => $kind, 'from_mm' => $from, 'to_mm' => $to];
        foreach (
            [
                'structures/0/kind' => [$one('arch', 0.0, 50.0)],
                'structures/0/from_mm' => [$one('bridge', -1.0, 50.0)],
                'structures/0/to_mm' => [$one('bridge', 100.0, 1201.0)],
                'structures/1/to_mm' => [$one('bridge', 0.0, 50.0), $one('tunnel', 200.0, 204.9)],
                'structures/1/from_mm' => [$one('bridge', 100.0, 150.0), $one('tunnel', 140.0, 240.0)],
            ] as $place => $given
        ) {
            try {
                Structure::along($given, 1200.0);
                $this->fail("{$place} was taken");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
        $this->assertCount(2, Structure::along([$one('bridge', 100.0, 150.0), $one('tunnel', 150.0, 240.0)], 1200.0), 'they may touch');
        try {
            Structure::along([$one('bridge', NAN, 50.0)], 1200.0);
            $this->fail();
        } catch (InvalidValue $refusal) {
            $this->assertSame('structures/0/from_mm', $refusal->place);
        }
    }

    public function test_a_lid_of_ten_millimetres_is_asked_for_and_none_is_said(): void
    {
        // Formation 60, rail top 8.8 over it, vehicles 50, margin 8: the roof lies at 126.8.
        $vehicle = Vehicle::from(280.0, 190.0, 34.0, 50.0);
        foreach (['136.9' => null, '136.7' => Severity::Care, '126.7' => Severity::Stop] as $ground => $severity) {
            $project = Build::project(
                [$this->along('tunnel')],
                base: (float) $ground,
                sheet: ['faceLimitDeg' => 89.0, 'clearance' => new LayoutClearance([$vehicle])],
            );
            $found = RulebookTest::found($project, 'tunnel-lid');
            $this->assertCount($severity === null ? 0 : 1, $found, $ground);
            if ($severity !== null) {
                $this->assertSame($severity, $found[0]->severity);
                $this->assertEqualsWithDelta((float) $ground - 126.8, $found[0]->figures['lid']->value, 1e-6);
                $this->assertEqualsWithDelta(500.0, $found[0]->place->fromMm, 5.0);
            }
        }
    }

    public function test_a_tunnel_longer_than_two_arms_is_named(): void
    {
        foreach (['899' => 0, '901' => 1] as $length => $count) {
            $run = Build::straight(
                1,
                300.0,
                60.0,
                60.0,
                Build::evenProfile(),
                structures: [['kind' => 'tunnel', 'from_mm' => 100.0, 'to_mm' => 100.0 + (float) $length]],
            );
            $this->assertCount($count, RulebookTest::found(Build::project([$run], base: 180.0), 'reach-in-tunnel'));
        }
    }

    public function test_headroom_under_a_bridge_is_the_vehicles_and_the_decks(): void
    {
        // The run below needs its roof and a deck of 8 mm under the formation above.
        foreach (['0.05' => 0, '-0.05' => 1] as $spare => $count) {
            $below = Build::run(2, 600.0, 0.0, 90.0, [['kind' => 'tangent', 'length_mm' => 600.0]], 10.0, [], Build::evenProfile());
            $level = Build::project([$below])->roof($below, 300.0) + 8.0 + (float) $spare;
            $above = Build::straight(
                1,
                300.0,
                $level,
                $level,
                self::EVEN,
                structures: [['kind' => 'bridge', 'from_mm' => 500.0, 'to_mm' => 700.0]],
            );
            $found = RulebookTest::found(Build::project([$above, $below]), 'headroom');
            $this->assertCount($count, $found);
            if ($count === 1) {
                $this->assertEqualsWithDelta(0.05, $found[0]->figures['missing']->value, 1e-6);
                $this->assertSame(Build::uid(1), $found[0]->place->run);
            }
        }
    }

    public function test_a_bridge_on_the_land_bridges_nothing(): void
    {
        foreach (['51.9' => 0, '52.1' => 1] as $ground => $count) {
            $found = RulebookTest::found(Build::project([$this->along('bridge')], base: (float) $ground), 'headroom');
            $this->assertCount($count, $found, $ground);
        }
    }

    public function test_a_wall_steps_the_land_at_the_formations_edge_and_is_as_high_as_the_step(): void
    {
        $run = Build::straight(
            1,
            300.0,
            60.0,
            60.0,
            Build::evenProfile(25.0, 1.0),
            structures: [['kind' => 'wall left', 'from_mm' => 400.0, 'to_mm' => 800.0]],
        );
        foreach (['90' => 30.0, '40' => 20.0] as $ground => $height) {
            $study = Build::study(Build::project([$run], base: (float) $ground, sheet: ['faceLimitDeg' => 45.5]));
            $this->assertEqualsWithDelta((float) $ground, $study->model->heightAt(600.0, 327.0), 1e-6, 'the ground stays beside it');
            $this->assertEqualsWithDelta(
                (float) $ground < 60.0 ? 58.0 : 62.0,
                $study->model->heightAt(300.0, 327.0),
                1e-6,
                'before it the slope',
            );
            $this->assertEqualsWithDelta(
                (float) $ground < 60.0 ? 58.0 : 62.0,
                $study->model->heightAt(600.0, 273.0),
                1e-6,
                'and on the other side',
            );
            [$wall] = $study->walls;
            $this->assertSame(['placed', Side::Left, 400.0, 800.0], [$wall->cause, $wall->side, $wall->from, $wall->to]);
            $this->assertEqualsWithDelta(
                [$height, $height, $height * 400.0],
                [$wall->lowest, $wall->highest, $wall->face],
                1e-3 * $wall->face,
            );
            $this->assertEqualsWithDelta([$height, $height], [$wall->lowest, $wall->highest], 1e-3);
            $this->assertCount(41, $wall->profile);
            $this->assertSame([], RulebookTest::found($study->project, 'wall-needed'), 'what stands is not asked for');
            $this->assertSame([], RulebookTest::found($study->project, 'face-too-steep'), 'a wall needs no skin');
        }
    }

    public function test_a_placed_wall_takes_the_place_of_the_one_that_is_needed(): void
    {
        $runs = [Build::straight(1, 200.0, 40.0, 40.0, Build::evenProfile()), Build::straight(2, 260.0, 70.0, 70.0, Build::evenProfile())];
        [$needed] = Build::study(Build::project($runs, base: 40.0))->walls;
        $this->assertSame(Build::uid(1), $needed->run, 'it stands at the lower run');
        $walled = [
            $runs[0]->but(structures: [['kind' => "wall {$needed->side->value}", 'from_mm' => $needed->from, 'to_mm' => $needed->to]]),
            $runs[1],
        ];
        $study = Build::study(Build::project($walled, base: 40.0));
        $this->assertSame(['placed'], array_map(fn (Wall $w): string => $w->cause, $study->walls));
        // 10 mm between the formations at 1 in 1.5 leave 30 − 6.67; what is built is what was asked for.
        $this->assertEqualsWithDelta(30.0 - 10.0 / 1.5, $needed->highest, 0.01);
        $this->assertEqualsWithDelta(
            [$needed->lowest, $needed->highest, $needed->face],
            [$study->walls[0]->lowest, $study->walls[0]->highest, $study->walls[0]->face],
            1.0,
        );
    }

    public function test_a_track_rules_where_a_road_crosses_it_on_the_level(): void
    {
        $track = Build::straight(1, 300.0, 60.0, 60.0);
        $road = Build::run(
            2,
            600.0,
            0.0,
            90.0,
            [['kind' => 'tangent', 'length_mm' => 600.0]],
            67.8,
            [],
            ['roadbed_mm' => 1.0, 'sleeper_mm' => 0.0, 'rail_mm' => 0.0],
        )->but(kind: RunKind::Road);
        foreach ([[$track, $road], [$road->but(uid: Build::uid(1)), $track->but(uid: Build::uid(2))]] as $runs) {
            $land = Build::flatLand(50.0, $runs);
            $this->assertEqualsWithDelta(60.0, $land->heightAt(600.0, 300.0), 1e-6);
            $this->assertEqualsWithDelta(60.0, $land->heightAt(600.0, 322.0), 1e-6, 'also where the road’s middle is nearer');
            $this->assertEqualsWithDelta(67.8, $land->heightAt(600.0, 340.0), 1e-6);
            $study = Build::study(Build::project($runs, base: 50.0));
            $this->assertSame([], RulebookTest::found($study->project, 'formations-at-odds'));
            $this->assertSame([], RulebookTest::found($study->project, 'wall-needed'), 'a ballast’s height is no wall');
        }
    }

    public function test_two_tracks_share_the_ditch_between_them(): void
    {
        $profile = ['half_width_left_mm' => 28.0, 'half_width_right_mm' => 28.0, 'ditch_width_mm' => 6.0, 'ditch_depth_mm' => 2.0];
        $land = Build::flatLand(40.0, [Build::straight(1, 200.0, 60.0, 60.0, $profile), Build::straight(2, 250.0, 60.0, 60.0, $profile)]);
        $depths = array_map(fn (float $y): float => 60.0 - $land->heightAt(500.0, $y), [221.0, 223.0, 225.0, 227.0, 229.0, 177.0]);
        $this->assertEqualsWithDelta([0.0, 2.0, 2.0, 2.0, 0.0, 0.0], $depths, 1e-6, 'between them, and on banks not outside');
    }

    public function test_a_lining_too_narrow_for_what_runs_is_found(): void
    {
        // 34 wide and a margin of 8 on either side: 50 between the linings.
        $sheet = ['clearance' => new LayoutClearance([Vehicle::from(200.0, 120.0, 34.0, 46.0)], 8.0), 'faceLimitDeg' => 89.0];
        foreach (['50.1' => null, '49.9' => Severity::Care, '33.9' => Severity::Stop] as $inside => $severity) {
            $run = Build::straight(
                1,
                300.0,
                60.0,
                60.0,
                Build::evenProfile(),
                structures: [
                    ['kind' => 'tunnel', 'from_mm' => 500.0, 'to_mm' => 700.0, 'lining_mm' => 3.0, 'inside_mm' => (float) $inside],
                ],
            );
            $found = RulebookTest::found(Build::project([$run], base: 180.0, sheet: $sheet), 'lining-clearance');
            $this->assertSame($severity, $found === [] ? null : $found[0]->severity, $inside);
        }
    }

    public function test_a_pier_on_the_track_below_is_found(): void
    {
        foreach ([1 => 1, 2 => 0] as $piers => $count) {
            $below = Build::run(2, 600.0, 0.0, 90.0, [['kind' => 'tangent', 'length_mm' => 600.0]], 10.0, [], Build::evenProfile());
            $above = Build::straight(
                1,
                300.0,
                120.0,
                120.0,
                self::EVEN,
                structures: [['kind' => 'bridge', 'from_mm' => 500.0, 'to_mm' => 700.0, 'piers' => $piers]],
            );
            $this->assertCount($count, RulebookTest::found(Build::project([$above, $below]), 'pier-clearance'), "{$piers} piers");
        }
    }

    public function test_what_a_structure_is_made_of_is_checked_where_it_stands(): void
    {
        foreach (
            [
                'structures/0/piers' => ['kind' => 'bridge', 'from_mm' => 0.0, 'to_mm' => 90.0, 'piers' => 2.5],
                'structures/0/deck_mm' => ['kind' => 'bridge', 'from_mm' => 0.0, 'to_mm' => 90.0, 'deck_mm' => 0.0],
                'structures/0/lining_mm' => ['kind' => 'tunnel', 'from_mm' => 0.0, 'to_mm' => 90.0, 'lining_mm' => -1.0],
                'structures/0/inside_mm' => ['kind' => 'tunnel', 'from_mm' => 0.0, 'to_mm' => 90.0, 'inside_mm' => 2.0],
            ] as $place => $one
        ) {
            try {
                Build::straight(1, 300.0, 60.0, 60.0, structures: [$one]);
                $this->fail($place);
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
        $both = Build::straight(
            1,
            300.0,
            60.0,
            60.0,
            structures: [
                ['kind' => 'wall left', 'from_mm' => 0.0, 'to_mm' => 90.0],
                ['kind' => 'wall right', 'from_mm' => 10.0, 'to_mm' => 90.0],
                ['kind' => 'bridge', 'from_mm' => 50.0, 'to_mm' => 90.0],
            ],
        );
        $this->assertCount(3, $both->structures, 'walls on both sides, and beside a bridge');
        $this->assertSame([[0.0, 50.0, null], [50.0, 90.0, StructureKind::Bridge], [90.0, 1200.0, null]], $both->parts());
    }

    private function along(string $kind): Run
    {
        return Build::straight(
            1,
            300.0,
            60.0,
            60.0,
            Build::evenProfile(25.0, 1.0),
            structures: [['kind' => $kind, 'from_mm' => 500.0, 'to_mm' => 700.0]],
        );
    }
}
