<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\Heap;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\BaseWidth;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Variation;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Hills that stand on the land instead of lifting it, and boards that lie level until they are given heights. */
final class HeapTest extends TestCase
{
    public function test_a_ridge_with_a_foot_stands_on_what_lies_there(): void
    {
        $ridge = new LandFeature(
            Build::uid(5),
            FeatureKind::Ridge,
            [new Spot(300.0, 300.0, 60.0), new Spot(900.0, 300.0, 60.0)],
            figures: ['foot_deg' => 40.0],
        );
        $project = Build::project([], [$ridge]);
        $model = $this->model($project);
        $foot = 60.0 / tan(deg2rad(40.0));
        $this->assertEqualsWithDelta(60.0, $model->heightAt(600.0, 300.0), 1e-6);
        $this->assertEqualsWithDelta(60.0 - 20.0 * tan(deg2rad(40.0)), $model->heightAt(600.0, 320.0), 1e-6);
        $this->assertEqualsWithDelta(0.0, $model->heightAt(600.0, 300.0 + $foot + 0.01), 1e-6);
        foreach ([[0.0, 0.0], [1200.0, 600.0], [600.0, 0.0], [0.0, 300.0]] as [$x, $y]) {
            $this->assertEqualsWithDelta(0.0, $model->heightAt($x, $y), 1e-9, 'the edge is not lifted');
        }
        $this->assertEqualsWithDelta(2.0 * $foot, $this->across($project, $ridge), 0.3);
        // A line that nears the edge is measured across its middle, 60 from the edge there: the toe on that side is cut off.
        $askew = new LandFeature(
            Build::uid(5),
            FeatureKind::Ridge,
            [new Spot(200.0, 100.0, 60.0), new Spot(1000.0, 20.0, 60.0)],
            figures: ['foot_deg' => 40.0],
        );
        $this->assertEqualsWithDelta($foot + 60.0 / cos(atan(0.1)), $this->across(Build::project([], [$askew]), $askew), 0.3);
        // Over a width instead of at a slope.
        $wide = new LandFeature(Build::uid(5), FeatureKind::Ridge, $ridge->points, figures: ['foot_mm' => 90.0]);
        $this->assertEqualsWithDelta(180.0, $this->across(Build::project([], [$wide]), $wide), 0.3);
        $this->assertEqualsWithDelta(40.0, $this->model(Build::project([], [$wide]))->heightAt(600.0, 330.0), 1e-6);
    }

    public function test_without_a_foot_a_ridge_still_shapes_the_ground_around_it(): void
    {
        $ridge = new LandFeature(Build::uid(5), FeatureKind::Ridge, [new Spot(300.0, 300.0, 60.0), new Spot(900.0, 300.0, 60.0)]);
        $this->assertFalse($ridge->isShape());
        $this->assertEqualsWithDelta(
            60.0,
            $this->model(Build::project([], [$ridge]))->heightAt(600.0, 0.0),
            1.0,
            'nothing else says how high the edge is',
        );
    }

    public function test_a_heap_is_a_cone_on_a_slope(): void
    {
        $ground = [
            Build::spot(1, 0.0, 0.0, 0.0),
            Build::spot(2, 1200.0, 0.0, 60.0),
            Build::spot(3, 0.0, 600.0, 0.0),
            Build::spot(4, 1200.0, 600.0, 60.0),
        ];
        $heap = new LandFeature(Build::uid(5), FeatureKind::Spot, [new Spot(600.0, 300.0, 80.0)], figures: ['foot_deg' => 35.0]);
        $model = $this->model(Build::project([], [...$ground, $heap]));
        foreach ([[600.0, 300.0], [560.0, 300.0], [620.0, 330.0], [700.0, 300.0]] as [$x, $y]) {
            $cone = 80.0 - hypot($x - 600.0, $y - 300.0) * tan(deg2rad(35.0));
            $this->assertEqualsWithDelta(max($cone, $x / 20.0), $model->heightAt($x, $y), 0.05, "{$x}, {$y}");
        }
        $this->assertEqualsWithDelta(30.0, $model->ground->at(600.0, 300.0, $model->ground->heaps[0]), 0.05, 'what lies under it');
    }

    public function test_base_and_height_at_a_slope(): void
    {
        $this->assertEqualsWithDelta(57.126, Heap::footFor(40.0, 35.0), 1e-3);
        $this->assertEqualsWithDelta(40.0, Heap::heightFor(57.126, 35.0), 1e-3);
        $this->assertEqualsWithDelta(45.0, (new Heap('h', [new Spot(0.0, 0.0, 50.0)], 40.0, 35.0))->sidesDeg(10.0), 1e-9);
        foreach ([['foot_deg' => 4.9], ['foot_deg' => 85.1], ['foot_mm' => 2001.0]] as $odd) {
            try {
                new LandFeature(Build::uid(5), FeatureKind::Spot, [new Spot(0.0, 0.0, 10.0)], figures: $odd);
                $this->fail('accepted');
            } catch (InvalidValue $refusal) {
                $this->assertSame(array_key_first($odd), $refusal->place);
            }
        }
    }

    public function test_a_board_without_heights_lies_level_beside_a_hilly_one(): void
    {
        foreach ([[false, 0.0, 1e-9], [true, 12.0, 30.0]] as [$runsOn, $height, $spare]) {
            $project = $this->two($runsOn);
            $model = $this->model($project, 1);
            foreach ([[0.0, 300.0], [5.0, 20.0], [450.0, 300.0], [895.0, 595.0]] as [$x, $y]) {
                $this->assertEqualsWithDelta($height, $model->heightAt($x, $y), $spare, "{$x}, {$y}");
            }
            $this->assertSame(! $runsOn, $project->isHeld($project->sections[1]));
        }
        // The hilly one is the same as if it stood alone, and is told of the step.
        $alone = $this->model(Project::of($this->two(false)->layout, [$this->two(false)->sections[0]], [], $this->two(false)->features));
        $this->assertEqualsWithDelta($alone->heightAt(1190.0, 300.0), $this->model($this->two(false), 0)->heightAt(1190.0, 300.0), 1e-9);
        $this->assertSame(['joint-land'], $this->found($this->two(false), 0));
        $this->assertSame([], $this->found($this->two(true), 0));
        // Its own spot, or a fixed edge, makes it land of its own; a spot on the edge between both does not.
        $project = $this->two(false);
        $with = fn (LandFeature $f): bool => Project::of($project->layout, $project->sections, [], [...$project->features, $f])->isHeld(
            $project->sections[1],
        );
        $this->assertFalse($with(Build::spot(20, 1500.0, 300.0, 30.0)));
        $this->assertTrue($with(Build::spot(20, 1200.0, 300.0, 30.0)));
        $this->assertTrue($with(Build::spot(20, 600.0, 300.0, 30.0)));
        $this->assertFalse($project->isHeld($project->sections[1]->withEdge('left', [[0.0, 20.0]])));
    }

    public function test_a_run_that_ends_at_the_joint_or_passes_leaves_a_level_board_as_it_is(): void
    {
        foreach (
            [
                [false, 1200.0, 300.0, false],
                [false, 1201.5, 300.0, false],
                [false, 1203.5, 300.0, true],
                [true, 1200.0, 300.0, true],
                [false, 2100.0, 640.0, false],
            ] as [$runsOn, $length, $y, $graded]
        ) {
            $two = $this->two($runsOn);
            $project = Project::of(
                $two->layout,
                $two->sections,
                [Build::straight(9, $y, 70.0, 70.0, Build::evenProfile(), $length)],
                $two->features,
            );
            $without = $this->model($two, 1);
            $this->assertSame(
                $graded,
                abs($this->model($project, 1)->heightAt(10.0, min(590.0, $y)) - $without->heightAt(10.0, min(590.0, $y))) > 1.0,
                "{$length} along, {$y} up",
            );
        }
    }

    public function test_land_below_the_boards_top_is_told(): void
    {
        foreach ([[-0.4, 0], [-0.6, 1]] as [$z, $count]) {
            $spots = array_map(
                fn (array $p, int $k): LandFeature => Build::spot($k + 1, $p[0], $p[1], $z),
                [[0.0, 0.0], [1200.0, 0.0], [0.0, 600.0], [1200.0, 600.0]],
                [0, 1, 2, 3],
            );
            $study = Build::study(Build::project([], $spots));
            $found = array_values(array_filter(Rulebook::check($study), fn (Finding $f): bool => $f->id === 'below-board-top'));
            $this->assertCount($count, $found, "{$z} mm");
            if ($found !== []) {
                $this->assertEqualsWithDelta(
                    [0.6, 7200.0],
                    [$found[0]->figures['deepest']->value, $found[0]->figures['over']->value],
                    1e-6,
                );
            }
        }
    }

    private function two(bool $runsOn): Project
    {
        $spots = [
            Build::spot(1, 0.0, 0.0, 0.0),
            Build::spot(2, 0.0, 600.0, 0.0),
            Build::spot(3, 1100.0, 300.0, 40.0),
            Build::spot(4, 1200.0, 0.0, 12.0),
            Build::spot(5, 1200.0, 600.0, 12.0),
        ];

        return Project::of(
            new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5),
            [
                Section::of(Build::uid(901), 'Hilly', 1200.0, 600.0),
                Section::of(Build::uid(902), 'Level', 900.0, 600.0, 1200.0, runsOn: $runsOn),
            ],
            [],
            $spots,
        );
    }

    private function model(Project $project, int $k = 0): LandModel
    {
        return $project->land($project->sections[$k], GroundSolver::solve($project->groundProblem($project->sections[$k])));
    }

    private function across(Project $project, LandFeature $feature): float
    {
        return BaseWidth::across(
            $this->model($project),
            $this->model(Variation::without($project, $feature->uid)),
            $feature,
            $project->sections[0],
        );
    }

    /** @return list<string> */
    private function found(Project $project, int $k): array
    {
        $model = $this->model($project, $k);

        return array_map(
            fn (Finding $f): string => $f->id,
            Rulebook::check(LandStudy::of($project, $project->sections[$k], $model, $model->terrain(5.0))),
        );
    }
}
