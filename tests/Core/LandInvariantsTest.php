<?php

declare(strict_types=1);

namespace Tests\Core;

use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Land\Terrain;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What holds of any land: random hills, curved runs with transitions, bridges and tunnels. */
final class LandInvariantsTest extends TestCase
{
    private const WIDTH = 900.0;

    private const DEPTH = 500.0;

    /** The lattice's own step divides both sides, so that its mirror image is itself. */
    private const CELL = 12.5;

    public function test_heights_agree_contours_end_at_the_edge_and_earth_is_kept(): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            $model = self::land($seed, 1.0);
            $terrain = $model->terrain(self::CELL);
            foreach ($terrain->heights as $p => $z) {
                [$x, $y] = $terrain->middle($p);
                $this->assertEqualsWithDelta($model->heightAt($x, $y), $z, 1e-6, "seed {$seed} at {$x}, {$y}");
            }
            foreach ($terrain->graded as $p => $at) {
                if ($at->kind === Grading::FORMATION) {
                    $run = $model->grading->runs[$at->run];
                    $this->assertNull($run->structureAt($at->station), "seed {$seed}: no formation on a bridge or in a tunnel");
                    $this->assertEqualsWithDelta($run->grade->heightAt($at->station), $terrain->heights[$p], 1e-9, "seed {$seed}");
                }
            }
            $works = $terrain->earthworks();
            $change = array_sum(array_map(fn (float $z, float $g): float => $z - $g, $terrain->heights, $terrain->ground)) * self::CELL ** 2;
            $this->assertEqualsWithDelta($change, $works['fill'] - $works['cut'], 1.0, "seed {$seed}");
            $this->contoursEnd($terrain, $seed);
        }
    }

    public function test_mirrored_input_gives_mirrored_land(): void
    {
        for ($seed = 1; $seed <= 6; $seed++) {
            $one = self::land($seed, 1.0)->terrain(self::CELL);
            $other = self::land($seed, -1.0)->terrain(self::CELL);
            foreach ($one->heights as $p => $z) {
                $mirrored = (intdiv(count($one->heights), $one->cols) - 1 - intdiv($p, $one->cols)) * $one->cols + $p % $one->cols;
                $this->assertEqualsWithDelta($z, $other->heights[$mirrored], 0.05, "seed {$seed}, cell {$p}");
            }
        }
    }

    private function contoursEnd(Terrain $terrain, int $seed): void
    {
        $mesh = $terrain->mesh();
        $count = 0;
        foreach (Contours::of($mesh, Contours::levels($mesh, 10.0)) as $contour) {
            foreach ($contour->lines as $line) {
                $count++;
                foreach ($line['closed'] ? [] : [$line['points'][0], $line['points'][count($line['points']) - 1]] as [$x, $y]) {
                    $away = min($x, $y, self::WIDTH - $x, self::DEPTH - $y);
                    $this->assertEqualsWithDelta(0.0, $away, 1e-6, "seed {$seed}: the contour at {$contour->level} stops at {$x}, {$y}");
                }
            }
        }
        $this->assertGreaterThan(0, $count);
    }

    /** @param  float  $side  −1 mirrors everything in the board's middle line */
    private static function land(int $seed, float $side): LandModel
    {
        mt_srand($seed);
        $y = fn (float $at): float => $side > 0.0 ? $at : self::DEPTH - $at;
        $spots = array_map(fn (): Spot => new Spot(mt_rand(0, 9000) / 10.0, $y(mt_rand(0, 5000) / 10.0), (float) mt_rand(0, 150)), range(1, 9));
        $runs = [];
        for ($k = 1; $k <= 2; $k++) {
            $turn = $side * (mt_rand(0, 1) * 2 - 1);
            $radius = (float) mt_rand(350, 900);
            $batter = fn (): float => mt_rand(5, 25) / 10.0;
            [$a, $b] = [['batter_cut' => $batter(), 'batter_fill' => $batter()], ['batter_cut' => $batter(), 'batter_fill' => $batter()]];
            [$left, $right] = $side > 0.0 ? [$a, $b] : [$b, $a];
            $from = (float) mt_rand(60, 200);
            $runs[] = Build::run($k, mt_rand(0, 1500) / 10.0, $y(mt_rand(500, 4300) / 10.0), $side * mt_rand(-300, 300) / 10.0, [
                ['kind' => 'tangent', 'length_mm' => (float) mt_rand(80, 300)],
                ['kind' => 'transition', 'length_mm' => 90.0, 'from_radius_mm' => 0.0, 'to_radius_mm' => $turn * $radius],
                ['kind' => 'arc', 'radius_mm' => $radius, 'angle_deg' => $turn * mt_rand(8, 30)],
            ], (float) mt_rand(20, 90), [[160, mt_rand(20, 90)]], [
                'batter_cut_left' => $left['batter_cut'], 'batter_fill_left' => $left['batter_fill'],
                'batter_cut_right' => $right['batter_cut'], 'batter_fill_right' => $right['batter_fill'], 'ditch_depth_mm' => 0.0,
            ], [['kind' => ['bridge', 'tunnel'][mt_rand(0, 1)], 'from_mm' => $from, 'to_mm' => $from + mt_rand(10, 60)]]);
        }
        $lattice = GroundSolver::solve(GroundProblem::over(0.0, 0.0, self::WIDTH, self::DEPTH, $spots));

        return new LandModel(self::WIDTH, self::DEPTH, new Ground($lattice, new Placement(0.0, 0.0, 0.0)), new Grading($runs));
    }
}
