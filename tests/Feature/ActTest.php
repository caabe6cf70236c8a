<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ProjectLoader;
use App\Models\Section;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Plan\Countdown;
use Illuminate\Support\Facades\DB;
use Tests\Schemas;

/** A coat as an act: how it is held, in which order it stands, what is ticked of it while it is laid. */
final class ActTest extends FeatureCase
{
    public function test_a_coat_is_held_as_it_is_told_and_what_cannot_be_is_said_beside_it(): void
    {
        [$board, $zone] = $this->meadow();
        $soil = $this->coat($board, 'sifted-soil');
        $at = $this->at($board, "/zones/{$zone}/coats/{$soil->uid}");
        $way = ['order' => 'flooded', 'wetting' => 'alcohol', 'strength' => '50 %', 'glue' => 'white', 'ratio' => '1 : 1'];
        $this->patch($at, ['way' => $way])
            ->assertRedirect()
            ->assertSessionHasNoErrors();
        $soil = $this->coat($board, 'sifted-soil');
        $this->assertSame('flooded+alcohol-50+white-1-1', $soil->way);
        $this->get($this->at($board, "/coats?zone={$zone}&coat={$soil->uid}"))
            ->assertOk()
            ->assertSee('Mist alcohol 50 % till it is soaked')
            ->assertSee('into the wet')
            ->assertSee('when it is ready for more');
        foreach (
            [
                'white glue 0:0 is nothing' => ['order' => 'flooded', 'glue' => 'white', 'ratio' => '0:0'],
                'cannot be read' => ['order' => 'flooded', 'glue' => 'white', 'ratio' => 'strong'],
                'The strength of the alcohol' => ['order' => 'flooded', 'wetting' => 'alcohol', 'strength' => '5'],
                'There is no way' => ['order' => 'thrown'],
            ] as $says => $way
        ) {
            $this->from('/')->patch($at, ['way' => $way])->assertSessionHasErrors();
            $this->assertStringContainsString($says, implode(' ', session('errors')->all()));
        }
        $this->assertSame('flooded+alcohol-50+white-1-1', $this->coat($board, 'sifted-soil')->way, 'nothing is lost');
        $this->patch($at, ['mm' => '2'])->assertSessionHasNoErrors();
        $this->assertSame('flooded+alcohol-50+white-1-1', $this->coat($board, 'sifted-soil')->way, 'another field leaves it alone');
        $this->patch($at, ['way' => ['order' => '']]);
        $this->assertNull($this->coat($board, 'sifted-soil')->way);
    }

    public function test_a_layout_prefers_a_way_and_its_alcohol_and_every_coat_without_its_own_follows(): void
    {
        [$board, $zone] = $this->meadow();
        $layout = $this->layoutOf($board);
        $cover = ['order' => 'flooded', 'wetting' => 'alcohol', 'glue' => 'acrylic'];
        $ways = ['cover' => $cover, 'fibre' => ['order' => 'patches'], 'ballast' => ['order' => '']];
        $this->patch("/layouts/{$layout->uid}/bench", ['ways' => $ways, 'alcohol' => '70'])->assertSessionHasNoErrors();
        $soil = $this->coat($board, 'sifted-soil');
        $this->assertSame('sifted-soil+flooded+alcohol-33+acrylic-1-3', $soil->recipe->id);
        $this->assertContains('alcohol 70 %', $soil->recipe->materials());
        $this->assertSame('fibre-2mm+patches+basing-1-0', $this->coat($board, 'fibre-2mm')->recipe->id);
        $this->get("/layouts/{$layout->uid}/bench")->assertOk()->assertSee('Alcohol in store');
        $this->patch("/layouts/{$layout->uid}/bench", ['order' => 'board']);
        $this->assertContains('alcohol 70 %', $this->coat($board, 'sifted-soil')->recipe->materials(), 'what is not asked stays');
        $this->from('/')
            ->patch("/layouts/{$layout->uid}/bench", ['ways' => ['cover' => ['strength' => '80'] + $cover]])
            ->assertSessionHasErrors();
        // Whoever wants it otherwise says so on the coat.
        $this->patch($this->at($board, "/zones/{$zone}/coats/{$soil->uid}"), ['way' => ['order' => 'lacquer']]);
        $this->assertSame('sifted-soil+lacquer', $this->coat($board, 'sifted-soil')->recipe->id);
    }

    public function test_what_was_begun_is_held_on_as_it_was(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $works = $this->works($layout);
        $soil = array_values(array_filter($works->laid, fn (CoatApplication $l): bool => $l->recipe->base() === 'sifted-soil'))[0];
        $board = $layout->sections()->where('uid', $soil->section)->firstOrFail();
        $this->patch("/layouts/{$layout->uid}/bench", ['ways' => ['cover' => ['order' => 'lacquer']]])->assertSessionHasNoErrors();
        $layout->refresh();
        $recipes = array_column(array_map(fn (Coat $c): array => [$c->uid, $c->recipe->id], $this->works($layout)->coats), 1, 0);
        $this->assertSame('sifted-soil', $recipes[$soil->coat]);
        $this->assertContains('sifted-soil+lacquer', $recipes, 'what is to come goes by what is preferred now');
        $this->from('/')
            ->patch($this->at($board, "/zones/{$soil->zone}/coats/{$soil->coat}"), ['way' => ['order' => 'flooded']])
            ->assertSessionHasErrors('way.order');
    }

    public function test_a_coat_goes_anywhere_on_its_zone_and_is_planned_there(): void
    {
        [$board, $zone] = $this->meadow();
        $paint = $this->coat($board, 'earth-paint');
        for ($k = 0; $k < 3; $k++) {
            $this->patch($this->at($board, "/zones/{$zone}/coats/{$paint->uid}"), ['by' => 1])->assertSessionHasNoErrors();
        }
        $order = ['pulp-plaster-spreading', 'sifted-soil', 'fibre-2mm', 'fibre-4mm', 'earth-paint'];
        $this->assertSame($order, array_map(fn (Coat $c): string => $c->recipe->id, $this->coats($board)));
        $this->from('/')
            ->patch($this->at($board, "/zones/{$zone}/coats/{$paint->uid}"), ['by' => 1])
            ->assertSessionHasErrors(['coat' => 'Earth paint is the last of its zone already.']);
        $this->post("/layouts/{$this->layoutOf($board)->uid}/undo");
        $this->assertSame('earth-paint', $this->coats($board)[3]->recipe->id);
        $this->get($this->at($board, "/coats?zone={$zone}"))->assertOk()->assertSee('Earth paint belongs under');
    }

    public function test_a_school_keeps_its_own_order_a_dark_base_under_dry_brushing(): void
    {
        [$board, $zone] = $this->meadow();
        $this->post($this->at($board, "/zones/{$zone}/coats"), ['recipe' => 'school:rock-drybrush'])->assertSessionHasNoErrors();
        $ids = array_map(fn (Coat $c): string => $c->recipe->id, $this->coats($board));
        $this->assertSame(
            ['pulp-plaster-spreading', 'earth-paint', 'earth-paint', 'dry-brushing', 'sifted-soil', 'fibre-2mm', 'fibre-4mm'],
            $ids,
        );
    }

    public function test_steps_are_ticked_and_the_clock_runs_from_what_was_wetted(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $move = array_values(array_filter($this->plan($layout)->work->moves, fn ($m): bool => $m->recipe->id === 'stone-ballast'))[0];
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $move->id])->assertSessionHasNoErrors();
        $laid = fn (): CoatApplication => array_values(
            array_filter($this->works($layout)->laid, fn (CoatApplication $l): bool => $l->endedAt === null),
        )[0];
        $uid = $laid()->uid;
        $until = fn (): array => array_column(Countdown::of($this->plan($layout)->work), 'at', 'kind');
        $first = $until()['workable'];
        $this->setClock('2026-10-14T17:41Z');
        $this->post("/layouts/{$layout->uid}/moves/{$uid}/tick", ['step' => 0])->assertRedirect();
        $this->assertArrayNotHasKey('workable', $until(), 'dry still');
        $this->setClock('2026-10-14T17:46Z');
        // A test keeps a route’s controller, and with it the clock of before.
        app('router')->getRoutes()->getByName('moves.tick')?->flushController();
        $this->post("/layouts/{$layout->uid}/moves/{$uid}/tick", ['step' => 1]);
        $this->assertEqualsWithDelta($first + 15, $until()['workable'], 5, 'to the five minutes of the air');
        $this->get("/layouts/{$layout->uid}/tonight")
            ->assertOk()
            ->assertSeeInOrder(['Spread ballast, clear of', '19:41', 'Mist with wet water', '19:46', 'Drip in white glue', 'into the wet']);
        $this->post("/layouts/{$layout->uid}/moves/{$uid}/tick", ['step' => 2]);
        $this->assertArrayNotHasKey('workable', $until(), 'all is in');
        $this->post("/layouts/{$layout->uid}/moves/{$uid}/tick", ['step' => 2]);
        $this->assertSame([0, 1], array_keys($laid()->ticks), 'a second touch takes it back');
        $this->from('/')->post("/layouts/{$layout->uid}/moves/{$uid}/tick", ['step' => 7])->assertSessionHasErrors('ticks');
        $this->post("/layouts/{$layout->uid}/moves/{$uid}/done")->assertSessionHasNoErrors();
        $this->from('/')->post("/layouts/{$layout->uid}/moves/{$uid}/tick", ['step' => 2])->assertSessionHasErrors('move');
    }

    public function test_a_laid_coat_is_stripped_with_what_lies_over_it_and_can_be_turned_back(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $works = $this->works($layout);
        $coat = array_values(array_filter($works->coats, fn (Coat $c): bool => $c->title() === 'Bed paint'))[0];
        $zone = $works->zonesOf($works->zones[0]->section)[$coat->zone];
        $board = $layout->sections()->where('uid', $zone->section)->firstOrFail();
        $this->get($this->at($board, "/coats?zone={$zone->uid}&coat={$coat->uid}"))
            ->assertOk()
            ->assertSee('Strip and redo')
            ->assertSee('Gloss medium')
            ->assertSee('goes too', false);
        $laid = count($works->laid);
        $this->post($this->at($board, "/zones/{$zone->uid}/coats/{$coat->uid}/strip"))->assertRedirect()->assertSessionHasNoErrors();
        $after = $this->works($layout);
        $this->assertSame([$laid - 3, 3], [count($after->laid), count($after->stripped)]);
        $entry = array_reverse(app(ProjectLoader::class)->complete($layout)->works->journal->entries)[0];
        $this->assertSame('stripped', $entry->kind->value);
        $this->assertStringContainsString('Bed paint stripped from Tarn, with Gloss medium', $entry->sentence);
        $again = array_filter($this->plan($layout)->work->moves, fn ($m): bool => $m->coat->uid === $coat->uid);
        $this->assertNotEmpty($again, 'to be laid again');
        $out = (string) $this->get("/layouts/{$layout->uid}/export")->assertOk()->getContent();
        Schemas::assertMatches('layout', $out);
        $this->assertSame(3, substr_count($out, '"stripped_at"'));
        $this->from('/')->post($this->at($board, "/zones/{$zone->uid}/coats/{$coat->uid}/strip"))->assertSessionHasErrors('coat');
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame([$laid, 0], [count($this->works($layout)->laid), count($this->works($layout)->stripped)]);
    }

    public function test_stones_castings_and_joints_are_counted_from_their_sizes(): void
    {
        [$board, $zone] = $this->meadow();
        foreach (['stone-streaks', 'rock-castings', 'concrete-joints'] as $recipe) {
            $this->post($this->at($board, "/zones/{$zone}/coats"), ['recipe' => $recipe])->assertSessionHasNoErrors();
        }
        $at = fn (string $recipe): string => $this->at($board, "/zones/{$zone}/coats/{$this->coat($board, $recipe)->uid}");
        $this->get($at('concrete-joints').'/stick.pdf')->assertUnprocessable()->assertSee('how far apart its joints are');
        $this->patch($at('stone-streaks'), ['pieces' => ['stones' => '60, 150 300', 'stripe' => '40']])->assertSessionHasNoErrors();
        $this->patch($at('rock-castings'), ['pieces' => ['piece' => '80 × 60']])->assertSessionHasNoErrors();
        $this->patch($at('concrete-joints'), ['pieces' => ['joint' => '4.5']])->assertSessionHasNoErrors();
        $page = fn (string $recipe) => $this->get($this->at($board, "/coats?zone={$zone}&coat={$this->coat($board, $recipe)->uid}"));
        $page('stone-streaks')
            ->assertOk()
            ->assertSee('60 mm stone: sieve 0.41 to 0.96 mm')
            ->assertSee('stripes')
            ->assertSee('60, 150, 300');
        $page('rock-castings')->assertOk()->assertSee('castings, with some that break')->assertSee('80 × 60');
        $page('concrete-joints')->assertOk()->assertSee('joints, 51.66 mm apart')->assertSee('stick.pdf');
        $svg = (string) $this->get($at('concrete-joints').'/stick.svg')->assertOk()->getContent();
        $this->assertStringContainsString('4.5 m at 1:87.1', $svg);
        $this->assertStringStartsWith('%PDF', (string) $this->get($at('concrete-joints').'/stick.pdf')->assertOk()->getContent());
        foreach (
            [
                'pieces/stones' => ['stone-streaks', ['stones' => 'small']],
                'pieces/stripe' => ['stone-streaks', ['stripe' => '2']],
                'pieces/piece' => ['rock-castings', ['piece' => '80']],
                'pieces/joint' => ['concrete-joints', ['joint' => '0.01']],
            ] as $place => [$recipe, $pieces]
        ) {
            $this->from('/')->patch($at($recipe), ['pieces' => $pieces, 'mm' => '1']);
            $this->assertTrue(session('errors')?->has($place) ?? false, $place);
        }
        $this->assertSame([60.0, 150.0, 300.0], $this->coat($board, 'stone-streaks')->pieces?->stones);
        Schemas::assertMatches('layout', (string) $this->get("/layouts/{$this->layoutOf($board)->uid}/export")->getContent());
    }

    public function test_a_backdrop_is_a_zone_along_an_edge(): void
    {
        [$board] = $this->meadow();
        $this->post($this->at($board, '/zones'), ['name' => 'Sky', 'backdrop' => 'back', 'backdrop_height' => '350'])
            ->assertRedirect()
            ->assertSessionHasNoErrors();
        $sky = $this->works($this->layoutOf($board))->zones[1];
        $this->assertSame(['edge' => 'back', 'height' => 350.0], $sky->backdrop);
        $this->get($this->at($board, "/coats?zone={$sky->uid}&edit=zone"))->assertOk()->assertSee('so high')->assertSee('350');
        $this->get($this->at($board, "/coats?zone={$sky->uid}"))->assertOk()->assertSee('0.42</span>', false);
        foreach (
            [
                'backdrop/height' => ['backdrop' => 'back', 'backdrop_height' => '5'],
                'backdrop/edge' => ['backdrop' => 'back', 'backdrop_height' => '300', 'slope_to' => '20'],
            ] as $place => $input
        ) {
            $this->from('/')->post($this->at($board, '/zones'), $input + ['name' => 'Odd'])->assertSessionHasErrors($place);
        }
        Schemas::assertMatches('layout', (string) $this->get("/layouts/{$this->layoutOf($board)->uid}/export")->getContent());
    }

    public function test_a_layout_of_before_is_brought_into_its_order_and_can_be_turned_back(): void
    {
        [$board, $zone] = $this->meadow();
        $layout = $this->layoutOf($board);
        $rows = DB::table('coats')->orderBy('position')->get();
        // As they stood before: fibre first, glue a coat of its own under the turf.
        foreach (['fibre-2mm', 'white-glue-neat', 'fine-turf', 'earth-paint', 'scatter-in-paint'] as $k => $recipe) {
            $data = json_encode(['recipe' => $recipe, 'zone' => $zone] + (array) json_decode($rows[$k]->data, true));
            DB::table('coats')->where('id', $rows[$k]->id)->update(['data' => $data]);
        }
        $old = DB::table('coats')->orderBy('position')->pluck('data')->all();
        (require database_path('migrations/2026_11_28_000015_make_coats_acts.php'))->up();
        $this->assertSame(
            ['earth-paint', 'fine-turf+bed-first+water+white-1-3', 'fine-turf+paint', 'fibre-2mm'],
            array_map(fn (Coat $c): string => $c->recipe->id, $this->coats($board)),
        );
        $this->followingRedirects()->post("/layouts/{$layout->uid}/undo")->assertSee('Coats put into the order');
        $this->assertSame($old, DB::table('coats')->orderBy('position')->pluck('data')->all());
        $this->post("/layouts/{$layout->uid}/redo");
        $this->assertCount(4, $this->coats($board));
        $steps = DB::table('revisions')->count();
        (require database_path('migrations/2026_11_28_000015_make_coats_acts.php'))->up();
        $this->assertSame($steps, DB::table('revisions')->count(), 'what is in order stays');
    }

    /** @return array{Section, string} a board with a meadow on it, and its zone */
    private function meadow(): array
    {
        $board = $this->board();
        $this->post($this->at($board, '/zones'), ['name' => 'Meadow', 'build_up' => 'meadow']);

        return [$board, $this->works($this->layoutOf($board))->zones[0]->uid];
    }

    /** @return list<Coat> */
    private function coats(Section $board): array
    {
        $works = $this->works($this->layoutOf($board));

        return $works->coatsOf($works->zones[0]->uid);
    }

    private function coat(Section $board, string $recipe): Coat
    {
        return array_values(array_filter($this->coats($board), fn (Coat $c): bool => $c->recipe->base() === $recipe))[0];
    }
}
