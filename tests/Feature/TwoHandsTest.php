<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Ledger\Ledger;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Section;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** A phone and a desk on one layout: each says what it saw, nothing is overwritten in silence, and what is done once is done once. */
final class TwoHandsTest extends FeatureCase
{
    public function test_a_write_says_what_it_was_made_from(): void
    {
        $section = $this->board();
        foreach (['', 'x', '-1', '1e3', '9999999999999999', ['1']] as $seen) {
            $this->from('/')
                ->post($this->at($section, '/features'), [
                    'kind' => 'spot',
                    'points' => [['x' => '100', 'y' => '100', 'z' => '5']],
                    'seen' => $seen,
                ])
                ->assertSessionHasErrors('form');
        }
        $this->assertSame(0, LandFeature::query()->count());
        $page = (string) $this->get($this->at($section, '/land'))
            ->assertOk()
            ->assertHeader('X-Seen', (string) $this->step($section))
            ->getContent();
        $this->assertStringContainsString('name="seen" value="'.$this->step($section).'"', $page);
        $this->assertSame(substr_count($page, 'method="post"'), substr_count($page, 'name="seen"'), 'every form of the page says it');
    }

    public function test_what_one_changed_the_other_does_not_overwrite_unseen(): void
    {
        [$section, $spot] = $this->spot();
        $seen = $this->step($section);
        $this->grip($section, ['uid' => $spot->uid, 'drag' => 'point', 'index' => 0, 'x' => '400', 'y' => '300'], $seen)->assertOk();
        $this->grip($section, ['uid' => $spot->uid, 'drag' => 'point', 'index' => 0, 'x' => '700', 'y' => '300'], $seen)
            ->assertStatus(409)
            ->assertSee('changed elsewhere');
        $this->assertEquals(400, $spot->fresh()?->points[0]['x_mm']);
        $this->delete($this->at($section, "/features/{$spot->uid}"), ['seen' => (string) $seen])->assertStatus(409);
        $this->assertNotNull($spot->fresh());
        $this->post($this->at($section, '/features'), [
            'kind' => 'spot',
            'points' => [['x' => '900', 'y' => '100', 'z' => '5']],
            'seen' => (string) $seen,
        ])->assertSessionHasNoErrors();
        $this->assertSame(6, LandFeature::query()->count(), 'what lies beside it is nobody else’s');
        $this->delete($this->at($section, "/features/{$spot->uid}"))->assertSessionHasNoErrors();
        $this->assertNull($spot->fresh());
    }

    public function test_a_board_takes_along_what_others_changed_on_it_meanwhile(): void
    {
        [$section, $spot] = $this->spot();
        $layout = $this->layoutOf($section);
        $seen = (string) $this->step($section);
        $this->grip($section, ['uid' => $spot->uid, 'drag' => 'point', 'index' => 0, 'x' => '500', 'y' => '300'], (int) $seen)->assertOk();
        $this->patch("/layouts/{$layout->uid}/sections/{$section->uid}", ['x_mm' => '1000', 'seen' => $seen])
            ->assertSessionHasNoErrors()
            ->assertRedirect();
        $this->assertEqualsWithDelta(1500.0, $spot->fresh()?->points[0]['x_mm'], 1e-9);
        $this->patch("/layouts/{$layout->uid}/sections/{$section->uid}", ['x_mm' => '2000', 'seen' => $seen])
            ->assertStatus(409)
            ->assertSee('Show what stands now');
    }

    public function test_a_step_by_a_key_adds_to_what_stands(): void
    {
        [$section, $spot] = $this->spot();
        $seen = $this->step($section);
        foreach ([1, 1, 10] as $dz) {
            $this->grip($section, ['uid' => $spot->uid, 'drag' => 'height', 'index' => 0, 'dz' => (string) $dz], $seen)->assertOk();
        }
        $this->assertEquals(62, $spot->fresh()?->points[0]['z_mm']);

        $this->post($this->at($section, '/features'), [
            'kind' => 'ridge',
            'points' => [['x' => '100', 'y' => '300', 'z' => '50'], ['x' => '300', 'y' => '300', 'z' => '60']],
        ]);
        $ridge = LandFeature::query()->where('kind', 'ridge')->firstOrFail();
        $seen = $this->step($section);
        $this->grip($section, ['uid' => $ridge->uid, 'drag' => 'insert', 'index' => 0], $seen)->assertOk();
        $this->grip($section, ['uid' => $ridge->uid, 'drag' => 'height', 'index' => 1, 'dz' => '5'], $seen)->assertStatus(409);
        $this->assertEquals([50, 55, 60], array_column($ridge->fresh()->points ?? [], 'z_mm'), 'the second point is another one now');
    }

    public function test_undo_takes_back_what_was_seen_and_nothing_else(): void
    {
        [$section, $spot] = $this->spot();
        $layout = $this->layoutOf($section);
        $seen = (string) $this->step($section);
        $this->grip($section, ['uid' => $spot->uid, 'drag' => 'height', 'index' => 0, 'dz' => '9'], (int) $seen)->assertOk();
        $undo = fn (?string $seen): TestResponse => $this->followingRedirects()
            ->from($this->at($section, '/land'))
            ->post("/layouts/{$layout->uid}/undo", $seen === null ? [] : ['seen' => $seen]);
        $undo($seen)->assertSee('was done on another device meanwhile');
        $this->assertEquals(59, $spot->fresh()?->points[0]['z_mm']);
        $undo(null)->assertSee('Undone: Spot set to 59 mm.');
        $this->assertEquals(50, $spot->fresh()?->points[0]['z_mm']);
        $this->get("/layouts/{$layout->uid}/step?seen={$seen}")
            ->assertOk()
            ->assertJson(['said' => 'Spot set to 59 mm']);
        $this->get("/layouts/{$layout->uid}/step?seen={$this->step($section)}")->assertNoContent();
    }

    public function test_a_move_is_begun_and_done_once_whoever_touches_first(): void
    {
        $layout = $this->evening('2026-10-14T17:10:00Z');
        $there = "/layouts/{$layout->uid}";
        $move = $this->plan($layout)->moves[0]->move->id;
        $seen = (string) (int) $layout->revisions()->max('id');
        $laid = $layout->applications()->count();
        $this->from("{$there}/tonight")
            ->post("{$there}/moves", ['move' => $move, 'seen' => $seen])
            ->assertSessionHasNoErrors();
        $this->from("{$there}/tonight")
            ->post("{$there}/moves", ['move' => $move, 'seen' => $seen])
            ->assertSessionHasErrors('move');
        $this->assertSame($laid + 1, $layout->applications()->count());
        $open = $layout->applications()->reorder('id', 'desc')->firstOrFail();
        $notes = $layout->journalEntries()->count();
        $seen = (string) (int) $layout->revisions()->max('id');
        $this->post("{$there}/moves/{$open->uid}/done", ['seen' => $seen])->assertSessionHasNoErrors();
        $this->followingRedirects()
            ->from("{$there}/tonight")
            ->post("{$there}/moves/{$open->uid}/done", ['seen' => $seen])
            ->assertSee('is finished already');
        $this->assertSame($notes + 1, $layout->journalEntries()->count());
        $this->from("{$there}/tonight")->post("{$there}/moves/01ARZ3NDEKTSV4RRFFQ69G5FAV/done")->assertSessionHasErrors('move');
    }

    public function test_the_journal_is_written_with_what_it_tells_of_or_neither(): void
    {
        $layout = $this->evening('2026-10-14T17:10:00Z');
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $this->plan($layout)->moves[0]->move->id])->assertSessionHasNoErrors();
        $open = $layout->applications()->reorder('id', 'desc')->firstOrFail();
        $before = [$open->data, $layout->revisions()->count(), $layout->journalEntries()->count()];
        DB::statement("create trigger no_more before insert on journal_entries begin select raise(abort, 'the pen is dry'); end");
        $this->post("/layouts/{$layout->uid}/moves/{$open->uid}/done")->assertStatus(500);
        $this->assertSame($before, [$open->fresh()?->data, $layout->revisions()->count(), $layout->journalEntries()->count()]);
        DB::statement("create trigger no_room before insert on rooms begin select raise(abort, 'no room'); end");
        $layouts = Layout::query()->count();
        $this->post('/layouts', ['name' => 'Half', 'ratio' => '87.1', 'gauge_mm' => '16.5', 'units' => 'metric'])->assertStatus(500);
        $this->assertSame($layouts, Layout::query()->count());
    }

    public function test_sheets_are_cut_once_and_counted_as_they_were_shown(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        $cut = fn (string $seen): TestResponse => $this->followingRedirects()
            ->from($this->at($section, '/cuts'))
            ->post($this->at($section, '/cuts/cut'), ['seen' => $seen]);
        $seen = (string) (int) $layout->revisions()->max('id');
        $cut($seen)->assertDontSee('a moment ago');
        $moved = $layout->movements()->count();
        $cut($seen)->assertSee('was done on another device a moment ago');
        $this->assertSame($moved, $layout->movements()->count());

        $store = $this->works($layout)->store;
        $lot = array_values(array_filter($store->sheetLots(), fn ($l): bool => $store->count($l->uid) > 0))[0];
        $count = fn (string $typed, string $shown): TestResponse => $this->post($this->at($section, '/cuts/store'), [
            'lots' => [$lot->uid => $typed],
            'shown' => [$lot->uid => $shown],
        ]);
        $now = $store->count($lot->uid);
        $count((string) ($now + 2), (string) ($now + 2))->assertSessionHasNoErrors();
        $this->assertSame($now, $this->works($layout)->store->count($lot->uid), 'what nobody typed anew was not counted');
        $count((string) ($now + 2), (string) ($now + 1))->assertStatus(409);
        $count((string) ($now + 2), (string) $now)->assertSessionHasNoErrors();
        $this->assertSame($now + 2, $this->works($layout)->store->count($lot->uid));
    }

    public function test_the_data_itself_holds_what_must_be(): void
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $again = ['layout_id' => $layout->id, 'uid' => '01ARZ3NDEKTSV4RRFFQ69G5FAV'];
        $refused = function (string $table, array $row) use ($again): void {
            try {
                DB::table($table)->insert($row + $again);
                $this->fail("{$table} took what it must not take");
            } catch (QueryException $refused) {
                $this->assertMatchesRegularExpression('/constraint|JSON object/', $refused->getMessage());
            }
        };
        $refused(
            'sections',
            ['name' => 'BOARD'] + array_diff_key($section->getRawOriginal(), ['id' => 0, 'uid' => 0, 'layout_id' => 0, 'name' => 0]),
        );
        foreach (['{', '[]', '7', '"x"'] as $data) {
            $refused('coats', ['data' => $data]);
        }
        DB::table('applications')->insert($again + ['data' => '{"started_at":"2026-10-14T17:10Z"}']);
        $refused('applications', ['uid' => '01ARZ3NDEKTSV4RRFFQ69G5FAW', 'data' => '{}']);
        $refused('rooms', ['layout_id' => 99_999, 'data' => '{}']);
        $this->from('/')
            ->post("/layouts/{$layout->uid}/sections", ['name' => 'board', 'width_mm' => '600', 'depth_mm' => '300'])
            ->assertSessionHasErrors(['name' => 'There is one of that name already.']);
    }

    public function test_a_layout_that_cannot_be_read_hides_no_other_and_finds_its_way_back(): void
    {
        $good = $this->demo();
        [$section, $spot] = $this->spot();
        $layout = $this->layoutOf($section);
        $this->grip($section, ['uid' => $spot->uid, 'drag' => 'height', 'index' => 0, 'dz' => '4'], $this->step($section));
        foreach (
            [
                fn () => $layout
                    ->rooms()
                    ->firstOrFail()
                    ->forceFill(['data' => '{"name":7}'])
                    ->save(),
                fn () => $layout->forceFill(['units' => 'cubits'])->save(),
                fn () => DB::table('runs')->insert($this->oddRun($layout)),
            ] as $k => $break
        ) {
            DB::beginTransaction();
            $break();
            $this->get('/')
                ->assertOk()
                ->assertSee($good->name)
                ->assertSee('cannot be read')
                ->assertSee('Undo the last step')
                ->assertSee('Export as it is');
            $this->get("/layouts/{$layout->uid}/tonight")->assertStatus(422)->assertSee('Trial cannot be read');
            $this->get($this->at($section, '/land'))->assertStatus(422);
            $rows = json_decode(
                (string) $this->get("/layouts/{$layout->uid}/rows")->assertOk()->getContent(),
                true,
                flags: JSON_THROW_ON_ERROR,
            );
            $this->assertSame([5, 'Trial'], [count($rows['land_features']), $rows['layouts'][0]['name']], "break {$k}");
            $this->followingRedirects()->from('/')->post("/layouts/{$layout->uid}/undo")->assertOk();
            $this->assertEquals(50, $spot->fresh()?->points[0]['z_mm'], 'the way back is open');
            $this->followingRedirects()->delete("/layouts/{$layout->uid}")->assertOk()->assertDontSee('cannot be read');
            DB::rollBack();
        }
    }

    /** @return array{Section, LandFeature} a board with a spot at 600, 300, 50 mm high */
    private function spot(): array
    {
        $section = $this->board();
        $this->post($this->at($section, '/features'), ['kind' => 'spot', 'points' => [['x' => '600', 'y' => '300', 'z' => '50']]]);

        return [$section, LandFeature::query()->where('layout_id', $section->layout_id)->orderByDesc('id')->firstOrFail()];
    }

    /** @return array<string, mixed> */
    private function oddRun(Layout $layout): array
    {
        return [
            'uid' => '01ARZ3NDEKTSV4RRFFQ69G5FAV',
            'layout_id' => $layout->id,
            'name' => 'Odd',
            'kind' => 'track',
            'x_mm' => 0,
            'y_mm' => 0,
            'heading_deg' => 0,
            'elements' => '[{"kind":"loop"}]',
            'start_height_mm' => 0,
            'grade_points' => '[]',
            'profile' => '{}',
            'structures' => '[]',
            'extra' => '{}',
        ];
    }

    private function step(Section $section): int
    {
        return (int) app(Ledger::class)->newest($this->layoutOf($section))?->id;
    }

    /** @param  array<string, mixed>  $grip */
    private function grip(Section $section, array $grip, int $seen): TestResponse
    {
        return $this->call(
            'POST',
            $this->at($section, '/land/grip'),
            $grip + ['seen' => (string) $seen],
            server: ['HTTP_HX_REQUEST' => 'true'],
        );
    }
}
