<?php

declare(strict_types=1);

namespace Tests\Core\Project;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\Joints;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Variation;
use IdleRidge\Core\Rulebook\Land\JointsAgree;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Edges fixed for a joint, what lies against them, and land with one thing varied. */
final class JointTest extends TestCase
{
    public function test_a_bridge_over_the_joint_of_two_boards_is_told_and_one_beside_it_is_not(): void
    {
        $found = function (float $from, float $to): array {
            $run = Build::straight(
                1,
                300.0,
                80.0,
                80.0,
                length: 2000.0,
                structures: [['kind' => 'bridge', 'from_mm' => $from, 'to_mm' => $to]],
            );
            $sections = [Section::of(Build::uid(901), 'Left', 1000.0, 600.0), Section::of(Build::uid(902), 'Right', 1000.0, 600.0, 1000.0)];
            $project = Project::of(new LayoutSheet(Build::uid(900), 'Two', 87.1, 16.5), $sections, [$run]);

            return array_values(
                array_filter(Rulebook::check(Build::study($project, 10.0)), fn (Finding $f): bool => $f->id === 'span-across-moving-joint'),
            );
        };
        $this->assertSame([], $found(700.0, 996.0));
        $over = $found(900.0, 1150.0);
        $this->assertCount(1, $over);
        $this->assertEqualsWithDelta(102.0, $over[0]->figures['on_this_side']->value, 2.1, 'a hundred and fifty lie on the other board');
    }

    public function test_an_edge_lies_against_its_neighbours_also_when_boards_are_turned(): void
    {
        [$a, $b] = [$this->board(1, 1200.0, 600.0), $this->board(2, 800.0, 400.0, 1200.0, 50.0)];
        $this->assertSame(['right' => $b], Joints::of($a, [$a, $b]));
        $this->assertSame(['left' => $a], Joints::of($b, [$a, $b]));
        $this->assertEqualsWithDelta(['left', 50.0, 450.0], Joints::against($a, 'right', $b), 1e-9);
        $this->assertEqualsWithDelta(['right', 0.0, 400.0], Joints::against($b, 'left', $a), 1e-9);
        $this->assertNull(Joints::against($a, 'left', $b));
        // Turned a half, its right edge lies against this one, and runs the other way.
        $turned = $this->board(3, 800.0, 400.0, 2000.0, 450.0, 180.0);
        $this->assertEqualsWithDelta(['right', 50.0, 450.0], Joints::against($a, 'right', $turned), 1e-9);
        $fixed = $a->withEdge('right', [[50.0, 40.0], [450.0, 80.0], [600.0, 90.0]]);
        $this->assertEqualsWithDelta([[0.0, 40.0], [400.0, 80.0]], Joints::copied($fixed, 'right', $b, 'left'), 1e-6);
        $this->assertEqualsWithDelta([[0.0, 80.0], [400.0, 40.0]], Joints::copied($fixed, 'right', $turned, 'right'), 1e-6);
    }

    public function test_the_land_keeps_to_a_fixed_edge_on_both_boards(): void
    {
        $a = $this->board(1, 600.0, 400.0)->withEdge('right', [[0.0, 40.0], [200.0, 70.0], [400.0, 50.0]]);
        $b = $this->board(2, 600.0, 400.0, 600.0);
        $project = Project::of(Build::project()->layout, [$a, $b], [], [Build::spot(1, 100, 200, 10), Build::spot(2, 1100, 200, 20)]);
        foreach ([[$a, 600.0], [$b, 0.0]] as [$board, $x]) {
            $ground = $project->land($board, GroundSolver::solve($project->groundProblem($board)))->ground;
            foreach ([0.0 => 40.0, 100.0 => 55.0, 200.0 => 70.0, 300.0 => 60.0, 400.0 => 50.0] as $y => $z) {
                $this->assertEqualsWithDelta($z, $ground->at($x, (float) $y), 0.6, "{$board->name} at {$y}");
            }
        }
        $this->assertEqualsWithDelta(62.5, (float) $a->edgeHeight('right', 150.0), 1e-9);
        $this->assertSame(
            50.0,
            $this->board(1, 600.0, 400.0)
                ->withEdge('right', [[100.0, 50.0]])
                ->edgeHeight('right', 400.0),
            'level beyond its points',
        );
        $this->assertNull($a->edgeHeight('left', 10.0));
    }

    public function test_a_spot_on_a_fixed_edge_gives_way_to_it(): void
    {
        $board = $this->board(1, 600.0, 400.0)->withEdge('right', [[0.0, 40.0], [400.0, 60.0]]);
        $project = Project::of(Build::project()->layout, [$board], [], [Build::spot(1, 600, 0, 0), Build::spot(2, 300, 200, 10)]);
        $this->assertCount(1, $project->groundProblem($board)->spots);
        $this->assertEqualsWithDelta(
            40.0,
            $project->land($board, GroundSolver::solve($project->groundProblem($board)))->ground->at(600.0, 0.0),
            0.6,
        );
    }

    public function test_each_board_keeps_its_own_edge_and_a_step_between_them_is_found(): void
    {
        $steps = function (float $z): array {
            $a = $this->board(1, 600.0, 400.0)->withEdge('right', [[0.0, 40.0], [400.0, 60.0]]);
            $b = $this->board(2, 600.0, 400.0, 600.0)->withEdge('left', [[0.0, 40.0], [400.0, $z]]);
            $project = Project::of(Build::project()->layout, [$a, $b]);
            $out = [];
            foreach ([$a, $b] as $board) {
                $model = $project->land($board, GroundSolver::solve($project->groundProblem($board)));
                $found = (new JointsAgree())->check(LandStudy::of($project, $board, $model, $model->terrain(20.0)));
                $out[] = [
                    round($model->ground->at($board === $a ? 600.0 : 0.0, 400.0)),
                    array_map(fn (Finding $f): string => $f->id, $found),
                ];
            }

            return $out;
        };
        $this->assertSame([[60.0, []], [63.0, []]], $steps(62.9));
        $this->assertSame([[60.0, ['joint-land']], [64.0, ['joint-land']]], $steps(64.0));
    }

    public function test_edges_that_cannot_be_are_refused(): void
    {
        foreach (
            [
                'edges' => ['top' => [[0.0, 1.0]]],
                'edges/left' => ['left' => []],
                'edges/left/0/at_mm' => ['left' => [[700.0, 1.0]]],
                'edges/left/1/at_mm' => ['left' => [[5.0, 1.0], [5.0, 2.0]]],
                'edges/back/0/z_mm' => ['back' => [[5.0, 9e9]]],
            ] as $place => $edges
        ) {
            try {
                Section::of('s', 'S', 1200.0, 600.0, edges: $edges);
                $this->fail($place);
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    public function test_one_thing_is_varied_and_all_else_stays(): void
    {
        $ridge = new LandFeature(Build::uid(5), FeatureKind::Ridge, [new Spot(100.0, 100.0, 50.0), new Spot(500.0, 100.0, 60.0)]);
        $project = Build::project([Build::straight(1, 300.0, 60.0, 66.0)], [Build::spot(4, 200, 500, 80), $ridge]);
        $varied = Variation::of($project, Build::uid(5), 'place', 40.0);
        $this->assertEqualsWithDelta([[100.0, 140.0], [500.0, 140.0]], $varied->features[1]->plan(), 1e-9, 'to the left of its way');
        $this->assertSame($project->features[0], $varied->features[0]);
        $this->assertSame(100.0, Variation::of($project, Build::uid(4), 'height', 20.0)->features[0]->points[0]->z);
        $run = Variation::of($project, Build::uid(1), 'batter', -9.0)->runs[0];
        $this->assertSame(0.02, $run->profile->batterInCut(Side::Left), 'no steeper than rock');
        $this->assertSame(
            [65.0, 71.0],
            array_map(fn (float $s): float => Variation::of($project, Build::uid(1), 'height', 5.0)->runs[0]->grade->heightAt($s), [
                0.0,
                1200.0,
            ]),
        );
        $this->assertSame([$ridge], Variation::without($project, Build::uid(4))->features);
        foreach ([[Build::uid(4), 'place', 5.0], [Build::uid(9), 'height', 5.0], [Build::uid(4), 'height', NAN]] as [$uid, $what, $by]) {
            try {
                Variation::of($project, $uid, $what, $by);
                $this->fail($what);
            } catch (InvalidValue $refusal) {
                $this->assertNotSame('', $refusal->getMessage());
            }
        }
    }

    public function test_what_a_hill_takes_and_how_far_slopes_reach_is_measured(): void
    {
        $with = Build::study(Build::project([Build::straight(1, 300.0, 60.0, 60.0)], base: 20.0));
        $this->assertEqualsWithDelta(60.0, $with->terrain->slopeReach(0, 26.0, 26.0), 5.0, '40 mm down at 1 in 1.5');
        $bare = Build::study(Build::project([], [], base: 20.0));
        $this->assertEqualsWithDelta([1200.0, 170.0], $with->terrain->extentOfChange($bare->terrain), 8.0);
        $this->assertSame([0.0, 0.0], $bare->terrain->extentOfChange($bare->terrain));
    }

    public function test_a_line_has_the_height_of_the_spot_it_ends_at(): void
    {
        $ridge = new LandFeature(Build::uid(5), FeatureKind::Ridge, [new Spot(100.0, 300.0, 50.0), new Spot(600.0, 300.0, 60.0)]);
        $problem = Build::project([], [Build::spot(4, 600, 300, 90), $ridge])->groundProblem(
            Section::of(Build::uid(901), 'Board', 1200.0, 600.0),
        );
        $this->assertSame([50.0, 90.0], array_column($problem->lines[0]->points, 'z'));
    }

    private function board(int $n, float $width, float $depth, float $x = 0.0, float $y = 0.0, float $turn = 0.0): Section
    {
        return Section::of(Build::uid(900 + $n), "Board {$n}", $width, $depth, $x, $y, $turn);
    }
}
