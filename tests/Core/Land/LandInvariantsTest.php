<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Pad;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Land\Stream;
use IdleRidge\Core\Land\Terrain;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Structure;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What holds of any land: random hills, pads, streams and waters, curved runs and roads with transitions, bridges, tunnels and walls. */
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
            $change = array_sum(
                array_map(fn (float $z, float $g): float => $z - $g, $terrain->heights, $terrain->ground),
            ) * self::CELL ** 2;
            $this->assertEqualsWithDelta($change, $works['fill'] - $works['cut'], 1.0, "seed {$seed}");
            $this->contoursEnd($terrain, $seed);
            $this->betweenBounds($model, $terrain, $seed);
        }
    }

    /** Off the formations, and where no wall is needed, land lies between what every run allows beside it. */
    private function betweenBounds(LandModel $model, Terrain $terrain, int $seed): void
    {
        $tried = 0;
        foreach ($terrain->heights as $p => $z) {
            if (in_array($terrain->graded[$p]->kind ?? 0, [Grading::FORMATION, Grading::WALL], true)) {
                continue;
            }
            foreach ($model->grading->runs as $run) {
                $place = $run->alignment->nearest(new Point(...$terrain->middle($p)));
                $side = Side::at($place['offset']);
                $beyond = abs($place['offset']) - $run->profile->halfWidth($side);
                if ($run->structureAt($place['station']) !== null || $run->wallAt($place['station'], $side)) {
                    continue;
                }
                $tried++;
                $level = $run->grade->heightAt($place['station']);
                // Beside a level crossing a road may stand over a track's slope by its ballast.
                $slack = 0.06 + ($model->grading->runs[0]->kind !== $model->grading->runs[1]->kind ? 8.8 : 0.0);
                $this->assertGreaterThanOrEqual(
                    $level - $beyond / $run->profile->batterInFill($side) - $slack,
                    $z,
                    "seed {$seed}, cell {$p}: under the bank",
                );
                $this->assertLessThanOrEqual(
                    $level + $beyond / $run->profile->batterInCut($side) + $slack,
                    $z,
                    "seed {$seed}, cell {$p}: over the cutting",
                );
            }
        }
        $this->assertGreaterThan(1000, $tried);
    }

    public function test_mirrored_input_gives_mirrored_land(): void
    {
        for ($seed = 1; $seed <= 6; $seed++) {
            $one = self::land($seed, 1.0)->terrain(self::CELL);
            $other = self::land($seed, -1.0)->terrain(self::CELL);
            foreach ($one->heights as $p => $z) {
                $mirrored = (intdiv(count($one->heights), $one->cols) - 1 - intdiv($p, $one->cols)) * $one->cols + ($p % $one->cols);
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
        $spots = array_map(
            fn (): Spot => new Spot(mt_rand(0, 9000) / 10.0, $y(mt_rand(0, 5000) / 10.0), (float) mt_rand(0, 150)),
            range(1, 9),
        );
        $runs = [];
        for ($k = 1; $k <= 2; $k++) {
            $turn = $side * (mt_rand(0, 1) * 2 - 1);
            $radius = (float) mt_rand(350, 900);
            $batter = fn (): float => mt_rand(5, 25) / 10.0;
            [$a, $b] = [['batter_cut' => $batter(), 'batter_fill' => $batter()], ['batter_cut' => $batter(), 'batter_fill' => $batter()]];
            [$left, $right] = $side > 0.0 ? [$a, $b] : [$b, $a];
            $from = (float) mt_rand(60, 200);
            $runs[] = Build::run(
                $k,
                mt_rand(0, 1500) / 10.0,
                $y(mt_rand(500, 4300) / 10.0),
                ($side * mt_rand(-300, 300)) / 10.0,
                [
                    ['kind' => 'tangent', 'length_mm' => (float) mt_rand(80, 300)],
                    ['kind' => 'transition', 'length_mm' => 90.0, 'from_radius_mm' => 0.0, 'to_radius_mm' => $turn * $radius],
                    ['kind' => 'arc', 'radius_mm' => $radius, 'angle_deg' => $turn * mt_rand(8, 30)],
                ],
                (float) mt_rand(20, 90),
                [[160, mt_rand(20, 90)]],
                [
                    'batter_cut_left' => $left['batter_cut'],
                    'batter_fill_left' => $left['batter_fill'],
                    'batter_cut_right' => $right['batter_cut'],
                    'batter_fill_right' => $right['batter_fill'],
                    'ditch_depth_mm' => 0.0,
                ],
                [['kind' => ['bridge', 'tunnel'][mt_rand(0, 1)], 'from_mm' => $from, 'to_mm' => $from + mt_rand(10, 60)]],
            );
        }
        $lattice = GroundSolver::solve(GroundProblem::over(0.0, 0.0, self::WIDTH, self::DEPTH, $spots));

        $ground = new Ground($lattice, new Placement(0.0, 0.0, 0.0));

        return new LandModel(self::WIDTH, self::DEPTH, self::shaped($ground, $y), new Grading(self::built($runs, $side)));
    }

    /**
     * A pad, a stream and a water anywhere, in the order in which they are made.
     *
     * @param  callable(float): float  $y
     */
    private static function shaped(Ground $ground, callable $y): Ground
    {
        $square = function (float $size) use ($y): array {
            [$x, $at] = [mt_rand(0, 8000) / 10.0, mt_rand(0, 4000) / 10.0];

            return array_map(fn (array $p): array => [$p[0], $y($p[1])], Build::square($x, $at, $x + $size, $at + 0.7 * $size));
        };
        $ground = $ground->with(new Pad('p', 'Pad', $square(120.0), (float) mt_rand(20, 120), mt_rand(3, 20) / 10.0));
        $line = array_map(fn (): array => [mt_rand(0, 9000) / 10.0, $y(mt_rand(0, 5000) / 10.0)], range(1, 3));
        $ground = $ground->with(Stream::along('s', 'Stream', $line, 18.0, 4.0, 2.0, $ground->at(...)));

        return $ground->with(new Basin('w', 'Water', $square(150.0), (float) mt_rand(20, 80), 9.0, 30.0));
    }

    /**
     * The second run is a road now and then, and the first has a wall.
     *
     * @param  list<Run>  $runs
     * @return list<Run>
     */
    private static function built(array $runs, float $side): array
    {
        $runs[1] = $runs[1]->but(kind: mt_rand(0, 1) === 1 ? RunKind::Road : RunKind::Track);
        $wall = (mt_rand(0, 1) === 1) === $side > 0.0 ? 'wall left' : 'wall right';
        $runs[0] = $runs[0]->but(
            structures: [
                ...array_map(fn (Structure $s): array => $s->toArray(), $runs[0]->structures),
                ['kind' => $wall, 'from_mm' => 20.0, 'to_mm' => 90.0],
            ],
        );

        return array_values($runs);
    }
}
