<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Layout;

/** Boards and zones as people really have them, through every screen. */
final class OddBoardsTest extends FeatureCase
{
    public function test_boards_of_odd_sizes_open_on_every_screen(): void
    {
        foreach ([['1201', '600'], ['1676', '1202'], ['18"', '30"'], ['42"', '66"'], ['1202.5', '401.3']] as [$width, $depth]) {
            $board = $this->board();
            $layout = Layout::query()->findOrFail($board->layout_id);
            $this->patch("/layouts/{$layout->uid}/sections/{$board->uid}", [
                'name' => 'Odd',
                'width_mm' => $width,
                'depth_mm' => $depth,
            ])->assertSessionHasNoErrors();
            $this->withHeaders(['HX-Request' => 'true'])
                ->post("/layouts/{$layout->uid}/sections/{$board->uid}/features", [
                    'kind' => 'spot',
                    'points' => [['x' => '200', 'y' => '200', 'z' => '60']],
                ])
                ->assertOk();
            foreach (
                [
                    'land',
                    'cuts',
                    'cuts?on=sheets',
                    'cuts?on=glue',
                    'cuts?on=risers',
                    'cuts?on=edges',
                    'cuts?on=board',
                    'cuts?on=turned',
                    'cuts?lay=all',
                    'coats',
                ] as $screen
            ) {
                $this->get("/layouts/{$layout->uid}/sections/{$board->uid}/{$screen}")->assertOk();
            }
            $this->post("/layouts/{$layout->uid}/sections/{$board->uid}/zones", [
                'name' => 'All',
                'build_up' => 'meadow',
            ])->assertSessionHasNoErrors();
            $this->get("/layouts/{$layout->uid}/sections/{$board->uid}/coats")->assertOk();
            $this->get("/layouts/{$layout->uid}/tonight")->assertOk();
        }
    }

    public function test_ballast_where_there_is_no_track_is_a_coat_like_any(): void
    {
        $board = $this->board();
        $layout = Layout::query()->findOrFail($board->layout_id);
        $at = "/layouts/{$layout->uid}/sections/{$board->uid}";
        $this->post("{$at}/zones", ['name' => 'Yard', 'outline' => '100,100 400,100 400,300 100,300'])->assertSessionHasNoErrors();
        $zone = $layout->zones()->firstOrFail();
        $this->post("{$at}/zones/{$zone->uid}/coats", ['recipe' => 'stone-ballast'])->assertSessionHasNoErrors();
        $coat = $layout->coats()->firstOrFail();
        $this->get("{$at}/coats?zone={$zone->uid}&coat={$coat->uid}")->assertOk()->assertSee('no track lies in this zone');
        $this->get("{$at}/coats?zone={$zone->uid}")->assertOk();
        foreach (['tonight', 'drying'] as $screen) {
            $this->get("/layouts/{$layout->uid}/{$screen}")->assertOk();
        }
    }

    public function test_a_room_set_anew_leaves_last_night_as_it_was_unless_it_is_corrected(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $room = $layout->rooms()->firstOrFail();
        $past = fn (): float => (float) $this->plan($layout)->work->project->works->rooms[0]->at(
            $this->plan($layout)->work->now - 600,
            $this->plan($layout)->work->zone(),
        )->temperature;
        $before = $past();
        $this->patch("/layouts/{$layout->uid}/rooms/{$room->uid}", ['day_c' => '24', 'night_c' => '24'])->assertSessionHasNoErrors();
        $this->assertSame($before, $past());
        $this->assertSame(24.0, $this->works($layout)->rooms[0]->night->temperature);
        $this->get("/layouts/{$layout->uid}/settings")->assertOk()->assertSee('So since Wed 14 Oct, 19:31')->assertSee('it was always so');
        $this->patch("/layouts/{$layout->uid}/rooms/{$room->uid}", ['day_c' => '24', 'always' => '1'])->assertSessionHasNoErrors();
        $this->assertSame(24.0, $past());
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame($before, $past());
    }

    public function test_a_board_beside_a_hilly_one_lies_level_until_the_land_runs_on(): void
    {
        $board = $this->board();
        $layout = Layout::query()->findOrFail($board->layout_id);
        $hx = fn (string $path, array $input) => $this->withHeaders(['HX-Request' => 'true'])->post(
            "/layouts/{$layout->uid}/sections/{$board->uid}/{$path}",
            $input,
        );
        $hx('features', ['kind' => 'spot', 'points' => [['x' => '1150', 'y' => '300', 'z' => '60']]])->assertOk();
        $this->post("/layouts/{$layout->uid}/sections", [
            'name' => 'Beyond',
            'width_mm' => '900',
            'depth_mm' => '600',
        ])->assertSessionHasNoErrors();
        $beyond = $layout->sections()->where('name', 'Beyond')->firstOrFail();
        $this->get("/layouts/{$layout->uid}/sections/{$board->uid}/land")->assertOk()->assertSee('Land steps at the joint with Beyond');
        $this->get("/layouts/{$layout->uid}/settings?pick={$beyond->uid}")->assertOk()->assertSee('land runs on over it', false);
        $this->patch("/layouts/{$layout->uid}/sections/{$beyond->uid}", ['runs_on' => '1'])->assertSessionHasNoErrors();
        $this->assertTrue($beyond->fresh()?->runs_on);
        $this->get("/layouts/{$layout->uid}/sections/{$board->uid}/land")->assertOk()->assertDontSee('Land steps at the joint');
    }

    public function test_a_hill_with_a_foot_says_what_base_it_takes(): void
    {
        $board = $this->board();
        $layout = Layout::query()->findOrFail($board->layout_id);
        $at = "/layouts/{$layout->uid}/sections/{$board->uid}";
        $this->withHeaders(['HX-Request' => 'true'])
            ->post("{$at}/features", [
                'kind' => 'ridge',
                'points' => [['x' => '300', 'y' => '300', 'z' => '40'], ['x' => '800', 'y' => '300', 'z' => '40']],
            ])
            ->assertOk();
        $ridge = $layout->features()->where('kind', 'ridge')->firstOrFail();
        $points = [['x' => '300', 'y' => '300', 'z' => '40'], ['x' => '800', 'y' => '300', 'z' => '40']];
        $change = fn (array $input) => $this->withHeaders(['HX-Request' => 'true'])->patch(
            "{$at}/features/{$ridge->uid}",
            $input + ['points' => $points, 'pick' => $ridge->uid],
        );
        $change(['foot_deg' => '40'])->assertOk();
        $this->assertEquals(['foot_deg' => 40], $ridge->fresh()?->figures);
        // 2 × 40 / tan 40° = 95; over what loose earth lies at by 5°.
        $this->get("{$at}/land?pick={$ridge->uid}")
            ->assertOk()
            ->assertSee('It stands on what lies there')
            ->assertSee('takes a base')
            ->assertSee('>95<', false)
            ->assertSee('over what loose earth lies at');
        $this->get("{$at}/land/compare?pick={$ridge->uid}")->assertOk()->assertSee('Base across')->assertDontSee('Width taken');
        $change(['foot_deg' => '95'])
            ->assertStatus(422)
            ->assertSee('must lie between');
        $change(['foot_deg' => '', 'foot_mm' => '30'])->assertOk();
        $this->assertEquals(['foot_mm' => 30], $ridge->fresh()?->figures);
        $this->get("{$at}/land?pick={$ridge->uid}")->assertSee('over what loose earth lies at');
        $change(['foot_deg' => '', 'foot_mm' => ''])->assertOk();
        $this->assertSame([], $ridge->fresh()?->figures);
    }
}
