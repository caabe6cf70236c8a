<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Land\Cut;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Walls;
use IdleRidge\Core\Measure\Side;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Fixtures;

final class GradingTest extends TestCase
{
    /** @return list<array{string, float}> */
    public static function references(): array
    {
        return [
            ['d1-single', 5.0],
            ['d1-single', 2.5],
            ['d2-wall-constant', 5.0],
            ['d2-wall-constant', 2.5],
            ['d3-wall-growing', 5.0],
            ['d3-wall-growing', 2.5],
        ];
    }

    #[DataProvider('references')]
    public function test_cut_and_fill_of_the_references(string $case, float $cell): void
    {
        [$of, $model] = self::reference($case);
        $works = $model->terrain($cell)->earthworks();
        $expect = $of['expect']['total']['lower'] ?? ['cut' => $of['expect']['cut'], 'fill' => $of['expect']['fill']];
        $tolerance = $cell > 3.0 ? 0.01 : 0.005;
        $this->assertEqualsWithDelta($expect['cut'], $works['cut'], $tolerance * $expect['cut']);
        $this->assertEqualsWithDelta($expect['fill'], $works['fill'], $tolerance * $expect['fill']);
    }

    public function test_the_profile_across_one_track(): void
    {
        [$of, $model] = self::reference('d1-single');
        foreach ($of['expect']['profiles'] as $x => $points) {
            foreach ($points as [$y, $z]) {
                $this->assertEqualsWithDelta($z, $model->heightAt((float) $x, (float) $y), 0.001, "at {$x}, {$y}");
            }
        }
        foreach ($of['expect']['toes'] as $toe) {
            foreach ($toe['toe_y'] as $y) {
                $inward = $y < 300.0 ? 5.0 : -5.0;
                $this->assertEqualsWithDelta(40.0, $model->heightAt((float) $toe['x'], $y - $inward), 1e-6);
                if ($toe['depth'] > 4.0) {
                    $this->assertGreaterThan(1.0, abs(40.0 - $model->heightAt((float) $toe['x'], $y + $inward)));
                }
            }
        }
    }

    public function test_the_ground_at_a_contour_level_gives_no_tangle(): void
    {
        [, $model] = self::reference('d1-single');
        [$contour] = Contours::of($model->terrain(5.0)->mesh(), [40.0]);
        $this->assertLessThanOrEqual(2, count($contour->lines));
        $this->assertEqualsWithDelta(672_000.0, $contour->areaAbove, 6000.0);
    }

    public function test_walls_of_the_references(): void
    {
        foreach (
            [
                'd2-wall-constant' => [0.0, 70.0 / 3.0, 28_000.0],
                'd3-wall-growing' => [1000.0 / 3.0, 52.0 / 3.0, 7511.1],
            ] as $case => [$from, $height, $face]
        ) {
            foreach ([5.0, 2.5] as $cell) {
                [, $model] = self::reference($case);
                $walls = Walls::find($model, $model->terrain($cell));
                $this->assertCount(1, $walls, $case);
                $this->assertEqualsWithDelta([$from, 1200.0], [$walls[0]->from, $walls[0]->to], $from === 0.0 ? 0.1 : 3.0);
                $this->assertEqualsWithDelta($height, $walls[0]->highest, 0.01);
                $this->assertEqualsWithDelta($face, $walls[0]->face, 0.001 * $face);
                $this->assertSame([Side::Left, 'between'], [$walls[0]->side, $walls[0]->cause]);
            }
        }
    }

    public function test_a_bank_cut_off_by_the_edge_needs_a_wall_unless_a_neighbour_goes_on(): void
    {
        $model = Build::flatLand(0.0, [Build::straight(1, 560.0, 60.0, 60.0, Build::evenProfile())]);
        $terrain = $model->terrain(5.0);
        $walls = Walls::find($model, $terrain);
        $this->assertCount(1, $walls);
        $this->assertSame([Side::Left, 'edge'], [$walls[0]->side, $walls[0]->cause]);
        // 15 mm beyond the formation at 1 in 1.5 leave 60 − 10 = 50 mm, all along the edge.
        $this->assertEqualsWithDelta(
            [50.0, 50.0, 1200.0, 60_000.0],
            [$walls[0]->lowest, $walls[0]->highest, $walls[0]->length, $walls[0]->face],
            0.01,
        );
        $this->assertSame([], Walls::find($model, $terrain, ['back']));
    }

    public function test_a_slope_that_may_not_reach_far_enough_needs_a_wall(): void
    {
        $run = Build::straight(1, 300.0, 60.0, 60.0, Build::evenProfile());
        $model = Build::flatLand(0.0, [$run], reach: 30.0);
        $walls = Walls::find($model, $model->terrain(5.0));
        $this->assertCount(2, $walls);
        foreach ($walls as $wall) {
            $this->assertSame('reach', $wall->cause);
            $this->assertEqualsWithDelta([40.0, 40.0], [$wall->lowest, $wall->highest], 0.01);
        }
        $this->assertSame(0.0, $model->heightAt(600.0, 300.0 + 25.0 + 31.0), 'beyond it the ground stays');
        $wide = Build::flatLand(0.0, [$run], reach: 120.0);
        $this->assertSame([], Walls::find($wide, $wide->terrain(5.0)));
    }

    public function test_the_ditch_is_sunk_in_cutting_only(): void
    {
        $profile = ['ditch_depth_mm' => 2.0, 'ditch_width_mm' => 6.0] + Build::evenProfile();
        $model = Build::flatLand(40.0, [Build::straight(1, 300.0, 20.0, 60.0, $profile)]);
        $this->assertEqualsWithDelta(25.0 - 2.0, $model->heightAt(150.0, 300.0 + 22.0), 1e-6, 'cutting');
        $this->assertEqualsWithDelta(25.0, $model->heightAt(150.0, 300.0 + 10.0), 1e-6);
        $this->assertEqualsWithDelta(55.0, $model->heightAt(1050.0, 300.0 + 22.0), 1e-6, 'bank');
    }

    public function test_where_formations_overlap_the_nearest_rules(): void
    {
        $model = Build::flatLand(40.0, [
            Build::straight(1, 300.0, 50.0, 50.0, Build::evenProfile()),
            Build::straight(2, 330.0, 54.0, 54.0, Build::evenProfile()),
        ]);
        $this->assertSame(50.0, $model->heightAt(600.0, 314.0));
        $this->assertSame(54.0, $model->heightAt(600.0, 316.0));
        $this->assertSame(50.0, $model->heightAt(600.0, 315.0), 'a tie goes to the lower id');
    }

    public function test_raster_and_single_places_agree_on_random_lands(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            mt_srand($seed);
            $runs = [];
            for ($k = 1; $k <= 3; $k++) {
                $runs[] = Build::run(
                    $k,
                    (float) mt_rand(0, 300),
                    (float) mt_rand(50, 550),
                    (float) mt_rand(-40, 40),
                    [
                        ['kind' => 'tangent', 'length_mm' => (float) mt_rand(100, 400)],
                        [
                            'kind' => 'arc',
                            'radius_mm' => (float) mt_rand(300, 800),
                            'angle_deg' => (float) mt_rand(5, 60) * (mt_rand(0, 1) * 2 - 1),
                        ],
                    ],
                    (float) mt_rand(10, 90),
                    [[90, mt_rand(10, 90)]],
                    ['batter_cut_left' => mt_rand(2, 30) / 10.0, 'batter_fill_right' => mt_rand(2, 30) / 10.0, 'ditch_depth_mm' => 1.5],
                );
            }
            $model = Build::flatLand((float) mt_rand(0, 100), $runs);
            $terrain = $model->terrain(20.0);
            foreach ($terrain->heights as $p => $z) {
                [$x, $y] = $terrain->middle($p);
                $this->assertEqualsWithDelta($model->heightAt($x, $y), $z, 1e-6, "seed {$seed} at {$x}, {$y}");
            }
            $this->checkBounds($model, $seed);
            $works = $terrain->earthworks();
            $change = array_sum(array_map(fn (float $z, float $g): float => $z - $g, $terrain->heights, $terrain->ground)) * 400.0;
            $this->assertEqualsWithDelta($change, $works['fill'] - $works['cut'], 1.0, "seed {$seed}");
        }
    }

    public function test_a_cut_ends_on_the_board_and_looks_along_rising_stations(): void
    {
        $run = Build::run(1, 0.0, 100.0, 30.0, [['kind' => 'tangent', 'length_mm' => 900.0]], 60.0);
        $cut = Cut::acrossRun($run, 300.0, 1200.0, 600.0);
        foreach ([$cut->least, $cut->greatest] as $offset) {
            $p = $cut->pointAt($offset);
            $onEdge = min(abs($p->x), abs($p->x - 1200.0), abs($p->y), abs($p->y - 600.0));
            $this->assertLessThan(1e-6, $onEdge);
        }
        $left = $cut->pointAt(10.0);
        $this->assertEqualsWithDelta(10.0, $run->alignment->nearest($left)['offset'], 1e-6, 'positive offsets are left');
        $samples = $cut->samples(Build::flatLand(40.0, [$run]));
        $this->assertEqualsWithDelta($cut->least, $samples[0][0], 1e-9);
        $this->assertSame(900.0, Cut::acrossRun($run, 5000.0, 1200.0, 600.0)->station);
        $this->assertSame(600.0, Cut::acrossBoard(350.0, 1200.0, 600.0)->greatest - Cut::acrossBoard(350.0, 1200.0, 600.0)->least);
    }

    private function checkBounds(LandModel $model, int $seed): void
    {
        foreach ($model->terrain(20.0)->graded as $at) {
            $run = $model->grading->runs[$at->run];
            $level = $run->grade->heightAt($at->station);
            if ($at->kind === Grading::FORMATION) {
                $this->assertContains(round($level - $at->height, 6), [0.0, 1.5], "seed {$seed}: formation or its ditch");
            } else {
                $side = Side::at($at->offset);
                $beyond = abs($at->offset) - $run->profile->halfWidth($side);
                if ($at->kind === Grading::CUT) {
                    $this->assertEqualsWithDelta($level + $beyond / $run->profile->batterInCut($side), $at->height, 1e-6, "seed {$seed}");
                } elseif ($at->kind === Grading::FILL) {
                    $this->assertEqualsWithDelta($level - $beyond / $run->profile->batterInFill($side), $at->height, 1e-6, "seed {$seed}");
                } else {
                    $this->assertGreaterThan(0.0, $at->gap);
                }
            }
        }
    }

    /** @return array{array<string, mixed>, LandModel} */
    private static function reference(string $case): array
    {
        $of = Fixtures::json("land/{$case}.json");
        $runs = [];
        foreach ($of['tracks'] as $k => $track) {
            $runs[] = Build::straight(
                $k + 1,
                (float) $track['from'][1],
                (float) $track['from'][2],
                (float) $track['to'][2],
                Build::evenProfile((float) $of['halfwidth'], (float) $of['slope_cut']),
            );
        }

        return [$of, Build::flatLand((float) $of['ground'], $runs)];
    }
}
