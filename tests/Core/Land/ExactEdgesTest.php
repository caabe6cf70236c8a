<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\SkinnedLand;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Track\Run;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What is cut along a formation or a wall follows that line, not the raster. */
final class ExactEdgesTest extends TestCase
{
    /** @return iterable<string, array{float}> */
    public static function cells(): iterable
    {
        foreach ([2.5, 5.0, 10.0] as $cell) {
            yield "{$cell} mm" => [$cell];
        }
    }

    #[DataProvider('cells')]
    public function test_layers_run_along_a_cutting_at_the_offset_the_slope_says(float $cell): void
    {
        // In a cutting 50 mm deep under land at 90: the layer with its bottom at 45 begins 5 mm out where the slope is 1 in 1, less the
        // skin
        // of 3 mm square to it 3√2 further.
        foreach ([[0.0, 5.0], [3.0, 5.0 + 3.0 * sqrt(2.0)]] as [$skin, $beyond]) {
            foreach ($this->runs(40.0, ['batter_cut_left' => 1.0, 'batter_cut_right' => 1.0] + Build::evenProfile(24.3)) as $word => $run) {
                $this->assertLessThan(
                    0.5,
                    $this->furthestOff(Build::flatLand(90.0, [$run]), $run, $cell, $skin, 45.0, 24.3 + $beyond),
                    "{$word}, skin {$skin}",
                );
            }
        }
    }

    #[DataProvider('cells')]
    public function test_layers_run_along_a_wall(float $cell): void
    {
        foreach (
            $this->runs(40.0, Build::evenProfile(24.3), [
                ['kind' => 'wall left', 'from_mm' => 0.0, 'to_mm' => 600.0],
                ['kind' => 'wall right', 'from_mm' => 0.0, 'to_mm' => 600.0],
            ]) as $word => $run
        ) {
            $this->assertLessThan(
                0.5,
                $this->furthestOff(Build::flatLand(90.0, [$run]), $run, $cell, 0.0, 60.0, 24.3 + 20.0 / 50.0),
                $word,
            );
        }
    }

    #[DataProvider('cells')]
    public function test_layers_run_along_a_bank_and_its_crown(float $cell): void
    {
        // A bank 60 mm up on land at 0: the layer from 59.5 ends at the formation's edge and three quarters of a millimetre down its slope.
        foreach ($this->runs(60.0, Build::evenProfile(24.3)) as $word => $run) {
            $this->assertLessThan(0.5, $this->furthestOff(Build::flatLand(0.0, [$run]), $run, $cell, 0.0, 59.5, 24.3 + 0.75), $word);
            $this->assertLessThan(0.5, $this->furthestOff(Build::flatLand(0.0, [$run]), $run, $cell, 0.0, 20.0, 24.3 + 60.0), $word);
        }
    }

    public function test_the_skin_lies_round_the_foot_of_a_cutting(): void
    {
        $run = Build::straight(1, 300.0, 40.0, 40.0, ['batter_cut_left' => 1.0, 'batter_cut_right' => 1.0] + Build::evenProfile(25.0));
        $shape = new SkinnedLand(Build::flatLand(90.0, [$run]), 3.0);
        foreach (
            [
                [0.0, 37.0],
                [-10.0, 37.0],
                [1e-6, 37.0],
                [1.0, 40.0 - sqrt(8.0)],
                [2.0, 40.0 - sqrt(5.0)],
                [3.0, 43.0 - 3.0 * sqrt(2.0)],
                [20.0, 60.0 - 3.0 * sqrt(2.0)],
                [60.0, 87.0],
            ] as [$beyond, $height]
        ) {
            $this->assertEqualsWithDelta($height, $shape->at(600.0, 325.0 + $beyond), 1e-4, "{$beyond} mm");
        }
    }

    /**
     * @param  array<string, float>  $profile
     * @param  list<array{kind: string, from_mm: float, to_mm: float}>  $structures
     * @return array<string, Run>
     */
    private function runs(float $level, array $profile, array $structures = []): array
    {
        return [
            'aslant' => Build::run(1, 120.0, 120.0, 23.0, [['kind' => 'tangent', 'length_mm' => 800.0]], $level, [], $profile, $structures),
            'nearly level' => Build::run(
                1,
                120.0,
                290.0,
                1.3,
                [['kind' => 'tangent', 'length_mm' => 800.0]],
                $level,
                [],
                $profile,
                $structures,
            ),
            'curved' => Build::run(
                1,
                150.0,
                120.0,
                10.0,
                [['kind' => 'arc', 'radius_mm' => 700.0, 'angle_deg' => 55.0]],
                $level,
                [],
                $profile,
                $structures,
            ),
        ];
    }

    /** How far the outline of the layer with its bottom at a level strays from the line that far from the run, over its middle. */
    private function furthestOff(LandModel $model, Run $run, float $cell, float $skin, float $level, float $away): float
    {
        $skinned = new SkinnedLand($model, $skin);
        $shape = $skinned->grid($model->terrain($cell))->mesh($model->width, $model->depth);
        $stack = FoamStack::of($shape, $level - 1000.0, [1000.0, 10.0], CutSchool::Carved, exact: $skinned->at(...));
        $off = 0.0;
        $seen = 0;
        foreach ($stack->layers[1]->pieces as $piece) {
            foreach ($piece->rings as $ring) {
                foreach ($ring as $k => $p) {
                    $q = $ring[($k + 1) % count($ring)];
                    $parts = max(1, (int) ceil(hypot($q[0] - $p[0], $q[1] - $p[1]) / 3.0));
                    for ($t = 0; $t < $parts; $t++) {
                        [$x, $y] = [$p[0] + (($q[0] - $p[0]) * $t) / $parts, $p[1] + (($q[1] - $p[1]) * $t) / $parts];
                        $near = $run->alignment->nearest(new Point($x, $y));
                        $onEdge = min($x, $y, $model->width - $x, $model->depth - $y) < 12.0;
                        if ($near['station'] > 60.0 && $near['station'] < min(540.0, $run->alignment->length - 60.0) && ! $onEdge) {
                            $off = max($off, abs(abs($near['offset']) - $away));
                            $seen++;
                        }
                    }
                }
            }
        }
        $this->assertGreaterThan(150, $seen);

        return $off;
    }
}
