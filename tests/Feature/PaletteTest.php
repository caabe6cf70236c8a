<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Library\LibraryFiles;
use App\Computed\ProjectLoader;
use IdleRidge\Core\Coats\Coat;
use Tests\Schemas;

/** Colours of a layout: mixed, given to coats, held side by side. */
final class PaletteTest extends FeatureCase
{
    public function test_a_colour_is_mixed_given_to_a_coat_and_kept_while_it_has_it(): void
    {
        $layout = $this->demo();
        $this->get("/layouts/{$layout->uid}/palette")
            ->assertOk()
            ->assertSee('Birch floor')
            ->assertSee('Tarnhead, Meadow')
            ->assertSee('upland, cold');
        $this->post("/layouts/{$layout->uid}/palette", [
            'name' => 'Bracken',
            'season' => 'October',
            'mix' => [
                ['base' => 'burnt sienna', 'parts' => '2'],
                ['base' => 'yellow ochre', 'parts' => '1,5'],
                ['base' => '', 'parts' => ''],
            ],
        ])->assertSessionHasNoErrors();
        $colour = array_values(
            array_filter(app(ProjectLoader::class)->works($layout)->colours, fn ($c): bool => $c->name === 'Bracken'),
        )[0];
        $this->assertSame('2 burnt sienna, 1.5 yellow ochre', $colour->words());
        $coat = app(ProjectLoader::class)->works($layout)->coats[0];
        $zone = array_values(array_filter(app(ProjectLoader::class)->works($layout)->zones, fn ($z): bool => $z->uid === $coat->zone))[0];
        $section = $layout->sections()->where('uid', $zone->section)->firstOrFail();
        $this->patch($this->at($section, "/zones/{$zone->uid}/coats/{$coat->uid}"), ['colour' => $colour->uid])->assertSessionHasNoErrors();
        $this->assertSame(
            $colour->uid,
            array_values(array_filter(app(ProjectLoader::class)->works($layout)->coats, fn (Coat $c): bool => $c->uid === $coat->uid))[0]
                ->colour,
        );
        $this->from('/')->delete("/layouts/{$layout->uid}/palette/{$colour->uid}")->assertSessionHasErrors('colour');
        $this->patch($this->at($section, "/zones/{$zone->uid}/coats/{$coat->uid}"), ['colour' => ''])->assertSessionHasNoErrors();
        $this->delete("/layouts/{$layout->uid}/palette/{$colour->uid}")->assertSessionHasNoErrors();
        $this->patch($this->at($section, "/zones/{$zone->uid}/coats/{$coat->uid}"), ['colour' => $colour->uid])->assertSessionHasErrors(
            'colour',
        );
    }

    public function test_two_colours_side_by_side_and_odd_wishes(): void
    {
        $layout = $this->demo();
        $colours = app(ProjectLoader::class)->works($layout)->colours;
        $this->get("/layouts/{$layout->uid}/palette?one={$colours[0]->uid}&other={$colours[3]->uid}")
            ->assertOk()
            ->assertSee('seen at a glance');
        $this->get("/layouts/{$layout->uid}/palette?one={$colours[1]->uid}&other={$colours[1]->uid}")
            ->assertOk()
            ->assertSee('nobody sees a difference');
        $at = "/layouts/{$layout->uid}/palette";
        foreach (
            [
                'name' => ['mix' => [['base' => 'white', 'parts' => '1']]],
                'mix' => ['name' => 'None'],
                'mix/0/base' => ['name' => 'Odd', 'mix' => [['base' => 'gold', 'parts' => '1']]],
                'mix/0/parts' => ['name' => 'Odd', 'mix' => [['base' => 'white', 'parts' => 'lots']]],
            ] as $place => $input
        ) {
            $this->post($at, $input)->assertSessionHasErrors($place);
        }
        $this->patch("{$at}/{$colours[0]->uid}", [
            'name' => 'Wet peat',
            'mix' => [['base' => 'black', 'parts' => '1']],
        ])->assertSessionHasNoErrors();
        $this->patch("{$at}/{$colours[0]->uid}", [
            'name' => 'Wetter peat',
            'mix' => [['base' => 'black', 'parts' => '1']],
            'seen' => '0',
        ])->assertStatus(409);
        $this->get("/layouts/{$this->layoutOf($this->board())->uid}/palette")->assertOk()->assertSee('Mix a first colour');
    }

    public function test_a_shade_stays_tied_to_its_colour(): void
    {
        $layout = $this->demo();
        $at = "/layouts/{$layout->uid}/palette";
        $all = fn (): array => array_column(
            array_map(fn ($c): array => [$c->name, $c], app(ProjectLoader::class)->works($layout)->colours),
            1,
            0,
        );
        $base = $all()['Wet rock'];
        [$first, $second] = array_slice(array_keys(LibraryFiles::basePaints()), 0, 2);
        $shade = ['name' => 'Lit rock', 'tied' => ['of' => $base->uid, 'base' => $first, 'parts' => '2.5']];
        $this->post($at, $shade)->assertSessionHasNoErrors();
        $lit = $all()['Lit rock'];
        $this->assertEqualsWithDelta(12.5, array_sum(array_column($lit->mix, 'parts')), 1e-3);
        $this->get($at)->assertOk()->assertSee('10 Wet rock, 2.5');
        // The rock is mixed otherwise, and its light with it.
        $this->patch("{$at}/{$base->uid}", ['name' => 'Wet rock', 'mix' => [['base' => $second, 'parts' => '4']]])
            ->assertSessionHasNoErrors();
        $mix = array_column($all()['Lit rock']->mix, 'parts', 'base');
        $this->assertEquals([$second => 10.0, $first => 2.5], $mix);
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertEquals($lit->mix, $all()['Lit rock']->mix);
        foreach (
            [
                'tied/of' => ['of' => $lit->uid, 'base' => $first, 'parts' => '1'],
                'tied/base' => ['of' => $base->uid, 'base' => 'moonlight', 'parts' => '1'],
                'tied/parts' => ['of' => $base->uid, 'base' => $first, 'parts' => '0'],
            ] as $place => $tied
        ) {
            $this->from('/')->post($at, ['name' => 'Odd', 'tied' => $tied])->assertSessionHasErrors($place);
        }
        $floor = ['of' => $all()['Birch floor']->uid, 'base' => $first, 'parts' => '1'];
        $this->from('/')
            ->patch("{$at}/{$base->uid}", ['tied' => $floor, 'name' => 'X'])
            ->assertSessionHasErrors('tied/of');
        $this->from('/')->delete("{$at}/{$base->uid}")->assertSessionHasErrors('colour');
        Schemas::assertMatches('layout', (string) $this->get("/layouts/{$layout->uid}/export")->getContent());
    }
}
