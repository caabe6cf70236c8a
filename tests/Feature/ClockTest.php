<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Air\SaveReadings;
use App\Actions\Files\LayoutFiles;
use App\Actions\Plan\PlanSearch;
use App\Devices\SimulatedRoom;
use DateTimeZone;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Interchange\CalendarFile;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use IdleRidge\Core\Schedule\WorkOrder;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Process\Process;
use Tests\BenchPlanChecker;
use Tests\Build;
use Tests\Schemas;

/** How the layout is planned, what would be if, calendars, other devices. */
final class ClockTest extends FeatureCase
{
    public function test_the_plan_goes_by_what_is_asked(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $board = $layout->sections()->where('name', 'Weir Bend')->firstOrFail();
        $at = "/layouts/{$layout->uid}/bench";
        $this->get($at)->assertOk()->assertSee('fibre applicator')->assertSee('the show: Sat 5 Dec')->assertSee('Idle at the bench');
        $before = $this->plan($layout)->lastHandsOn();
        $this->patch($at, [
            'certainty' => '90',
            'order' => 'board',
            'tools' => [['name' => 'fibre applicator', 'count' => '2']],
            'due' => [['section' => $board->uid, 'date' => '16 Oct', 'milestone' => 'shown']],
        ])->assertSessionHasNoErrors();
        $plan = $this->plan($layout);
        $this->assertSame(
            [0.9, WorkOrder::Board, 2],
            [$plan->work->certainty(), $plan->work->rules()->order, $plan->work->rules()->tools('fibre applicator')],
        );
        $this->assertSame('2026-10-16', $plan->work->rules()->dueOf($board->uid)->date ?? '');
        $this->assertGreaterThanOrEqual($before, $plan->lastHandsOn());
        $this->get($at)->assertSee('too late');
        $this->from($at)
            ->patch($at, ['due' => [['section' => $board->uid, 'date' => 'soon', 'milestone' => 'shown']]])
            ->assertSessionHasErrors('due/0/date');
        $this->from($at)
            ->patch($at, ['order' => 'random'])
            ->assertSessionHasErrors('order');
        $this->from($at)
            ->patch($at, ['certainty' => '35'])
            ->assertSessionHasErrors('certainty');
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame(0.8, $this->plan($layout)->work->certainty());
    }

    public function test_what_if_shows_the_end_move_and_keeps_it_only_when_told(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $at = "/layouts/{$layout->uid}/what-if";
        $old = $this->plan($layout);
        $room = $this->works($layout)->rooms[0]->uid;
        $tarn = array_values(array_filter($this->works($layout)->coats, fn ($c): bool => $c->recipe->id === 'gloss-medium'))[0];
        $page = $this->get("{$at}?fewer={$tarn->uid}")->assertOk()->assertSee('One coat fewer')->assertSee('better');
        $this->assertSame(
            0,
            preg_match('/Last hands-on minute<\/th>\s*<td>[^<]*<\/td>\s*<td[^>]*><b>Sat 31 Oct, 10:06/', (string) $page->getContent()),
            'it ends sooner',
        );
        $this->assertSame($old->at(), $this->plan($layout)->at(), 'nothing was kept');
        foreach (
            [
                "room={$room}&heater=23",
                "room={$room}&airflow=fan",
                'date=Sun 18 Oct&from=10:00&to=16:00',
                'hands=2',
                'zone='.$tarn->zone.'&school=water-resin',
            ] as $query
        ) {
            $this->get("{$at}?{$query}")->assertOk()->assertSee('As it would be');
        }
        $this->get("{$at}?room={$room}&heater=73.4+°F")->assertOk()->assertSee('kept at 23 °C');
        foreach (
            [
                'heater=80' => 'must lie between',
                'heater=warm' => '“warm” is not a temperature; try 20 °C or 68 °F.',
                'date=never' => 'date',
                'date=Sun 18 Oct&from=25:00&to=26:00' => 'time of day',
            ] as $query => $words
        ) {
            $this->get("{$at}?{$query}")->assertOk()->assertSee($words)->assertDontSee('Keep it');
        }
        $this->post($at, [
            'room' => $room,
            'airflow' => 'fan',
            'date' => '18 Oct',
            'from' => '10:00',
            'to' => '16:00',
            'fewer' => $tarn->uid,
        ])->assertSessionHasNoErrors();
        $works = $this->works($layout);
        $this->assertSame(2.2, $works->rooms[0]->day->airflow);
        $this->assertSame($tarn->passes - 1, array_values(array_filter($works->coats, fn ($c): bool => $c->uid === $tarn->uid))[0]->passes);
        $this->assertLessThan($old->lastHandsOn(), $this->plan($layout)->lastHandsOn());
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame($old->at(), $this->plan($layout)->at(), 'one step takes all of it back');
        $this->from($at)->post($at, [])->assertSessionHasErrors('form');
    }

    public function test_by_sunday_is_finished_and_left_safe(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $this->get("/layouts/{$layout->uid}/by")->assertOk()->assertSee('By the end of Sunday 18 October')->assertSee('dry through');
        $this->get("/layouts/{$layout->uid}/by?day=15 Oct")->assertOk()->assertSee('Thursday 15 October');
        $this->get("/layouts/{$layout->uid}/by?day=whenever")->assertOk()->assertSee('is not a date');
        $this->post("/layouts/{$layout->uid}/times", [
            'kind' => 'visit',
            'date' => '2026-10-17',
            'until' => '2026-10-19',
            'from' => '09:00',
            'to' => '17:00',
            'hands' => '2',
            'who' => 'A friend',
        ])->assertSessionHasNoErrors();
        $visit = array_values(array_filter($this->works($layout)->times, fn (BenchTime $t): bool => $t->kind === BenchTimeKind::Visit))[0];
        $this->get("/layouts/{$layout->uid}/visits/{$visit->uid}")
            ->assertOk()
            ->assertSee('Packing list')
            ->assertSee('with A friend')
            ->assertSee('dust mask')
            ->assertSee('As it is left');
        $this->get("/layouts/{$layout->uid}/drying")->assertSee('Sat 17 Oct 2026 to Mon 19 Oct, 09:00–17:00, 2 pairs of hands, A friend');
        $this->get("/layouts/{$layout->uid}/visits/01J0000000000000000000000A")->assertNotFound();
        $this->from('/')
            ->post("/layouts/{$layout->uid}/times", [
                'kind' => 'visit',
                'date' => '2026-10-17',
                'until' => '2026-10-10',
                'from' => '09:00',
                'to' => '17:00',
            ])
            ->assertSessionHasErrors('until');
    }

    public function test_a_calendar_takes_hours_out_of_the_sessions_and_the_plan_goes_out_as_one(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $at = "/layouts/{$layout->uid}/bench";
        $send = fn (string $text) => $this->from($at)->post("{$at}/calendar", [
            'calendar' => UploadedFile::fake()->createWithContent('choir.ics', $text),
        ]);
        $event = fn (
            string $body,
        ): string => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Trial//EN\r\nBEGIN:VEVENT\r\nUID:1@trial\r\n"
            ."DTSTAMP:20261001T000000Z\r\n{$body}\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        $send(
            $event(
                "SUMMARY:Choir\r\nDTSTART;TZID=Europe/Oslo:20261015T200000\r\nDTEND;TZID=Europe/Oslo:20261015T230000\r\n"
                    ."RRULE:FREQ=WEEKLY;COUNT=3\r\nEXDATE;TZID=Europe/Oslo:20261022T200000",
            ),
        )->assertSessionHasNoErrors();
        $busy = array_values(array_filter($this->works($layout)->times, fn (BenchTime $t): bool => $t->kind === BenchTimeKind::Busy));
        $this->assertSame(
            [['2026-10-15', 1200, 1380, 'choir.ics'], ['2026-10-29', 1200, 1380, 'choir.ics']],
            array_map(fn (BenchTime $t): array => [$t->date, $t->from, $t->to, $t->who], $busy),
        );
        $plan = $this->plan($layout);
        foreach ($plan->moves as $placed) {
            $this->assertFalse(
                $placed->start < 29_868_120 + 180 && $placed->end > 29_868_120,
                'nobody is at the bench on Thursday from eight to eleven',
            );
        }
        $send($event("SUMMARY:Away\r\nDTSTART;VALUE=DATE:20261017\r\nDTEND;VALUE=DATE:20261019"))->assertSessionHasNoErrors();
        $busy = array_values(array_filter($this->works($layout)->times, fn (BenchTime $t): bool => $t->kind === BenchTimeKind::Busy));
        $this->assertSame(
            ['2026-10-17', '2026-10-18'],
            array_column($busy, 'date'),
            'the same calendar comes in the place of what it said before',
        );
        $this->get($at)->assertSee('choir.ics: busy 2 times');
        foreach (['hello', "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\n", $event('SUMMARY:Nothing')] as $text) {
            $send($text)->assertSessionHasErrors('calendar');
        }
        $this->assertCount(
            2,
            array_filter($this->works($layout)->times, fn (BenchTime $t): bool => $t->kind === BenchTimeKind::Busy),
            'the old hours stay',
        );
        $this->delete("{$at}/calendar", ['name' => 'choir.ics'])->assertSessionHasNoErrors();
        $this->assertSame([], array_filter($this->works($layout)->times, fn (BenchTime $t): bool => $t->kind === BenchTimeKind::Busy));

        $plan = $this->plan($layout);
        $ics = (string) $this->get("/layouts/{$layout->uid}/bench.ics")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
            ->getContent();
        $read = $this->reads($ics);
        $this->assertSame('2.0', $read['version']);
        $bench = array_values(array_filter($read['events'], fn (array $e): bool => str_starts_with($e['summary'], 'Bench: ')));
        $this->assertSame(gmdate('Y-m-d\TH:i:s.000\Z', 60 * $plan->work->sessions[0][0]), $bench[0]['start']);
        foreach ($plan->within(...array_slice($plan->work->sessions[0], 0, 2)) as $placed) {
            $this->assertStringContainsString($placed->move->title(), $bench[0]['description']);
        }
        $this->assertCount(count(array_unique(array_column($read['events'], 'uid'))), $read['events']);
        $this->assertNotSame(
            [],
            array_filter($read['events'], fn (array $e): bool => str_contains($e['summary'], 'ready for the next coat')),
        );
    }

    public function test_command_line_and_screens_agree_on_what_was_read_and_asked(): void
    {
        $layout = $this->evening('2026-10-14T17:10Z');
        $now = Build::minute('2026-10-14T17:10Z');
        foreach ($this->works($layout)->rooms as $k => $room) {
            SaveReadings::add(
                $layout,
                $room->uid,
                AirLog::of((new SimulatedRoom(20 + $k, 14.0 - 3.0 * $k, 3.0, 60.0))->readings($now - 1440 * 20, $now)),
                $now,
            );
        }
        $this->patch("/layouts/{$layout->uid}/bench", ['certainty' => '90', 'order' => 'stage'])->assertSessionHasNoErrors();
        $file = (string) tempnam(sys_get_temp_dir(), 'ridge');
        file_put_contents($file, app(LayoutFiles::class)->export($layout->refresh()));
        $this->assertSame(0, Artisan::call('ridge:plan', ['file' => $file, '--now' => '2026-10-14T17:10Z', '--json' => true]));
        $json = Artisan::output();
        Schemas::assertMatches('plan', $json);
        $there = json_decode($json, true);
        $here = $this->plan($layout);
        $this->assertSame(
            array_map(
                fn ($p): array => [$p->move->id, gmdate('Y-m-d\TH:i\Z', 60 * $p->start), $p->minutes(), $p->reason()->text],
                $here->moves,
            ),
            array_map(fn (array $m): array => [$m['id'], $m['start'], $m['minutes'], $m['reason']['text']], $there['moves']),
        );
        $this->assertSame(gmdate('Y-m-d\TH:i\Z', 60 * $here->bound), $there['bound']);
        $this->assertCount(4, $there['late']);

        $this->assertSame(0, Artisan::call('ridge:plan', ['file' => $file, '--now' => '2026-10-14T17:10Z', '--csv' => true]));
        $rows = array_map(fn (string $line): array => str_getcsv($line, ',', '"', ''), array_filter(explode("\r\n", Artisan::output())));
        $this->assertSame(['start', 'end', 'minutes', 'section', 'zone', 'move', 'why_not_sooner'], $rows[0]);
        $this->assertSame(array_column($there['moves'], 'start'), array_column(array_slice($rows, 1), 0));
        $this->assertSame(0, Artisan::call('ridge:plan', ['file' => $file, '--now' => '2026-10-14T17:10Z', '--ics' => true]));
        $this->assertGreaterThan(count($there['moves']), count($this->reads(Artisan::output())['events']));
        unlink($file);
    }

    public function test_hours_of_events_that_are_long_short_or_free(): void
    {
        $zone = new DateTimeZone('Europe/Oslo');
        $busy = fn (string $body): array => CalendarFile::busy(
            "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//T//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n{$body}\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
            $zone,
            29_866_531,
            60,
        );
        $this->assertSame(
            [['date' => '2026-10-16', 'from' => 1320, 'to' => 1440], ['date' => '2026-10-17', 'from' => 0, 'to' => 90]],
            $busy("DTSTART:20261016T200000Z\r\nDURATION:PT3H30M"),
            'over midnight',
        );
        $this->assertSame([['date' => '2026-10-20', 'from' => 0, 'to' => 1440]], $busy('DTSTART;VALUE=DATE:20261020'));
        $this->assertSame([], $busy("DTSTART:20261016T200000Z\r\nDTEND:20261016T210000Z\r\nTRANSP:TRANSPARENT"));
        $this->assertSame([], $busy("DTSTART:20261016T200000Z\r\nDTEND:20261016T210000Z\r\nSTATUS:CANCELLED"));
        $this->assertSame([], $busy("DTSTART:20261016T200000Z\r\nDTEND:20261016T200000Z"));
    }

    public function test_a_longer_search_offers_and_never_swaps(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $search = app(PlanSearch::class);
        $this->get("/layouts/{$layout->uid}/search")->assertOk()->assertSee('Search for twenty seconds');
        $plan = $this->plan($layout);
        $order = array_reverse(array_keys($plan->at()));
        cache()
            ->store('computed')
            ->put(
                "search-{$layout->uid}",
                [
                    'search' => 'a',
                    'share' => 1.0,
                    'stop' => false,
                    'done' => true,
                    'offer' => ['moves' => $order, 'last' => (int) $plan->lastHandsOn() - 60, 'ready' => (int) $plan->ready(0.8)],
                ],
                60,
            );
        $this->get("/layouts/{$layout->uid}/search")->assertSee('A better plan was found');
        $this->assertSame($plan->at(), $this->plan($layout)->at(), 'it is only offered');
        $this->patch("/layouts/{$layout->uid}/search", ['do' => 'take'])->assertRedirect("/layouts/{$layout->uid}/drying");
        $this->assertSame($order, $this->plan($layout)->work->rules()->first);
        $this->assertSame([], BenchPlanChecker::faults($this->plan($layout)));
        $this->from('/')
            ->patch("/layouts/{$layout->uid}/search", ['do' => 'take'])
            ->assertSessionHasErrors('search');
        $this->assertNull($search->state($layout));
    }

    public function test_a_search_on_the_queue_goes_on_until_it_is_over_or_stopped(): void
    {
        config(['ridge.search_seconds' => 0.4]);
        $layout = $this->evening('2026-10-14T17:31Z');
        $plan = $this->plan($layout);
        $this->post("/layouts/{$layout->uid}/search")->assertRedirect("/layouts/{$layout->uid}/bench");
        $search = app(PlanSearch::class);
        $state = $search->state($layout);
        $this->assertTrue($state['done'] ?? false, 'the queue of tests works at once');
        $this->assertSame(1.0, $state['share']);
        if ($state['offer'] !== null) {
            $this->assertLessThanOrEqual(
                [(int) $plan->lastHandsOn(), (int) $plan->ready(0.8)],
                [$state['offer']['last'], $state['offer']['ready']],
            );
        }
        $this->assertSame($plan->at(), $this->plan($layout)->at());
        $this->get("/layouts/{$layout->uid}/bench")
            ->assertOk()
            ->assertSee($state['offer'] === null ? 'Nothing better was found.' : 'Take it')
            ->assertSee($state['left'] === 0 ? 'It is proven' : 'sooner.');
        $this->assertIsInt($state['left']);
        $this->patch("/layouts/{$layout->uid}/search", ['do' => 'leave'])->assertRedirect();
        $this->assertNull($search->state($layout));
        // Stopped while it runs, or begun anew: what the old one finds is nobody's any more.
        cache()
            ->store('computed')
            ->put("search-{$layout->uid}", ['search' => 'old', 'share' => 0.1, 'stop' => false, 'done' => false, 'offer' => null], 60);
        $this->get("/layouts/{$layout->uid}/search")->assertSee('Stop it')->assertSee('every 1s');
        $this->patch("/layouts/{$layout->uid}/search", ['do' => 'stop']);
        $this->assertTrue($search->state($layout)['stop'] ?? false);
        $search->run($layout, 'another');
        $this->assertFalse($search->state($layout)['done'] ?? true);
        $search->run($layout, 'old');
        $this->assertTrue($search->state($layout)['done'] ?? false, 'stopped it ends at once, with what it has');
    }

    /**
     * @return array{version: string, product: string, events: list<array{uid: string, summary: string, description: string, start: string,
     *     end: string}>}
     */
    private function reads(string $ics): array
    {
        $node = new Process(['node', base_path('tests/ical/read.mjs')], base_path(), null, $ics);
        $node->mustRun();

        return json_decode($node->getOutput(), true);
    }
}
