<?php

declare(strict_types=1);

namespace Tests\Core\Project;

use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\EdgeBoard;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Shell;
use IdleRidge\Core\Cuts\ShellBuild;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\CellCoverage;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Build;

/** Boards of any size, at any place and turn, through land, cuts and coats. */
final class OddSizesTest extends TestCase
{
    /** @return iterable<string, array{float}> */
    public static function cells(): iterable
    {
        foreach ([2.5, 5.0, 10.0, 25.0] as $cell) {
            yield "{$cell} mm" => [$cell];
        }
    }

    #[DataProvider('cells')]
    public function test_every_width_makes_lines_that_rise_to_its_edge(float $cell): void
    {
        for ($k = 200; $k <= 6000; $k++) {
            $width = $k / 2.0;
            $middles = HeightGrid::middles($width, $cell);
            $xs = [0.0, ...$middles, $width];
            $strips = array_map(fn (float $a, float $b): float => $b - $a, array_slice($xs, 0, -1), array_slice($xs, 1));
            $this->assertGreaterThan(0.015 * $cell, min($strips), "{$width} mm");
            $this->assertLessThan(1.03 * $cell, max($strips), "{$width} mm");
            if ($k % 500 < 12) {
                $mesh = HeightGrid::cells(count($middles), 2, $cell, 0.0, 0.0, array_fill(0, 2 * count($middles), 3.0))->mesh(
                    $width,
                    1.6 * $cell,
                );
                $this->assertEqualsWithDelta($width * 1.6 * $cell, $mesh->surface(), 1e-6 * $width);
                $covered = CellCoverage::of([Build::square(0.0, 0.0, $width, 1.6 * $cell)], $mesh->xs, $mesh->ys);
                $this->assertEqualsWithDelta((float) ((count($mesh->xs) - 1) * 3), array_sum($covered), 1e-6, "{$width} mm");
            }
        }
    }

    public function test_random_boards_go_through_land_cuts_and_coats(): void
    {
        $inches = [18.0, 30.0, 42.0, 66.0];
        for ($seed = 1; $seed <= 60; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $size = fn (int $k): float => match (true) {
                $k % 4 === 0 => 25.4 * $inches[$random->getInt(0, 3)],
                $k % 4 === 1 => [1201.0, 1202.0, 1676.0, 1202.5][$random->getInt(0, 3)],
                default => $random->getInt(120, 1600) / 2.0,
            };
            [$w, $d] = [$size($seed), min(400.0, $size($seed + 2))];
            $section = Section::of(
                Build::uid(901),
                'Board',
                $w,
                $d,
                Build::between($random, -500.0, 500.0),
                Build::between($random, -500.0, 500.0),
                [0.0, 90.0, $random->getInt(-1800, 1800) / 10.0][$random->getInt(0, 2)],
            );
            $middle = $section->onEdge('front', $w / 2.0);
            $centre = $section->placement->toLayout(new Point($w / 3.0, $d / 2.0));
            $run = Build::run(
                1,
                $middle->x,
                $middle->y,
                $section->placement->angleDeg + 70.0,
                [['kind' => 'tangent', 'length_mm' => $d]],
                12.0,
                [[$d, 20.0]],
            );
            $project = Project::of(new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5), [$section], $seed % 3 === 0 ? [] : [$run], [
                Build::spot(2, $centre->x, $centre->y, Build::between($random, 15.0, 60.0)),
            ]);
            $model = $project->land($section, GroundSolver::solve($project->groundProblem($section)));
            $terrain = $model->terrain(5.0);
            $study = LandStudy::of($project, $section, $model, $terrain);
            Rulebook::check($study);
            $mesh = $terrain->mesh();
            $this->assertEqualsWithDelta($w * $d, $mesh->planArea(), 1e-6, "seed {$seed}");
            $shape = $terrain->grid()->less(FoamStack::skin($terrain->grid(), 3.0))->mesh($w, $d);
            foreach (CutSchool::foams() as $school) {
                $stack = FoamStack::of($shape, 0.0, 20.0, $school, $project->bores($model->grading->runs));
                foreach ($stack->layers as $layer) {
                    $this->assertLessThanOrEqual($w * $d + 1e-6, $layer->area, "seed {$seed}");
                }
            }
            $shell = Shell::over($shape, 0.0, CutSchool::Web, new ShellBuild());
            $this->assertEqualsWithDelta($shape->surface(), $shell->surface, 1e-6 * $shell->surface, "seed {$seed}: bays make the whole");
            foreach (BoardEdge::cases() as $edge) {
                $board = EdgeBoard::along($edge, $model->heightAt(...), $w, $d, 0.0, 20.0);
                $this->assertGreaterThan(0.0, Polygon::area($board->ring));
            }
            $zones = [
                Build::uid(10) => Build::zone(10),
                Build::uid(11) => Build::zone(11, ['slope' => [5.0, 90.0]]),
                Build::uid(12) => Build::zone(12, ['near' => ['run' => null, 'from' => 0.0, 'to' => 40.0]]),
            ];
            $survey = ZoneSurvey::ofLand($model, 5.0, 0.0, $section->placement, $zones, 90.0);
            $areas = SectionSurvey::of($survey, $section->placement, $zones, [], [])->zones;
            $this->assertEqualsWithDelta($w * $d, $areas[Build::uid(10)]->plan, 1e-4 * $w * $d, "seed {$seed}");
            $this->assertEqualsWithDelta($mesh->surface(), $areas[Build::uid(10)]->surface, 0.01 * $w * $d, "seed {$seed}");
        }
    }
}
