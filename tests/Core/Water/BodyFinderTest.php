<?php

declare(strict_types=1);

namespace Tests\Core\Water;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Water\Pool;
use IdleRidge\Core\Water\Reach;
use IdleRidge\Core\Water\WaterBody;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

final class BodyFinderTest extends TestCase
{
    /** @param  list<LandFeature>  $features */
    private static function body(array $features, float $base = 50.0): ?WaterBody
    {
        return WaterStudy::of(Build::study(Build::project([], $features, base: $base)))->bodies()[0] ?? null;
    }

    /** What a pond holds within its bank is what a flood from its deepest place fills. */
    public function test_ponds_of_any_shape_hold_what_a_flood_fills(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(2026));
        for ($case = 0; $case < 25; $case++) {
            [$cx, $cy] = [Build::between($random, 250.0, 950.0), Build::between($random, 200.0, 400.0)];
            $ring = [];
            $corners = $random->getInt(3, 9);
            for ($k = 0; $k < $corners; $k++) {
                $r = Build::between($random, 60.0, 150.0);
                $ring[] = [$cx + $r * cos((2.0 * M_PI * $k) / $corners), $cy + $r * sin((2.0 * M_PI * $k) / $corners)];
            }
            $depth = Build::between($random, 3.0, 25.0);
            $project = Build::project([], [Ponds::pond($ring, 48.0, $depth, Build::between($random, 10.0, 60.0))], base: 50.0);
            $study = Build::study($project, 2.5);
            $body = WaterStudy::of($study)->bodies()[0];
            $pool = Pool::fill($study->terrain->mesh(), 48.0, ...$body->deepest);
            $this->assertEqualsWithDelta($pool->volume, $body->curve->volume(), 0.005 * $pool->volume, "case {$case}");
            $area = abs(Polygon::area($ring));
            $this->assertEqualsWithDelta($area, $body->curve->area(), 0.005 * $area, "case {$case}");
            $this->assertEqualsWithDelta(2.0, $body->margin(), 0.3, 'the bank lies at the level, the land two over it');
            $bands = $body->bands($random->getInt(1, 6));
            $this->assertEqualsWithDelta($body->curve->volume(), array_sum(array_column($bands, 'volume')), 1e-6 * $pool->volume);
            $this->assertSame([], $body->dams);
        }
    }

    public function test_an_island_stands_out_of_it(): void
    {
        $whole = self::body([Ponds::pond(Build::square(300, 150, 700, 450), 50.0)]);
        $island = self::body([
            Ponds::pond(Build::square(300, 150, 700, 450), 50.0),
            new LandFeature(Build::uid(7), FeatureKind::Pad, array_map(
                fn (array $p): Spot => new Spot($p[0], $p[1], 60.0),
                Build::square(450, 250, 550, 350),
            ), 'Yard'),
        ]);
        $this->assertNotNull($whole);
        $this->assertNotNull($island);
        // Water is made after pads and only takes away: the yard is gone, and said to be by its own rule.
        $this->assertEqualsWithDelta($whole->curve->area(), $island->curve->area(), 1.0);
    }

    public function test_a_pond_over_the_edge_is_dammed_there(): void
    {
        $body = self::body([Ponds::pond([[400.0, -60.0], [600.0, -60.0], [600.0, 120.0], [400.0, 120.0]], 50.0, 12.0, 20.0)]);
        $this->assertNotNull($body);
        $this->assertCount(1, $body->dams);
        $dam = $body->dams[0];
        $this->assertSame([BoardEdge::Front, null], [$dam->edge, $dam->joint]);
        $this->assertEqualsWithDelta([400.0, 600.0], [$dam->from, $dam->to], 2.6);
        $this->assertEqualsWithDelta(12.0, $dam->deep(), 0.1, 'as deep as the bed');
        $this->assertEqualsWithDelta(15.0, $dam->height(), 0.1, 'and three over the water');
        // What is left on the board: its share of the ring, less the shore.
        $this->assertEqualsWithDelta(200.0 * 120.0, $body->curve->area(), 300.0);
        $this->assertNotNull($body->spill, 'past the dam it finds the rim');
        $this->assertEqualsWithDelta(0.0, $body->margin(), 0.3);
        [$cut] = $dam->template('Pond')->cut;
        $this->assertEqualsWithDelta($dam->length() + 20.0, max(array_column($cut, 0)) - min(array_column($cut, 0)), 1e-6);
        $this->assertEqualsWithDelta(8.0 + 12.0 + 3.0, max(array_column($cut, 1)), 0.1);
        $this->assertStringContainsString('3 clamps', $dam->hold());
        $short = self::body([Ponds::pond([[400.0, -60.0], [515.0, -60.0], [515.0, 120.0], [400.0, 120.0]], 50.0, 12.0, 20.0)]);
        $this->assertStringContainsString('tape', $short?->dams[0]->hold() ?? '');
    }

    public function test_a_corner_pond_has_a_dam_on_both_edges(): void
    {
        $body = self::body([Ponds::pond([[-50.0, -50.0], [150.0, -50.0], [150.0, 130.0], [-50.0, 130.0]], 50.0)]);
        $this->assertSame(['front', 'left'], array_map(fn ($dam): string => $dam->edge->value, $body?->dams ?? []));
    }

    public function test_water_on_another_board_is_none_here(): void
    {
        $this->assertNull(self::body([Ponds::pond(Build::square(1300, 100, 1500, 300), 50.0)]));
        $this->assertNull(self::body([Ponds::stream([[1300.0, 100.0], [1500.0, 300.0]])]));
    }

    public function test_a_level_stream_holds_its_parabola(): void
    {
        $body = self::body([Ponds::stream([[200.0, 300.0], [1000.0, 300.0]], 24.0, 4.0)]);
        $this->assertNotNull($body);
        $this->assertTrue($body->isStream);
        $this->assertEqualsWithDelta(24.0 * 800.0, $body->curve->area(), 0.005 * 24.0 * 800.0);
        $this->assertEqualsWithDelta((2.0 / 3.0) * 4.0 * 24.0 * 800.0, $body->curve->volume(), 0.005 * 51_200.0);
        $this->assertEqualsWithDelta(4.0, $body->curve->most, 0.02);
        $this->assertCount(1, $body->reaches);
        $this->assertEqualsWithDelta(0.0, $body->reaches[0]->slopeDeg(), 1e-6);
        $this->assertSame(0, $body->reaches[0]->dams(1.0));
        $this->assertEqualsWithDelta(2.0, $body->margin(), 0.05, 'it lies two under the ground');
        $this->assertEqualsWithDelta(1600.0, $body->shore, 1.0);
        $bends = self::body([Ponds::stream([[200.0, 300.0], [500.0, 200.0], [800.0, 400.0], [1000.0, 300.0]], 24.0, 4.0)]);
        $long = hypot(300, 100) + hypot(300, 200) + hypot(200, 100);
        $this->assertEqualsWithDelta(24.0 * $long, $bends?->curve->area(), 0.01 * 24.0 * $long, 'round bends as well');
    }

    public function test_a_stream_down_a_step_falls_there(): void
    {
        $features = [
            Build::spot(1, 0.0, 300.0, 80.0), Build::spot(2, 580.0, 300.0, 80.0), Build::spot(3, 620.0, 300.0, 50.0),
            Build::spot(4, 1200.0, 300.0, 50.0), Build::spot(8, 580.0, 0.0, 80.0), Build::spot(9, 620.0, 0.0, 50.0),
            Build::spot(10, 580.0, 600.0, 80.0), Build::spot(11, 620.0, 600.0, 50.0),
            Ponds::stream([[100.0, 300.0], [1100.0, 300.0]]),
        ];
        $body = self::body($features, 0.0);
        $this->assertNotNull($body);
        $this->assertCount(1, $body->falls);
        $fall = $body->falls[0];
        $this->assertGreaterThan(20.0, $fall->drop);
        $this->assertEqualsWithDelta(500.0, ($fall->from + $fall->to) / 2.0, 20.0);
        $this->assertSame(5, $fall->strips(), '18 mm in strips of 4');
        $this->assertEqualsWithDelta(hypot($fall->drop, $fall->to - $fall->from) + 12.0, $fall->strip(), 1e-6);
        $this->assertSame(6, $fall->peaks());
        $this->assertCount(2, $body->reaches);
        $this->assertEqualsWithDelta(
            $body->curve->volume(),
            $body->reaches[0]->curve->volume() + $body->reaches[1]->curve->volume(),
            0.1 * $body->curve->volume(),
            'the fall itself holds next to nothing',
        );
    }

    public function test_two_steps_are_two_falls_with_a_reach_between(): void
    {
        $z = fn (float $x): float => match (true) {
            $x < 400.0 => 90.0,
            $x < 800.0 => 70.0,
            default => 50.0,
        };
        $spots = [];
        $n = 20;
        foreach ([0.0, 385.0, 415.0, 785.0, 815.0, 1200.0] as $x) {
            foreach ([0.0, 300.0, 600.0] as $y) {
                $spots[] = Build::spot(++$n, $x, $y, $z($x));
            }
        }
        $body = self::body([...$spots, Ponds::stream([[50.0, 300.0], [1150.0, 300.0]])], 0.0);
        $this->assertCount(2, $body->falls ?? []);
        $this->assertCount(3, $body->reaches ?? []);
        foreach ([400.0, 800.0] as $k => $x) {
            $this->assertEqualsWithDelta([$x, 300.0], $body?->falls[$k]->at, 15.0);
            $this->assertEqualsWithDelta($x - 50.0, ((float) $body?->falls[$k]->from + (float) $body?->falls[$k]->to) / 2.0, 15.0);
        }
        $this->assertEqualsWithDelta((float) $body?->falls[0]->to, (float) $body?->reaches[1]->from, 4.1, 'it begins where the fall ends');
        $this->assertEqualsWithDelta((float) $body?->falls[1]->from, (float) $body?->reaches[1]->to, 4.1);
    }

    public function test_a_stream_across_a_slope_would_leave_by_its_lower_bank(): void
    {
        foreach ([[40.0, 60.0, 291.0], [60.0, 40.0, 309.0]] as [$front, $back, $bank]) {
            $body = self::body([
                Build::spot(1, 0.0, 0.0, $front), Build::spot(2, 1200.0, 0.0, $front),
                Build::spot(3, 0.0, 600.0, $back), Build::spot(4, 1200.0, 600.0, $back),
                Ponds::stream([[200.0, 300.0], [1000.0, 300.0]]),
            ], 0.0);
            $this->assertEqualsWithDelta($bank, $body?->spill?->at()[1], 3.0);
            // Twelve out from the bank the ground has fallen by least within reach: a thirtieth of 13.
            $this->assertEqualsWithDelta(2.0 - 13.0 / 30.0, $body?->margin(), 0.05);
        }
    }

    public function test_dams_of_a_reach_step_no_higher_than_they_may(): void
    {
        $curve = self::body([Ponds::stream([[200.0, 300.0], [1000.0, 300.0]])])?->curve;
        $this->assertNotNull($curve);
        $reach = fn (float $drop): Reach => new Reach(100.0, 600.0, 60.0 + $drop, 60.0, $curve);
        $this->assertSame([500.0, 8.0], [$reach(8.0)->length(), $reach(8.0)->drop()]);
        $this->assertEqualsWithDelta(rad2deg(atan(8.0 / 500.0)), $reach(8.0)->slopeDeg(), 1e-9);
        $this->assertSame([0, 0, 1, 1, 2], array_map(fn (float $d): int => $reach($d)->dams(2.0), [0.0, 2.0, 2.1, 4.0, 4.1]));
    }

    public function test_a_stream_across_the_edge_is_dammed_at_both_ends(): void
    {
        $body = self::body([Ponds::stream([[-50.0, 300.0], [1250.0, 300.0]])]);
        $this->assertSame(['left', 'right'], array_map(fn ($dam): string => $dam->edge->value, $body?->dams ?? []));
        $this->assertEqualsWithDelta(18.0, $body?->dams[0]->length(), 3.0);
    }

    public function test_a_stream_that_runs_into_a_pond_ends_at_its_bank(): void
    {
        $alone = self::body([Ponds::stream([[200.0, 300.0], [600.0, 300.0]])]);
        $project = Build::project([], [
            Ponds::pond(Build::square(500, 200, 800, 400), 48.0),
            Ponds::stream([[200.0, 300.0], [600.0, 300.0]]),
        ], base: 50.0);
        [$pond, $stream] = WaterStudy::of(Build::study($project))->bodies();
        $this->assertEqualsWithDelta(0.75 * (float) $alone?->curve->volume(), $stream->curve->volume(), 0.02 * $stream->curve->volume());
        $this->assertEqualsWithDelta(300.0 * 200.0, $pond->curve->area(), 300.0, 'the pond has all of its own');
        $this->assertEqualsWithDelta(3.0, $stream->curve->most, 0.05, 'no deeper than it is');
    }

    /** Boards of odd sizes, turned and set anywhere, ponds half over their edges: what is told equals what is counted place by place. */
    public function test_odd_boards_and_ponds_over_their_edges_add_up(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(1201));
        for ($case = 0; $case < 8; $case++) {
            [$width, $depth] = [Build::between($random, 301.0, 1201.0), Build::between($random, 247.0, 611.0)];
            $angle = Build::between($random, -180.0, 180.0);
            $section = Section::of(Build::uid(901), 'Board', $width, $depth, Build::between($random, -900.0, 900.0), 37.3, $angle, 50.0);
            [$cx, $cy] = [$random->getInt(0, 1) * $width, Build::between($random, 0.3, 0.7) * $depth];
            $ring = [];
            for ($k = 0; $k < 7; $k++) {
                $r = Build::between($random, 50.0, 110.0);
                $p = $section->placement->toLayout(new Point($cx + $r * cos(($k * 2.0 * M_PI) / 7), $cy + $r * sin(($k * 2.0 * M_PI) / 7)));
                $ring[] = [$p->x, $p->y];
            }
            $pond = Ponds::pond($ring, 47.0, Build::between($random, 4.0, 20.0), Build::between($random, 10.0, 50.0));
            $project = Project::of(new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5), [$section], [], [$pond]);
            $study = Build::study($project);
            $body = WaterStudy::of($study)->bodies()[0];
            [$volume, $area] = self::counted($study->model, $width, $depth);
            $this->assertEqualsWithDelta($volume, $body->curve->volume(), 0.01 * $volume, "case {$case}: volume");
            $this->assertEqualsWithDelta($area, $body->curve->area(), 0.01 * $area, "case {$case}: area");
            $edge = 0.0;
            for ($y = 0.25; $y < $depth; $y += 0.5) {
                $x = $cx > 0.0 ? $width : 0.0;
                $edge += $study->model->ground->basins[0]->under($x, $y, $study->model->heightAt($x, $y)) > 0.2 ? 0.5 : 0.0;
            }
            $dams = array_sum(array_map(fn ($dam): float => $dam->length(), $body->dams));
            $this->assertEqualsWithDelta($edge, $dams, 4.0, "case {$case}: dams");
            foreach ($body->dams as $dam) {
                $this->assertSame($cx > 0.0 ? BoardEdge::Right : BoardEdge::Left, $dam->edge);
            }
            $this->assertNotSame([], $body->dams);
        }
    }

    /** @return array{float, float} volume and area of a pond, place by place */
    private static function counted(LandModel $model, float $width, float $depth): array
    {
        $basin = $model->ground->basins[0];
        [$x1, $y1, $x2, $y2] = Box::around($basin->bank);
        [$x1, $y1, $x2, $y2] = [max(0.0, $x1), max(0.0, $y1), min($width, $x2), min($depth, $y2)];
        [$n, $m] = [(int) ceil(($x2 - $x1) / 2.0), (int) ceil(($y2 - $y1) / 2.0)];
        $cell = (($x2 - $x1) / $n) * (($y2 - $y1) / $m);
        $volume = $area = 0.0;
        for ($k = 0; $k < $n * $m; $k++) {
            $x = $x1 + ((($k % $n) + 0.5) / $n) * ($x2 - $x1);
            $y = $y1 + ((intdiv($k, $n) + 0.5) / $m) * ($y2 - $y1);
            $under = $basin->under($x, $y, $model->heightAt($x, $y));
            $volume += $under > 0.0 ? $cell * $under : 0.0;
            $area += $under > 0.0 ? $cell : 0.0;
        }

        return [$volume, $area];
    }
}
