<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Journal\PictureIntake;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Photo as PhotoRow;
use App\Models\Trial as TrialRow;
use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Photo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Drawn;

/** Notes, verdicts, pictures, their colours; what is found again. */
final class JournalTest extends FeatureCase
{
    private const NOW = '2026-10-14T17:31Z';

    public function test_a_finished_move_tells_of_its_work_and_keeps_it(): void
    {
        $layout = $this->evening(self::NOW);
        $move = $this->plan($layout)->moves[0]->move;
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $move->id]);
        $laid = array_values(array_filter($this->works($layout)->laid, fn ($l): bool => $l->endedAt === null))[0];
        $this->setClock('2026-10-14T18:21Z');
        $this->post("/layouts/{$layout->uid}/moves/{$laid->uid}/done");
        $entry = $this->entries($layout)[0];
        $this->assertSame([50, $move->minutes], [$entry->work?->minutes, $entry->work?->estimate]);
        $this->assertSame([$move->zone->name, $move->coat->uid], [$entry->work->zoneName, $entry->work->coat]);
        $this->assertNotSame([], $entry->work->lots, 'what it was drawn from');
        $more = $move->minutes - 50;
        $this->get("/layouts/{$layout->uid}/journal?entry={$entry->uid}")
            ->assertOk()
            ->assertSee($more > 0 ? "{$more} min less than planned" : -$more.' min more than planned')
            ->assertSee($entry->work->lots[0])
            ->assertSee('Over the cure');
        // Whatever becomes of the zone's name, the entry tells of it as it was.
        DB::table('zones')->where('uid', $move->zone->uid)->update(['data' => DB::raw("json_set(data, '$.name', 'Renamed')")]);
        $this->get("/layouts/{$layout->uid}/journal?zone={$move->zone->name}")->assertSee($entry->sentence);
        // Undone, it stays, and another tells of that.
        $this->post("/layouts/{$layout->uid}/undo");
        $this->get("/layouts/{$layout->uid}/journal?entry={$entry->uid}")->assertSee($entry->sentence)->assertSee('undone');
    }

    public function test_notes_and_verdicts_stand_under_what_they_are_about(): void
    {
        $layout = $this->evening(self::NOW);
        $entry = array_values(array_filter($this->entries($layout), fn (JournalEntry $e): bool => $e->kind === JournalKind::Done))[0];
        $page = "/layouts/{$layout->uid}/journal";
        $count = $layout->journalEntries()->count();
        $said = ['note' => "Wet for\nlonger than <b>said</b>.", 'verdict' => 'would not'];
        $this->post($page, ['about' => $entry->uid] + $said)->assertRedirect();
        $note = $this->entries($layout)[0];
        $this->assertSame([$entry->uid, 'would not', $entry->section], [$note->about, $note->verdict?->value, $note->section]);
        $this->get("{$page}?entry={$note->uid}")->assertSee('longer than &lt;b&gt;said', false)->assertSee($entry->sentence);
        // A note about a note is about what that is about.
        $this->post($page, ['about' => $note->uid, 'note' => 'After all not.'])->assertRedirect();
        $this->assertSame($entry->uid, $this->entries($layout)[0]->about);
        // Nothing said, too much said, about nothing, of no board: nothing is written.
        foreach (
            [
                ['about' => $entry->uid, 'note' => '  ', 'verdict' => ''],
                ['about' => $entry->uid, 'note' => str_repeat('x', 200_000)],
                ['about' => 'gone', 'note' => 'x'],
                ['section' => 'gone', 'note' => 'x'],
                ['about' => $entry->uid, 'note' => 'x', 'verdict' => 'perhaps'],
            ] as $bad
        ) {
            $this->from($page)->post($page, $bad)->assertSessionHasErrors();
        }
        $this->assertSame($count + 2, $layout->journalEntries()->count());
        $this->from($page)->post($page, ['about' => $entry->uid, 'note' => str_repeat('x', 4001)])->assertSessionHasErrors([
            'note' => 'A note has at most 4 000 characters; this has 4001. Nothing was written.',
        ]);
    }

    public function test_entries_are_found_by_word_zone_coat_material_day_picture_and_verdict(): void
    {
        $layout = $this->evening(self::NOW);
        $page = "/layouts/{$layout->uid}/journal";
        $soil = 'Sifted soil on Meadow';
        $this->get("{$page}?words=fumes")->assertSee('hot wire')->assertDontSee($soil);
        // What was added is found as what it was added to; words by their beginnings, without their accents.
        $this->get("{$page}?words=crust")->assertSee($soil)->assertDontSee('hot wire');
        $this->get("{$page}?zone=Meadow&coat=sift")->assertSee($soil)->assertDontSee('Earth paint on Meadow');
        $this->get("{$page}?material=gloss")->assertSee('Gloss medium on Tarn')->assertDontSee($soil);
        $this->get("{$page}?verdict=would+not")->assertSee('Gloss medium on Tarn')->assertDontSee($soil);
        $this->get("{$page}?picture=1")->assertSee($soil)->assertDontSee('hot wire');
        $this->get("{$page}?from=2026-10-08&to=2026-10-08")->assertSee($soil)->assertDontSee('Bed paint on Tarn');
        $this->get("{$page}?from=8+October&words=%22%29+OR+x")->assertOk()->assertSee('Nothing is written down of that');
        $this->get("{$page}?before=rubbish&entry=rubbish&section=rubbish")->assertOk();
    }

    public function test_pages_of_the_journal_go_on_where_the_last_ended(): void
    {
        $layout = $this->evening(self::NOW);
        $section = $layout->sections()->firstOrFail()->uid;
        foreach (range(1, 130) as $k) {
            $this->post("/layouts/{$layout->uid}/journal", ['section' => $section, 'note' => "Note no. {$k}."]);
        }
        $seen = [];
        $next = "/layouts/{$layout->uid}/journal";
        while ($next !== null) {
            $html = (string) $this->get($next)->assertOk()->getContent();
            preg_match_all('/Note no\. (\d+)\./', $html, $found);
            array_push($seen, ...array_map(intval(...), $found[1]));
            $next = preg_match('/href="([^"]*before=[^"]*)"/', $html, $older) === 1 ? html_entity_decode($older[1]) : null;
        }
        $this->assertSame(range(130, 1), $seen);
    }

    public function test_a_sections_history_and_the_table_of_all_entries(): void
    {
        $layout = $this->evening(self::NOW);
        $board = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        $html = (string) $this->get("/layouts/{$layout->uid}/journal/sections/{$board->uid}")->assertOk()->getContent();
        $first = strpos($html, 'Frame of Tarnhead');
        $this->assertNotFalse($first);
        $this->assertGreaterThan($first, strpos($html, 'Sifted soil on Meadow'), 'oldest first');
        $this->assertStringContainsString('-middle.jpg', $html);
        $csv = (string) $this->get("/layouts/{$layout->uid}/journal.csv")->assertOk()->getContent();
        $this->assertSame($layout->journalEntries()->count() + 1, substr_count($csv, "\r\n"));
        $this->assertStringStartsWith('when,kind,section,zone,coat,what,', $csv);
        $this->assertStringContainsString('2026-10-08', $csv);
    }

    public function test_a_picture_from_a_phone_comes_in_upright_and_without_what_it_carries(): void
    {
        $layout = $this->evening(self::NOW);
        $section = $layout->sections()->firstOrFail()->uid;
        $count = $layout->journalEntries()->count();
        $this->send($layout, Drawn::phone(3000, 2000, '#7d8a4a'), ['section' => $section, 'caption' => 'From the phone'])->assertRedirect();
        $photo = $this->photo($layout);
        // Turned by a quarter it stands; the longer edge is 2048.
        $this->assertSame([1365, 2048], [$photo->width, $photo->height]);
        $this->assertSame($count + 1, $layout->journalEntries()->count());
        $this->assertSame('From the phone', $this->entries($layout)[0]->sentence);
        foreach (Photo::SIZES as $size => $edge) {
            $bytes = (string) $this->get("/layouts/{$layout->uid}/pictures/{$photo->hash}-{$size}.jpg")->assertOk()->getContent();
            $this->assertSame($edge, (getimagesizefromstring($bytes) ?: [0, 0])[1]);
            foreach (['Exif', 'SN-4711', 'GPS', "MM\0*"] as $trace) {
                $this->assertStringNotContainsString($trace, $bytes);
            }
        }
        // Another layout does not have it, and nobody guesses.
        $other = $this->demo();
        $this->get("/layouts/{$other->uid}/pictures/{$photo->hash}-small.jpg")->assertNotFound();
        $this->get("/layouts/{$layout->uid}/pictures/..%2F..-small.jpg")->assertNotFound();
        // Undone, the picture goes and the entry stays.
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertNull($layout->photos()->where('uid', $photo->uid)->first());
        $this->get("/layouts/{$layout->uid}/journal?words=phone")->assertSee('From the phone');
    }

    public function test_what_is_no_picture_is_told_and_nothing_is_done(): void
    {
        $layout = $this->evening(self::NOW);
        $section = $layout->sections()->firstOrFail()->uid;
        $before = [$layout->photos()->count(), $layout->journalEntries()->count(), $layout->revisions()->count()];
        $text = Drawn::file('jpg');
        file_put_contents($text, 'not a picture at all');
        $cut = Drawn::file('jpg');
        file_put_contents($cut, substr((string) file_get_contents(Drawn::jpeg(400, 300, '#808080')), 0, 300));
        $heavy = Drawn::file('jpg');
        file_put_contents($heavy, str_repeat('x', PictureIntake::MAX_BYTES + 1));
        foreach (
            [
                'no picture' => $text,
                'cannot be read' => $cut,
                'larger than 20 MB' => $heavy,
                '30000 × 30000 pixels' => Drawn::declared(30_000, 30_000),
            ] as $why => $file
        ) {
            $this->from('/')->send($layout, $file, ['section' => $section])->assertSessionHasErrors('picture');
            $this->assertStringContainsString($why, session('errors')->first('picture'));
        }
        $this->from('/')->send($layout, Drawn::jpeg(40, 30, '#808080'), ['section' => 'gone'])->assertSessionHasErrors('section');
        $this->from('/')->post("/layouts/{$layout->uid}/photos", ['section' => $section])->assertSessionHasErrors('picture');
        $this->assertSame($before, [$layout->photos()->count(), $layout->journalEntries()->count(), $layout->revisions()->count()]);
    }

    public function test_a_touched_spot_gives_its_colour_and_what_mixes_to_it(): void
    {
        $layout = $this->evening(self::NOW);
        $section = $layout->sections()->firstOrFail()->uid;
        $this->send($layout, Drawn::jpeg(800, 600, '#6b5a3a'), ['section' => $section]);
        $row = $layout->photos()->get()->last() ?? new PhotoRow();
        $page = "/layouts/{$layout->uid}/photos/{$row->uid}";
        $this->get($page)->assertSee('Touch a spot of the picture');
        $this->post("{$page}/touch", ['what' => 'patch', 'x' => '0.7', 'y' => '0.7'])->assertRedirect();
        $seen = Pigment::hex((string) $this->photo($layout)->patch['hex']);
        $this->assertLessThan(1.5, $seen->apart(Pigment::hex('#6b5a3a')));
        $this->get($page)->assertSee('CIELAB')->assertSee('To the palette')->assertSee('in the light it was taken in');
        $this->post("{$page}/touch", ['what' => 'white', 'x' => '0.1', 'y' => '0.1'])->assertRedirect();
        $this->get($page)->assertSee('balanced by the white card');
        $this->from($page)->post("{$page}/touch", ['what' => 'white', 'x' => '0.7', 'y' => '0.7'])->assertRedirect();
        $this->from($page)->post("{$page}/touch", ['what' => 'patch', 'x' => '1.2', 'y' => '0.7'])->assertSessionHasErrors('x');
        $this->from($page)->post("{$page}/touch", ['what' => 'patch'])->assertSessionHasErrors('patch');
        // A mix goes to the palette as it is offered.
        preg_match_all('/name="(mix\[\d\]\[\w+\])" value="([^"]*)"/', (string) $this->get($page)->getContent(), $mix);
        $fields = [];
        foreach ($mix[1] as $k => $name) {
            $fields[$name] ??= $mix[2][$k];
        }
        parse_str(http_build_query($fields), $typed);
        $this->post("/layouts/{$layout->uid}/palette", ['name' => 'From the picture'] + $typed)->assertSessionHasNoErrors();
        $this->delete("{$page}/touch")->assertRedirect();
        $this->assertNull($this->photo($layout)->patch);
    }

    public function test_a_picture_has_a_place_and_is_pinned_and_held_against_another(): void
    {
        $layout = $this->evening(self::NOW);
        $board = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        $rows = $layout->photos()->get();
        $page = "/layouts/{$layout->uid}/photos/{$rows[1]->uid}";
        $this->get("{$page}?with={$rows[2]->uid}")->assertOk()->assertSee('The touched spots are')->assertSee('data-slide', false);
        $this->patch($page, ['x' => '30 cm', 'y' => '-10', 'heading' => '45', 'caption' => 'Seen low', 'pin' => 'coats', 'zone' => ''])
            ->assertSessionHasNoErrors();
        $photo = array_values(array_filter($this->photos($layout), fn (Photo $p): bool => $p->uid === $rows[1]->uid))[0];
        $this->assertSame(['x' => 300.0, 'y' => -10.0, 'heading' => 45.0], $photo->place);
        $this->get("/layouts/{$layout->uid}/sections/{$board->uid}/coats")->assertSee('Seen low');
        $this->get("/layouts/{$layout->uid}/sections/{$board->uid}/land")->assertDontSee('Seen low');
        $this->from($page)->patch($page, ['x' => 'far', 'y' => '0', 'heading' => '0'])->assertSessionHasErrors('x');
        $this->from($page)->patch($page, ['caption' => str_repeat('x', 201)])->assertSessionHasErrors('caption');
        $this->patch($page, ['x' => '', 'y' => ''])->assertSessionHasNoErrors();
        $this->delete($page)->assertRedirect();
        $this->get($page)->assertNotFound();
    }

    public function test_a_zone_is_matched_on_another(): void
    {
        $layout = $this->evening(self::NOW);
        $zones = array_column($this->works($layout)->zones, 'uid', 'name');
        $page = "/layouts/{$layout->uid}/journal/match";
        $this->get("{$page}?from={$zones['Meadow']}&to={$zones['Birch bank']}")
            ->assertOk()
            ->assertSee('Birch floor')
            ->assertSee('apart')
            ->assertDontSee('Lay the same on');
        $this->get("{$page}?from=gone&to=gone")->assertOk()->assertSee('Choose the zone that looks right');
        $board = $layout->sections()->where('name', 'Birch Cutting')->firstOrFail();
        $this->post("/layouts/{$layout->uid}/sections/{$board->uid}/zones", ['name' => 'Bare strip', 'outline' => '20,20 200,20 200,200']);
        $bare = array_column($this->works($layout)->zones, 'uid', 'name')['Bare strip'] ?? null;
        $this->assertNotNull($bare);
        $this->get("{$page}?from={$zones['Meadow']}&to={$bare}")->assertSee('Lay the same on Bare strip');
        $this->post($page, ['from' => $zones['Meadow'], 'to' => $bare])->assertSessionHasNoErrors();
        $coats = fn (string $zone): array => array_values(array_map(
            fn ($c): array => [$c->recipe->id, $c->mm, $c->share, $c->colour],
            array_filter($this->works($layout)->coats, fn ($c): bool => $c->zone === $zone),
        ));
        $this->assertSame($coats($zones['Meadow']), $coats($bare));
        $this->from($page)->post($page, ['from' => $zones['Meadow'], 'to' => $bare])->assertSessionHasErrors('to');
    }

    public function test_a_trial_becomes_a_recipe(): void
    {
        $layout = $this->evening(self::NOW);
        $page = "/layouts/{$layout->uid}/trials";
        $this->get($page)->assertOk()->assertSee('Soil of two grains');
        $this->post($page, ['name' => 'Thick paint', 'recipe' => 'earth-paint', 'wide' => '100', 'deep' => '100', 'mm' => ''])
            ->assertSessionHasNoErrors();
        $row = $layout->trials()->get()->last() ?? new TrialRow();
        $this->from($page)->post("{$page}/{$row->uid}/recipe")->assertSessionHasErrors('trial');
        $said = json_decode($row->data)->amounts[0]->said;
        $this->patch("{$page}/{$row->uid}", [
            'used' => [(string) (1.5 * $said)],
            'minutes' => '6.6',
            'dry' => '',
            'verdict' => 'would do again',
            'note' => 'Covers at once.',
        ])->assertSessionHasNoErrors();
        $this->assertSame(JournalKind::Tried, $this->entries($layout)[0]->kind);
        $this->post("{$page}/{$row->uid}/recipe")->assertSessionHasNoErrors();
        $own = array_values(array_filter($this->works($layout)->recipes, fn ($o): bool => $o->recipe->name === 'Thick paint'))[0];
        $this->assertEqualsWithDelta(1.5 * 167.0, $own->recipe->parts[0]->value, 1.0);
        $this->assertEqualsWithDelta(1.6, $own->recipe->labour->perDm2, 0.01);
        foreach ([['name' => ''], ['recipe' => 'moon-dust'], ['wide' => '0.1']] as $bad) {
            $this->from($page)->post($page, $bad + ['name' => 'x', 'recipe' => 'earth-paint'])->assertSessionHasErrors();
        }
        $this->delete("{$page}/{$row->uid}")->assertRedirect();
        $this->assertNull($layout->trials()->where('uid', $row->uid)->first());
    }

    public function test_a_figure_that_came_out_often_enough_is_taken_over(): void
    {
        $layout = $this->evening(self::NOW);
        $page = "/layouts/{$layout->uid}/library";
        $this->get("{$page}?recipe=earth-paint")
            ->assertSee('As it came out with you')
            ->assertSee('Take it over')
            ->assertSee('the recipe has 0.8');
        $before = $this->minutesOf($layout, 'earth-paint');
        $this->post("{$page}/earth-paint/yours", ['what' => 'work'])->assertSessionHasNoErrors();
        $own = array_values(array_filter($this->works($layout)->recipes, fn ($o): bool => $o->recipe->id === 'earth-paint'))[0];
        $this->assertGreaterThan(0.95, $own->recipe->labour->perDm2);
        $this->assertGreaterThan($before, $this->minutesOf($layout, 'earth-paint'), 'the plan reckons with it');
        // Twice is an accident.
        $this->get("{$page}?recipe=casting-plaster")->assertSee('As it came out with you')->assertDontSee('Take it over');
        $this->from($page)->post("{$page}/casting-plaster/yours", ['what' => 'work'])->assertSessionHasErrors('yours');
        $this->from($page)->post("{$page}/earth-paint/yours", ['what' => 'luck'])->assertSessionHasErrors('yours');
    }

    public function test_anything_is_found_by_its_words(): void
    {
        $layout = $this->evening(self::NOW);
        $found = fn (string $for) => $this->get("/layouts/{$layout->uid}/find?for=".urlencode($for))->assertOk();
        $found('tarnhead')->assertSee('Sections')->assertSee('history');
        $found('crag')->assertSee('Zones')->assertSee('Rock plaster');
        $found('two lots one colour')->assertDontSee('Rules');
        $found('one lot')->assertSee('Rules')->assertSee('rules#lot-differs', false);
        $found('shopping')->assertSee('Shopping list');
        $found('fumes')->assertSee('Journal')->assertSee('hot wire');
        $found('qqq')->assertSee('Nothing here is called that');
        $found('"%_*')->assertOk();
    }

    private function minutesOf(Layout $layout, string $recipe): int
    {
        $moves = array_filter($this->plan($layout->refresh())->work->moves, fn ($m): bool => $m->recipe->id === $recipe);

        return array_sum(array_map(fn ($m): int => $m->minutes, $moves));
    }

    /** @param  array<string, string>  $with */
    private function send(Layout $layout, string $file, array $with): TestResponse
    {
        $upload = new UploadedFile($file, 'IMG_0042.jpg', null, null, true);

        return $this->post("/layouts/{$layout->uid}/photos", $with + ['picture' => $upload]);
    }

    private function photo(Layout $layout): Photo
    {
        $newest = $layout->photos()->get()->last() ?? new PhotoRow();

        return array_values(array_filter($this->photos($layout), fn (Photo $p): bool => $p->uid === $newest->uid))[0];
    }

    /** @return list<Photo> */
    private function photos(Layout $layout): array
    {
        return app(ProjectLoader::class)->complete($layout->refresh())->works->journal->photos;
    }

    /** @return list<JournalEntry> newest first */
    private function entries(Layout $layout): array
    {
        return array_reverse(app(ProjectLoader::class)->complete($layout->refresh())->works->journal->entries);
    }
}
