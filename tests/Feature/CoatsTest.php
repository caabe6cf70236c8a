<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ProjectLoader;
use App\Models\Section;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Zone;

/** Zones and coats as a builder makes them. */
final class CoatsTest extends FeatureCase
{
    public function test_a_zone_by_rule_with_a_build_up_stands_as_a_core_sample(): void
    {
        $board = $this->board();
        $this->get($this->at($board, '/coats'))->assertOk()->assertSee('A new zone')->assertSee('None yet');
        $this->post($this->at($board, '/zones'), ['name' => 'Meadow', 'build_up' => 'meadow'])->assertRedirect();
        $zone = $this->zones($board)[0];
        $this->assertSame(['pulp-plaster-spreading', 'earth-paint', 'sifted-soil', 'fibre-2mm', 'fibre-4mm'], $this->recipes($board));
        $this->get($this->at($board, "/coats?zone={$zone->uid}"))
            ->assertOk()
            ->assertSee('0 of 5 laid')
            ->assertSee('0.72')
            ->assertSee('Pulp plaster');
    }

    public function test_what_cannot_be_is_said_beside_its_field_and_nothing_is_lost(): void
    {
        $board = $this->board();
        $from = $this->at($board, '/coats');
        foreach (
            [
                'outline' => ['name' => 'Far', 'outline' => '3000,3000 3100,3000 3100,3100'],
                'slope/to' => ['name' => 'Steep', 'slope_from' => '50', 'slope_to' => '20'],
                'slope_from' => ['name' => 'Steep', 'slope_from' => 'steep'],
                'near_to' => ['name' => 'Line', 'near' => 'any'],
                'without' => ['name' => 'Rest', 'without' => ['01M4XP8VJ0AA848EVX2ZA1QYZS']],
            ] as $field => $input
        ) {
            $this->from($from)
                ->post($this->at($board, '/zones'), $input + ['form' => 'new-zone'])
                ->assertRedirect($from)
                ->assertSessionHasErrors($field);
        }
        $this->from($from)
            ->post($this->at($board, '/zones'), ['name' => 'Odd', 'outline' => '1,2 three'])
            ->assertSessionHasErrors(['outline' => '“three” is not a corner; type each as x,y with a semicolon between.']);
        $this->assertSame([], $this->zones($board));
        $this->followingRedirects()
            ->from($from)
            ->post($this->at($board, '/zones'), ['form' => 'new-zone', 'name' => 'Odd', 'outline' => '1,2 three'])
            ->assertSee('value="1,2 three"', false);
    }

    public function test_a_zone_drawn_on_land_keeps_its_corners_when_the_board_is_turned(): void
    {
        $board = $this->board();
        $this->withHeaders(['HX-Request' => 'true'])
            ->post($this->at($board, '/zones'), [
                'points' => [['x' => '100', 'y' => '100'], ['x' => '300', 'y' => '100'], ['x' => '300', 'y' => '250']],
            ])
            ->assertStatus(204)
            ->assertHeader('HX-Redirect');
        $this->patch($this->at($board), ['x_mm' => '500', 'angle_deg' => '90'])->assertRedirect();
        [$zone] = $this->zones($board);
        $this->assertEqualsWithDelta([[400.0, 100.0], [400.0, 300.0], [250.0, 300.0]], $zone->outline, 1e-9);
        $this->flushHeaders();
        $this->get($this->at($board, "/coats?zone={$zone->uid}&edit=zone"))->assertSee('100,100 300,100 300,250')->assertSee('Zone 1');
    }

    public function test_coats_are_changed_moved_and_removed_and_undone(): void
    {
        $board = $this->board();
        $this->post($this->at($board, '/zones'), ['name' => 'Meadow']);
        $zone = $this->zones($board)[0]->uid;
        foreach (['fibre-4mm', 'fibre-2mm', 'earth-paint'] as $recipe) {
            $this->post($this->at($board, "/zones/{$zone}/coats"), ['recipe' => $recipe])->assertRedirect();
        }
        $this->assertSame(['earth-paint', 'fibre-4mm', 'fibre-2mm'], $this->recipes($board), 'earth comes first by its stage');
        [, $long, $short] = $this->coats($board);
        $this->patch($this->at($board, "/zones/{$zone}/coats/{$short->uid}"), ['by' => -1])->assertRedirect();
        $this->assertSame(['earth-paint', 'fibre-2mm', 'fibre-4mm'], $this->recipes($board));
        $this->patch($this->at($board, "/zones/{$zone}/coats/{$long->uid}"), [
            'mm' => '0.3',
            'share' => '40',
            'passes' => '2',
            'name' => 'Bents',
        ])
            ->assertRedirect()
            ->assertSessionHasNoErrors();
        $coat = $this->coats($board)[2];
        $this->assertSame([0.3, 0.4, 2, 'Bents'], [$coat->mm, $coat->share, $coat->passes, $coat->name]);
        $this->patch($this->at($board, "/zones/{$zone}/coats/{$long->uid}"), ['share' => '50', 'seen' => '0'])
            ->assertStatus(409)
            ->assertSee('0.4')
            ->assertSee('0.5');
        $this->from('/')
            ->patch($this->at($board, "/zones/{$zone}/coats/{$long->uid}"), ['passes' => '99'])
            ->assertSessionHasErrors('passes');
        $this->delete($this->at($board, "/zones/{$zone}/coats/{$long->uid}"))->assertRedirect();
        $this->assertCount(2, $this->coats($board));
        $this->post("/layouts/{$this->layoutOf($board)->uid}/undo");
        $this->assertSame('Bents', $this->coats($board)[2]->name);
        $this->post($this->at($board, "/zones/{$zone}/coats"), ['recipe' => 'moon-dust'])->assertSessionHasErrors('recipe');
    }

    public function test_a_board_removed_takes_its_zones_along_and_brings_them_back(): void
    {
        $board = $this->board();
        $this->post($this->at($board, '/zones'), ['name' => 'Meadow', 'build_up' => 'meadow']);
        $layout = $this->layoutOf($board);
        $this->delete($this->at($board))->assertRedirect();
        $this->assertSame([0, 0], [$layout->zones()->count(), $layout->coats()->count()]);
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk();
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame([1, 5], [$layout->zones()->count(), $layout->coats()->count()]);
        $this->get($this->at($board, '/coats'))->assertOk()->assertSee('Meadow');
    }

    public function test_a_zone_that_is_used_or_left_out_cannot_vanish_silently(): void
    {
        $board = $this->board();
        $this->post($this->at($board, '/zones'), ['name' => 'Track', 'slope_to' => '20']);
        $track = $this->zones($board)[0]->uid;
        $this->post($this->at($board, '/zones'), ['name' => 'Rest', 'without' => [$track]]);
        $this->from('/')->delete($this->at($board, "/zones/{$track}"))->assertSessionHasErrors('without');
        $this->assertCount(2, $this->zones($board));
    }

    /** @return list<Zone> */
    private function zones(Section $board): array
    {
        return app(ProjectLoader::class)->works($this->layoutOf($board))->zones;
    }

    /** @return list<Coat> of the first zone, as they are laid */
    private function coats(Section $board): array
    {
        $works = app(ProjectLoader::class)->works($this->layoutOf($board));

        return $works->coatsOf($works->zones[0]->uid);
    }

    /** @return list<string> */
    private function recipes(Section $board): array
    {
        return array_map(fn (Coat $c): string => $c->recipe->id, $this->coats($board));
    }
}
