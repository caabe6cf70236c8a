<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ProjectLoader;
use App\Computed\Water\ComputedWater;
use App\Models\Layout;
use App\Models\Section;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Water\Mirror;

final class WaterTest extends FeatureCase
{
    public function test_a_tarn_at_the_edge_is_planned_poured_and_put_among_the_work(): void
    {
        [$section, $layout, $tarn] = $this->withTarn();
        $body = $this->survey($section)->body($tarn);
        $this->assertNotNull($body);
        $this->assertCount(1, $body->dams);
        $page = $this->get($this->at($section, "/water?pick={$tarn}"))->assertOk();
        $page->assertSee('Tarn')->assertSee('Pour 1 of 3')->assertSee('Pour 3 of 3')->assertDontSee('Pour 4')->assertSee('front, from');
        $page->assertSee('next 4 to 8 h on, while tacky')->assertSee('resin A')->assertSee('peat black');
        $plan = ['school' => 'water-pour', 'fill' => '6', 'bands' => '4', 'dark_rim' => '1', 'pot_g' => '150'];
        $this->patch($this->at($section, "/waters/{$tarn}"), $plan)->assertSessionHasNoErrors();
        $kept = $this->project($layout)->works->waters->planOf($tarn);
        $this->assertSame(
            ['water-pour', 6.0, 4, true, 150.0],
            [$kept?->school, $kept?->fill, $kept?->bands, $kept?->darkRim, $kept?->potG],
        );
        $this->get($this->at($section, "/water?pick={$tarn}"))->assertSee('Pour 3 of 3')->assertSee('3 mm, dries to 2');

        $this->post($this->at($section, "/waters/{$tarn}/work"))->assertRedirectContains('/coats');
        $zone = array_values($this->works($layout)->zonesOf($section->uid))[0];
        $this->assertSame(['Tarn', $tarn, true], [$zone->name, $zone->water, $zone->isBed()]);
        $coats = fn (): array => array_map(
            fn (Coat $c): array => [$c->recipe->base(), $c->passes, round($c->mm, 2)],
            $this->works($layout)->coatsOf($zone->uid),
        );
        $this->assertSame(
            [
                ['bed-paint', 1, 0.1], ['bed-seal', 1, 0.1], ['dam-set', 1, 1.0], ['single-part-pour', 3, 2.0], ['dam-off', 1, 1.0],
                ['gloss-medium', 1, 0.1],
            ],
            $coats(),
        );
        // What the page tells is what the moves take: its level is so far from the bed that it is filled by half.
        $pours = array_filter($this->plan($layout)->work->moves, fn (Move $m): bool => $m->recipe->base() === 'single-part-pour');
        $ml = array_sum(array_map(fn (Move $m): float => $m->amounts[0]->amount, $pours));
        $this->assertEqualsWithDelta(1.5 * 1.1 * $body->curve->volume($body->curve->most - 6.0) / 1000.0, $ml, 1e-3 * $ml);

        // Its dams are counted by what they are long: strip for 1.2 times that.
        $dams = array_values(array_filter($this->plan($layout)->work->moves, fn (Move $m): bool => $m->recipe->base() === 'dam-set'));
        $this->assertEqualsWithDelta(1.2 * $body->dams[0]->length() / 1000.0, $dams[0]->amounts[0]->amount, 1e-6);

        // As long as nothing is laid its coats follow what is chosen; undo brings back what was.
        $this->patch($this->at($section, "/waters/{$tarn}"), ['school' => 'water-gloss', 'coats' => '11'])->assertSessionHasNoErrors();
        $this->assertSame(['gloss-medium', 11, 0.1], $coats()[2]);
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame(['single-part-pour', 3, 2.0], $coats()[3]);
        $this->assertSame('water-pour', $this->project($layout)->works->waters->planOf($tarn)?->school);
        $this->get($this->at($section, "/water?pick={$tarn}"))->assertSee('no session holds all of it yet');
    }

    public function test_what_is_begun_keeps_its_coats(): void
    {
        [$section, $layout, $tarn] = $this->withTarn();
        $this->post($this->at($section, "/waters/{$tarn}/work"))->assertRedirect();
        $zone = array_values($this->works($layout)->zonesOf($section->uid))[0]->uid;
        $move = array_values($this->plan($layout)->work->moves)[0];
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $move->id])->assertSessionHasNoErrors();
        $this->assertCount(1, $this->works($layout)->laid);
        $before = $this->works($layout)->coatsOf($zone);
        $this->patch($this->at($section, "/waters/{$tarn}"), ['school' => 'water-gloss'])->assertSessionHasNoErrors();
        $this->assertEquals($before, $this->works($layout)->coatsOf($zone));
    }

    public function test_it_is_put_among_the_work_once_whoever_does_it(): void
    {
        [$section, $layout, $tarn] = $this->withTarn();
        $this->post($this->at($section, "/waters/{$tarn}/work"))->assertRedirect();
        $this->post($this->at($section, "/waters/{$tarn}/work"))->assertSessionHasErrors(['work']);
        $this->assertCount(1, $this->works($layout)->zones);
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame([[], []], [$this->works($layout)->zones, $this->works($layout)->coats]);
    }

    public function test_what_cannot_be_is_said_at_its_field_and_nothing_is_lost(): void
    {
        [$section, $layout, $tarn] = $this->withTarn();
        $this->patch($this->at($section, "/waters/{$tarn}"), ['school' => 'water-resin', 'bands' => '2'])->assertSessionHasNoErrors();
        $before = $this->project($layout)->works->waters;
        foreach (
            [
                [['fill' => '0.1'], 'fill_mm'],
                [['fill' => 'deep'], 'fill'],
                [['pot_g' => '1200'], 'pot_g'],
                [['coats' => '40'], 'coats'],
                [['bands' => '0'], 'bands'],
                [['school' => 'wine'], 'school'],
                [['level' => 'high'], 'level'],
                [['level' => '9000'], 'level'],
            ] as [$input, $place]
        ) {
            $this->from('/')->patch($this->at($section, "/waters/{$tarn}"), $input)->assertSessionHasErrors([$place]);
            $this->assertEquals($before, $this->project($layout)->works->waters, $place);
        }
        // So deep that no number of layers does: a bed of 180 mm.
        $this->shape($section, $tarn, ['depth_mm' => '180', 'shore_mm' => '200']);
        $this->from('/')->patch($this->at($section, "/waters/{$tarn}"), ['school' => 'water-pour'])->assertSessionHasErrors(['fill']);
        $this->get($this->at($section, "/water?pick={$tarn}"))->assertOk();
        $nowhere = $this->at($section, '/waters/00000000000000000000000009');
        $this->from('/')->patch($nowhere, ['bands' => '2'])->assertSessionHasErrors(['work']);
    }

    public function test_a_level_over_every_bank_runs_out_and_is_said_to(): void
    {
        [$section, $layout, $tarn] = $this->withTarn();
        $this->patch($this->at($section, "/waters/{$tarn}"), ['level' => '4'])->assertSessionHasNoErrors();
        $this->assertEquals([4.0], array_unique(array_column($layout->features()->firstOrFail()->points, 'z_mm')));
        $ids = array_map(fn ($f): string => $f->id, Rulebook::checkWater($this->project($layout), $this->survey($section)));
        $this->assertContains('water-spills', $ids);
        $this->get($this->at($section, "/water?pick={$tarn}"))->assertSee('It runs out')->assertSee('Over its way out');
        $this->get("/layouts/{$layout->uid}/rules")->assertOk()->assertSee('Water stays within its banks');
        $this->get("/layouts/{$layout->uid}/find?for=tarn")->assertOk()->assertSee('Board, ');
    }

    public function test_its_shore_is_a_zone(): void
    {
        [$section, $layout, $tarn] = $this->withTarn();
        $this->post($this->at($section, "/waters/{$tarn}/shore"), ['shore' => '14'])->assertRedirectContains('/coats');
        $zone = $this->works($layout)->zones[0];
        $this->assertSame(['Tarn, shore', 14.0, false], [$zone->name, $zone->shore, $zone->isBed()]);
        $this->get($this->at($section, "/coats?zone={$zone->uid}"))->assertOk()->assertSee('14 mm about Tarn');
        $this->post($this->at($section, "/waters/{$tarn}/shore"), ['shore' => '0'])->assertSessionHasErrors(['shore']);
        $this->post($this->at($section, "/waters/{$tarn}/shore"), ['shore' => '8'])->assertRedirect();
        $this->assertSame('Tarn, shore 2', $this->works($layout)->zones[1]->name);
        // Saved unchanged it is what it was; emptied it is under the water.
        $form = ['name' => 'Tarn, shore', 'water' => $tarn, 'shore' => '14'];
        $this->patch($this->at($section, "/zones/{$zone->uid}"), $form)->assertSessionHasNoErrors();
        $this->assertEquals($zone, $this->works($layout)->zones[0]);
        $this->patch($this->at($section, "/zones/{$zone->uid}"), ['shore' => ''] + $form)->assertSessionHasNoErrors();
        $this->assertTrue($this->works($layout)->zones[0]->isBed());
    }

    public function test_a_mirror_is_set_at_a_streams_end_turned_and_put_away(): void
    {
        [$section, $layout, $beck] = $this->withBeck();
        $end = $this->survey($section)->ends[0];
        $this->assertSame('back', $end->edge->value);
        $this->post($this->at($section, '/mirrors'), ['end' => "{$beck}:left"])->assertSessionHasErrors(['end']);
        $this->post($this->at($section, '/mirrors'), ['end' => "{$beck}:back"])->assertRedirectContains('mirror=');
        $mirror = $this->mirrors($layout)[0];
        $this->assertSame([-90.0, 40.0], [$mirror->facingDeg, $mirror->height]);
        $this->assertEqualsWithDelta($end->width + 8.0, $mirror->width, 1.0);
        $at = $this->at($section, "/mirrors/{$mirror->uid}");
        $this->get($this->at($section, "/water?mirror={$mirror->uid}"))->assertOk()->assertSee($mirror->name);
        foreach (
            [
                [['x' => '1300'], 'x'], [['width' => '2'], 'width'], [['height' => 'tall'], 'height'], [['name' => ' '], 'name'],
                [['facing_deg' => 'north'], 'facing_deg'],
            ] as [$input, $place]
        ) {
            $this->from('/')->patch($at, $input)->assertSessionHasErrors([$place]);
            $this->assertEquals([$mirror], $this->mirrors($layout), $place);
        }
        $this->patch($at, ['facing_deg' => '90', 'height' => '28 mm'])->assertSessionHasNoErrors();
        $this->assertSame([90.0, 28.0], [$this->mirrors($layout)[0]->facingDeg, $this->mirrors($layout)[0]->height]);
        $this->get($this->at($section, "/water?mirror={$mirror->uid}"))->assertSee('faces no one')->assertSee('Turn it');
        $this->delete($at)->assertRedirect();
        $this->assertSame([], $this->mirrors($layout));
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertCount(1, $this->mirrors($layout));
    }

    public function test_mirrors_go_with_their_board_and_waters_plans_with_their_water(): void
    {
        [$section, $layout, $beck] = $this->withBeck();
        $this->post($this->at($section, '/mirrors'), ['end' => "{$beck}:back"])->assertRedirect();
        $this->patch($this->at($section, "/waters/{$beck}"), ['school' => 'water-gloss'])->assertSessionHasNoErrors();
        $before = $this->mirrors($layout)[0]->seenFrom($this->project($layout)->sections[0]->placement);
        $this->patch($this->at($section), [
            'name' => 'Board', 'width_mm' => '1200', 'depth_mm' => '600', 'x_mm' => '300', 'y_mm' => '50', 'angle_deg' => '90',
        ])->assertSessionHasNoErrors();
        $after = $this->mirrors($layout)[0]->seenFrom($this->project($layout)->sections[0]->placement);
        $this->assertEqualsWithDelta([$before->x, $before->y], [$after->x, $after->y], 1e-6);
        $this->assertEqualsWithDelta($before->facingDeg, $after->facingDeg, 1e-6);
        $this->delete($this->at($section, "/features/{$beck}"))->assertRedirect();
        $this->assertSame([], $this->project($layout)->works->waters->plans);
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertCount(1, $this->project($layout)->works->waters->plans);
        $this->delete($this->at($section))->assertRedirect();
        $this->assertSame([], $this->mirrors($layout));
    }

    public function test_dams_sheets_and_mirrors_are_taken_at_full_size(): void
    {
        [$section, , $tarn] = $this->withTarn();
        $body = $this->survey($section)->body($tarn);
        $pdf = (string) $this->get($this->at($section, "/water/take/pdf?of={$tarn}"))->assertOk()->getContent();
        $this->assertStringStartsWith('%PDF', $pdf);
        $svg = (string) $this->get($this->at($section, '/water/take/svg'))->assertOk()->getContent();
        $this->assertStringContainsString('piece-dam-front-401', $svg);
        $this->assertStringContainsString('front, from 401', $svg);
        $dxf = (string) $this->get($this->at($section, '/water/take/dxf'))->assertOk()->getContent();
        $this->assertStringContainsString('POLYLINE', $dxf);
        $csv = (string) $this->get($this->at($section, "/water/take/csv?of={$tarn}"))->assertOk()->getContent();
        $this->assertStringContainsString('water,what,pass,amount,of,depth_mm', $csv);
        $this->assertStringContainsString('Tarn,holds,,'.round((float) $body?->curve->volume() / 1000.0, 1).',ml', $csv);
        $this->assertStringContainsString('ml resin A', $csv);
        $this->get($this->at($section, '/water/take/pdf?paper=a0'))->assertStatus(422);
        $this->patch($this->at($section, "/waters/{$tarn}"), ['school' => 'water-sheet'])->assertSessionHasNoErrors();
        $svg = (string) $this->get($this->at($section, "/water/take/svg?of={$tarn}"))->assertOk()->getContent();
        $this->assertStringContainsString('piece-W1', $svg);
        $this->get($this->at($section, "/water?pick={$tarn}"))->assertSee('Cut from sheet')->assertSee('1 sheet for 1 piece');
    }

    public function test_a_board_without_water_says_what_to_do(): void
    {
        $section = $this->board();
        $this->get($this->at($section, '/water'))->assertOk()->assertSee('Draw a bank or a stream');
        $this->get($this->at($section, '/water/take/pdf'))->assertStatus(422)->assertSee('Nothing is cut for it');
    }

    public function test_the_demo_shows_tarn_dam_falling_stream_and_mirror(): void
    {
        $layout = $this->demo();
        $board = fn (string $name): Section => $layout->sections()->where('name', $name)->firstOrFail();
        $tarn = $this->survey($board('Tarnhead'))->bodies[0];
        $this->assertSame(['Peat tarn', false], [$tarn->name, $tarn->runsOut()]);
        $this->get($this->at($board('Tarnhead'), '/water'))->assertSee('lies over it already')->assertSee('10 coats');
        $weir = $this->survey($board('Weir Bend'));
        $this->assertTrue($weir->bodies[0]->isStream);
        $this->assertGreaterThan(20.0, array_sum(array_map(fn ($r): float => $r->drop(), $weir->bodies[0]->reaches)));
        $this->assertNotEmpty($weir->bodies[0]->dams);
        $this->assertTrue($weir->mirrors[0]->view->isGood(), 'it shows the scene');
        foreach (['Tarnhead', 'Birch Cutting', 'Weir Bend', 'Fell Halt'] as $name) {
            $this->get($this->at($board($name), '/water'))->assertOk();
        }
    }

    /** @return array{Section, Layout, string} a board with a tarn at its front edge, 12 mm deep */
    private function withTarn(): array
    {
        $section = $this->board();
        $this->post($this->at($section, '/features'), [
            'kind' => 'water',
            'name' => 'Tarn',
            'points' => self::corners([[400, 0], [640, 0], [600, 130], [440, 130]]),
        ])->assertSessionHasNoErrors();
        $layout = $this->layoutOf($section);
        $tarn = $layout->features()->firstOrFail()->uid;

        return [$section, $layout, $tarn];
    }

    /** @return array{Section, Layout, string} a board with a stream that leaves it at the back, looked at from the front */
    private function withBeck(): array
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $this->patch("/layouts/{$layout->uid}", ['viewing_edges' => ['front']] + [
            'name' => 'Trial', 'ratio' => '87.1', 'gauge_mm' => '16.5', 'units' => 'metric',
        ]);
        $layout->refresh()->update(['viewing_edges' => ['front']]);
        $this->post($this->at($section, '/features'), [
            'kind' => 'stream', 'name' => 'Beck', 'points' => self::corners([[600, 200], [600, 600]]),
        ])->assertSessionHasNoErrors();

        return [$section, $layout, $layout->features()->firstOrFail()->uid];
    }

    /** @param  array<string, string>  $with */
    private function shape(Section $section, string $tarn, array $with): void
    {
        $this->patch($this->at($section, "/features/{$tarn}"), $with + [
            'name' => 'Tarn',
            'points' => self::corners([[400, 0], [640, 0], [600, 130], [440, 130]]),
        ])->assertSessionHasNoErrors();
    }

    /**
     * @param  list<array{int, int}>  $at
     * @return list<array{x: string, y: string}>
     */
    private static function corners(array $at): array
    {
        return array_map(fn (array $p): array => ['x' => (string) $p[0], 'y' => (string) $p[1]], $at);
    }

    private function project(Layout $layout): Project
    {
        return app(ProjectLoader::class)->of($layout->fresh() ?? $layout);
    }

    private function survey(Section $section): WaterSurvey
    {
        $project = $this->project($this->layoutOf($section));

        return app(ComputedWater::class)->survey($project, $project->section($section->uid));
    }

    /** @return list<Mirror> */
    private function mirrors(Layout $layout): array
    {
        return $this->project($layout)->works->waters->mirrors;
    }
}
