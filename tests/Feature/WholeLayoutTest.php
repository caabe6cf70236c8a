<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Files\LayoutFiles;
use App\Computed\ProjectLoader;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Revision;
use App\Models\Run;
use Database\Seeders\SaltingsTramway;
use IdleRidge\Core\Project\Project;

/** What is seen, printed and carried of all boards together, and copies of what was. */
final class WholeLayoutTest extends FeatureCase
{
    public function test_the_whole_says_of_every_board_what_its_screens_say(): void
    {
        $layout = $this->evening('2026-10-14T17:10:00Z');
        $plan = $this->plan($layout);
        $page = $this->get("/layouts/{$layout->uid}/whole")->assertOk();
        foreach ($plan->work->project->sections as $section) {
            $page->assertSee($section->name);
            $moves = array_values(array_filter($plan->moves, fn ($p): bool => $p->move->section->uid === $section->uid));
            $page->assertSee($moves[0]->move->title());
        }
        $page->assertSee('Shed is too cold for Sifted soil, Weir Bend')->assertSee('<b>1</b> stop', false)->assertSee('34.4 kg dry');
        $this->assertStringContainsString('Clearance on a curve', (string) $this->get("/layouts/{$layout->uid}/rules")->getContent());
    }

    public function test_a_layout_without_a_board_says_what_to_do(): void
    {
        $this->post('/layouts', ['name' => 'Bare', 'ratio' => '160', 'gauge_mm' => '9', 'units' => 'imperial'])->assertRedirect();
        $layout = Layout::query()->latest('id')->firstOrFail();
        $this->get("/layouts/{$layout->uid}/whole")->assertOk()->assertSee('No board yet');
        $this->get("/layouts/{$layout->uid}/carrying")->assertOk()->assertSee('No board yet')->assertSee('48" × 24"');
        $this->get("/layouts/{$layout->uid}/curves")->assertOk()->assertSee('No track yet');
        $this->get("/layouts/{$layout->uid}/formations")->assertOk()->assertSee('No formation yet')->assertDontSee('Change it');
        $this->get("/layouts/{$layout->uid}/history")->assertOk()->assertSee('Nothing has been changed yet');
        $this->assertStringStartsWith('%PDF', (string) $this->get("/layouts/{$layout->uid}/whole/templates.pdf")->getContent());
        $this->assertStringStartsWith('%PDF', (string) $this->get("/layouts/{$layout->uid}/whole/plan.pdf?scale=10")->getContent());
    }

    public function test_a_formation_is_set_for_several_runs_in_one_step(): void
    {
        $layout = $this->demo();
        $at = "/layouts/{$layout->uid}/formations";
        $run = fn (string $name): Run => $layout->runs()->where('name', $name)->firstOrFail();
        [$birch, $halt, $road] = [$run('Birch line'), $run('Halt line'), $layout->runs()->where('kind', 'road')->firstOrFail()];
        $birch->profile = ['half_width_left_mm' => 26.123456] + $birch->profile;
        $birch->save();
        $this->get($at)->assertOk()->assertSee('Running line')->assertSee('8.8 mm')->assertSee('4.53 m outdoors');
        $this->get("{$at}?of={$birch->uid}")->assertSee('value="26.12"', false);

        $steps = Revision::query()->count();
        $profile = ['half_width_left_mm' => '26.12', 'ditch_depth_mm' => '2', 'batter_fill_left' => '1.75'];
        $form = ['of' => $birch->uid, 'profile' => $profile, 'runs' => [$birch->uid, $halt->uid, $halt->uid]];
        $this->patch($at, $form)->assertRedirect("{$at}?of={$birch->uid}")->assertSessionHasNoErrors();
        $this->assertSame($steps + 1, Revision::query()->count());
        $this->assertSame('Formation of 2 runs changed', Revision::query()->latest('id')->firstOrFail()->sentence);
        foreach ([$birch, $halt] as $row) {
            $row->refresh();
            $this->assertSame([26.123456, 2.0, 1.75], [
                $row->profile['half_width_left_mm'], (float) $row->profile['ditch_depth_mm'], $row->profile['batter_fill_left'],
            ]);
        }
        $this->get("{$at}?of={$birch->uid}")->assertSee('Birch line, Halt line')->assertSee('6 × 2 mm');

        foreach ([
            'runs' => [['runs' => []], ['runs' => [$birch->uid, $road->uid]], ['runs' => ['none']], ['of' => 'none'], ['runs' => 'x']],
            'profile/half_width_left_mm' => array_map(
                fn (string $half): array => ['profile' => ['half_width_left_mm' => $half]],
                ['4.9', '500.1', 'wide'],
            ),
            'profile/batter_fill_left' => [['profile' => ['batter_fill_left' => '0.019']]],
            'profile/ditch_width_mm' => [['profile' => ['ditch_width_mm' => '24.2', 'ditch_depth_mm' => '1']]],
        ] as $place => $bad) {
            foreach ($bad as $changed) {
                $this->from($at)->patch($at, [...$form, ...$changed])->assertRedirect($at)->assertSessionHasErrors($place);
            }
        }
        $this->assertSame($steps + 1, Revision::query()->count());
        $kept = $this->from($at)->followingRedirects()->patch($at, [...$form, 'profile' => ['rail_mm' => '900']]);
        $kept->assertSee('value="900"', false)->assertSee('aria-invalid="true"', false);
    }

    public function test_the_plan_is_printed_at_any_scale_and_all_templates_at_once(): void
    {
        $layout = $this->demo();
        foreach (['1', '10', '8.7', '200'] as $scale) {
            $pdf = $this->get("/layouts/{$layout->uid}/whole/plan.pdf?scale={$scale}&paper=letter")->assertOk();
            $this->assertStringStartsWith('%PDF', (string) $pdf->getContent());
        }
        foreach (['0.9', '201', 'small', ''] as $scale) {
            $this->from("/layouts/{$layout->uid}/whole")->get("/layouts/{$layout->uid}/whole/plan.pdf?scale={$scale}")
                ->assertRedirect("/layouts/{$layout->uid}/whole")
                ->assertSessionHasErrors('scale');
        }
        $all = $this->get("/layouts/{$layout->uid}/whole/templates.pdf")->assertOk();
        $this->assertStringContainsString('skarnvik-branch-templates.pdf', (string) $all->headers->get('Content-Disposition'));
        $this->assertGreaterThan(100_000, strlen((string) $all->getContent()));
    }

    public function test_boards_are_loaded_into_the_space_that_is_told(): void
    {
        $layout = $this->demo();
        $at = "/layouts/{$layout->uid}/carrying";
        $this->get($at)->assertSee('none set');
        $space = fn (string $long, string $wide, string $high, string $limit = ''): array => ['back' => 'carrying', 'cuts' => ['board' => [
            'load_length_mm' => $long, 'load_width_mm' => $wide, 'load_height_mm' => $high, 'load_limit_kg' => $limit,
        ]]];
        $this->from($at)->patch("/layouts/{$layout->uid}", $space('1.6 m', '1050', '700'))->assertRedirect($at)->assertSessionHasNoErrors();
        $load = $this->project($layout)->cuts()->board->load;
        $this->assertEquals([1600.0, 1050.0, 700.0, null], [$load?->length, $load?->width, $load?->height, $load?->limit]);
        $this->get($at)->assertSee('All in one load')->assertSee('shelf 2');
        // Smaller than any board: nothing goes in, and it is said how much is missing.
        $this->from($at)->patch("/layouts/{$layout->uid}", $space('800', '500', '700'))->assertSessionHasNoErrors();
        $this->get($at)->assertSee('too large')->assertDontSee('All in one load');
        $this->from($at)->patch("/layouts/{$layout->uid}", $space('1600', '1050', '700', '9'))->assertSessionHasNoErrors();
        $this->get($at)->assertSee('too heavy')->assertSee('Load 1 of 3');
        $this->from($at)->patch("/layouts/{$layout->uid}", $space('0', '1050', '700'))->assertSessionHasErrors('cuts/board/load_length_mm');
        $this->from($at)->patch("/layouts/{$layout->uid}", $space('1600', '', '700'))->assertSessionHasErrors('cuts/board/load_width_mm');
        $this->assertEquals(9.0, $this->project($layout)->cuts()->board->load?->limit, 'nothing is lost');
        $this->from($at)->patch("/layouts/{$layout->uid}", ['cuts' => ['board' => ['lift_kg' => '10']]])->assertSessionHasNoErrors();
        $this->assertEquals(1600.0, $this->project($layout)->cuts()->board->load?->length, 'another field leaves it alone');
        $this->from($at)->patch("/layouts/{$layout->uid}", $space('', '', ''))->assertSessionHasNoErrors();
        $this->assertNull($this->project($layout)->cuts()->board->load);
    }

    public function test_a_size_that_is_tried_is_told_or_refused_at_its_field(): void
    {
        $layout = $this->demo();
        $this->get("/layouts/{$layout->uid}/carrying?width=4ft&depth=0.5 m")->assertSee('1219 × 500 mm');
        $this->get("/layouts/{$layout->uid}/carrying?width=wide&depth=500")->assertOk()->assertSee('is not a length');
        $this->get("/layouts/{$layout->uid}/carrying?width=20&depth=500")->assertOk()->assertSee('The width is 20 mm');
    }

    public function test_a_gap_is_bridged_with_foam_and_with_plywood(): void
    {
        $layout = $this->demo();
        $at = "/layouts/{$layout->uid}/spans";
        $this->get($at)->assertOk()
            ->assertSee('Land over the tunnel of Birch line')
            ->assertSee('Bridge of Weir line')
            ->assertSee('72 g of scenery', false)
            ->assertSee('bends too far')
            ->assertSee('4 °C and 82 %')
            ->assertSee('stays straight and presses on them');
        $this->get("{$at}?span=20+cm&ply=6.5")->assertSee('6.5 mm')->assertSee('>holds<', false);
        $this->get("{$at}?span=1000&ply=1")->assertSee('cannot grow and goes up by')->assertSee('breaks');
        $this->get("{$at}?span=350&rise=80")->assertSee('pushes its feet apart with');
        $this->get("{$at}?span=9")->assertOk()->assertSee('id="f-span-fault"', false)->assertSee('Mend what is marked');
        $this->get("{$at}?span=200&ply=900")->assertOk()->assertSee('id="f-ply-fault"', false)->assertDontSee('id="f-thick-fault"', false);
        $this->get("{$at}?hand=heavy")->assertOk()->assertSee('id="f-hand-fault"', false)->assertSee('value="heavy"', false);
        $this->get("{$at}?span[]=1")->assertOk();
        $tramway = app(LayoutFiles::class)->store(app(SaltingsTramway::class)->project());
        $this->get("/layouts/{$tramway->uid}/spans")->assertSee('value="8&quot;"', false)->assertSee('value="6"', false);
    }

    public function test_curves_are_told_with_what_vehicles_make_of_them_and_sizes_go_both_ways(): void
    {
        $layout = $this->demo();
        $at = "/layouts/{$layout->uid}/curves";
        $this->get($at)
            ->assertSee('720 mm')
            ->assertSee('may be thrown off when pushed')
            ->assertSee('transition to R 700')
            ->assertSee('4.53 m outdoors');
        // 24.8 in, 24.7 out, twice 8 of margin.
        $this->get("{$at}?radius=720")->assertSee('24.8 mm in, 24.7 mm out, 66 mm with its margins')->assertSee('1.1 % steeper');
        $this->get("{$at}?length=8.4 m&width=6.2 m")->assertSee('96.4 × 71.2 mm');
        $this->get("{$at}?length=8.71 m")->assertSee('100 mm');
        $this->get("{$at}?here=72")->assertSee('6.27 m');
        $faults = [
            'radius=99' => 'This is 99 mm',
            'radius=round' => 'is not a length',
            'here=-4' => 'This is',
            'width=6 q' => 'is not a length',
        ];
        foreach ($faults as $asked => $word) {
            $this->get("{$at}?{$asked}")->assertOk()->assertSee($word);
        }
    }

    public function test_a_copy_is_what_was_and_the_layout_stays_what_it_is(): void
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $place = fn (string $x) => $this->post($this->at($section, '/features'), [
            'kind' => 'spot',
            'points' => [['x' => $x, 'y' => '300', 'z' => '50']],
        ])->assertSessionHasNoErrors();
        $xs = fn (Layout $of): array => array_values(array_diff(
            $of->features()->orderBy('id')->get()->map(fn (LandFeature $f): float => (float) $f->points[0]['x_mm'])->all(),
            [0.0, 1200.0],
        ));
        $place('100');
        $steps = fn (): array => Revision::query()->where('layout_id', $layout->id)->orderByDesc('id')->pluck('id')->all();
        $one = $steps()[0];
        $place('200');
        $this->patch("/layouts/{$layout->uid}/sections/{$section->uid}", [
            'name' => 'Another', 'width_mm' => '900', 'depth_mm' => '600',
            'x_mm' => '0', 'y_mm' => '0', 'angle_deg' => '0', 'base_mm' => '0',
        ])->assertSessionHasNoErrors();
        $this->post("/layouts/{$layout->uid}/undo");
        $this->post("/layouts/{$layout->uid}/undo");
        $place('300');
        $now = $steps();
        $this->post("/layouts/{$layout->uid}/history/{$one}/copy")->assertRedirect();
        $copy = Layout::query()->latest('id')->firstOrFail();
        $this->assertNotSame($layout->id, $copy->id);
        $this->assertStringStartsWith('Trial, ', $copy->name);
        $this->assertSame([[100.0], [100.0, 300.0]], [$xs($copy), $xs($layout)]);
        $board = fn (Layout $of): array => [$of->sections()->firstOrFail()->name, (float) $of->sections()->firstOrFail()->width_mm];
        $this->assertSame(['Board', 1200.0], $board($copy));
        $this->assertSame($now, $steps(), 'nothing is added to its history');
        // Between an edit and its undoing it was changed.
        $this->post("/layouts/{$layout->uid}/history/{$now[3]}/copy")->assertRedirect();
        $changed = Layout::query()->latest('id')->firstOrFail();
        $this->assertSame(['Another', 900.0], $board($changed));
        // Copies have rows of the same uids: each is read from the history of its own layout, and none touches another.
        $this->post("/layouts/{$layout->uid}/history/{$one}/copy")->assertSessionHasNoErrors();
        $again = Layout::query()->latest('id')->firstOrFail();
        $this->assertSame([[100.0], ['Board', 1200.0]], [$xs($again), $board($again)]);
        $this->assertSame([['Another', 900.0], ['Board', 1200.0], [100.0, 300.0]], [$board($changed), $board($layout), $xs($layout)]);
        $this->assertSame($now, $steps());
        // And so is the history of a copy itself.
        $call = fn (string $name) => $this->patch("/layouts/{$copy->uid}/sections/{$section->uid}", [
            'name' => $name, 'width_mm' => '1200', 'depth_mm' => '600',
            'x_mm' => '0', 'y_mm' => '0', 'angle_deg' => '0', 'base_mm' => '0',
        ])->assertSessionHasNoErrors();
        $call('Second');
        $second = Revision::query()->where('layout_id', $copy->id)->max('id');
        $call('Third');
        $this->post("/layouts/{$copy->uid}/history/{$second}/copy")->assertSessionHasNoErrors();
        $this->assertSame('Second', $board(Layout::query()->latest('id')->firstOrFail())[0]);
        $this->assertSame(['Third', 'Board'], [$board($copy)[0], $board($layout)[0]]);
        $this->from('/')->post("/layouts/{$layout->uid}/history/999999/copy")->assertSessionHasErrors('step');
        $this->get("/layouts/{$layout->uid}/history?for=spot")->assertSee('Spot placed')->assertDontSee('Board added');
        $this->get("/layouts/{$layout->uid}/history?for=100%25")->assertSee('No step has these words');
    }

    private function project(Layout $layout): Project
    {
        return app(ProjectLoader::class)->of($layout->fresh() ?? $layout);
    }
}
