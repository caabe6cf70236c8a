<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\Riser;
use IdleRidge\Core\Cuts\Risers;
use IdleRidge\Core\Cuts\RiserSet;
use IdleRidge\Core\Cuts\SheetPacking;
use IdleRidge\Core\Cuts\TrackBase;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Blocks under a run along its grade. */
final class RiserTest extends TestCase
{
    public function test_risers_stand_at_most_a_gap_apart_and_at_every_change_of_grade(): void
    {
        $run = Build::run(1, 0.0, 100.0, 0.0, [['kind' => 'tangent', 'length_mm' => 1000.0]], 40.0, [[430.0, 40.0], [1000.0, 58.0]]);
        $risers = Risers::along($run, [0.0, 1000.0], 0.0, 4.0, [20.0, 1.0, 3.0]);
        $stations = array_map(fn (Riser $r): float => $r->station, $risers);
        $this->assertSame(0.0, $stations[0]);
        $this->assertSame(1000.0, $stations[count($stations) - 1]);
        $this->assertContains(430.0, $stations);
        for ($k = 1; $k < count($stations); $k++) {
            $this->assertLessThanOrEqual(100.0 + 1e-9, $stations[$k] - $stations[$k - 1]);
        }
        foreach ($risers as $riser) {
            $this->assertEqualsWithDelta(
                $run->grade->heightAt($riser->station) - 4.0,
                $riser->height,
                1e-9,
                'up to the underside of the base',
            );
            $stacked = array_sum(array_map(fn (array $s): float => $s['thickness'] * $s['count'], $riser->of->sheets));
            $this->assertEqualsWithDelta($riser->height, $stacked + $riser->of->rest, 1e-9);
            $this->assertLessThan(1.0, $riser->of->rest);
        }
        $grade = rad2deg(atan(18.0 / 570.0));
        $this->assertEqualsWithDelta(
            [0.0, $grade / 2.0, $grade],
            [$risers[1]->bevelDeg, $risers[array_search(430.0, $stations, true)]->bevelDeg, $risers[count($risers) - 2]->bevelDeg],
            0.01,
        );
        $this->assertCount(22, Risers::along($run, [0.0, 1000.0], 0.0, 4.0, [20.0], 50.0));
    }

    public function test_none_stand_under_bridges_or_where_the_run_lies_on_the_board(): void
    {
        $run = Build::straight(1, 100.0, 0.0, 60.0, structures: [['kind' => 'bridge', 'from_mm' => 500.0, 'to_mm' => 700.0]]);
        $risers = Risers::along($run, [0.0, 1200.0], 0.0, 0.0, [20.0]);
        $this->assertSame([], array_filter($risers, fn (Riser $r): bool => $r->station >= 500.0 && $r->station <= 700.0));
        $this->assertGreaterThan(30.0, $risers[0]->station, 'at the start it lies on the board');
        $this->expectException(InvalidValue::class);
        Risers::along($run, [0.0, 1200.0], 0.0, 0.0, [20.0], 5.0);
    }

    public function test_a_template_is_its_face(): void
    {
        $template = (new Riser(300.0, 47.5, 1.2, 26.0, 30.0, SheetPacking::to(47.5, [20.0])))->template('R4');
        $this->assertEqualsWithDelta(56.0 * 47.5, Polygon::area($template->cut[0]), 1e-9);
        $this->assertStringContainsString('47.5 mm high, top bevelled 1.2 degrees', $template->title);
        $this->assertSame([26.0, 26.0], array_column($template->lines[0], 0), 'the centreline');
    }

    public function test_risers_that_rise_evenly_are_slices_of_one_block(): void
    {
        $run = Build::run(1, 0.0, 100.0, 0.0, [['kind' => 'tangent', 'length_mm' => 1000.0]], 40.0, [[400.0, 40.0], [1000.0, 58.0]]);
        $risers = Risers::along($run, [0.0, 1000.0], 0.0, 0.0, [20.0]);
        $sets = RiserSet::among($risers, 20.0, 2.0);
        $this->assertSame([[1, 5], [5, 11]], array_map(fn (RiserSet $s): array => [$s->first, $s->last], $sets));
        $this->assertSame([40.0, 40.0, 0.0], [$sets[0]->low, $sets[0]->high, $sets[0]->slantDeg], 'level');
        $set = $sets[1];
        $this->assertEqualsWithDelta(7 * 20.0 + 6 * 2.0, $set->length, 1e-9);
        // The middle of every slice is as high as its riser.
        $slope = ($set->high - $set->low) / $set->length;
        foreach (range(0, 6) as $k) {
            $this->assertEqualsWithDelta($risers[4 + $k]->height, $set->low + $slope * (10.0 + 22.0 * $k), 1e-6);
        }
        $this->assertEqualsWithDelta(rad2deg(atan($slope)), $set->slantDeg, 1e-6);
        $this->assertSame([], RiserSet::among(array_slice($risers, 0, 2), 20.0, 2.0));
    }

    public function test_the_plate_is_cut_in_pieces_that_meet_over_risers(): void
    {
        $run = Build::run(1, 0.0, 300.0, 0.0, [['kind' => 'arc', 'radius_mm' => 800.0, 'angle_deg' => 80.0]], 60.0, []);
        $over = [0.0, $run->alignment->length];
        $risers = Risers::along($run, $over, 0.0, 4.0, [20.0]);
        $base = TrackBase::under($run, $over, $risers, 450.0);
        $stations = array_map(fn (Riser $r): float => $r->station, $risers);
        $this->assertCount(count($base->pieces) - 1, $base->splices);
        $area = 0.0;
        foreach ($base->pieces as $k => $piece) {
            $this->assertLessThanOrEqual(450.0 + 1e-6, $piece['to'] - $piece['from']);
            $this->assertSame($piece['from'], $base->pieces[$k - 1]['to'] ?? 0.0, 'one begins where the other ends');
            $this->assertContains($piece['from'], $stations);
            $area += Polygon::area($piece['ring']);
        }
        $width = $run->profile->halfWidth(Side::Left) + $run->profile->halfWidth(Side::Right);
        $middle = ($run->profile->halfWidth(Side::Left) - $run->profile->halfWidth(Side::Right)) / 2.0;
        $this->assertEqualsWithDelta($width * (800.0 - $middle) * deg2rad(80.0), $area, 0.002 * $area);
        $this->assertLessThan($width, $base->splices[0]['width']);
        $this->assertCount(2 * count($base->pieces) - 1, $base->templates($run));
    }
}
