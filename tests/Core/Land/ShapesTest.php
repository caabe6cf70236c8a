<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\Pad;
use IdleRidge\Core\Land\Roughness;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Land\Stream;
use IdleRidge\Core\Land\Wetness;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Land\PadsHold;
use IdleRidge\Core\Rulebook\Land\StreamsFall;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What is made of the ground before any track: pads, streams, roughness. */
final class ShapesTest extends TestCase
{
    public function test_a_pad_lies_level_and_its_sides_meet_the_ground_either_way(): void
    {
        $pad = new Pad('p', 'Yard', Build::square(300, 200, 500, 400), 60.0, 1.5);
        $this->assertSame(60.0, $pad->shape(400.0, 300.0, 20.0));
        $this->assertSame(60.0, $pad->shape(400.0, 300.0, 90.0));
        $this->assertEqualsWithDelta(50.0, $pad->shape(285.0, 300.0, 20.0), 1e-9, '15 mm out, 10 down');
        $this->assertEqualsWithDelta(70.0, $pad->shape(285.0, 300.0, 90.0), 1e-9, '15 mm out, 10 up');
        $this->assertSame(20.0, $pad->shape(230.0, 300.0, 20.0), 'past the foot of its side');
        [$x1, , $x2] = $pad->reach(20.0, 90.0);
        $this->assertSame(20.0, $pad->shape($x1, 300.0, 20.0));
        $this->assertSame(90.0, $pad->shape($x2, 300.0, 90.0));
    }

    public function test_a_pad_on_the_land_is_level_until_a_slope_cuts_into_it(): void
    {
        $pad = self::feature(FeatureKind::Pad, [[300, 120], [500, 120], [500, 200], [300, 200]], 60.0);
        $clear = Build::study(Build::project([Build::straight(1, 400.0, 60.0, 60.0)], [$pad], base: 20.0));
        $this->assertEqualsWithDelta(60.0, $clear->model->heightAt(400.0, 160.0), 1e-9);
        $this->assertEqualsWithDelta(60.0, $clear->terrain->heights[32 * 240 + 80], 1e-9, 'the raster too');
        $this->assertSame([], (new PadsHold())->check($clear));
        $cut = (new PadsHold())->check(Build::study(Build::project([Build::straight(1, 240.0, 40.0, 40.0)], [$pad], base: 20.0)));
        $this->assertSame(['pad-cut'], array_map(fn (Finding $f): string => $f->id, $cut));
        $this->assertGreaterThan(3.0, $cut[0]->figures['off']->value);
    }

    public function test_a_stream_never_rises_and_cuts_where_the_ground_does(): void
    {
        // Down 40 over 400 mm, then up 15 over 100, then down again.
        $ground = fn (float $x, float $y): float => $x < 400.0
            ? 100.0 - $x / 10.0
            : ($x < 500.0
                ? 60.0 + ($x - 400.0) * 0.15
                : 75.0 - ($x - 500.0) / 10.0);
        $stream = Stream::along('s', 'Beck', [[0.0, 100.0], [800.0, 100.0]], 20.0, 4.0, 2.0, $ground);
        for ($k = 1; $k < count($stream->levels); $k++) {
            $this->assertLessThanOrEqual($stream->levels[$k - 1], $stream->levels[$k]);
        }
        $this->assertEqualsWithDelta(98.0, $stream->levels[0], 1e-9);
        $this->assertEqualsWithDelta(17.0, max($stream->cuts), 0.5, 'it cannot climb the 15 mm');
        $this->assertEqualsWithDelta(98.0 - ($ground(800.0, 0.0) - 2.0), $stream->fall(), 1e-9);
        $this->assertEqualsWithDelta(800.0, $stream->length(), 1e-6);
        $this->assertEqualsWithDelta(88.0 - 4.0, $stream->shape(100.0, 100.0, 90.0), 1e-6, 'deepest in its middle');
        $this->assertEqualsWithDelta(88.0 - 3.0, $stream->shape(100.0, 105.0, 90.0), 1e-6, 'a parabola');
        $this->assertEqualsWithDelta(88.0, $stream->shape(100.0, 110.0, 90.0), 1e-6);
        $this->assertEqualsWithDelta(89.0, $stream->shape(100.0, 111.5, 90.0), 1e-6, 'banks 1 in 1.5');
        $this->assertSame(50.0, $stream->shape(100.0, 100.0, 50.0), 'it only takes away');
        $this->assertEqualsWithDelta(88.0, (float) $stream->waterAt(100.0, 95.0), 1e-6);
        $this->assertNull($stream->waterAt(100.0, 111.0));
    }

    public function test_streams_that_climb_or_are_dammed_are_found(): void
    {
        $stream = self::feature(FeatureKind::Stream, [[600, 590], [600, 10]], 0.0);
        $slope = [Build::spot(1, 0, 0, 40), Build::spot(2, 1200, 0, 40), Build::spot(3, 0, 600, 100), Build::spot(4, 1200, 600, 100)];
        $ids = fn (Project $p): array => array_map(fn (Finding $f): string => $f->id, (new StreamsFall())->check(Build::study($p)));
        $this->assertSame([], $ids(Build::project([], [...$slope, $stream])));
        $up = self::feature(FeatureKind::Stream, [[600, 10], [600, 590]], 0.0);
        $this->assertSame(['stream-climbs'], $ids(Build::project([], [...$slope, $up])));
        $bank = Build::straight(1, 300.0, 84.0, 84.0);
        $this->assertSame(['stream-dammed'], $ids(Build::project([$bank], [...$slope, $stream])));
        $this->assertSame(
            [],
            $ids(
                Build::project(
                    [$bank->but(structures: [['kind' => 'bridge', 'from_mm' => 540.0, 'to_mm' => 660.0]])],
                    [...$slope, $stream],
                ),
            ),
        );
    }

    public function test_water_finds_its_way_down_the_valley_and_out_of_pits(): void
    {
        $z = [];
        for ($j = 0; $j < 60; $j++) {
            for ($i = 0; $i < 80; $i++) {
                // A valley along y = 20 x, with a pit on its way.
                $z[] = 100.0 - $i + abs($j - 30) * 0.8 - (abs($i - 40) < 3 && abs($j - 30) < 3 ? 6.0 : 0.0);
            }
        }
        $land = HeightGrid::cells(80, 60, 10.0, 0.0, 0.0, $z);
        $way = Wetness::downhill($land, 105.0, 505.0);
        $this->assertEqualsWithDelta([795.0, 305.0], $way[count($way) - 1], 1e-9, 'out at the end of the valley');
        $this->assertContains([405.0, 305.0], $way, 'through the pit');
        $stopped = Wetness::downhill($land, 105.0, 505.0, fn (float $x, float $y): bool => $x > 500.0);
        $this->assertEqualsWithDelta(505.0, $stopped[count($stopped) - 1][0], 1e-9);
    }

    public function test_roughness_keeps_within_its_height_follows_its_seed_and_fades_out(): void
    {
        $ring = Build::square(100, 100, 500, 500);
        $rough = fn (int $seed, float $height = 5.0): Roughness => new Roughness(
            'r',
            $ring,
            $height,
            60.0,
            $seed,
            new Placement(0.0, 0.0, 0.0),
        );
        $values = [];
        for ($x = 60.0; $x < 540.0; $x += 7.0) {
            for ($y = 60.0; $y < 540.0; $y += 7.0) {
                $z = $rough(7)->shape($x, $y, 50.0) - 50.0;
                $this->assertLessThanOrEqual(5.0, abs($z));
                $this->assertSame($z, $rough(7)->shape($x, $y, 50.0) - 50.0, 'the same again');
                if (! Polygon::holds($ring, $x, $y)) {
                    $this->assertSame(0.0, $z);
                } else {
                    $values[] = $z;
                    $this->assertLessThanOrEqual(
                        5.0 * min(1.0, Polygon::depth($ring, $x, $y) / 30.0) + 1e-9,
                        abs($z),
                        'fading toward the outline',
                    );
                }
            }
        }
        $this->assertGreaterThan(
            0.6,
            sqrt(array_sum(array_map(fn (float $v): float => $v * $v, $values)) / count($values)),
            'rough at all',
        );
        $this->assertLessThan(1.0, abs(array_sum($values) / count($values)), 'up as much as down');
        $this->assertNotSame($rough(7)->shape(300.0, 300.0, 0.0), $rough(8)->shape(300.0, 300.0, 0.0));
        $this->assertSame(0.0, $rough(7, 0.0)->shape(300.0, 300.0, 0.0));
    }

    public function test_two_boards_that_share_rough_ground_share_its_bumps(): void
    {
        $rough = self::feature(FeatureKind::Rough, [[900, 100], [1500, 100], [1500, 500], [900, 500]], 0.0, ['height_mm' => 6.0]);
        $boards = [Section::of(Build::uid(901), 'A', 1200.0, 600.0), Section::of(Build::uid(902), 'B', 800.0, 600.0, 1200.0)];
        $project = Project::of(Build::project()->layout, $boards, [], [$rough]);
        $lattice = GroundSolver::solve($project->groundProblem($boards[0]));
        [$one, $other] = [$project->land($boards[0], $lattice), $project->land($boards[1], $lattice)];
        foreach ([150.0, 290.0, 430.0] as $y) {
            $this->assertEqualsWithDelta($one->heightAt(1200.0, $y), $other->heightAt(0.0, $y), 1e-9);
        }
        $this->assertGreaterThan(0.5, max(array_map(fn (float $y): float => abs($one->heightAt(1200.0, $y)), range(150.0, 450.0, 10.0))));
    }

    public function test_features_that_cannot_be_are_refused_at_their_figure(): void
    {
        foreach (
            [
                'batter' => fn () => self::feature(FeatureKind::Pad, [[0, 0], [9, 0], [9, 9]], 0.0, ['batter' => 0.0]),
                'width_mm' => fn () => self::feature(FeatureKind::Stream, [[0, 0], [90, 0]], 0.0, ['width_mm' => 0.0]),
                'grain_mm' => fn () => self::feature(FeatureKind::Rough, [[0, 0], [9, 0], [9, 9]], 0.0, ['grain_mm' => 1.0]),
                'points' => fn () => self::feature(FeatureKind::Pad, [[0, 0], [10, 10], [10, 0], [0, 10]], 0.0),
                'points/1' => fn () => self::feature(FeatureKind::Stream, [[0, 0], [0, 0]], 0.0),
            ] as $place => $make
        ) {
            try {
                $make();
                $this->fail($place);
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    /**
     * @param  list<array{float|int, float|int}>  $at
     * @param  array<string, float>  $figures
     */
    private static function feature(FeatureKind $kind, array $at, float $level, array $figures = []): LandFeature
    {
        return new LandFeature(
            Build::uid(70),
            $kind,
            array_map(fn (array $p): Spot => new Spot((float) $p[0], (float) $p[1], $level), $at),
            'It',
            figures: $figures,
        );
    }
}
