<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Air\RoomReadings;
use App\Devices\HttpRoomLogger;
use App\Devices\RoomLogger;
use App\Devices\SimulatedRoom;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Process\Process;
use Tests\Schemas;

/** Air that is read, by file or by logger, and what is learned of drying in it. */
final class AirTest extends FeatureCase
{
    public function test_what_is_seen_dry_or_wet_is_learned_and_told(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $wet = array_values(array_filter($this->works($layout)->laid, fn ($l): bool => $l->recipe->id === 'gloss-medium'))[0];
        $before = $this->plan($layout)->work->reached($wet, $wet->recipe->needsOf($wet->recipe), 0.8);
        $this->setClock('2026-10-14T21:00Z');
        $this->post("/layouts/{$layout->uid}/laid/{$wet->uid}/wet")->assertRedirect();
        $this->assertGreaterThan(
            $before,
            $this->plan($layout)->work->reached(
                $this->works($layout)->laid[(int) array_search($wet->uid, array_column($this->works($layout)->laid, 'uid'), true)],
                $wet->recipe->needsOf($wet->recipe),
                0.8,
            ),
        );
        $this->setClock('2026-10-15T05:00Z');
        $this->post("/layouts/{$layout->uid}/laid/{$wet->uid}/dry")->assertRedirect();
        $room = $this->works($layout)->rooms[0];
        $learned = $this->plan($layout)->work->dryingIn($room)->learned('gloss-medium');
        $this->assertSame(1, $learned->cases);
        $this->get("/layouts/{$layout->uid}/rooms/{$room->uid}")
            ->assertOk()
            ->assertSee('Learned here')
            ->assertSee('Gloss medium takes')
            ->assertSee('seen once');
        $this->get("/layouts/{$layout->uid}/journal")->assertSee('is dry')->assertSee('still wet');
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertCount(
            1,
            $this->works($layout)->laid[(int) array_search($wet->uid, array_column($this->works($layout)->laid, 'uid'), true)]->seen,
        );
    }

    public function test_readings_come_from_a_file_or_not_at_all(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $room = $this->works($layout)->rooms[1];
        $at = "/layouts/{$layout->uid}/rooms/{$room->uid}";
        $send = fn (string $text) => $this->from($at)->post("{$at}/air", [
            'form' => 'air',
            'file' => UploadedFile::fake()->createWithContent('shed.csv', $text),
        ]);
        $send("time;temperature_c;humidity\n2026-10-14 08:00;14,5;70\n2026-10-14 08:10;14,6;70\n2026-10-14 15:00;16,0;66\n")
            ->assertSessionHasNoErrors()
            ->assertRedirect($at);
        $this->get($at)->assertSee('16')->assertSee('Nothing is known');
        $log = RoomReadings::logs($layout, 29_866_531)[$room->uid];
        // Local time of the layout, two hours ahead of UTC.
        $this->assertSame([29_865_960, 14.5, 70.0], $log->readings[0]);
        $this->assertCount(3, $log->readings);
        $plan = $this->plan($layout);
        $this->assertTrue($plan->work->dryingIn($room)->air->isRead());

        foreach (
            [
                'line 3' => "time,temperature_c,humidity\n2026-10-14T08:00,14,70\n2026-10-14T07:00,14,70\n",
                'line 2' => "time,temperature_c,humidity\n2026-10-14T08:00,warm,70\n",
                'line 4' => "time,temperature_c,humidity\n2026-10-14T08:00,14,70\n\n2026-10-14T08:00,14,70\n",
                'line 1' => "when,what\n1,2\n",
                'file' => "time,temperature_c,humidity\n2026-12-14T08:00,14,70\n",
            ] as $place => $text
        ) {
            $send($text)->assertSessionHasErrors($place);
        }
        $send("time,temperature_c,humidity\nyesterday,14,170\n2026-10-14T08:00,14,170\n")->assertSessionHasErrors(['line 2', 'line 3']);
        $this->assertCount(3, RoomReadings::logs($layout, 29_866_531)[$room->uid]->readings, 'nothing half taken in');
        $this->from($at)->post("{$at}/air", [])->assertSessionHasErrors('file');
        $this->assertSame($plan->at(), $this->plan($layout)->at(), 'the plan stays');
    }

    public function test_a_logger_is_asked_for_what_is_new(): void
    {
        $this->app->instance(
            RoomLogger::class,
            new class implements RoomLogger
            {
                public function since(string $address, int $since): AirLog
                {
                    return AirLog::of((new SimulatedRoom(12, 9.5, 4.0, 72.0))->readings($since, 29_866_531));
                }
            },
        );
        $layout = $this->evening('2026-10-14T17:31Z');
        $room = $this->works($layout)->rooms[1];
        $at = "/layouts/{$layout->uid}/rooms/{$room->uid}";
        $this->from($at)->post("{$at}/read")->assertSessionHasErrors('logger');
        foreach (['http://example.org/x', 'ftp://127.0.0.1/x', 'http://8.8.8.8/', 'http://user@127.0.0.1/', 'shed'] as $address) {
            $this->from($at)
                ->patch("{$at}/logger", ['logger' => $address])
                ->assertSessionHasErrors('logger');
        }
        $this->patch("{$at}/logger", ['logger' => 'http://127.0.0.1:9/shed'])->assertSessionHasNoErrors();
        $this->post("{$at}/read")->assertSessionHasNoErrors();
        $count = count(RoomReadings::logs($layout, 29_866_531)[$room->uid]->readings);
        $this->assertGreaterThan(1500, $layout->airReadings()->count(), 'two weeks at ten minutes, less what dropped out');
        $this->assertLessThan(800, $count, 'older ones come as hours');
        $this->assertNotSame([], RoomReadings::logs($layout, 29_866_531)[$room->uid]->gaps());
        $this->post("{$at}/read")->assertSessionHasNoErrors();
        $this->assertCount($count, RoomReadings::logs($layout, 29_866_531)[$room->uid]->readings);
        $this->get($at)->assertOk()->assertSee('its air is read')->assertSee('air-read', false);
        $this->assertNotSame([], $this->plan($layout)->moves);
    }

    public function test_the_stand_in_answers_as_a_logger_would(): void
    {
        $port = random_int(20_000, 60_000);
        $server = new Process([PHP_BINARY, '-S', "127.0.0.1:{$port}", base_path('devices/logger.php')], null, [
            'RIDGE_NOW' => '2026-10-14T17:31:00Z',
        ]);
        $server->start();
        try {
            for ($k = 0; $k < 100 && @fsockopen('127.0.0.1', $port) === false; $k++) {
                usleep(50_000);
            }
            $logger = new HttpRoomLogger();
            $log = $logger->since("http://127.0.0.1:{$port}/workroom", 29_866_531 - 600);
            $this->assertGreaterThan(30, count($log->readings));
            $this->assertEquals($log, $logger->since("http://127.0.0.1:{$port}/workroom", 29_866_531 - 600), 'the same air twice');
            foreach (["http://127.0.0.1:{$port}/attic", 'http://127.0.0.1:9/shed'] as $silent) {
                try {
                    $logger->since($silent, 0);
                    $this->fail("{$silent} answered");
                } catch (InvalidValue $refusal) {
                    $this->assertStringContainsString('Nothing answers', $refusal->getMessage());
                }
            }
        } finally {
            $server->stop();
        }
    }

    public function test_a_cure_is_reckoned_through_a_table_of_readings(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'air');
        $rows = "time,temperature_c,humidity\n";
        for ($h = 0; $h < 24; $h++) {
            $rows .= gmdate('Y-m-d\TH:i\Z', 60 * (29_866_500 + 60 * $h)).',20,'.($h < 6 ? 50 : 75)."\n";
        }
        file_put_contents($file, $rows);
        $this->assertSame(0, Artisan::call('ridge:cure', ['recipe' => 'white-glue-neat', '--climate' => $file, '--json' => true]));
        $json = Artisan::output();
        Schemas::assertMatches('cure', $json);
        $cure = json_decode($json, true)['milestones'];
        // Next coat after 180 min lies in the six hours at 50 %. Dry through takes 1440: 300, an hour at three quarters, then at half
        // the rate to the 24th hour: 855 and 30; the next day begins like this one, six hours at the full rate: 360; 195 are left.
        $this->assertEqualsWithDelta(180.0, $cure['next_coat']['p50_min'], 0.2);
        $this->assertEqualsWithDelta(1440.0 + 360.0 + 195.0 / 0.5, $cure['dry_through']['p50_min'], 1.0);
        $this->assertSame(
            0,
            Artisan::call('ridge:cure', [
                'recipe' => 'white-glue-neat',
                '--climate' => $file,
                '--start' => gmdate('Y-m-d\TH:i\Z', 60 * (29_866_500 + 420)),
                '--json' => true,
            ]),
        );
        $this->assertEqualsWithDelta(
            360.0,
            json_decode(Artisan::output(), true)['milestones']['next_coat']['p50_min'],
            0.5,
            'begun in the damp it takes twice as long',
        );
        file_put_contents($file, $rows."2026-01-01T00:00Z,20,50\n");
        foreach ([['--climate' => $file], ['--climate' => 'nowhere.csv'], ['--climate' => $file, '--start' => 'soon']] as $odd) {
            $this->assertSame(2, Artisan::call('ridge:cure', ['recipe' => 'white-glue-neat'] + $odd));
        }
        unlink($file);
    }
}
