<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Air\ImportReadings;
use App\Actions\Air\SaveReadings;
use App\Actions\Files\LayoutFiles;
use App\Actions\Plan\ImportCalendar;
use App\Computed\Air\RoomReadings;
use App\Devices\HttpRoomLogger;
use App\Devices\RoomLogger;
use App\Models\TrustedLogger;
use DateTimeZone;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** What comes in from loggers, calendars, drawings and forms, at its worst. */
final class ComesInTest extends FeatureCase
{
    /** Wed 14 Oct 2026, 17:31 UTC. */
    private const NOW = 29_866_651;

    public function test_readings_ahead_of_the_clock_and_long_past_take_nothing_away(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $logger = $this->logger();
        $room = $this->works($layout)->rooms[0];
        SaveReadings::add($layout, $room->uid, AirLog::of([[self::NOW - 120, 18.0, 60.0], [self::NOW - 60, 18.5, 61.0]]), self::NOW);
        $minutes = fn (): array => array_column(RoomReadings::logs($layout, self::NOW)[$room->uid]->readings, 0);
        $this->patch("/layouts/{$layout->uid}/rooms/{$room->uid}/logger", ['logger' => 'http://127.0.0.1:9/x'])->assertSessionHasNoErrors();
        foreach ([self::NOW + RoomReadings::MAX_MINUTES_AHEAD + 1, 9_000_000_000, PHP_INT_MAX] as $ahead) {
            $logger->readings = [[self::NOW - 30, 19.0, 60.0], [$ahead, 19.0, 60.0]];
            $this->from('/')
                ->post("/layouts/{$layout->uid}/rooms/{$room->uid}/read")
                ->assertSessionHasErrors([
                    'logger' => 'Its readings are dated ahead: its clock is wrong, or this machine’s is. Nothing was taken in.',
                ]);
            $this->assertSame([self::NOW - 120, self::NOW - 60], $minutes());
        }
        $logger->readings = [
            [-5, 19.0, 60.0],
            [self::NOW - 1440 * RoomReadings::USED_DAYS - 1, 19.0, 60.0],
            [self::NOW - 30, 19.0, 60.0],
            [self::NOW + RoomReadings::MAX_MINUTES_AHEAD, 19.0, 60.0],
            [self::NOW - 20, 900.0, 60.0],
        ];
        $this->post("/layouts/{$layout->uid}/rooms/{$room->uid}/read")->assertSessionHasNoErrors();
        $this->assertSame([self::NOW - 120, self::NOW - 60, self::NOW - 30, self::NOW + RoomReadings::MAX_MINUTES_AHEAD], $minutes());

        // A row that an older version let in, or a hand, stops no page and no export.
        foreach ([[9_000_000_000, 18.0], [self::NOW - 90, 900.0], [self::NOW - 80, -500.0]] as [$at, $temperature]) {
            DB::table('air_readings')->insert([
                'layout_id' => $layout->id,
                'room' => $room->uid,
                'at' => $at,
                'temperature' => $temperature,
                'humidity' => 60.0,
            ]);
        }
        $this->assertCount(4, $minutes());
        $this->get("/layouts/{$layout->uid}/export")->assertOk();
        $this->get("/layouts/{$layout->uid}/rooms/{$room->uid}")->assertOk();
    }

    public function test_a_loggers_address_from_a_file_is_asked_about_not_called(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $room = $this->works($layout)->rooms[0];
        $this->patch("/layouts/{$layout->uid}/rooms/{$room->uid}/logger", ['logger' => 'http://192.168.1.7/air']);
        $copy = app(LayoutFiles::class)->import(app(LayoutFiles::class)->export($layout->refresh()));
        $asked = 0;
        $this->app->instance(
            RoomLogger::class,
            new class($asked) implements RoomLogger
            {
                public function __construct(private int &$asked)
                {
                }

                public function since(string $address, int $since): AirLog
                {
                    $this->asked++;

                    return AirLog::of([]);
                }
            },
        );
        TrustedLogger::query()->where('layout_id', $layout->id)->delete();
        $at = "/layouts/{$copy->uid}/rooms/{$this->works($copy)->rooms[0]->uid}";
        $this->assertSame([], app(ImportReadings::class)->listenAll());
        $this->from($at)->post("{$at}/read")->assertSessionHasErrors('logger');
        $this->assertSame(0, $asked);
        $this->get($at)->assertSee('This address came with a file')->assertSee('http://192.168.1.7/air')->assertDontSee('Read now');
        $this->patch("{$at}/logger", ['logger' => 'http://192.168.1.7/air'])->assertSessionHasNoErrors();
        $this->get($at)->assertDontSee('This address came with a file')->assertSee('Read now');
        app(ImportReadings::class)->listenAll();
        $this->assertSame(1, $asked);
    }

    public function test_a_logger_answers_itself_soon_and_in_the_house(): void
    {
        foreach (
            [
                'http://8.8.8.8/',
                'http://[::ffff:8.8.8.8]/',
                'https://127.0.0.1/',
                'file:///etc/passwd',
                'http://127.0.0.1@8.8.8.8/',
                'http://example.org/',
                "http://127.0.0.1/\r\nX: y",
                'gopher://127.0.0.1/',
                '//127.0.0.1/x',
                'http://2130706433/',
                'http://127.0.0.1 /',
            ] as $address
        ) {
            try {
                HttpRoomLogger::allowed($address);
                $this->fail("{$address} was allowed");
            } catch (InvalidValue $refusal) {
                $this->assertSame('logger', $refusal->place);
            }
        }
        foreach (['http://127.0.0.1:8090/workroom', 'http://localhost/x', 'http://192.168.1.7/air', 'http://[fd00::7]/air'] as $address) {
            $this->assertSame($address, HttpRoomLogger::allowed($address));
        }
        $port = random_int(20_000, 60_000);
        $script = (string) tempnam(sys_get_temp_dir(), 'odd');
        file_put_contents(
            $script,
            '<?php $p = parse_url($_SERVER["REQUEST_URI"], PHP_URL_PATH);
            if ($p === "/on") { header("Location: /ok", true, 302); exit; }
            if ($p === "/drip") {
                for ($k = 0; $k < 100; $k++) { echo "{\"readings\": []", str_repeat(" ", 5000); flush(); usleep(200000); }
                exit;
            }
            if ($p === "/long") { for ($k = 0; $k < 60; $k++) { echo str_repeat(" ", 100000); } exit; }
            if ($p === "/fault") { http_response_code(500); exit; }
            if ($p === "/words") { echo "hello"; exit; }
            if ($p === "/map") { echo "{\"readings\": [{\"a\": 1, \"b\": 2, \"c\": 3}]}"; exit; }
            echo "{\"readings\": [[29866000, 18.5, 60], [29866010, 400, 60], [29865990, 18, 60]]}";',
        );
        $server = new Process([PHP_BINARY, '-S', "127.0.0.1:{$port}", $script]);
        $server->start();
        try {
            for ($k = 0; $k < 100 && @fsockopen('127.0.0.1', $port) === false; $k++) {
                usleep(50_000);
            }
            $logger = new HttpRoomLogger();
            $this->assertSame(
                [[29_865_990, 18.0, 60.0], [29_866_000, 18.5, 60.0]],
                $logger->since("http://127.0.0.1:{$port}/ok", 0)->readings,
                'what cannot be is left out, the rest in order',
            );
            foreach (
                [
                    'on' => 'not followed',
                    'fault' => 'Nothing answers',
                    'words' => 'cannot be read',
                    'map' => 'cannot be read',
                    'long' => 'Nothing answers',
                    'drip' => 'Nothing answers',
                ] as $path => $said
            ) {
                $began = microtime(true);
                try {
                    $logger->since("http://127.0.0.1:{$port}/{$path}", 0);
                    $this->fail("{$path} was taken");
                } catch (InvalidValue $refusal) {
                    $this->assertStringContainsString($said, $refusal->getMessage(), $path);
                }
                $this->assertLessThan(8.0, microtime(true) - $began, "{$path}: not as long as it drips");
            }
        } finally {
            $server->stop(0);
            unlink($script);
        }
    }

    public function test_calendars_end_and_long_ones_are_read_for_the_weeks_that_count(): void
    {
        $zone = new DateTimeZone('Europe/Oslo');
        $calendar = fn (
            string $rule,
            string $start = '20150105T090000',
        ): string => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//T//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
            ."DTSTART;TZID=Europe/Oslo:{$start}\r\nDURATION:PT1H\r\n{$rule}\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        $hours = (new ImportCalendar())->busy($calendar('RRULE:FREQ=DAILY'), $zone, self::NOW, 7);
        $this->assertCount(7, $hours);
        $this->assertSame(['date' => '2026-10-15', 'from' => 540, 'to' => 600], $hours[0]);
        $this->assertCount(2, (new ImportCalendar())->busy($calendar('RRULE:FREQ=WEEKLY;BYDAY=MO,WE'), $zone, self::NOW, 7));
        foreach (['RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', 'RRULE:FREQ=MONTHLY;BYMONTHDAY=31;BYMONTH=2,4'] as $never) {
            $began = microtime(true);
            try {
                $this->assertSame([], (new ImportCalendar(3.0))->busy($calendar($never), $zone, self::NOW, 7), $never);
            } catch (InvalidValue $refusal) {
                $this->assertStringContainsString('takes too long', $refusal->getMessage());
            }
            $this->assertLessThan(6.0, microtime(true) - $began, $never);
        }
        foreach (['RRULE:FREQ=', 'RRULE:', 'EXDATE:never', 'RRULE:FREQ=DAILY;COUNT=-4', 'DTEND:19'] as $odd) {
            try {
                (new ImportCalendar())->busy($calendar($odd), $zone, self::NOW, 7);
            } catch (InvalidValue $refusal) {
                $this->assertSame('calendar', $refusal->place);
            }
        }
        $this->expectExceptionMessage('over five megabytes');
        (new ImportCalendar())->busy(str_repeat(' ', 5_000_001), $zone, self::NOW, 7);
    }

    public function test_what_nobody_can_type_is_refused_and_long_forms_come_whole(): void
    {
        $section = $this->board();
        $spot = fn (array $input) => $this->from('/')->post($this->at($section, '/features'), $input);
        $spot(['kind' => 'spot', 'name' => "nu\0ll", 'points' => [['x' => '100', 'y' => '100', 'z' => '5']]])->assertSessionHasErrors(
            'name',
        );
        $spot(['kind' => 'spot', 'name' => "\xC3\x28", 'points' => [['x' => '100', 'y' => '100', 'z' => '5']]])->assertSessionHasErrors(
            'name',
        );
        $this->get($this->at($section, '/land?pick=a%00b'))->assertStatus(422);
        $spot([
            'kind' => 'spot',
            'name' => "Cra\x01g \u{202E}top",
            'points' => [['x' => '100', 'y' => '100', 'z' => '5']],
        ])->assertSessionHasNoErrors();
        $layout = $this->layoutOf($section);
        $this->assertSame('Crag top', $layout->features()->where('name', '!=', '')->firstOrFail()->name);

        $points = array_map(
            fn (int $k): array => ['x' => (string) (20 + 2 * $k), 'y' => (string) (300 + 100 * sin($k / 40)), 'z' => '10', 'more' => 'x'],
            range(0, 498),
        );
        $spot([
            'packed' => json_encode(['kind' => 'ridge', 'points' => $points, 'seen' => (string) $layout->revisions()->max('id')]),
        ])->assertSessionHasNoErrors();
        $this->assertCount(499, $layout->features()->where('kind', 'ridge')->firstOrFail()->points);
        $count = $layout->features()->count();
        $spot(['packed' => '{"kind": "ridge"'])->assertSessionHasErrors(['form' => 'The form could not be read; nothing was changed.']);
        $spot(['kind' => 'ridge', 'points' => array_fill(0, (int) ini_get('max_input_vars'), ['x' => '1'])])->assertSessionHasErrors(
            'form',
        );
        $this->assertSame($count, $layout->features()->count());
        foreach (['svg', 'xml', 'dxf'] as $form) {
            $this->get($this->at($section, "/land/take/{$form}"))->assertOk();
        }
    }

    public function test_a_drawing_at_full_size_is_told_and_brought_to_scale(): void
    {
        $section = $this->board();
        // 78 m straight and a quarter of a circle of 30 m, far out on a map, in metres.
        $xml =
            '<LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2"><Units><Metric '
                .'linearUnit="meter"/></Units><Alignments><Alignment name="Main"><CoordGeom>'.
            '<Line><Start>6700000 500000</Start><End>6700000 500060</End></Line><Curve rot="ccw"><Start>6700000 '
                .'500060</Start><Center>6700030 500060</Center><End>6700030 '
                .'500090</End></Curve></CoordGeom></Alignment></Alignments></LandXML>';
        $bring = fn (string $size) => $this->from($this->at($section, '/land'))->post($this->at($section, '/land/bring'), [
            'file' => UploadedFile::fake()->createWithContent(
                'main.xml',
                str_replace('500060', '500078', str_replace('500090', '500108', $xml)),
            ),
            'size' => $size,
        ]);
        $bring('model')->assertSessionHasErrors([
            'file' => 'main.xml: It reaches over 108 m: these are lengths of the real '
                .'thing. Choose “full size” beside the file, and bring it in again.',
        ]);
        $bring('full')->assertSessionHasNoErrors();
        $run = $this->layoutOf($section)->runs()->firstOrFail();
        $this->assertEqualsWithDelta(0.0, $run->x_mm, 0.1);
        $this->assertEqualsWithDelta(78_000 / 87.1, $run->elements[0]['length_mm'], 1.0);
        $this->assertEqualsWithDelta(30_000 / 87.1, $run->elements[1]['radius_mm'], 1.0);
    }

    public function test_files_too_large_are_said_to_be(): void
    {
        $layout = $this->demo();
        $at = "/layouts/{$layout->uid}/bench";
        foreach (
            [
                UPLOAD_ERR_INI_SIZE => 'larger than this machine takes at once',
                UPLOAD_ERR_PARTIAL => 'Only a part of the file',
                UPLOAD_ERR_CANT_WRITE => 'no room for the file',
                UPLOAD_ERR_NO_FILE => 'Choose a calendar',
            ] as $fault => $said
        ) {
            $file = new UploadedFile(__FILE__, 'busy.ics', 'text/calendar', $fault, true);
            $this->followingRedirects()
                ->from($at)
                ->call('POST', "{$at}/calendar", [], [], ['calendar' => $file])
                ->assertSee($said);
        }
        $this->assertGreaterThanOrEqual(20_000_000, LayoutFiles::MAX_BYTES);
        foreach (['upload_max_filesize' => LayoutFiles::MAX_BYTES, 'post_max_size' => LayoutFiles::MAX_BYTES] as $limit => $promised) {
            $this->assertGreaterThan($promised, ini_parse_quantity((string) ini_get($limit)), "{$limit} lies above what the pages promise");
        }
    }

    public function test_a_clock_that_went_back_is_doubted_and_writes_nothing_before_its_begin(): void
    {
        $layout = $this->evening('2026-10-14T17:10:00Z');
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $this->plan($layout)->moves[0]->move->id])->assertSessionHasNoErrors();
        $open = $layout->applications()->reorder('id', 'desc')->firstOrFail();
        $this->setClock('2026-10-14T17:05:00Z');
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk()->assertDontSee('clock says');
        $this->setClock('2026-10-14T17:04:59Z');
        $this->get("/layouts/{$layout->uid}/tonight")
            ->assertOk()
            ->assertSee('This machine’s clock says Wed 14 Oct 2026, 19:04, but something was done here on Wed 14 Oct 2026, 19:10.');
        $this->setClock('2026-10-13T09:00:00Z');
        $this->post("/layouts/{$layout->uid}/moves/{$open->uid}/done")->assertSessionHasNoErrors();
        $this->post("/layouts/{$layout->uid}/laid/{$open->uid}/wet")->assertSessionHasNoErrors();
        $laid = json_decode((string) $open->fresh()?->data, true);
        $this->assertSame(
            ['2026-10-14T17:10Z', '2026-10-14T17:10Z', '2026-10-14T17:10Z'],
            [$laid['started_at'], $laid['ended_at'], $laid['seen'][0]['at']],
        );
    }

    public function test_a_list_where_a_word_is_wanted_is_refused_and_the_form_comes_again(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->firstOrFail();
        $deep = ['a' => ['b' => ['c']], 'x'];
        foreach (
            [
                ['/layouts', '/', ['name' => $deep, 'units' => $deep, 'ratio' => $deep, 'gauge_mm' => 'wide']],
                [
                    "/layouts/{$layout->uid}/sections",
                    "/layouts/{$layout->uid}/settings",
                    ['name' => $deep, 'width_mm' => $deep, 'form' => 'new'],
                ],
                [
                    "/layouts/{$layout->uid}/rooms",
                    "/layouts/{$layout->uid}/settings",
                    ['name' => $deep, 'day_c' => $deep, 'airflow' => $deep],
                ],
            ] as [$to, $page, $input]
        ) {
            $this->followingRedirects()->from($page)->post($to, $input)->assertOk();
        }
        foreach (
            [
                [
                    'cuts' => [
                        'sheet_mm' => $deep,
                        'school' => $deep,
                        'kerf_mm' => 'x',
                        'more' => [['price' => $deep, 'count' => $deep, 'sheet_mm' => 'x']],
                    ],
                    'back' => 'cuts',
                ],
                ['vehicles' => [['name' => $deep, 'body_mm' => $deep, 'width_mm' => 'x']]],
            ] as $input
        ) {
            $page = isset($input['back']) ? $this->at($section, '/cuts') : "/layouts/{$layout->uid}/settings";
            $this->followingRedirects()->from($page)->patch("/layouts/{$layout->uid}", $input)->assertOk();
        }
        $this->followingRedirects()
            ->from($this->at($section, '/cuts'))
            ->post($this->at($section, '/cuts/store'), ['new' => ['sheet_mm' => $deep, 'count' => $deep, 'sheet_width_mm' => 'x']])
            ->assertOk();
    }

    public function test_dates_and_places_beyond_everything_are_answered_soon(): void
    {
        $layout = $this->evening('2026-10-14T17:10:00Z');
        $section = $layout->sections()->firstOrFail();
        foreach (['9999-12-31', '2200-01-01', '0001-01-01'] as $day) {
            $this->from('/')
                ->patch("/layouts/{$layout->uid}/show-on", ['show_on' => $day])
                ->assertSessionHasErrors('show_on');
            $this->from('/')
                ->post("/layouts/{$layout->uid}/times", [
                    'kind' => 'visit',
                    'date' => $day,
                    'until' => $day,
                    'from' => '10:00',
                    'to' => '12:00',
                ])
                ->assertSessionHasErrors('date');
        }
        // What has to be worked out once is not what is asked here.
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk();
        $this->patch("/layouts/{$layout->uid}/show-on", ['show_on' => '2199-12-31'])->assertSessionHasNoErrors();
        $began = microtime(true);
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk();
        $this->assertLessThan(10.0, microtime(true) - $began, 'no air is reckoned through a century');
        $tape = fn (string $x): string => $this->at($section, '/land/tape').
            '?'.
            http_build_query(['points' => [['x' => '0', 'y' => '0'], ['x' => $x, 'y' => '100']]]);
        foreach (['1e8', '-1e8', '1e400', '100001'] as $x) {
            $this->get($tape($x))->assertStatus(422);
        }
        $this->get($tape('100000'))->assertOk();
    }

    /** A logger that answers what is put into it. */
    private function logger(): RoomLogger
    {
        $logger = new class implements RoomLogger
        {
            /** @var list<array{int, float, float}> */
            public array $readings = [];

            public function since(string $address, int $since): AirLog
            {
                return AirLog::sound($this->readings);
            }
        };
        $this->app->instance(RoomLogger::class, $logger);

        return $logger;
    }
}
