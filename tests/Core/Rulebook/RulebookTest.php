<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Track\Run;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Every rule fires just past its limit and is silent just before it. */
final class RulebookTest extends TestCase
{
    public function test_formations_at_odds_by_more_than_a_millimetre(): void
    {
        foreach (['0.99' => 0, '1.01' => 1] as $difference => $count) {
            $runs = [
                Build::straight(1, 300.0, 40.0, 40.0, Build::evenProfile()),
                Build::straight(2, 330.0, 40.0 + (float) $difference, 40.0 + (float) $difference, Build::evenProfile()),
            ];
            $found = self::found(Build::project($runs, sheet: ['faceLimitDeg' => 80.0]), 'formations-at-odds');
            $this->assertCount($count > 0 ? 2 : 0, $found, 'one on each side of the middle');
            if ($count > 0) {
                $this->assertSame(Severity::Stop, $found[0]->severity);
                $this->assertEqualsWithDelta(1.01, $found[0]->figures['difference']->value, 1e-6);
                $this->assertSame(Build::uid(1), $found[0]->place->run);
            }
        }
    }

    public function test_a_face_steeper_than_the_skin_holds(): void
    {
        // 1 / tan 60° = 0.57735
        foreach (['0.5780' => 0, '0.5767' => 2] as $batter => $count) {
            $run = Build::straight(
                1,
                300.0,
                40.0,
                40.0,
                ['batter_cut_left' => (float) $batter, 'batter_cut_right' => (float) $batter] + Build::evenProfile(),
            );
            $found = self::found(Build::project([$run], base: 80.0), 'face-too-steep');
            $this->assertCount($count, $found, "batter {$batter}");
            foreach ($found as $finding) {
                $this->assertEqualsWithDelta(40.0, $finding->figures['height']->value, 1.0);
            }
        }
    }

    public function test_natural_ground_steeper_than_the_skin_holds(): void
    {
        $cliff = fn (float $rise): Project => Build::project(
            [],
            [Build::spot(1, 500, 300, 0), Build::spot(2, 560, 300, $rise), Build::spot(3, 100, 300, 0), Build::spot(4, 1100, 300, $rise)],
        );
        $this->assertSame([], self::found($cliff(60.0), 'face-too-steep'));
        $found = self::found($cliff(160.0), 'face-too-steep');
        $this->assertCount(1, $found);
        $this->assertNull($found[0]->place->run);
        $this->assertEqualsWithDelta(530.0, $found[0]->place->xMm, 40.0);
    }

    public function test_land_within_the_vehicles_room_and_margin(): void
    {
        // On the straight a coach of 34 and a margin of 8 take 25 mm; a face of 0.02 is over the rails, 8.8 mm up, 0.176 mm further out.
        $run = fn (float $half): array => [
            Build::straight(1, 300.0, 40.0, 40.0, ['batter_cut_left' => 0.02, 'batter_cut_right' => 0.02] + Build::evenProfile($half)),
        ];
        $sheet = ['faceLimitDeg' => 89.0];
        $this->assertSame([], self::found(Build::project($run(25.0), sheet: $sheet, base: 90.0), 'clearance'));
        $found = self::found(Build::project($run(23.0), sheet: $sheet, base: 90.0), 'clearance');
        $this->assertCount(2, $found);
        $this->assertSame(Severity::Care, $found[0]->severity);
        $this->assertSame('Clearance', $found[0]->subject);
        $this->assertEqualsWithDelta(25.0 - 23.0 - 0.176, $found[0]->figures['depth']->value, 0.003);
        foreach ([[24.83, 0], [24.81, 2]] as [$half, $count]) {
            $this->assertCount($count, self::found(Build::project($run($half), sheet: $sheet, base: 90.0), 'clearance'), "{$half} mm");
        }
        $struck = self::found(Build::project($run(15.0), sheet: $sheet, base: 90.0), 'clearance');
        $this->assertSame(Severity::Stop, $struck[0]->severity);
    }

    public function test_clearance_on_a_curve_names_inside_and_stretch(): void
    {
        $pieces = [
            ['kind' => 'tangent', 'length_mm' => 300.0],
            ['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 40.0],
            ['kind' => 'tangent', 'length_mm' => 200.0],
        ];
        $run = Build::run(
            1,
            0.0,
            100.0,
            0.0,
            $pieces,
            40.0,
            [],
            ['batter_cut_left' => 0.1, 'batter_cut_right' => 0.1] + Build::evenProfile(27.0),
        );
        $found = self::found(Build::project([$run], sheet: ['faceLimitDeg' => 89.0], base: 90.0), 'clearance');
        $this->assertSame(['left', 'right'], array_map(fn (Finding $f): ?string => $f->place->side?->value, $found));
        $this->assertSame('Clearance on a curve', $found[0]->subject);
        $this->assertEqualsWithDelta(26.6, $found[0]->figures['throw']->value, 0.2);
        // The coach cuts the corner a little before the curve begins, and half a body before it takes no more than on the straight.
        $this->assertGreaterThan(200.0, (float) $found[0]->place->fromMm);
        $this->assertLessThan(300.0, (float) $found[0]->place->fromMm);
        $this->assertStringContainsString('formation', $found[0]->do);
    }

    public function test_depth_and_throw_are_of_the_worst_place_of_a_stretch(): void
    {
        $pieces = [
            ['kind' => 'arc', 'radius_mm' => 1500.0, 'angle_deg' => 22.0],
            ['kind' => 'arc', 'radius_mm' => 480.0, 'angle_deg' => 25.0],
            ['kind' => 'arc', 'radius_mm' => 1500.0, 'angle_deg' => 4.0],
        ];
        $run = Build::run(
            1,
            0.0,
            100.0,
            0.0,
            $pieces,
            40.0,
            [],
            ['batter_cut_left' => 0.1, 'batter_cut_right' => 0.1] + Build::evenProfile(24.0),
        );
        $found = array_values(
            array_filter(
                self::found(Build::project([$run], sheet: ['faceLimitDeg' => 89.0], base: 90.0), 'clearance'),
                fn (Finding $f): bool => $f->place->side === Side::Left,
            ),
        );
        $this->assertCount(1, $found);
        // By the formula on 480 mm, inside: R − (√(R² − B²/4) − w/2).
        $vehicle = Build::project()->layout->clearance->vehicles[0];
        $throw = 480.0 - (sqrt(480.0 ** 2 - $vehicle->bogieCentres ** 2 / 4.0) - $vehicle->width / 2.0);
        $this->assertEqualsWithDelta($throw, $found[0]->figures['throw']->value, 0.02);
        $this->assertEqualsWithDelta($throw + 8.0 - 24.0 - 0.88, $found[0]->figures['depth']->value, 0.02);
    }

    public function test_a_curve_too_tight_for_the_vehicle_is_said(): void
    {
        $run = Build::run(1, 300.0, 100.0, 0.0, [['kind' => 'arc', 'radius_mm' => 110.0, 'angle_deg' => 90.0]], 40.0);
        $found = self::found(Build::project([$run]), 'clearance');
        $this->assertCount(1, $found);
        $this->assertSame('Curve too tight', $found[0]->subject);
        // In the middle of a quarter circle about (300, 210).
        $off = 110.0 * M_SQRT1_2;
        $this->assertEqualsWithDelta([300.0 + $off, 210.0 - $off], [$found[0]->place->xMm, $found[0]->place->yMm], 0.5);
    }

    public function test_a_wall_is_needed_from_a_step_of_one_millimetre(): void
    {
        foreach (['7.5' => 0, '7.8' => 1] as $difference => $count) {
            // Shelves 10 mm apart at 1 in 1.5 take up 6.67 mm.
            $runs = [
                Build::straight(1, 270.0, 40.0, 40.0, Build::evenProfile()),
                Build::straight(2, 330.0, 40.0 + (float) $difference, 40.0 + (float) $difference, Build::evenProfile()),
            ];
            $this->assertCount($count, self::found(Build::project($runs, base: 40.0), 'wall-needed'), "difference {$difference}");
        }
    }

    public function test_runs_that_should_go_on_into_each_other_meet(): void
    {
        $first = Build::run(1, 0.0, 300.0, 0.0, [['kind' => 'tangent', 'length_mm' => 600.0]], 40.0);
        $on = fn (float $x, float $y, float $heading, float $level): Run => Build::run(
            2,
            $x,
            $y,
            $heading,
            [['kind' => 'tangent', 'length_mm' => 400.0]],
            $level,
        );
        $silent = [
            $on(600.0, 300.0, 0.0, 40.99),
            $on(600.0, 300.9, 1.4, 40.0),
            $on(616.0, 300.0, 0.0, 44.0),
            $on(600.0, 300.0, 90.0, 44.0),
            $on(600.0, 304.0, 180.0, 44.0),
        ];
        foreach ($silent as $k => $second) {
            $this->assertSame([], self::found(Build::project([$first, $second], sheet: ['faceLimitDeg' => 89.0]), 'run-joint'), "run {$k}");
        }
        foreach (
            [
                'step' => [$on(600.0, 300.0, 0.0, 41.01), 1.01],
                'aside' => [$on(601.0, 301.1, 0.0, 40.0), 1.1],
                'kink' => [$on(600.0, 300.0, -1.6, 40.0), 1.6],
            ] as $figure => [$second, $value]
        ) {
            $found = self::found(Build::project([$first, $second]), 'run-joint');
            $this->assertCount(1, $found, $figure);
            $this->assertSame([$figure], array_keys($found[0]->figures));
            $this->assertEqualsWithDelta($value, $found[0]->figures[$figure]->value, 1e-6);
            $this->assertSame($figure === 'kink' ? Severity::Care : Severity::Stop, $found[0]->severity);
        }
        // End to end, the second laid the other way round.
        $back = Build::run(2, 1000.0, 300.0, 180.0, [['kind' => 'tangent', 'length_mm' => 400.0]], 40.0, [[400, 43]]);
        $this->assertEqualsWithDelta(3.0, self::found(Build::project([$first, $back]), 'run-joint')[0]->figures['step']->value, 1e-6);
    }

    public function test_findings_take_the_form_of_the_files(): void
    {
        $runs = [Build::straight(1, 270.0, 20.0, 20.0, Build::evenProfile()), Build::straight(2, 330.0, 50.0, 50.0, Build::evenProfile())];
        $finding = self::found(Build::project($runs, base: 40.0), 'wall-needed')[0]->toArray();
        $this->assertSame('care', $finding['severity']);
        $this->assertSame(['run', 'from_mm', 'to_mm', 'side'], array_keys($finding['place']));
        $this->assertEqualsWithDelta(23.333, $finding['figures']['height']['value'], 0.01);
    }

    /** @return list<Finding> */
    public static function found(Project $project, string $id): array
    {
        return array_values(array_filter(Rulebook::check(Build::study($project)), fn (Finding $f): bool => $f->id === $id));
    }
}
