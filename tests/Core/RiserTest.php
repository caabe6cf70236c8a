<?php

declare(strict_types=1);

namespace Tests\Core;

use IdleRidge\Core\Cuts\Riser;
use IdleRidge\Core\Cuts\Risers;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Refusal;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Blocks under a run along its grade. */
final class RiserTest extends TestCase
{
    public function test_risers_stand_at_most_a_gap_apart_and_at_every_change_of_grade(): void
    {
        $run = Build::run(1, 0.0, 100.0, 0.0, [['kind' => 'tangent', 'length_mm' => 1000.0]], 40.0, [[430.0, 40.0], [1000.0, 58.0]]);
        $risers = Risers::along($run, [0.0, 1000.0], 0.0, 4.0, 20.0);
        $stations = array_map(fn (Riser $r): float => $r->station, $risers);
        $this->assertSame(0.0, $stations[0]);
        $this->assertSame(1000.0, $stations[count($stations) - 1]);
        $this->assertContains(430.0, $stations);
        for ($k = 1; $k < count($stations); $k++) {
            $this->assertLessThanOrEqual(100.0 + 1e-9, $stations[$k] - $stations[$k - 1]);
        }
        foreach ($risers as $riser) {
            $this->assertEqualsWithDelta($run->grade->heightAt($riser->station) - 4.0, $riser->height, 1e-9, 'up to the underside of the base');
            $this->assertEqualsWithDelta($riser->height, $riser->slices * 20.0 + $riser->rest, 1e-9);
            $this->assertLessThan(20.0, $riser->rest);
        }
        $grade = rad2deg(atan(18.0 / 570.0));
        $this->assertEqualsWithDelta([0.0, $grade / 2.0, $grade], [$risers[1]->bevelDeg, $risers[array_search(430.0, $stations, true)]->bevelDeg, $risers[count($risers) - 2]->bevelDeg], 0.01);
        $this->assertCount(22, Risers::along($run, [0.0, 1000.0], 0.0, 4.0, 20.0, 50.0));
    }

    public function test_none_stand_under_bridges_or_where_the_run_lies_on_the_board(): void
    {
        $run = Build::straight(1, 100.0, 0.0, 60.0, structures: [['kind' => 'bridge', 'from_mm' => 500.0, 'to_mm' => 700.0]]);
        $risers = Risers::along($run, [0.0, 1200.0], 0.0, 0.0, 20.0);
        $this->assertSame([], array_filter($risers, fn (Riser $r): bool => $r->station >= 500.0 && $r->station <= 700.0));
        $this->assertGreaterThan(30.0, $risers[0]->station, 'at the start it lies on the board');
        $this->expectException(Refusal::class);
        Risers::along($run, [0.0, 1200.0], 0.0, 0.0, 20.0, 5.0);
    }

    public function test_a_template_is_its_face(): void
    {
        $template = (new Riser(300.0, 47.5, 1.2, 26.0, 30.0, 2, 7.5))->template('R4');
        $this->assertEqualsWithDelta(56.0 * 47.5, Polygon::area($template->cut[0]), 1e-9);
        $this->assertStringContainsString('47.5 mm high, top bevelled 1.2 degrees', $template->title);
        $this->assertSame([26.0, 26.0], array_column($template->lines[0], 0), 'the centreline');
    }
}
