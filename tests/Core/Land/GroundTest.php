<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\HeightLine;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\TestCase;
use Tests\Fixtures;

final class GroundTest extends TestCase
{
    public function test_the_reference_surface(): void
    {
        $of = Fixtures::json('land/ground-01.json');
        $reference = AsciiGrid::read(Fixtures::text('land/ground-01.asc'));
        $spots = array_map(fn (array $s): Spot => new Spot(...array_map('floatval', $s)), $of['spots']);
        $lattice = GroundSolver::solve(
            GroundProblem::over(0.0, 0.0, $of['width'], $of['depth'], $spots, [], $of['tension'], $of['stiffness']),
            5.0,
        );
        $this->assertSame(count($reference->values), count($lattice->heights));
        $sum = 0.0;
        foreach ($reference->values as $p => $z) {
            $sum += ($z - $lattice->heights[$p]) ** 2;
        }
        $relief = max($reference->values) - min($reference->values);
        $this->assertLessThan(0.01 * $relief, sqrt($sum / count($reference->values)));
    }

    public function test_a_hill_is_a_hill_and_not_a_tent(): void
    {
        $spots = [new Spot(600.0, 300.0, 100.0)];
        for ($x = 0.0; $x <= 1200.0; $x += 100.0) {
            array_push($spots, new Spot($x, 0.0, 0.0), new Spot($x, 600.0, 0.0));
        }
        for ($y = 100.0; $y < 600.0; $y += 100.0) {
            array_push($spots, new Spot(0.0, $y, 0.0), new Spot(1200.0, $y, 0.0));
        }
        foreach ([5.0, 2.5] as $finest) {
            $ground = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 1200.0, 600.0, $spots), $finest);
            $this->assertEqualsWithDelta(100.0, $ground->at(600.0, 300.0), 0.02);
            foreach ([[650.0, 300.0], [550.0, 300.0], [600.0, 350.0], [600.0, 250.0]] as [$x, $y]) {
                $this->assertGreaterThan(90.0, $ground->at($x, $y));
                $this->assertLessThan(99.0, $ground->at($x, $y));
            }
        }
    }

    public function test_every_spot_is_met_at_its_true_place(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $spots = self::random($seed);
            $ground = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 900.0, 500.0, $spots));
            foreach ($spots as $spot) {
                // A cliff between two spots nearer to each other than lattice nodes is met less closely.
                $nearest = min(array_map(fn (Spot $s): float => $s === $spot ? INF : hypot($s->x - $spot->x, $s->y - $spot->y), $spots));
                $this->assertEqualsWithDelta($spot->z, $ground->at($spot->x, $spot->y), $nearest < 12.5 ? 0.5 : 0.05, "seed {$seed}");
            }
        }
    }

    public function test_mirrored_spots_give_the_mirrored_ground(): void
    {
        for ($seed = 1; $seed <= 5; $seed++) {
            $spots = self::random($seed);
            $here = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 900.0, 500.0, $spots));
            $there = GroundSolver::solve(
                GroundProblem::over(0.0, 0.0, 900.0, 500.0, array_map(fn (Spot $s): Spot => new Spot(900.0 - $s->x, $s->y, $s->z), $spots)),
            );
            for ($x = 0.0; $x <= 900.0; $x += 45.0) {
                for ($y = 0.0; $y <= 500.0; $y += 50.0) {
                    $this->assertEqualsWithDelta($here->at($x, $y), $there->at(900.0 - $x, $y), 0.1, "seed {$seed} at {$x}, {$y}");
                }
            }
        }
    }

    public function test_spots_on_a_plane_give_that_plane(): void
    {
        $plane = fn (float $x, float $y): float => 20.0 + 0.05 * $x - 0.03 * $y;
        $spots = array_map(fn (array $p): Spot => new Spot($p[0], $p[1], $plane($p[0], $p[1])), [
            [50.0, 40.0],
            [700.0, 80.0],
            [400.0, 450.0],
            [812.3, 390.7],
        ]);
        $ground = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 900.0, 500.0, $spots));
        foreach ([[0.0, 0.0], [900.0, 500.0], [450.0, 250.0], [0.0, 500.0]] as [$x, $y]) {
            $this->assertEqualsWithDelta($plane($x, $y), $ground->at($x, $y), 0.01);
        }
    }

    public function test_too_few_spots_give_the_plane_of_least_slope(): void
    {
        $one = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 900.0, 500.0, [new Spot(100.0, 100.0, 40.0)]));
        $this->assertEqualsWithDelta(40.0, $one->at(880.0, 480.0), 1e-6);
        $two = GroundSolver::solve(
            GroundProblem::over(0.0, 0.0, 900.0, 500.0, [new Spot(100.0, 250.0, 40.0), new Spot(500.0, 250.0, 60.0)]),
        );
        $this->assertEqualsWithDelta(50.0, $two->at(300.0, 20.0), 0.01);
        $this->assertEqualsWithDelta(70.0, $two->at(700.0, 480.0), 0.01);
        $none = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 900.0, 500.0, [], base: 12.0));
        $this->assertSame(12.0, $none->at(450.0, 250.0));
    }

    public function test_without_tension_the_ground_still_holds_its_spots(): void
    {
        $spots = [new Spot(100.0, 100.0, 40.0), new Spot(500.0, 300.0, 60.0), new Spot(800.0, 90.0, 10.0)];
        foreach ([0.0, 1.0] as $tension) {
            $ground = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 900.0, 500.0, $spots, tension: $tension));
            foreach ($spots as $spot) {
                $this->assertEqualsWithDelta($spot->z, $ground->at($spot->x, $spot->y), 0.5);
            }
        }
    }

    public function test_a_ridge_line_is_followed_along_its_length(): void
    {
        $line = HeightLine::through([new Spot(100.0, 200.0, 80.0), new Spot(400.0, 320.0, 120.0), new Spot(800.0, 280.0, 90.0)]);
        $ground = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 900.0, 500.0, [new Spot(450.0, 20.0, 0.0)], [$line]));
        foreach ($line->spots(40.0) as $spot) {
            $this->assertEqualsWithDelta($spot->z, $ground->at($spot->x, $spot->y), 0.5);
        }
    }

    public function test_an_earlier_answer_leads_to_the_same_ground(): void
    {
        $spots = self::random(3);
        $first = GroundSolver::answer(GroundProblem::over(0.0, 0.0, 900.0, 500.0, $spots));
        $spots[0] = new Spot($spots[0]->x + 5.0, $spots[0]->y, $spots[0]->z + 8.0);
        $problem = GroundProblem::over(0.0, 0.0, 900.0, 500.0, $spots);
        $cold = GroundSolver::solve($problem);
        $warm = GroundSolver::answer($problem, start: $first)->lattice;
        foreach ($cold->heights as $p => $z) {
            $this->assertEqualsWithDelta($z, $warm->heights[$p], 0.15);
        }
    }

    public function test_two_spots_in_one_place_with_different_heights_are_refused(): void
    {
        $this->assertCount(
            1,
            GroundProblem::over(0.0, 0.0, 900.0, 500.0, [new Spot(100.0, 100.0, 40.0), new Spot(100.2, 100.0, 40.0)])->spots,
        );
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessageMatches('/Two spots at 100, 100/');
        GroundProblem::over(0.0, 0.0, 900.0, 500.0, [new Spot(100.0, 100.0, 40.0), new Spot(100.2, 100.0, 60.0)]);
    }

    public function test_impossible_lines_and_sizes_are_refused(): void
    {
        foreach (
            [
                fn () => HeightLine::through([new Spot(1.0, 1.0, 1.0)]),
                fn () => HeightLine::through([new Spot(1.0, 1.0, 1.0), new Spot(1.1, 1.0, 9.0)]),
                fn () => GroundProblem::over(0.0, 0.0, -5.0, 500.0, []),
                fn () => GroundProblem::over(0.0, 0.0, 900.0, 500.0, [], tension: 1.2),
                fn () => GroundProblem::over(0.0, 0.0, 900.0, 500.0, [new Spot(NAN, 0.0, 0.0)]),
            ] as $k => $make
        ) {
            try {
                $make();
                $this->fail("case {$k} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertNotSame('', $refusal->place);
            }
        }
    }

    public function test_a_turned_board_sees_the_same_ground(): void
    {
        $lattice = GroundSolver::solve(GroundProblem::over(0.0, 0.0, 900.0, 500.0, self::random(4)));
        $placement = new Placement(300.0, 50.0, 30.0);
        $ground = new Ground($lattice, $placement);
        $there = $placement->toLayout(new \IdleRidge\Core\Geometry\Point(120.0, 80.0));
        $this->assertSame($lattice->at($there->x, $there->y), $ground->at(120.0, 80.0));
        $this->assertSame($ground->at(120.0, 80.0), $ground->raster([120.0], [80.0])[0]);
        $straight = new Ground($lattice, new Placement(10.0, 20.0, 0.0));
        $this->assertEqualsWithDelta($straight->at(33.0, 44.0), $straight->raster([33.0, 50.0], [44.0, 60.0])[0], 1e-9);
    }

    /** @return list<Spot> */
    private static function random(int $seed): array
    {
        mt_srand($seed);

        return array_map(fn (): Spot => new Spot(mt_rand(0, 9000) / 10.0, mt_rand(0, 5000) / 10.0, (float) mt_rand(0, 150)), range(1, 8));
    }
}
