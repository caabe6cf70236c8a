<?php

declare(strict_types=1);

namespace Tests\Core\Water;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Project\LandFeature;
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
            new LandFeature(Build::uid(7), 'pad', array_map(
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
        $this->assertSame(['front', null], [$dam->edge, $dam->joint]);
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
        $this->assertSame(['front', 'left'], array_map(fn ($dam): string => $dam->edge, $body?->dams ?? []));
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

    public function test_dams_of_a_reach_step_no_higher_than_they_may(): void
    {
        $curve = self::body([Ponds::stream([[200.0, 300.0], [1000.0, 300.0]])])?->curve;
        $this->assertNotNull($curve);
        $reach = fn (float $drop): Reach => new Reach(0.0, 500.0, 60.0 + $drop, 60.0, $curve);
        $this->assertSame([0, 0, 1, 1, 2], array_map(fn (float $d): int => $reach($d)->dams(2.0), [0.0, 2.0, 2.1, 4.0, 4.1]));
    }

    public function test_a_stream_across_the_edge_is_dammed_at_both_ends(): void
    {
        $body = self::body([Ponds::stream([[-50.0, 300.0], [1250.0, 300.0]])]);
        $this->assertSame(['left', 'right'], array_map(fn ($dam): string => $dam->edge, $body?->dams ?? []));
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
}
