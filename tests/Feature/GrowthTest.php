<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Growth\ComputedGrowth;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Rounds\RoundsDue;
use IdleRidge\Core\Rulebook\Rulebook;

final class GrowthTest extends FeatureCase
{
    public function test_a_stand_is_planted_in_a_zone_and_stands_free(): void
    {
        [$section, $layout] = $this->withTrack();
        $this->post($this->at($section, '/zones'), ['name' => 'Wood', 'outline' => '50,350 1150,350 1150,580 50,580']);
        $zone = $layout->zones()->firstOrFail()->uid;
        $this->post($this->at($section, '/stands'), ['set' => 'mixed-wood', 'zone' => $zone, 'name' => 'Hanger'])->assertRedirect();
        $stand = $this->growth($layout)[0];
        $this->assertGreaterThan(10, count($stand->trees));
        $survey = app(ComputedGrowth::class)->survey($this->project($layout), $this->project($layout)->sections[0]);
        foreach ($stand->trees as $tree) {
            $this->assertNull($survey->ground->against($tree, $stand->rule));
            $this->assertTrue($tree->y >= 350.0 && $tree->y <= 580.0);
        }
        $page = $this->get($this->at($section, "/growth?pick={$stand->uid}"))->assertOk();
        $page->assertSee('Hanger')->assertSee(count($stand->trees).' trees');
        $this->assertSame(count($stand->trees), substr_count((string) $page->getContent(), 'data-tree='));
    }

    public function test_what_was_set_by_hand_stays_when_it_is_planted_anew_and_undo_brings_the_old_planting_back(): void
    {
        [$section, $layout] = $this->withTrack();
        $this->post($this->at($section, '/stands'), ['set' => 'birch-wood'])->assertRedirect();
        $stand = $this->growth($layout)[0];
        $at = $this->at($section, "/stands/{$stand->uid}");
        $this->patch("{$at}/trees/3", ['dx' => '2.5', 'dy' => '-1'])->assertRedirect();
        $moved = $this->growth($layout)[0]->trees[3];
        $this->patch("{$at}/trees/3", ['dx' => '0', 'dy' => '0'], ['HX-Request' => 'true'])
            ->assertOk()
            ->assertSee('Tree 4')
            ->assertHeader('X-Seen');
        $this->assertEqualsWithDelta([$stand->trees[3]->x + 2.5, $stand->trees[3]->y - 1.0], [$moved->x, $moved->y], 1e-3);
        $this->assertTrue($moved->fixed);
        $this->patch($at, ['plant' => 'anew'])->assertRedirect();
        $anew = $this->growth($layout)[0];
        $this->assertEquals($moved, $anew->trees[0]);
        $this->assertNotEquals($stand->trees[10], $anew->trees[10]);
        $this->post("/layouts/{$layout->uid}/undo");
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertEquals($stand->trees, $this->growth($layout)[0]->trees);
    }

    public function test_single_trees_are_set_changed_and_taken_out(): void
    {
        [$section, $layout] = $this->withTrack();
        $this->post($this->at($section, '/stands'), ['set' => 'orchard', 'by_hand' => '1', 'name' => 'Garden'])->assertRedirect();
        $stand = $this->growth($layout)[0];
        $this->assertSame([], $stand->trees);
        $at = $this->at($section, "/stands/{$stand->uid}");
        $this->post("{$at}/trees", ['x' => '100', 'y' => '500', 'species' => '1'])->assertRedirect();
        $tree = $this->growth($layout)[0]->trees[0];
        // A pear of middle age: 6.5 m outdoors.
        $this->assertEqualsWithDelta(6500.0 / 87.1, $tree->height, 1e-3);
        $this->patch("{$at}/trees/0", ['height' => '60 mm', 'crown' => '33', 'dead' => '1', 'fixed' => '0'])->assertRedirect();
        $tree = $this->growth($layout)[0]->trees[0];
        $this->assertSame([60.0, 33.0, true, false], [$tree->height, $tree->crown, $tree->dead, $tree->fixed]);
        $this->post("{$at}/trees", ['x' => '1300', 'y' => '500'])->assertSessionHasErrors(['x']);
        $this->patch("{$at}/trees/0", ['x' => 'over there'])->assertSessionHasErrors(['x']);
        $this->patch("{$at}/trees/0", ['out' => '1'])->assertRedirect();
        $this->assertSame([], $this->growth($layout)[0]->trees);
        $this->patch("{$at}/trees/0", ['dx' => '1'])->assertSessionHasErrors(['tree']);
    }

    public function test_what_cannot_be_planted_is_said_at_its_field_and_the_old_planting_stays(): void
    {
        [$section, $layout] = $this->withTrack();
        $this->post($this->at($section, '/stands'), ['set' => 'birch-wood'])->assertRedirect();
        $stand = $this->growth($layout)[0];
        $at = $this->at($section, "/stands/{$stand->uid}");
        $species = fn (array $with): array => ['species' => [
            $with + ['name' => 'Birch', 'low' => '5', 'high' => '14', 'crown_low' => '2', 'crown_high' => '5'],
            ['name' => 'Rowan', 'low' => '4', 'high' => '10', 'crown_low' => '2', 'crown_high' => '5'],
            ['name' => 'Juniper', 'form' => 'column', 'low' => '1', 'high' => '4', 'crown_low' => '1', 'crown_high' => '2'],
        ]];
        foreach (
            [
                [['spacing' => '0', 'plant' => 'anew'], 'spacing'],
                [['spacing' => 'wide', 'plant' => 'anew'], 'spacing'],
                [['bore' => '40', 'depth' => '10'], 'bore_mm'],
                [$species(['high' => '']) + ['plant' => 'anew'], 'species/0/height_m/1'],
                [$species(['low' => '20']), 'species/0/height_m/1'],
                [['species' => [['name' => 'Birch', 'low' => '5', 'high' => '6', 'crown_low' => '2', 'crown_high' => '3']]], 'species'],
                [['pattern' => 'spiral'], 'pattern'],
                [['spacing' => '0.2', 'plant' => 'anew'] + ['species' => array_map(
                    fn (int $k): array => ['name' => "Moss {$k}", 'form' => 'bush', 'low' => '0.2', 'high' => '0.3', 'crown_low' => '0.3',
                        'crown_high' => '0.4', 'parts' => '1'],
                    range(0, 2),
                )], 'spacing'],
            ] as [$input, $place]
        ) {
            $this->patch($at, $input)->assertSessionHasErrors([$place]);
            $this->assertEquals($stand, $this->growth($layout)[0], $place);
        }
        // A zone with no room: all of it on the formation.
        $this->post($this->at($section, '/zones'), ['name' => 'Bed', 'near' => 'any', 'near_from' => '0', 'near_to' => '15']);
        $zone = $layout->zones()->where('data', 'like', '%Bed%')->firstOrFail()->uid;
        $this->post($this->at($section, '/stands'), ['set' => 'birch-wood', 'zone' => $zone])->assertSessionHasErrors(['zone']);
        $this->assertStringContainsString('no room for a tree', session('errors')->first('zone'));
        $this->post($this->at($section, '/stands'), ['set' => 'palms'])->assertSessionHasErrors(['set']);
        $this->assertCount(1, $this->growth($layout));
    }

    public function test_rows_go_along_runs_shores_and_drawn_lines(): void
    {
        [$section, $layout, $run] = $this->withTrack();
        $this->post($this->at($section, '/rows'), ['kind' => 'fence', 'along' => "run:{$run}", 'offset' => '12', 'from_edge' => '1'])
            ->assertRedirect();
        $this->post($this->at($section, '/rows'), [
            'kind' => 'hedge', 'along' => '', 'points' => [['x' => '100', 'y' => '450'], ['x' => '500', 'y' => '470']], 'offset' => '0',
        ])->assertRedirect();
        $sets = app(ComputedGrowth::class)->rows($this->project($layout))['sets'];
        $this->assertSame(['fence', 'hedge'], array_map(fn (RowLayout $s): string => $s->row->kind->value, $sets));
        // 1200 mm less what both ends keep off the edges, at 3 m: spans of 34.4 mm at most.
        $this->assertSame((int) ceil(1188.0 / (3000.0 / 87.1)) + 1, $sets[0]->count());
        $this->assertEqualsWithDelta([6.0, 1194.0], [$sets[0]->things[0]->x, array_slice($sets[0]->things, -1)[0]->x], 0.26);
        $this->assertEqualsWithDelta(hypot(400.0, 20.0), $sets[1]->laid(), 0.01);
        $fence = $layout->linesideRows()->firstOrFail()->uid;
        $change = ['spacing_m' => '2.5', 'gates' => '300 3.6; 800', 'to' => '1000'];
        $this->patch($this->at($section, "/rows/{$fence}"), $change)->assertRedirect();
        $row = $this->project($layout)->works->growth->row($fence);
        $this->assertSame([2.5, 1000.0, [300.0, 800.0]], [$row?->figures->spacing, $row?->to, array_column($row->gates ?? [], 'at')]);
        $this->get($this->at($section, "/growth?pick={$fence}"))->assertOk()->assertSee('at gates');
    }

    public function test_nothing_of_a_row_stands_on_a_joint_wherever_boards_lie(): void
    {
        [$section, $layout] = $this->withTrack();
        $other = ['name' => 'Other', 'width_mm' => '701', 'depth_mm' => '600', 'x_mm' => '1200'];
        $this->post("/layouts/{$layout->uid}/sections", $other);
        $points = [['x' => '40', 'y' => '300'], ['x' => '1233', 'y' => '411'], ['x' => '1880', 'y' => '300']];
        $this->post($this->at($section, '/rows'), ['kind' => 'fence', 'offset' => '0', 'points' => $points])->assertRedirect();
        $set = app(ComputedGrowth::class)->rows($this->project($layout))['sets'][0];
        $this->assertCount(2, $set->parts);
        foreach ($set->things as $thing) {
            $this->assertGreaterThanOrEqual(RowLayout::JOINT_CLEAR_MM * 0.99, abs($thing->x - 1200.0));
        }
        $this->assertNotEquals([], $set->on($set->parts[1]->section));
    }

    public function test_rows_that_cannot_be_are_said_at_their_field(): void
    {
        [$section, $layout, $run] = $this->withTrack();
        $rows = $this->at($section, '/rows');
        foreach (
            [
                [['kind' => 'wire'], 'kind'],
                [['kind' => 'fence', 'along' => ''], 'along'],
                [['kind' => 'fence', 'along' => 'run:01JAAAAAAAAAAAAAAAAAAAAAC0'], 'along'],
                [['kind' => 'fence', 'along' => "run:{$run}", 'spacing_m' => '0'], 'spacing_m'],
                [['kind' => 'sleepers', 'along' => "run:{$run}", 'spacing_m' => '0.0001'], 'spacing_m'],
                [['kind' => 'fence', 'along' => "run:{$run}", 'gates' => '5000'], 'gates'],
                [['kind' => 'fence', 'along' => "run:{$run}", 'wires_m' => '0.3 high'], 'wires_m'],
                [['kind' => 'fence', 'along' => "run:{$run}", 'from' => '900', 'to' => '300'], 'to_mm'],
                [['kind' => 'grade-posts', 'points' => [['x' => '1', 'y' => '1'], ['x' => '90', 'y' => '1']]], 'along'],
            ] as [$input, $place]
        ) {
            $this->post($rows, $input)->assertSessionHasErrors([$place]);
        }
        $this->post($rows, [
            'kind' => 'fence',
            'along' => '',
            'offset' => '60',
            'points' => array_map(
                fn (array $p): array => ['x' => (string) $p[0], 'y' => (string) $p[1]],
                [[100, 450], [140, 450], [140, 490], [100, 490]],
            ),
        ])->assertSessionHasErrors(['offset_mm']);
        $this->assertStringContainsString('folds back', session('errors')->first('offset_mm'));
        $this->assertSame([], $this->project($layout)->works->growth->rows);
    }

    public function test_growth_is_put_among_the_work_and_counted(): void
    {
        [$section, $layout, $run] = $this->withTrack();
        $this->post($this->at($section, '/stands'), ['set' => 'cold-upland'])->assertRedirect();
        $stand = $this->growth($layout)[0];
        $this->post($this->at($section, "/stands/{$stand->uid}/zone"))->assertRedirect();
        $this->post($this->at($section, "/stands/{$stand->uid}/zone"))->assertSessionHasErrors(['zone']);
        $this->post($this->at($section, '/rows'), ['kind' => 'poles', 'along' => "run:{$run}", 'offset' => '60', 'from_edge' => '1']);
        $poles = $layout->linesideRows()->firstOrFail()->uid;
        $this->post($this->at($section, "/rows/{$poles}/zone"))->assertRedirect();
        $set = app(ComputedGrowth::class)->rows($this->project($layout))['sets'][0];
        $work = app(ComputedPlan::class)->work($this->project($layout), app(ComputedPlan::class)->minute());
        $takes = $minutes = [];
        foreach ($work->moves as $move) {
            $minutes[$move->coat->recipe->id] = ($minutes[$move->coat->recipe->id] ?? 0) + $move->minutes;
            foreach ($move->amounts as $amount) {
                $takes[$amount->material] = ($takes[$amount->material] ?? 0.0) + $amount->amount;
            }
        }
        $this->assertEqualsWithDelta(count($stand->trees), $takes['trees'], 1e-6);
        $this->assertEqualsWithDelta($set->count(), $takes['posts'], 1e-6);
        $this->assertEqualsWithDelta(1.05 * $set->wire() / 1000.0, $takes['elastic thread'], 1e-6);
        $strips = count(array_filter($work->moves, fn ($m): bool => $m->coat->recipe->id === 'trees-planted'));
        $this->assertEqualsWithDelta(5 * $strips + 2 * count($stand->trees), $minutes['trees-planted'], 1.0, 'two minutes a tree');
        $this->assertSame(5 + $set->count(), $minutes['poles-and-fences']);
        // Before anything goes under them the trees are fitted dry, and what goes there waits for the answer.
        $zone = $layout->zones()->where('data', 'like', '%"under"%')->firstOrFail()->uid;
        $due = array_column(RoundsDue::of($work)->due, null, 'key');
        $this->assertArrayHasKey("fitted.{$zone}", $due);
        $this->assertCount(2, $due["fitted.{$zone}"]->holds);
        // With sockets they come off before the board is carried.
        $this->patch($this->at($section, "/stands/{$stand->uid}"), ['bore' => '2.5', 'depth' => '12'])->assertRedirect();
        $this->get("/layouts/{$layout->uid}/rounds/sections/{$section->uid}")->assertSee(count($stand->trees).' trees of Cold upland');
        $this->get($this->at($section, "/growth?pick={$stand->uid}"))->assertSee('pins of 2.3 mm')->assertSee('Lifts off');
    }

    public function test_a_row_that_turns_sharply_or_has_lost_its_run_leaves_the_layout_whole(): void
    {
        [$section, $layout, $run] = $this->withTrack();
        $zigzag = array_map(fn (int $k): array => ['x' => (string) (100 + 4 * $k), 'y' => $k % 2 === 0 ? '400' : '470'], range(0, 9));
        $hairpin = [['x' => '300', 'y' => '500'], ['x' => '700', 'y' => '500'], ['x' => '302', 'y' => '504'], ['x' => '690', 'y' => '520']];
        foreach ([$zigzag, $hairpin] as $points) {
            $this->post($this->at($section, '/rows'), ['kind' => 'hedge', 'points' => $points, 'offset' => '0'])->assertRedirect();
        }
        $this->post($this->at($section, '/rows'), ['kind' => 'fence', 'along' => "run:{$run}", 'offset' => '12', 'from_edge' => '1']);
        foreach ($layout->linesideRows()->get() as $k => $row) {
            $this->patch($this->at($section, "/rows/{$row->uid}"), ['name' => "Row {$k}"])->assertRedirect();
            $this->post($this->at($section, "/rows/{$row->uid}/zone"))->assertRedirect()->assertSessionHasNoErrors();
        }
        $this->get($this->at($section, '/coats'))->assertOk();
        $this->delete($this->at($section, "/runs/{$run}"))->assertRedirect();
        $this->get($this->at($section, '/growth'))->assertOk()->assertSee('Row 2 cannot be set out');
        $this->get($this->at($section, '/coats'))->assertOk();
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk();
        $zones = $this->project($layout)->works->zones;
        $this->assertSame([[], null], [$zones[2]->crowns, $zones[2]->outline], 'nothing lies along a row that is nowhere');
        $survey = app(ComputedPlan::class)->survey($this->project($layout), $this->project($layout)->sections[0]);
        $this->assertSame(0.0, $survey->zones[$zones[2]->uid]->plan);
    }

    public function test_a_zone_in_which_something_grows_stays(): void
    {
        [$section, $layout] = $this->withTrack();
        $this->post($this->at($section, '/zones'), ['name' => 'Wood', 'outline' => '50,350 1150,350 1150,580 50,580']);
        $zone = $layout->zones()->firstOrFail()->uid;
        $this->post($this->at($section, '/stands'), ['set' => 'mixed-wood', 'zone' => $zone, 'name' => 'Hanger'])->assertRedirect();
        $this->delete($this->at($section, "/zones/{$zone}"))->assertSessionHasErrors(['zone']);
        $this->assertStringContainsString('Hanger', session('errors')->first('zone'));
        // A zone keeps what it follows when its form is sent without that, and lets go of it when the form says so.
        $stand = $this->growth($layout)[0]->uid;
        $this->post($this->at($section, "/stands/{$stand}/zone"));
        $shade = $this->project($layout)->works->zones[1];
        $this->patch($this->at($section, "/zones/{$shade->uid}"), ['name' => 'Shade'])->assertRedirect();
        $this->assertSame([$stand], $this->project($layout)->works->zones[1]->under);
        $this->patch($this->at($section, "/zones/{$shade->uid}"), ['name' => 'Shade', 'under' => [''], 'crowns' => '100,100,30'])
            ->assertRedirect();
        $this->assertSame([[], 1], [
            $this->project($layout)->works->zones[1]->under,
            count($this->project($layout)->works->zones[1]->crowns ?? []),
        ]);
    }

    public function test_templates_and_lists_are_given_out(): void
    {
        [$section, $layout, $run] = $this->withTrack();
        $this->get($this->at($section, '/growth/take/pdf'))->assertStatus(422)->assertSee('Nothing grows or stands there yet.');
        $this->post($this->at($section, '/stands'), ['set' => 'orchard', 'name' => 'Garden'])->assertRedirect();
        $stand = $this->growth($layout)[0];
        $this->post($this->at($section, '/rows'), ['kind' => 'fence', 'along' => "run:{$run}", 'offset' => '12', 'from_edge' => '1']);
        $fence = $layout->linesideRows()->firstOrFail()->uid;
        $this->assertStringStartsWith('%PDF', (string) $this->get($this->at($section, '/growth/take/pdf'))->assertOk()->getContent());
        $dxf = (string) $this->get($this->at($section, "/growth/take/dxf?of={$fence}"))->assertOk()->getContent();
        $this->assertStringContainsString('ENTITIES', $dxf);
        $list = trim((string) $this->get($this->at($section, '/growth/take/csv'))->getContent());
        $csv = array_map(str_getcsv(...), explode("\r\n", $list));
        $set = app(ComputedGrowth::class)->rows($this->project($layout))['sets'][0];
        $this->assertCount(1 + count($stand->trees) + $set->count(), $csv);
        $this->assertSame(['Garden', '1'], array_slice($csv[1], 0, 2));
        $this->get($this->at($section, '/growth/take/pdf?paper=a0'))->assertStatus(422);
    }

    public function test_the_relief_wears_what_is_laid_and_what_will_be(): void
    {
        $layout = $this->evening('2026-10-14T17:10:00Z');
        $section = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        $mesh = fn (string $wears): array => (array) $this->get($this->at($section, "/land/mesh?wears={$wears}"))->assertOk()->json();
        [$heights, $now, $done] = array_map($mesh, ['heights', 'now', 'done']);
        $this->assertNull($heights['colours']);
        $places = strlen((string) base64_decode($heights['points'])) / 12;
        $this->assertSame((int) $places * 3, strlen((string) base64_decode($now['colours'])));
        $this->assertNotSame($now['colours'], $done['colours']);
        $this->assertGreaterThan(3, count($now['moments']));
        $first = array_values(array_filter(array_keys($now['moments']), fn (string $m): bool => preg_match('/^m\d/', $m) === 1))[0];
        $this->assertNotSame($now['colours'], $mesh($first)['colours']);
        $this->assertSame(3 * 5 * 4, strlen((string) base64_decode($done['trees']['bush'])), 'three willows');
        $this->assertSame($now['colours'], $mesh('nonsense')['colours']);
    }

    public function test_a_board_that_is_moved_takes_its_trees_along_and_one_that_goes_takes_them_away(): void
    {
        [$section, $layout] = $this->withTrack();
        $this->post($this->at($section, '/stands'), ['set' => 'orchard'])->assertRedirect();
        $before = $this->growth($layout)[0];
        $here = fn (): array => array_map(
            fn ($t): array => [round($t->x, 2), round($t->y, 2)],
            $this->growth($layout)[0]->treesOn($this->project($layout)->sections[0]->placement),
        );
        $stood = $here();
        $this->patch($this->at($section), ['name' => 'Board', 'width_mm' => '1200', 'depth_mm' => '600', 'x_mm' => '300', 'y_mm' => '40',
            'angle_deg' => '10'])->assertRedirect();
        $this->assertEqualsWithDelta($stood, $here(), 0.011);
        $this->assertNotEquals($before->trees[0]->x, $this->growth($layout)[0]->trees[0]->x);
        $this->post("/layouts/{$layout->uid}/sections", ['name' => 'Other', 'width_mm' => '500', 'depth_mm' => '300', 'x_mm' => '3000']);
        $this->delete($this->at($section))->assertRedirect();
        $this->assertSame([], $this->growth($layout));
    }

    public function test_what_no_longer_fits_is_found(): void
    {
        [$section, $layout, $run] = $this->withTrack();
        $this->post($this->at($section, '/stands'), ['set' => 'birch-wood'])->assertRedirect();
        $this->assertSame([], array_intersect(['tree-in-envelope', 'tree-off-land'], $this->found($layout)));
        $this->lay($section, '480');
        $this->assertContains('tree-in-envelope', $this->found($layout));
        $this->get($this->at($section, '/growth'))->assertSee('too near');
        $this->get("/layouts/{$layout->uid}/rules")->assertSee('Trees clear of trains')->assertSee($this->at($section, '/growth'), false);
        $this->patch("/layouts/{$layout->uid}", ['shelf_mm' => '150', 'far_percent' => '70'])->assertRedirect();
        $this->assertContains('over-shelf', $this->found($layout));
        $this->assertContains('out-of-perspective', $this->found($layout));
        $this->patch("/layouts/{$layout->uid}", ['far_percent' => '20'])->assertSessionHasErrors(['far_percent']);
    }

    /** @return list<string> ids of findings */
    private function found(Layout $layout): array
    {
        $project = $this->project($layout);
        $survey = app(ComputedGrowth::class)->survey($project, $project->sections[0]);

        return array_map(fn ($f): string => $f->id, Rulebook::checkGrowth($survey));
    }

    /** @return array{Section, Layout, string} a board with a straight track over it, and its uid */
    private function withTrack(): array
    {
        $section = $this->board();
        $this->lay($section, '200');
        $layout = $this->layoutOf($section);

        return [$section, $layout, $layout->runs()->firstOrFail()->uid];
    }

    private function lay(Section $section, string $y): void
    {
        $this->post($this->at($section, '/runs'), ['kind' => 'track', 'x1' => '0', 'y1' => $y, 'x2' => '1200', 'y2' => $y, 'snap' => '0'])
            ->assertRedirect();
    }

    private function project(Layout $layout): Project
    {
        return app(ProjectLoader::class)->of($layout->fresh() ?? $layout);
    }

    /** @return list<Stand> */
    private function growth(Layout $layout): array
    {
        return $this->works($layout)->growth->stands;
    }
}
