<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Revision;

final class LayoutsTest extends FeatureCase
{
    public function test_the_first_page_without_layouts_shows_the_next_step(): void
    {
        $this->get('/')->assertOk()->assertSee('No layout yet')->assertSee('Begin a layout');
    }

    public function test_every_answer_carries_the_strict_headers(): void
    {
        foreach (['/', '/nowhere', "/layouts/{$this->demo()->uid}/settings"] as $page) {
            $answer = $this->get($page);
            $policy = (string) $answer->headers->get('Content-Security-Policy');
            $this->assertStringContainsString("script-src 'self';", $policy);
            $this->assertStringNotContainsString('unsafe', $policy);
            $this->assertSame('nosniff', $answer->headers->get('X-Content-Type-Options'));
            $this->assertSame('same-origin', $answer->headers->get('Referrer-Policy'));
            $this->assertDoesNotMatchRegularExpression(
                '/\sstyle=|\son[a-z]+="/',
                (string) $answer->getContent(),
                'no inline styles or handlers',
            );
        }
    }

    public function test_the_light_is_the_systems_until_one_is_chosen(): void
    {
        $this->get('/')->assertSee('data-theme="system"', false);
        foreach (['lamp' => 'lamp', 'film' => 'film', 'disco' => 'system'] as $cookie => $theme) {
            $this->withUnencryptedCookie('theme', $cookie)->get('/')->assertSee("data-theme=\"{$theme}\"", false);
        }
    }

    public function test_a_layout_is_begun_and_leads_to_its_sheet(): void
    {
        $answer = $this->post('/layouts', ['name' => 'Moss End', 'ratio' => '76,2', 'gauge_mm' => '16.5 mm', 'units' => 'imperial']);
        $layout = Layout::query()->firstOrFail();
        $answer->assertRedirect("/layouts/{$layout->uid}/settings");
        $this->assertSame(76.2, $layout->ratio);
        $this->get("/layouts/{$layout->uid}/settings")->assertOk()->assertSee('Add a section')->assertSee('16.5 mm', false);
        $this->get("/layouts/{$layout->uid}")->assertRedirect("/layouts/{$layout->uid}/settings");
    }

    public function test_bad_input_is_said_beside_its_field_and_nothing_is_lost(): void
    {
        $this->from('/')
            ->post('/layouts', ['name' => ' ', 'ratio' => 'big', 'gauge_mm' => '-3'])
            ->assertRedirect('/')
            ->assertSessionHasErrors(['ratio']);
        $this->from('/')
            ->post('/layouts', ['name' => ' ', 'ratio' => '87.1', 'gauge_mm' => '16.5'])
            ->assertSessionHasErrors(['name']);
        $this->from('/')
            ->post('/layouts', ['name' => 'A', 'ratio' => '87.1', 'gauge_mm' => '-3 mm'])
            ->assertSessionHasErrors(['gauge_mm']);
        $this->followingRedirects()
            ->from('/begin')
            ->post('/layouts', ['name' => 'Kept as typed', 'ratio' => 'big', 'gauge_mm' => '16.5'])
            ->assertSee('Kept as typed')
            ->assertSee('is not a number');
        $this->assertSame(0, Layout::query()->count());
    }

    public function test_sections_are_refused_where_they_cannot_be(): void
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $sheet = "/layouts/{$layout->uid}/settings";
        foreach (
            [
                ['width_mm', ['name' => 'B', 'width_mm' => '-400', 'depth_mm' => '300']],
                ['depth_mm', ['name' => 'B', 'width_mm' => '400', 'depth_mm' => '10 km']],
                ['name', ['name' => '', 'width_mm' => '400', 'depth_mm' => '300']],
                ['name', ['name' => 'board', 'width_mm' => '400', 'depth_mm' => '300']],
            ] as [$field, $input]
        ) {
            $this->from($sheet)
                ->post("/layouts/{$layout->uid}/sections", $input)
                ->assertRedirect($sheet)
                ->assertSessionHasErrors([$field]);
        }
        $this->assertSame(1, $layout->sections()->count());
    }

    public function test_a_section_that_is_refused_leaves_the_sheet_beside_it_alone(): void
    {
        $layout = $this->layoutOf($this->board());
        $sheet = "/layouts/{$layout->uid}/settings";
        $page = $this->followingRedirects()
            ->from($sheet)
            ->post("/layouts/{$layout->uid}/sections", ['form' => 'new', 'name' => 'Mistyped', 'width_mm' => '-4', 'depth_mm' => '300'])
            ->assertOk();
        $page->assertSee('id="sheet-name" type="text" name="name" value="Trial"', false)->assertSee('value="Mistyped"', false);
        $this->assertSame(1, substr_count((string) $page->getContent(), 'must lie between'));
    }

    public function test_the_next_section_stands_to_the_right_and_keeps_what_was_typed(): void
    {
        $layout = $this->layoutOf($this->board());
        $this->post("/layouts/{$layout->uid}/sections", ['name' => 'Second', 'width_mm' => "2' 6\"", 'depth_mm' => '450']);
        $second = $layout->sections()->get()[1];
        $this->assertSame([1200.0, 762.0], [$second->x_mm, $second->width_mm]);
        $this->get("/layouts/{$layout->uid}/settings?pick={$second->uid}")->assertSee("2' 6\"");
    }

    public function test_moving_a_board_carries_its_land_unless_told_not_to(): void
    {
        $layout = $this->demo();
        $row = $layout->sections()->firstOrFail();
        $spot = $layout->features()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $run = $layout->runs()->firstOrFail();
        $input = [
            'name' => $row->name,
            'width_mm' => '1200',
            'depth_mm' => '600',
            'x_mm' => '-100',
            'y_mm' => '50',
            'angle_deg' => '0',
            'base_mm' => '0',
        ];
        $this->patch("/layouts/{$layout->uid}/sections/{$row->uid}", $input)->assertRedirect();
        $this->assertEqualsWithDelta(785.0, $spot->fresh()?->points[0]['x_mm'], 1e-6);
        $this->assertEqualsWithDelta(-100.0, $run->fresh()?->x_mm, 1e-6);
        $this->patch("/layouts/{$layout->uid}/sections/{$row->uid}", ['x_mm' => '0', 'leave_land' => '1'] + $input);
        $this->assertEqualsWithDelta(785.0, $spot->fresh()?->points[0]['x_mm'], 1e-6);
    }

    public function test_a_stale_form_is_refused_with_both_versions(): void
    {
        $layout = $this->layoutOf($this->board());
        $sheet = [
            'name' => 'First change',
            'ratio' => '87.1',
            'gauge_mm' => '16.5',
            'zone' => 'UTC',
            'seen' => (string) $layout->revisions()->max('id'),
        ];
        $this->patch("/layouts/{$layout->uid}", $sheet)->assertRedirect();
        $this->patch("/layouts/{$layout->uid}", ['name' => 'Second change'] + $sheet)
            ->assertStatus(409)
            ->assertSee('First change')
            ->assertSee('Second change');
        $this->assertSame('First change', $layout->fresh()?->name);
    }

    public function test_a_layout_is_put_away_and_brought_back(): void
    {
        $layout = $this->demo();
        // Where it lay it says so; afterwards it is in the list of what was put away, from where it can be taken out as a file.
        $there = $this->followingRedirects()->delete("/layouts/{$layout->uid}");
        $there->assertSee('Skarnvik Branch is put away')->assertSee('Bring it back')->assertDontSee('No layout yet');
        $open = "href=\"http://127.0.0.1:8080/layouts/{$layout->uid}\"";
        $there->assertDontSee($open, false);
        $this->get('/')->assertSee('Put away')->assertSee('Bring it back')->assertSee('No layout yet')->assertDontSee($open, false);
        $this->get("/layouts/{$layout->uid}/export")->assertOk()->assertSee('Skarnvik Branch');
        $this->followingRedirects()->post("/layouts/{$layout->uid}/restore")->assertSee('Skarnvik Branch');
    }

    public function test_the_sheet_changes_what_it_holds(): void
    {
        $layout = $this->demo();
        $this->patch("/layouts/{$layout->uid}", [
            'name' => 'Skarnvik',
            'ratio' => '76.2',
            'gauge_mm' => '12',
            'units' => 'metric',
            'zone' => 'Europe/Oslo',
            'currency' => 'sek',
            'viewing_edges' => ['', 'front', 'left'],
            'vehicles' => [
                ['name' => 'coach', 'body_mm' => '280', 'bogie_centres_mm' => '190', 'width_mm' => '34', 'height_mm' => '46'],
                ['name' => 'crane', 'body_mm' => '210', 'bogie_centres_mm' => '96', 'width_mm' => '38', 'height_mm' => '58'],
                ['name' => '', 'body_mm' => ''],
            ],
            'clearance_margin_mm' => '6',
            'face_limit_deg' => '70°',
            'bank_reach_mm' => '',
        ])->assertRedirect();
        $fresh = $layout->fresh();
        $this->assertSame(['front', 'left'], $fresh?->viewing_edges);
        $this->assertSame('SEK', $fresh->currency);
        $this->assertNull($fresh->bank_reach_mm);
        $this->assertEquals(
            [['coach', 280], ['crane', 210]],
            array_map(fn (array $v): array => [$v['name'], $v['body_mm']], $fresh->vehicles),
        );
        $this->assertSame('Layout sheet changed', Revision::query()->latest('id')->value('sentence'));
        $this->patch("/layouts/{$layout->uid}", [
            'name' => 'S',
            'ratio' => '76.2',
            'gauge_mm' => '12',
            'zone' => 'Nowhere',
        ])->assertSessionHasErrors(['zone']);
        $sizes = ['body_mm' => '280', 'bogie_centres_mm' => '190', 'width_mm' => '34', 'height_mm' => '46'];
        foreach (
            [
                'vehicles/1/name' => [['name' => 'coach'] + $sizes, ['name' => 'Coach'] + $sizes],
                'vehicles/0/bogie_centres_mm' => [['name' => 'coach', 'bogie_centres_mm' => '400'] + $sizes],
                'vehicles' => [['name' => '']],
                'vehicles/0/width_mm' => [['name' => 'tram', 'width_mm' => 'wide'] + $sizes],
            ] as $place => $vehicles
        ) {
            $this->patch("/layouts/{$layout->uid}", ['vehicles' => $vehicles])->assertSessionHasErrors([$place]);
        }
    }

    public function test_the_stack_is_cut_again_from_other_sheets(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $layout = $this->layoutOf($section);
        $cuts = $this->at($section, '/cuts');
        $this->from($cuts)
            ->patch("/layouts/{$layout->uid}", [
                'back' => 'cuts',
                'cuts' => [
                    'school' => 'fill',
                    'sheet_mm' => '2 in',
                    'skin_mm' => '0',
                    'sheet_width_mm' => '1250',
                    'sheet_depth_mm' => '600',
                ],
            ])
            ->assertRedirect($cuts);
        $this->get($cuts)->assertSee('filled out to shape')->assertSee('50.8');
        $this->from($cuts)
            ->patch("/layouts/{$layout->uid}", ['back' => 'cuts', 'cuts' => ['sheet_mm' => '-20']])
            ->assertSessionHasErrors(['cuts/sheet_mm']);
        $this->followingRedirects()
            ->from($cuts)
            ->patch("/layouts/{$layout->uid}", ['back' => 'cuts', 'cuts' => ['skin_mm' => 'thick']])
            ->assertSee('is not a length')
            ->assertSee('thick');
    }

    public function test_a_board_without_land_has_nothing_to_cut(): void
    {
        $this->get($this->at($this->board(), '/cuts'))->assertOk()->assertSee('nothing is to be cut');
        $this->get($this->at($this->board(), '/cuts?layer=999'))->assertOk();
    }

    public function test_unknown_places_get_a_page_of_ours(): void
    {
        $layout = $this->demo();
        $this->get('/nowhere')->assertNotFound()->assertSee('Not on this layout');
        $this->get("/layouts/{$layout->uid}/sections/01ARZ3NDEKTSV4RRFFQ69G5FAV/land")->assertNotFound();
        $other = $this->layoutOf($this->board());
        foreach (['land', 'cuts', 'coats'] as $screen) {
            $this->get("/layouts/{$other->uid}/sections/{$layout->sections()->firstOrFail()->uid}/{$screen}")->assertNotFound();
        }
    }

    public function test_a_new_layout_begins_with_what_fits_its_scale_and_where_the_browser_is(): void
    {
        $this->post('/layouts', ['name' => 'Small', 'ratio' => '160', 'gauge_mm' => '9', 'units' => 'metric', 'zone' => 'Europe/Oslo'])
            ->assertRedirect();
        $layout = Layout::query()->latest('id')->firstOrFail();
        $sheet = ProjectLoader::sheet($layout);
        [$coach] = $sheet->clearance->vehicles;
        $this->assertSame([165.0, 18.5, 4.4], [$coach->body, $coach->width, $sheet->clearance->margin]);
        $this->assertSame('Europe/Oslo', $sheet->zone);
        $this->post("/layouts/{$layout->uid}/sections", ['name' => 'Board', 'width_mm' => '900', 'depth_mm' => '300'])->assertRedirect();
        $section = $layout->sections()->firstOrFail();
        foreach (['track' => 14.0, 'road' => 17.5] as $kind => $half) {
            $this->post("/layouts/{$layout->uid}/sections/{$section->uid}/runs", [
                'kind' => $kind, 'x1' => '100', 'y1' => $kind === 'track' ? '100' : '200', 'x2' => '700', 'y2' => '150', 'snap' => '0',
            ])->assertSessionHasNoErrors();
            $profile = ProjectLoader::run($layout->runs()->get()->last() ?? throw new \LogicException($kind))->profile->toArray();
            $this->assertSame($half, $profile['half_width_left_mm'], $kind);
        }
        // Changed later, the scale leaves what stands: vehicles may be the builder's own by then.
        $this->patch("/layouts/{$layout->uid}", ['ratio' => '87.1'])->assertSessionHasNoErrors();
        $this->assertSame(165.0, ProjectLoader::sheet($layout->refresh())->clearance->vehicles[0]->body);
        // A zone that nobody knows is left out rather than refused: the builder did not type it.
        $this->post('/layouts', ['name' => 'Odd', 'ratio' => '87.1', 'gauge_mm' => '16.5', 'units' => 'metric', 'zone' => 'Nowhere/Sea'])
            ->assertRedirect();
        $this->assertNotSame('Nowhere/Sea', Layout::query()->latest('id')->firstOrFail()->zone);
        $this->from('/')->post('/layouts', ['name' => 'None', 'ratio' => '0', 'gauge_mm' => '9', 'units' => 'metric'])
            ->assertSessionHasErrors(['ratio']);
    }
}
