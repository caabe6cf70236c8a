<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Files\LayoutFiles;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Plan\TakeOff;
use Illuminate\Support\Facades\Artisan;
use Tests\BenchPlanChecker;
use Tests\Schemas;

/** An evening at the bench, and what the command line says of it. */
final class BenchTest extends FeatureCase
{
    public function test_a_move_is_begun_finished_and_written_down(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $move = $this->plan($layout)->moves[0]->move;
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk()->assertSee('Start move 1')->assertSee('Drying now');
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $move->id])->assertRedirect();
        $this->get("/layouts/{$layout->uid}/tonight")->assertSee('Stop here')->assertSee('Still wet')->assertDontSee('Start move');
        $this->from('/')
            ->post("/layouts/{$layout->uid}/moves", ['move' => $move->id])
            ->assertSessionHasErrors('move');
        $this->setClock('2026-10-14T17:52Z');
        $laid = $this->open($layout);
        $this->post("/layouts/{$layout->uid}/moves/{$laid->uid}/done")->assertRedirect();
        $entry = $this->journal($layout)[0];
        $this->assertSame(['done', $laid->uid, 18.5, 62.0], [$entry->kind->value, $entry->laid, $entry->temperature, $entry->humidity]);
        $this->assertStringContainsString("{$move->coat->title()} on {$move->zone->name}", $entry->sentence);
        $this->assertNotSame([], $entry->amounts);
        $this->get("/layouts/{$layout->uid}/tonight")->assertSee('Start move 2');
        $this->assertNotContains(
            $move->id.' '.$move->strips,
            array_map(fn ($p): string => $p->move->id.' '.$p->move->strips, $this->plan($layout)->moves),
        );
        $this->from('/')->post("/layouts/{$layout->uid}/moves/{$laid->uid}/done")->assertSessionHasErrors('move');

        $this->get("/layouts/{$layout->uid}/journal")
            ->assertOk()
            ->assertSee('Wednesday 14 October')
            ->assertSee($entry->sentence)
            ->assertSee('18.5 °C, 62 %');

        // Undoing it is written down too, and so is doing it again.
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame('undone', $this->journal($layout)[0]->kind->value);
        $this->assertNotNull($this->open($layout));
        $this->post("/layouts/{$layout->uid}/redo");
        $this->assertSame('done again', $this->journal($layout)[0]->kind->value);
    }

    public function test_every_board_with_work_tonight_is_named_where_it_lies(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        // Three days later nothing was done, and more has dried.
        $this->setClock('2026-10-17T07:00Z');
        $plan = $this->plan($layout);
        $minutes = [];
        foreach ($plan->within(...$plan->session()) as $placed) {
            $minutes[$placed->move->section->name] = ($minutes[$placed->move->section->name] ?? 0) + $placed->move->minutes;
        }
        $this->assertGreaterThan(2, count($minutes), 'more than a board or two');
        $page = (string) $this->get("/layouts/{$layout->uid}/tonight")->assertOk()->getContent();
        preg_match('/<svg[^>]*boards where.*?<\/svg>/s', $page, $drawing);
        foreach ($minutes as $name => $sum) {
            $this->assertMatchesRegularExpression("/>{$name}\s+{$sum} min</", $drawing[0]);
        }
        foreach ($plan->work->project->sections as $section) {
            $this->assertStringContainsString(">{$section->name}", $drawing[0]);
        }
    }

    public function test_what_lies_over_something_wet_or_bare_is_not_begun(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $moves = $this->plan($layout)->work->moves;
        $find = fn (string $zone, string $coat): string => array_values(
            array_filter($moves, fn ($m): bool => $m->zone->name === $zone && $m->coat->title() === $coat),
        )[0]->id;
        foreach (
            [
                'not laid yet' => $find('Meadow', 'Fibre 4 mm'),
                'more likely wet than ready' => $find('Embankment', 'Earth paint'),
                'moved on' => 'x.1.1',
            ] as $words => $move
        ) {
            $this->from('/')
                ->post("/layouts/{$layout->uid}/moves", ['move' => $move])
                ->assertSessionHasErrors('move');
            $this->assertStringContainsString($words, session('errors')->first('move'));
        }
        $this->assertNull($this->plan($layout)->work->current());
    }

    public function test_a_board_made_too_small_for_a_zone_says_so_at_its_width(): void
    {
        $board = $this->board();
        $this->post($this->at($board, '/zones'), ['name' => 'Far end', 'outline' => '1000,100 1150,100 1150,300']);
        $this->from('/')
            ->patch($this->at($board), ['width_mm' => '800'])
            ->assertSessionHasErrors(['width_mm' => '“Far end” lies outside the board, which is 800 × 600 mm.']);
        $this->assertEquals(1200, $board->fresh()?->width_mm);
    }

    public function test_stopping_half_way_leaves_the_rest_as_a_move(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $before = array_values(array_filter($this->plan($layout)->work->moves, fn ($m): bool => $m->title() === 'Dark rock base'))[0];
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $before->id])
            ->assertRedirect()
            ->assertSessionHasNoErrors();
        $whole = $this->open($layout);
        $this->from('/')
            ->post("/layouts/{$layout->uid}/moves/{$whole->uid}/stop", ['share' => '140'])
            ->assertSessionHasErrors('share');
        $this->post("/layouts/{$layout->uid}/moves/{$whole->uid}/stop", ['share' => '40'])->assertRedirect();
        $laid = array_values(array_filter($this->works($layout)->laid, fn (CoatApplication $l): bool => $l->uid === $whole->uid))[0];
        $this->assertEqualsWithDelta(0.4 * $before->area, $laid->area, 1e-6);
        $rest = array_sum(
            array_map(fn ($m): float => $m->coat->uid === $before->coat->uid ? $m->area : 0.0, $this->plan($layout)->work->moves),
        );
        $this->assertEqualsWithDelta(0.6 * $before->area, $rest, 0.03 * $before->area);
        $this->assertSame('stopped', $this->journal($layout)[0]->kind->value);
    }

    public function test_still_wet_puts_the_move_back_and_the_plan_waits(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $move = array_values(array_filter($this->plan($layout)->moves, fn ($p): bool => $p->move->zone->name === 'Meadow'))[0]->move;
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $move->id])->assertSessionHasNoErrors();
        $this->post("/layouts/{$layout->uid}/moves/{$this->open($layout)->uid}/wet")->assertRedirect();
        $this->assertNull($this->plan($layout)->work->current());
        $this->assertSame('still wet', $this->journal($layout)[0]->kind->value);
        $session = $this->plan($layout)->session();
        $tonight = array_map(fn ($p): string => $p->move->zone->name, $this->plan($layout)->within($session[0], $session[1]));
        $this->assertNotContains('Meadow', $tonight, 'soil touched wet after a week is not trusted tonight');
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk();
    }

    public function test_sessions_are_added_removed_and_refused_at_their_field(): void
    {
        $board = $this->board();
        $layout = $this->layoutOf($board);
        $this->post($this->at($board, '/zones'), ['name' => 'Meadow', 'build_up' => 'meadow']);
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk()->assertSee('Nothing can be planned')->assertSee('Add an evening');
        $this->get("/layouts/{$layout->uid}/drying")->assertOk()->assertSee('Nothing can be planned: add an evening.');
        foreach (
            [
                'to' => ['from' => '21:30', 'to' => '19:30', 'weekdays' => ['3']],
                'from' => ['from' => 'late', 'to' => '21:30', 'weekdays' => ['3']],
                'weekdays' => ['from' => '19:30', 'to' => '21:30'],
                'hands' => ['from' => '19:30', 'to' => '21:30', 'weekdays' => ['3'], 'hands' => '0'],
            ] as $field => $input
        ) {
            $this->from('/')
                ->post("/layouts/{$layout->uid}/times", ['kind' => 'weekly'] + $input)
                ->assertSessionHasErrors($field);
        }
        $this->from('/')
            ->post("/layouts/{$layout->uid}/times", ['kind' => 'single', 'date' => 'some day', 'from' => '10', 'to' => '12'])
            ->assertSessionHasErrors('date');
        $this->post("/layouts/{$layout->uid}/times", [
            'kind' => 'weekly',
            'weekdays' => ['1', '3'],
            'from' => '19.30',
            'to' => '21:30',
        ])->assertSessionHasNoErrors();
        $this->post("/layouts/{$layout->uid}/times", [
            'kind' => 'single',
            'date' => '17.10.2027',
            'from' => '10',
            'to' => '12',
            'hands' => '2',
        ])->assertSessionHasNoErrors();
        $this->assertSame(['weekly', 'weekly', 'single'], array_map(fn ($t): string => $t->kind->value, $this->works($layout)->times));
        $this->get("/layouts/{$layout->uid}/drying")->assertSee('Spread pulp plaster');
        $this->delete("/layouts/{$layout->uid}/times/{$this->works($layout)->times[0]->uid}");
        $this->assertCount(2, $this->works($layout)->times);
        $this->patch("/layouts/{$layout->uid}/show-on", ['show_on' => '5 Dec 2030'])->assertSessionHasNoErrors();
        $this->assertSame('2030-12-05', $layout->fresh()?->show_on);
        $this->from('/')
            ->patch("/layouts/{$layout->uid}/show-on", ['show_on' => 'Christmas'])
            ->assertSessionHasErrors('show_on');
    }

    public function test_rooms_are_kept_and_refused_beside_their_field(): void
    {
        $board = $this->board();
        $layout = $this->layoutOf($board);
        $room = $this->works($layout)->rooms[0];
        $there = "/layouts/{$layout->uid}/rooms/{$room->uid}";
        foreach (['day_c' => '-40', 'night_rh' => '120', 'day_to' => '06:00'] as $field => $value) {
            $this->from('/')
                ->patch($there, [$field => $value])
                ->assertSessionHasErrors($field);
        }
        $this->from('/')->delete($there)->assertSessionHasErrors('name');
        $this->patch($there, ['name' => 'Loft', 'day_c' => '18,5', 'night_c' => '50 °F', 'airflow' => 'fan'])->assertSessionHasNoErrors();
        $this->patch($there, ['day_c' => '12', 'seen' => '0'])->assertStatus(409);
        $this->post("/layouts/{$layout->uid}/rooms", ['name' => 'Shed', 'night_c' => '4']);
        [$loft, $shed] = $this->works($layout)->rooms;
        $this->assertSame(
            ['Loft', 18.5, 10.0, 2.2],
            [$loft->name, $loft->day->temperature, $loft->night->temperature, $loft->day->airflow],
        );
        $this->patch($this->at($board), ['room' => $shed->uid])->assertSessionHasNoErrors();
        $this->from('/')->delete("/layouts/{$layout->uid}/rooms/{$shed->uid}")->assertSessionHasErrors('name');
        $this->get("/layouts/{$layout->uid}/settings")->assertOk()->assertSee('Shed');
    }

    public function test_screens_and_command_line_say_the_same(): void
    {
        $layout = $this->evening('2026-10-14T17:10Z');
        $file = (string) tempnam(sys_get_temp_dir(), 'ridge');
        file_put_contents($file, app(LayoutFiles::class)->export($layout));
        $plan = json_decode($this->ridge('ridge:plan', ['file' => $file, '--now' => '2026-10-14T17:10Z', '--json' => true], 'plan'), true);
        $here = $this->plan($layout);
        $this->assertSame([], BenchPlanChecker::faults($here));
        $this->assertSame(
            array_map(
                fn ($p): array => [$p->move->id, gmdate('Y-m-d\TH:i\Z', 60 * $p->start), $p->minutes(), $p->reason()->text],
                $here->moves,
            ),
            array_map(fn (array $m): array => [$m['id'], $m['start'], $m['minutes'], $m['reason']['text']], $plan['moves']),
        );
        $takeOff = json_decode(
            $this->ridge(
                'ridge:takeoff',
                ['file' => $file, '--section' => 'Tarnhead', '--now' => '2026-10-14T17:10Z', '--json' => true],
                'takeoff',
            ),
            true,
        );
        $section = $layout->sections()->firstOrFail();
        $this->assertSame(
            array_map(
                fn (array $i): array => [$i['coat'], $i['material'], round($i['amount'], 3)],
                TakeOff::items($here->work, $section->uid),
            ),
            array_map(fn (array $i): array => [$i['coat'], $i['material'], (float) $i['amount']], $takeOff['items']),
        );
        $page = (string) $this->get("/layouts/{$layout->uid}/sections/{$section->uid}/coats")->getContent();
        foreach (TakeOff::byMaterial($here->work, $section->uid) as $row) {
            $this->assertMatchesRegularExpression(
                '#'.
                    preg_quote($row['material'], '#').
                    ' <span>[^<]*</span></th><td class="num">'.
                    preg_quote(Decimal::trimmed($row['at_hand'], $row['at_hand'] < 10 ? 1 : 0), '#').
                    '</td>#',
                $page,
            );
        }
        $tonight = (string) $this->get("/layouts/{$layout->uid}/tonight")->getContent();
        foreach (array_slice($plan['moves'], 0, 3) as $move) {
            $this->assertStringContainsString($move['title'], $tonight);
        }
        $check = json_decode(
            $this->ridge('ridge:check', ['file' => $file, '--now' => '2026-10-14T17:10Z', '--json' => true], 'check'),
            true,
        );
        $this->assertContains('slope-over-resting-angle', array_column($check['findings'], 'id'));
        unlink($file);
        $this->assertSame(2, Artisan::call('ridge:plan', ['file' => 'nowhere.json']));
    }

    public function test_a_layout_goes_out_and_comes_in_with_all_its_work(): void
    {
        $layout = $this->evening('2026-10-14T17:10Z');
        $text = app(LayoutFiles::class)->export($layout);
        Schemas::assertMatches('layout', $text);
        $again = app(LayoutFiles::class)->import($text);
        $strip = fn (string $json): string => (string) preg_replace('/"(date|name|uid)": "[^"]*",?\n/', '', $json);
        $this->assertSame($strip($text), $strip(app(LayoutFiles::class)->export($again)));
    }

    private function open(Layout $layout): CoatApplication
    {
        $open = array_values(array_filter($this->works($layout)->laid, fn (CoatApplication $l): bool => $l->endedAt === null));

        return $open[0];
    }

    /** @return list<JournalEntry> the latest first */
    private function journal(Layout $layout): array
    {
        return array_reverse(app(ProjectLoader::class)->complete($layout->refresh())->works->journal->entries);
    }

    /** @param  array<string, mixed>  $arguments */
    private function ridge(string $command, array $arguments, string $schema): string
    {
        $this->assertSame(0, Artisan::call($command, $arguments));
        $json = Artisan::output();
        Schemas::assertMatches($schema, $json);

        return $json;
    }
}
