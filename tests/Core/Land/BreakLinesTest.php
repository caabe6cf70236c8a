<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\BreakLines;
use IdleRidge\Core\Land\LandModel;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Where land breaks, as drawn. */
final class BreakLinesTest extends TestCase
{
    public function test_a_banks_edges_and_feet_lie_where_they_are(): void
    {
        $points = (new BreakLines(Build::flatLand(20.0, [Build::straight(1, 300.0, 60.0, 60.0, Build::evenProfile())]), 4.0))->points();
        $this->assertNotSame([], $points);
        foreach ($points as [$x, $y, $z]) {
            // 40 mm up at 1.5 out for 1 up.
            $this->assertEqualsWithDelta(abs($y - 300.0) < 50.0 ? [25.0, 60.0] : [85.0, 20.0], [abs($y - 300.0), $z], 0.03, "at {$x}");
        }
        $this->assertGreaterThanOrEqual(4 * 300, count($points));
    }

    public function test_a_wall_has_its_foot_and_its_top(): void
    {
        $run = Build::straight(1, 300.0, 30.0, 30.0, Build::evenProfile(batter: 1.0), 1200.0, [
            ['kind' => 'wall left', 'from_mm' => 0.0, 'to_mm' => 1200.0],
        ]);
        $left = array_filter((new BreakLines(Build::flatLand(60.0, [$run]), 4.0))->points(), fn (array $p): bool => $p[1] > 300.0);
        $this->assertEqualsWithDelta(30.0, min(array_column($left, 2)), 1e-6);
        $this->assertEqualsWithDelta(60.0, max(array_column($left, 2)), 1e-6);
        foreach ($left as [, $y]) {
            $this->assertEqualsWithDelta(325.0, $y, 0.7);
        }
    }

    public function test_places_lie_on_the_board_and_no_slope_goes_on_where_its_reach_ends(): void
    {
        $land = Build::flatLand(20.0, [Build::straight(1, 590.0, 60.0, 60.0, Build::evenProfile())], reach: 30.0);
        $points = (new BreakLines($land, 4.0))->points();
        foreach ($points as [$x, $y]) {
            $this->assertTrue($x >= 0.0 && $x <= 1200.0 && $y >= 0.0 && $y <= 600.0);
        }
        // The slope breaks off at 590 − 25 − 30: its top there, and the ground under it.
        $low = array_filter($points, fn (array $p): bool => abs($p[1] - 535.0) < 0.1);
        $this->assertEqualsWithDelta([20.0, 40.0], [min(array_column($low, 2)), max(array_column($low, 2))], 0.05);
    }

    public function test_the_ground_comes_down_to_a_waters_bank_from_where_it_begins_to(): void
    {
        $flat = Build::flatLand(40.0, []);
        $pond = new Basin('pond', 'Pond', [[300.0, 200.0], [600.0, 200.0], [600.0, 400.0], [300.0, 400.0]], 30.0, 8.0, 20.0);
        $points = (new BreakLines(new LandModel(1200.0, 600.0, $flat->ground->with($pond), $flat->grading), 4.0))->points();
        // 10 mm down at 1.5 out for 1 down.
        foreach ($points as [$x, $y, $z]) {
            $away = max(abs($x - 450.0) - 150.0, abs($y - 300.0) - 100.0);
            $this->assertEqualsWithDelta(abs($away) < 1.0 ? [0.0, 30.0] : [15.0, 40.0], [$away, $z], 0.03);
        }
        $this->assertCount(2 * 250, $points);
    }
}
