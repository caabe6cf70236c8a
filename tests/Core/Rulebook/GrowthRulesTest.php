<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\Socket;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\GrowthSurvey;
use IdleRidge\Core\Project\LayoutGrowth;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class GrowthRulesTest extends TestCase
{
    /** The board has a track along y = 300 on land at 40 mm; its widest vehicle is 42 mm wide, and 8 mm stay free. */
    private const TRACK = 300.0;

    #[TestWith([0.1, false])]
    #[TestWith([-0.1, true])]
    public function test_a_crown_in_the_room_of_what_passes_is_found(float $spare, bool $found): void
    {
        // Half the coach, the margin, half a crown of 40, what crowns keep: on the straight.
        $study = Build::study(Build::project([Build::straight(1, self::TRACK, 40.0, 40.0)]));
        $half = max(array_map(fn ($v): float => $v->width, $study->project->layout->clearance->vehicles)) / 2.0;
        $away = $half + $study->project->layout->clearance->margin + 20.0 + 3.0 + $spare;
        $this->assertSame($found, in_array('tree-in-envelope', $this->ids([new Tree(600.0, self::TRACK + $away, 0, 90.0, 40.0)]), true));
    }

    public function test_a_tree_on_the_edge_and_one_on_a_slope_are_found(): void
    {
        $this->assertSame(['tree-off-land'], $this->ids([new Tree(600.0, 1.0, 0, 40.0, 20.0)]));
        $this->assertSame([], $this->ids([new Tree(600.0, 60.0, 0, 40.0, 20.0)]));
    }

    #[TestWith([3, true])]
    #[TestWith([2, false])]
    public function test_a_tall_tree_in_front_of_three_is_found(int $behind, bool $found): void
    {
        $trees = [new Tree(600.0, 60.0, 0, 120.0, 90.0)];
        for ($k = 0; $k < $behind; $k++) {
            $trees[] = new Tree(585.0 + 15.0 * $k, 150.0 + 2.0 * $k, 0, 30.0, 14.0);
        }
        $this->assertSame($found, in_array('tall-behind', $this->ids($trees), true));
    }

    #[TestWith([89.0, true])]
    #[TestWith([91.0, false])]
    public function test_it_hides_what_is_lower_by_a_quarter_of_its_height(float $its, bool $found): void
    {
        $trees = [new Tree(600.0, 60.0, 0, 120.0, 90.0)];
        for ($k = 0; $k < 3; $k++) {
            $trees[] = new Tree(585.0 + 15.0 * $k, 150.0, 0, $its, 14.0);
        }
        $this->assertSame($found, in_array('tall-behind', $this->ids($trees), true));
    }

    #[TestWith([1, false])]
    #[TestWith([2, true])]
    #[TestWith([3, false])]
    #[TestWith([6, true])]
    #[TestWith([8, false])]
    public function test_even_groups_are_found_until_nobody_counts(int $count, bool $found): void
    {
        $trees = array_map(fn (int $k): Tree => new Tree(300.0 + 36.0 * $k, 100.0, 0, 60.0, 40.0), range(0, $count - 1));
        $this->assertSame($found, in_array('odd-groups', $this->ids($trees), true));
        $this->assertNotContains('odd-groups', $this->ids($trees, rule: new PlantingRule(StandPattern::Orchard)), 'an orchard is set out');
    }

    #[TestWith([1.09, false])]
    #[TestWith([1.11, true])]
    public function test_a_tree_too_tall_for_its_distance_is_found(float $times, bool $found): void
    {
        // At the far side things are built to 0.8 of the scale; halfway to 0.9.
        $most = 1000.0 * 14.0 / 87.1 * 0.9;
        $ids = $this->ids([new Tree(300.0, 300.0 + 180.0, 0, 10.0, 8.0), new Tree(300.0, 90.0, 0, 10.0, 8.0)], far: 0.8);
        $this->assertNotContains('out-of-perspective', $ids);
        $tree = new Tree(600.0, 299.9, 0, $most * $times, 40.0);
        $this->assertSame($found, in_array('out-of-perspective', $this->ids([$tree], far: 0.8, track: false), true));
    }

    #[TestWith([140.0, false])]
    #[TestWith([138.0, true])]
    public function test_a_board_higher_than_its_shelf_is_found_unless_its_trees_lift_off(float $shelf, bool $found): void
    {
        // Frame and top 79 mm less the base, land at 40, a tree of 20: 139 mm.
        $tree = [new Tree(600.0, 90.0, 0, 20.0, 14.0)];
        $this->assertSame($found, in_array('over-shelf', $this->ids($tree, shelf: $shelf), true));
        $this->assertNotContains('over-shelf', $this->ids($tree, shelf: 130.0, socket: new Socket(2.0, 10.0)));
    }

    public function test_a_board_that_does_not_go_through_the_opening_is_found(): void
    {
        $tree = [new Tree(600.0, 90.0, 0, 160.0, 14.0)];
        $this->assertContains('over-opening', $this->ids($tree, opening: [270.0, 700.0]));
        $this->assertNotContains('over-opening', $this->ids($tree, opening: [280.0, 700.0]));
        $this->assertNotContains('over-opening', $this->ids($tree, opening: [270.0, 700.0], socket: new Socket(2.0, 10.0)));
    }

    #[TestWith([36.9, false])]
    #[TestWith([37.1, true])]
    public function test_a_socket_that_meets_the_board_is_found(float $depth, bool $found): void
    {
        $ids = $this->ids([new Tree(600.0, 90.0, 0, 60.0, 30.0)], socket: new Socket(3.0, $depth));
        $this->assertSame($found, in_array('socket-through', $ids, true));
    }

    #[TestWith([60.0, true])]
    #[TestWith([62.0, false])]
    public function test_a_line_of_trees_parts_the_scene_until_a_gap_opens(float $gap, bool $found): void
    {
        // Crowns of 40: from stem to stem a gap is 40 less. Over 0.6 of 1200 mm.
        $trees = array_map(fn (int $k): Tree => new Tree(60.0 + (40.0 + $gap) * $k, 90.0, 0, 60.0, 40.0), range(0, 9));
        $this->assertSame($found, in_array('tree-line', $this->ids($trees), true));
        $this->assertNotContains('tree-line', $this->ids(array_slice($trees, 0, 4)));
    }

    public function test_posts_that_passing_vehicles_would_take_along_are_found_and_rows_without_their_line(): void
    {
        $run = Build::uid(1);
        $row = fn (float $off, ?string $along = null): Row => new Row(
            Build::uid(70), RowKind::Fence, RowKind::Fence->figures(), run: $along ?? $run, offset: $off,
        );
        $this->assertContains('row-in-envelope', $this->ids([], [$row(25.6)]));
        $this->assertNotContains('row-in-envelope', $this->ids([], [$row(25.8)]));
        $this->assertContains('row-gone', $this->ids([], [$row(60.0, Build::uid(99))]));
    }

    public function test_every_id_is_found_by_one_rule_alone(): void
    {
        $ids = array_merge(...array_map(fn ($rule): array => $rule->ids(), Rulebook::growthRules()));
        $this->assertSame($ids, array_values(array_unique($ids)));
    }

    /**
     * @param  list<Tree>  $trees
     * @param  list<Row>  $rows
     * @param  array{float, float}|null  $opening
     * @return list<string> ids of what is found
     */
    private function ids(
        array $trees,
        array $rows = [],
        ?Socket $socket = null,
        ?float $shelf = null,
        float $far = 1.0,
        ?array $opening = null,
        PlantingRule $rule = new PlantingRule(StandPattern::Wood, 0.8),
        bool $track = true,
    ): array {
        $project = Build::project(
            $track ? [Build::straight(1, self::TRACK, 40.0, 40.0)] : [],
            [Build::spot(2, 600.0, 20.0, 40.0), Build::spot(3, 600.0, 580.0, 40.0)],
            [
                'growth' => new LayoutGrowth($far, $shelf),
                'cuts' => CutSettings::of(board: new BoardBuild(opening: $opening)),
            ],
        );
        $section = $project->sections[0];
        $birch = [new Species('Birch', TreeForm::Round, 5.0, 14.0, 2.5, 5.5)];
        $stand = new Stand(Build::uid(60), $section->uid, 'Birches', null, $birch, $rule, $trees, $socket);
        $project = $project->working($project->works->with(['growth' => new Growth($trees === [] ? [] : [$stand], $rows)]));
        $study = Build::study($project);
        $growth = new GrowthStudy($project);
        $sets = $growth->rows();
        $grid = $study->terrain->grid();
        $ground = $growth->ground(
            $section,
            $study->model,
            $grid->mesh($section->width, $section->depth),
            $grid->with($grid->slopes())->mesh($section->width, $section->depth),
            $sets['sets'],
        );

        return array_map(
            fn (Finding $f): string => $f->id,
            Rulebook::checkGrowth(new GrowthSurvey($project, $section, $ground, $sets['sets'], $sets['faults'])),
        );
    }
}
