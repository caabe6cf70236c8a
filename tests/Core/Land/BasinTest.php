<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Rulebook\Land\BasinHolds;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class BasinTest extends TestCase
{
    public function test_a_bed_falls_over_its_shore_and_holds_what_it_should(): void
    {
        // Flat ground at its level; a square of 200 mm, 10 mm deep over a shore of 40: at distance d the bed lies
        // 10·(1 − (1 − d/40)²) down. Volume: sum over rings of width dd and length 4(200 − 2d), and the floor of 120².
        $study = Build::study(Build::project([], [self::water(50.0, 10.0, 40.0)], base: 50.0), 2.5);
        $basin = $study->model->ground->basins[0];
        $this->assertEqualsWithDelta(50.0 - 10.0 * (1.0 - 0.75 ** 2), $study->model->heightAt(310.0, 300.0), 1e-6, 'ten of forty in');
        $this->assertEqualsWithDelta(40.0, $study->model->heightAt(400.0, 300.0), 1e-6);
        $this->assertEqualsWithDelta(50.0, $study->model->heightAt(295.0, 300.0), 1e-6);
        $volume = 120.0 ** 2 * 10.0;
        for ($d = 0.05; $d < 40.0; $d += 0.1) {
            $volume += 4.0 * (200.0 - 2.0 * $d) * 10.0 * (1.0 - (1.0 - $d / 40.0) ** 2) * 0.1;
        }
        $curve = WaterStudy::of($study)->bodies()[0]->curve;
        $this->assertEqualsWithDelta(40_000.0, $curve->area(), 0.002 * 40_000.0);
        $this->assertEqualsWithDelta($volume, $curve->volume(), 0.005 * $volume);
        // Aslant of the raster, at five millimetres: no whole cells at its bank.
        $slanted = new LandFeature(
            Build::uid(5),
            FeatureKind::Water,
            array_map(
                fn (array $p): Spot => new Spot($p[0], $p[1], 50.0),
                [[313.0, 207.0], [497.0, 261.0], [443.0, 445.0], [259.0, 391.0]],
            ),
            figures: ['depth_mm' => 10.0, 'shore_mm' => 40.0],
        );
        $study = Build::study(Build::project([], [$slanted], base: 50.0));
        $area = abs(Polygon::area($slanted->plan()));
        $this->assertEqualsWithDelta(
            $area,
            WaterStudy::of($study)->bodies()[0]->curve->area(),
            0.003 * $area,
        );
        $this->assertSame([], self::ids($study), 'level with its bank it holds');
    }

    public function test_high_ground_comes_down_to_the_bank(): void
    {
        $study = Build::study(Build::project([], [self::water(50.0, 10.0, 40.0)], base: 80.0));
        $this->assertEqualsWithDelta(50.0 + 15.0 / 1.5, $study->model->heightAt(285.0, 300.0), 1e-6, 'one up for one and a half out');
        $this->assertEqualsWithDelta(80.0, $study->model->heightAt(250.0, 300.0), 1e-6);
        $p = 60 * 240 + 57;
        $this->assertEqualsWithDelta(
            $study->model->heightAt(...$study->terrain->middle($p)),
            $study->terrain->heights[$p],
            1e-6,
            'raster and function agree',
        );
        $this->assertSame([], self::ids($study));
    }

    public function test_water_over_its_bank_runs_out(): void
    {
        foreach (['50.4' => [], '50.6' => ['basin-spills']] as $level => $expected) {
            $this->assertSame(
                $expected,
                self::ids(Build::study(Build::project([], [self::water((float) $level, 10.0, 40.0)], base: 50.0))),
                "{$level} over ground at 50",
            );
        }
    }

    public function test_water_at_the_boards_edge_needs_a_dam(): void
    {
        $at = fn (float $front): array => [[300.0, $front], [500.0, $front], [500.0, 200.0], [300.0, 200.0]];
        foreach (['9' => [], '7' => ['basin-leaves-board']] as $front => $expected) {
            $study = Build::study(Build::project([], [self::water(50.0, 10.0, 40.0, $at((float) $front))], base: 50.0));
            $this->assertSame($expected, self::ids($study), "{$front} mm from the edge");
        }
        $found = (new BasinHolds())->check(Build::study(Build::project([], [self::water(50.0, 10.0, 40.0, $at(0.0))], base: 50.0)));
        $this->assertEqualsWithDelta(200.0, $found[0]->figures['dam']->value, 20.0);
    }

    public function test_banks_that_cross_at_different_levels_are_found(): void
    {
        $second = fn (float $level, float $x): LandFeature => new LandFeature(
            Build::uid(71),
            FeatureKind::Water,
            array_map(fn (array $p): Spot => new Spot($p[0] + $x, $p[1], $level), Build::square(300, 200, 500, 400)),
            'Pool',
        );
        $ids = fn (LandFeature $other): array => self::ids(
            Build::study(Build::project([], [self::water(50.0, 10.0, 40.0), $other], base: 52.0)),
        );
        $this->assertContains('banks-cross', $ids($second(49.4, 150.0)));
        $this->assertNotContains('banks-cross', $ids($second(49.6, 150.0)), 'as good as level');
        $this->assertNotContains('banks-cross', $ids($second(45.0, 250.0)), 'apart');
        $inner = new LandFeature(
            Build::uid(71),
            FeatureKind::Water,
            array_map(fn (array $p): Spot => new Spot($p[0], $p[1], 48.0), Build::square(350, 250, 400, 300)),
        );
        $this->assertContains('banks-cross', $ids($inner), 'one within the other');
    }

    public function test_waters_that_cannot_be_are_refused(): void
    {
        foreach (
            [
                'points' => fn () => self::water(50.0, 10.0, 40.0, [[0.0, 0.0], [10.0, 10.0], [10.0, 0.0], [0.0, 10.0]]),
                'depth_mm' => fn () => self::water(50.0, 0.0, 40.0),
                'shore_mm' => fn () => self::water(50.0, 10.0, -1.0),
                'points/1/z_mm' => fn () => new LandFeature(
                    'w',
                    FeatureKind::Water,
                    [new Spot(0, 0, 5), new Spot(9, 0, 6), new Spot(9, 9, 5)],
                ),
            ] as $place => $make
        ) {
            try {
                $make();
                $this->fail($place);
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
        $clockwise = self::water(50.0, 10.0, 40.0, array_reverse(Build::square(300, 200, 500, 400)));
        $this->assertEquals(new Spot(300.0, 200.0, 50.0), $clockwise->points[0], 'the bank runs counter-clockwise');
    }

    /** @param  list<array{float, float}>|null  $bank */
    private static function water(float $level, float $depth, float $shore, ?array $bank = null): LandFeature
    {
        $points = array_map(fn (array $p): Spot => new Spot($p[0], $p[1], $level), $bank ?? Build::square(300, 200, 500, 400));

        return new LandFeature(Build::uid(70), FeatureKind::Water, $points, 'Pond', figures: ['depth_mm' => $depth, 'shore_mm' => $shore]);
    }

    /** @return list<string> */
    private static function ids(LandStudy $study): array
    {
        return array_map(fn (Finding $f): string => $f->id, (new BasinHolds())->check($study));
    }
}
