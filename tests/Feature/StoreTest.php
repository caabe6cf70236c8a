<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Cuts\SaveCutCoats;
use App\Actions\Files\LayoutFiles;
use App\Computed\Cuts\ComputedCuts;
use App\Computed\Cuts\CutResult;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section;
use Database\Seeders\SaltingsTramway;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cuts\EdgeBoard;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\TakeOff;
use IdleRidge\Core\Shelf\SheetKind;

/** Foam in store, cutting it up, and the cutting as work on the schedule. */
final class StoreTest extends FeatureCase
{
    public function test_what_is_counted_lies_in_store_and_is_laid_out_first(): void
    {
        [$section, $layout] = $this->fell();
        $at = $this->at($section, '/cuts/store');
        $this->post($at, [
            'new' => ['sheet_mm' => '20', 'sheet_width_mm' => '1.1 m', 'sheet_depth_mm' => '500', 'count' => '2'],
        ])->assertSessionHasNoErrors();
        $store = app(ProjectLoader::class)->of($layout)->works->store;
        $this->assertSame([2], array_column($store->inStore(), 'count'));
        $uid = $store->sheetLots()[0]->uid;
        $this->post($at, ['lots' => [$uid => '5']])->assertSessionHasNoErrors();
        $this->post($at, ['lots' => [$uid => '5']])->assertSessionHasNoErrors();
        $store = app(ProjectLoader::class)->of($layout)->works->store;
        $this->assertSame(5, $store->count($uid));
        $moved = array_filter($store->movements, fn ($m): bool => $m->lot === $uid);
        $this->assertCount(2, $moved, 'a count that changes nothing moves nothing');
        $this->post($at, ['new' => ['sheet_mm' => '20', 'sheet_width_mm' => '1100', 'sheet_depth_mm' => '500', 'count' => '1']]);
        $this->assertCount(1, app(ProjectLoader::class)->of($layout)->works->store->sheetLots(), 'the same size is the same lot');
        $this->get($this->at($section, '/cuts'))->assertSee('1100 mm')->assertSee('value="6"', false);
        foreach (
            [
                ['lots' => [$uid => '-1'], 'where' => "lots/{$uid}"],
                ['lots' => [$uid => 'many'], 'where' => "lots/{$uid}"],
                ['new' => ['sheet_mm' => '0', 'sheet_width_mm' => '10', 'sheet_depth_mm' => '10'], 'where' => 'new/sheet_mm'],
                ['new' => ['sheet_mm' => '20', 'sheet_width_mm' => '', 'sheet_depth_mm' => '10'], 'where' => 'new/sheet_width_mm'],
                ['lots' => [$uid => '1.5'], 'where' => "lots/{$uid}"],
            ] as $bad
        ) {
            $this->post($at, $bad)->assertSessionHasErrors($bad['where']);
        }
        $this->assertSame(6, app(ProjectLoader::class)->of($layout)->works->store->count($uid), 'nothing is half done');
    }

    public function test_sheets_that_are_cut_leave_the_store_and_what_is_left_over_comes_into_it(): void
    {
        [$section, $layout] = $this->fell();
        $this->post($this->at($section, '/cuts/store'), [
            'new' => ['sheet_mm' => '20', 'sheet_width_mm' => '1250', 'sheet_depth_mm' => '600', 'count' => '2'],
        ]);
        $this->post($this->at($section, '/cuts/cut'))->assertSessionHasNoErrors()->assertSessionHas('said');
        $store = app(ProjectLoader::class)->of($layout)->works->store;
        $this->assertSame(0, $store->count($store->sheetLots()[0]->uid), 'both were used');
        $sheets = array_column($store->sheetLots(), 'uid');
        $moves = array_filter($store->movements, fn ($m): bool => in_array($m->lot, $sheets, true));
        $causes = array_count_values(array_map(fn ($m): string => $m->cause->value, $moves));
        $this->assertSame($causes['cut'], 2 + ($causes['bought'] ?? 0), 'what was not there was bought first');
        $offcuts = array_values(array_filter($store->inStore(), fn (array $one): bool => $one['lot']->kind === SheetKind::Offcut));
        $this->assertNotSame([], $offcuts);
        $this->get($this->at($section, '/cuts?on=sheets'))->assertSee('taken for Fell Halt already');
        $this->post("/layouts/{$layout->uid}/undo");
        $again = app(ProjectLoader::class)->of($layout)->works->store;
        $this->assertSame(2, $again->count($again->sheetLots()[0]->uid));
        $this->assertCount(1, $again->sheetLots());
        $this->from('/')->post($this->at($this->board(), '/cuts/cut'))->assertSessionHasErrors('cuts');
    }

    public function test_cutting_goes_on_the_schedule_before_all_coats(): void
    {
        [$section, $layout] = $this->fell('Birch Cutting');
        $this->post($this->at($section, '/cuts/plan'))->assertSessionHasNoErrors();
        $project = app(ProjectLoader::class)->of($layout);
        $coats = SaveCutCoats::coatsOf($project->works, $section->uid);
        $page = app(ComputedCuts::class)->page($project, $project->section($section->uid));
        $gluing = app(ComputedCuts::class)->gluing($page)?->amounts() ?? [];
        $this->assertCount(count($gluing), $coats, 'one for each glue');
        $plan = $this->plan($layout);
        $forms = array_values(
            array_filter(
                $plan->moves,
                fn (PlacedMove $p): bool => $p->move->section->uid === $section->uid && $p->move->coat->recipe->stage === Stage::Form,
            ),
        );
        $others = array_values(
            array_filter(
                $plan->moves,
                fn (PlacedMove $p): bool => $p->move->section->uid === $section->uid && $p->move->coat->recipe->stage !== Stage::Form,
            ),
        );
        $this->assertCount(array_sum(array_map(fn ($c): int => $c->passes, $coats)), $forms, 'as many goes as it was put in');
        $this->assertEqualsWithDelta(
            $page->minutes(),
            array_sum(array_map(fn (PlacedMove $p): int => $p->move->minutes, $forms)),
            count($forms),
        );
        // What the joints take of each glue is what has to be there.
        $taken = array_column(TakeOff::byMaterial($plan->work, $section->uid), 'amount', 'material');
        foreach (
            [
                'adhesive' => 'foam-safe adhesive',
                'contact' => 'latex contact glue',
                'hot melt' => 'low-temperature hot melt',
            ] as $glue => $material
        ) {
            $this->assertEqualsWithDelta($gluing[$glue] ?? 0.0, $taken[$material] ?? 0.0, 0.002 * ($gluing[$glue] ?? 0.0) + 1e-6, $glue);
        }
        $this->assertNotSame([], $others);
        foreach ($others as $other) {
            $this->assertGreaterThan(max(array_map(fn (PlacedMove $p): int => $p->end, $forms)), $other->start);
        }
        $this->get($this->at($section, '/coats'))->assertOk()->assertSee('Foam layers')->assertSee('not up yet');
        $this->post($this->at($section, '/cuts/plan'))->assertSessionHasNoErrors();
        $this->assertCount(
            count($coats),
            SaveCutCoats::coatsOf(app(ProjectLoader::class)->of($layout)->works, $section->uid),
            'renewed, not doubled',
        );
        $this->get($this->at($section, '/cuts?on=glue'))->assertSee('On the schedule in')->assertSee('Renew it there');
        $this->from('/')->post($this->at($this->board(), '/cuts/plan'))->assertSessionHasErrors('cuts');
    }

    public function test_a_shell_has_ribs_strips_and_cloth_and_goes_on_the_schedule_too(): void
    {
        $layout = app(LayoutFiles::class)->store(app(SaltingsTramway::class)->project());
        $section = $layout->sections()->firstOrFail();
        $this->get($this->at($section, '/cuts'))
            ->assertOk()
            ->assertSee('Rib R1, flat')
            ->assertSee('9 ribs')
            ->assertSee('plaster cloth over card strips');
        $this->get($this->at($section, '/cuts?on=glue'))->assertOk()->assertSee('R1 to R2')->assertSee('pieces of');
        foreach (['sheets', 'risers', 'edges', 'board', 'turned'] as $view) {
            $this->get($this->at($section, "/cuts?on={$view}"))->assertOk();
        }
        $solids = $this->get($this->at($section, '/cuts/solids'))->assertOk()->json();
        $this->assertCount(9, $solids['ribs']);
        $this->assertSame([], $solids['layers']);
        $pdf = (string) $this->get($this->at($section, '/cuts/take/pdf?layer=2'))->assertOk()->getContent();
        $this->assertStringStartsWith('%PDF-', $pdf);
        $this->post($this->at($section, '/cuts/plan'))->assertSessionHasNoErrors();
        [$coat] = SaveCutCoats::coatsOf(app(ProjectLoader::class)->of($layout)->works, $section->uid);
        $this->assertSame('shell-web', $coat->recipe->id);
        $this->assertNotEquals(85.0, $coat->minutes, 'renewed from what is computed now');
    }

    public function test_cuts_and_coats_tell_one_figure_of_cloth_and_card(): void
    {
        $layout = app(LayoutFiles::class)->store(app(SaltingsTramway::class)->project());
        $section = $layout->sections()->firstOrFail();
        $project = app(ProjectLoader::class)->of($layout);
        $layers = $project->layout->cuts->shell->layers;
        $zone = new Zone('01JAAAAAAAAAAAAAAAAAAAAAC0', $section->uid, 'All of it');
        $works = $project->works->with([
            'zones' => [$zone],
            'coats' => [
                new Coat('01JAAAAAAAAAAAAAAAAAAAAAC1', $zone->uid, app(Library::class)->recipe('shell-web')),
                new Coat('01JAAAAAAAAAAAAAAAAAAAAAC2', $zone->uid, app(Library::class)->recipe('plaster-cloth'), null, 1.0, $layers),
            ],
            'laid' => [],
        ]);
        $work = app(ComputedPlan::class)->work($project->working($works), app(ComputedPlan::class)->minute());
        $taken = array_column(TakeOff::byMaterial($work), 'amount', 'material');
        $shell = app(ComputedCuts::class)->page($project, $project->sections[0])->shell() ?? $this->fail('no shell');
        // Cuts tells cloth in m², Coats in grams of 600 g a layer and m².
        $this->assertEqualsWithDelta(($shell->cover() / 1e6) * 600.0, $taken['plaster cloth'], 0.002 * $taken['plaster cloth']);
        $this->assertEqualsWithDelta(
            $shell->weight() * 1000.0 - ($shell->cover() / 1e6) * 600.0,
            $taken['card strips'],
            0.002 * $taken['card strips'],
        );
        $this->assertEqualsWithDelta($shell->pieces() * $shell->build->clothWidth * $shell->build->clothLength, $shell->cover(), 1e-3);
    }

    public function test_edges_and_openings_answer_odd_wishes_in_words(): void
    {
        [$section, $layout] = $this->fell();
        $this->get($this->at($section, '/cuts?on=edges&rise=40'))->assertOk()->assertSee('960 long');
        $this->get($this->at($section, '/cuts?on=edges&rise=high'))
            ->assertOk()
            ->assertSee('is not a length')
            ->assertSee('value="high"', false);
        $this->get($this->at($section, '/cuts?on=edges&rise=4000'))->assertOk()->assertSee('must lie between');
        $this->from('/')->get($this->at($section, '/cuts/take/pdf?of=edges&rise=high'))->assertStatus(422)->assertSee('is not a length');
        $this->get($this->at($section, '/cuts?on=board'))->assertOk()->assertSee('goes through the opening')->assertSee('Stone yard');
        $cuts = fn (array $board): array => ['cuts' => ['board' => $board]];
        $this->patch(
            "/layouts/{$layout->uid}",
            $cuts(['opening_width_mm' => '300', 'opening_height_mm' => '200', 'lift_kg' => '3', 'packing_mm' => '1 2,5']),
        )->assertSessionHasNoErrors();
        $this->get($this->at($section, '/cuts?on=board'))
            ->assertOk()
            ->assertSee('too much for the opening')
            ->assertSee('to lift while it is wet');
        $this->patch("/layouts/{$layout->uid}", $cuts(['packing_mm' => '1 thick']))->assertSessionHasErrors('cuts/board/packing_mm');
        $this->patch("/layouts/{$layout->uid}", $cuts(['opening_width_mm' => '', 'opening_height_mm' => '']))->assertSessionHasNoErrors();
        $this->get($this->at($section, '/cuts?on=board'))->assertSee('set an opening');
        $this->assertSame([1.0, 2.5], app(ProjectLoader::class)->of($layout->fresh() ?? $layout)->layout->cuts->board->packing);
    }

    public function test_boards_on_both_sides_of_a_joint_have_one_line(): void
    {
        $project = app(ProjectLoader::class)->of($this->layoutOf($this->demo()->sections()->firstOrFail()));
        $desk = app(ComputedCuts::class);
        $board = fn (string $name, string $edge): array => (fn (CutResult $page): array => EdgeBoard::along(
            BoardEdge::from($edge),
            $page->model()->heightAt(...),
            $page->section->width,
            $page->section->depth,
            0.0,
            70.0,
        )->ring)($desk->page($project, $project->section($name)));
        [$weir, $fell] = [$board('Weir Bend', 'right'), $board('Fell Halt', 'left')];
        $at = function (array $ring, float $s): float {
            for ($k = 2; $k < count($ring) - 1; $k++) {
                [[$x1, $z1], [$x2, $z2]] = [$ring[$k], $ring[$k + 1]];
                if ($s <= $x1 && $s >= $x2) {
                    return $z2 + (($z1 - $z2) * ($s - $x2)) / max(1e-9, $x1 - $x2);
                }
            }

            return NAN;
        };
        for ($s = 5.0; $s < 420.0; $s += 5.0) {
            $this->assertEqualsWithDelta($at($weir, $s), $at($fell, $s), 0.31, "{$s} mm from the front");
        }
    }

    public function test_sheets_of_two_thicknesses_cost_no_more_than_those_of_one(): void
    {
        [$section, $layout] = $this->fell();
        $this->patch("/layouts/{$layout->uid}", [
            'cuts' => [
                'price' => '15',
                'more' => [['sheet_mm' => '50', 'sheet_width_mm' => '1250', 'sheet_depth_mm' => '600', 'price' => '31']],
            ],
        ])->assertSessionHasNoErrors();
        $project = app(ProjectLoader::class)->of($layout->fresh() ?? $layout);
        $both = app(ComputedCuts::class)->page($project, $project->section($section->uid));
        $this->assertNotNull($both->stack());
        $this->get($this->at($section, '/cuts'))->assertOk()->assertSee('mm foam')->assertSee('cost');
    }

    public function test_a_page_that_cannot_be_shown_does_not_lead_back_to_itself(): void
    {
        [$section, $layout] = $this->fell();
        $layout
            ->zones()
            ->firstOrFail()
            ->forceFill(['data' => '{"section":"nowhere","name":"x","without":[]}'])
            ->save();
        $there = $this->at($section, '/cuts');
        $this->from($there)
            ->get($there)
            ->assertStatus(422)
            ->assertSee('There is no such section.')
            ->assertSee('cannot be read')
            ->assertSee('Export as it is');
    }

    /** @return array{Section, Layout} */
    private function fell(string $name = 'Fell Halt'): array
    {
        $section = $this->demo()->sections()->where('name', $name)->firstOrFail();

        return [$section, $this->layoutOf($section)];
    }
}
