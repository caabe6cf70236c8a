<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\House\Backups;
use App\Actions\House\RestoreBackup;
use App\Actions\Ledger\Ledger;
use App\Computed\Clock\BenchClock;
use App\Models\Layout;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Tests\Demo;
use Tests\TestCase;
use ZipArchive;

/** Copies of all data: whole, made while others write, kept for so long, and brought back. On a file, as it is in the house. */
final class BackupTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->folder = storage_path('framework/testing/backups-'.getmypid());
        $this->clear();
        mkdir($this->folder, 0777, true);
        touch("{$this->folder}/ridge.sqlite");
        config(['database.connections.sqlite.database' => "{$this->folder}/ridge.sqlite", 'ridge.backups' => "{$this->folder}/copies"]);
        DB::purge('sqlite');
        Artisan::call('migrate', ['--database' => 'sqlite', '--force' => true]);
    }

    protected function tearDown(): void
    {
        DB::purge('sqlite');
        $this->clear();
        parent::tearDown();
    }

    public function test_a_copy_is_whole_and_brings_everything_back(): void
    {
        $layout = Demo::store();
        $section = $layout->sections()->firstOrFail();
        $before = $this->state();
        $copy = app(Backups::class)->make();
        $this->assertSame([], glob("{$this->folder}/copies/*.part"));
        $this->assertSame('0600', substr(sprintf('%o', fileperms($copy)), -4));

        $this->post("/layouts/{$layout->uid}/sections/{$section->uid}/features", [
            'kind' => 'spot',
            'points' => [['x' => '301', 'y' => '203', 'z' => '50']],
            'seen' => '0',
        ])->assertSessionHasNoErrors();
        $this->post('/layouts', ['name' => 'Made since', 'ratio' => '87.1', 'gauge_mm' => '16.5', 'units' => 'metric']);
        $last = (int) app(Ledger::class)->newest($layout)?->id;
        $this->assertNotSame($before, $this->state());

        $aside = app(RestoreBackup::class)->from($copy);
        $this->assertSame($before, $this->state());
        $this->assertContains('Made since', Backups::manifest($aside)['layouts'] ?? [], 'what was here is copied first');
        // Pages that were open before look anew, and what they send is not taken for fresh.
        $newest = app(Ledger::class)->newest($layout);
        $this->assertGreaterThan($last, $newest?->id);
        $this->assertStringStartsWith('Brought back from the copy of 2026-10-14', (string) $newest?->sentence);
        $this->patch("/layouts/{$layout->uid}", ['name' => 'From an old page', 'seen' => (string) $last])->assertStatus(409);
        $this->get("/layouts/{$layout->uid}/history")->assertOk()->assertSee('Brought back');
        app(Backups::class)->make();
        $this->assertFileExists($aside, 'no copy of the day takes its place');
        $this->assertNull(app(Ledger::class)->undo($layout->refresh()), 'no step of the history is taken for another');

        $this->assertSame(0, Artisan::call('ridge:restore', ['file' => $aside, '--json' => true]));
        $this->assertTrue(Layout::query()->where('name', 'Made since')->exists());
    }

    public function test_what_is_no_whole_copy_changes_nothing(): void
    {
        Demo::store();
        $copy = app(Backups::class)->make();
        $before = $this->state();
        $bytes = (string) file_get_contents($copy);
        $zip = fn (callable $change): string => $this->changed($bytes, $change);
        $broken = [
            'no copy made by Idle Ridge' => [
                'words',
                substr($bytes, 0, 2000),
                $zip(fn (ZipArchive $z) => $z->addFromString('manifest.json', '{"format": "other"}')),
            ],
            'cut off or changed' => [
                $zip(fn (ZipArchive $z) => $z->addFromString('ridge.sqlite', 'SQLite format 3')),
                $zip(fn (ZipArchive $z) => $z->deleteName('ridge.sqlite')),
            ],
        ];
        foreach ($broken as $said => $contents) {
            foreach ($contents as $content) {
                $this->followingRedirects()
                    ->from('/keeping')
                    ->post('/keeping/restore', ['file' => UploadedFile::fake()->createWithContent('x.zip', $content)])
                    ->assertSee($said);
            }
        }
        $this->from('/keeping')
            ->post('/keeping/restore', ['copy' => '../ridge.sqlite'])
            ->assertSessionHasErrors('copy');
        $this->from('/keeping')->post('/keeping/restore')->assertSessionHasErrors('file');
        $newer = $zip(function (ZipArchive $z): void {
            $file = "{$this->folder}/newer.sqlite";
            file_put_contents($file, $z->getFromName('ridge.sqlite'));
            (new \PDO("sqlite:{$file}"))->exec("insert into migrations (migration, batch) values ('2031_01_01_000001_what_is_to_come', 9)");
            $z->addFromString('ridge.sqlite', (string) file_get_contents($file));
            $z->addFromString(
                'manifest.json',
                json_encode(
                    ['sha256' => hash_file('sha256', $file)] + json_decode((string) $z->getFromName('manifest.json'), true),
                    JSON_THROW_ON_ERROR,
                ),
            );
        });
        $this->followingRedirects()
            ->from('/keeping')
            ->post('/keeping/restore', ['file' => UploadedFile::fake()->createWithContent('x.zip', $newer)])
            ->assertSee('made by a newer version');
        $this->assertSame($before, $this->state());
    }

    public function test_the_newest_of_seven_days_and_four_weeks_stay(): void
    {
        $backups = fn (string $now): Backups => $this->at($now);
        $this->assertTrue($backups('2026-09-01T06:00:00Z')->isDue());
        for ($day = 0; $day < 45; $day++) {
            $now = gmdate('Y-m-d', strtotime('2026-09-01') + 86_400 * $day);
            $backups("{$now}T06:00:00Z")->make();
            $backups("{$now}T18:00:00Z")->make();
        }
        $days = array_map(fn (array $c): string => $c['at']->format('m-d H'), $backups('2026-10-15T18:00:00Z')->all());
        // Seven days, and the last days of the three weeks before; the first week's newest is one of the seven.
        $this->assertSame(
            ['10-15 18', '10-14 18', '10-13 18', '10-12 18', '10-11 18', '10-10 18', '10-09 18', '10-04 18', '09-27 18'],
            $days,
        );
        $this->assertFalse($backups('2026-10-16T16:59:59Z')->isDue());
        $this->assertTrue($backups('2026-10-16T17:00:00Z')->isDue());
        $this->assertSame(0, Artisan::call('ridge:backup', ['--to' => $this->folder, '--json' => true]));
        $this->assertFileExists(json_decode(Artisan::output(), true)['file']);
        $this->assertSame(2, Artisan::call('ridge:backup', ['--to' => '/proc/nowhere/at/all.zip']));
    }

    public function test_the_page_makes_lists_and_hands_out_copies(): void
    {
        Demo::store();
        $this->get('/keeping')->assertOk()->assertSee('No copy was made yet')->assertSee("{$this->folder}/ridge.sqlite");
        $this->followingRedirects()
            ->post('/keeping')
            ->assertSee('the copy is whole')
            ->assertSee('Wed 14 Oct 2026, 20:30')
            ->assertSee('Skarnvik Branch')
            ->assertSee('the newest is of today');
        $name = app(Backups::class)->all()[0]['name'];
        $this->get("/keeping/{$name}")->assertOk()->assertHeader('Content-Disposition', "attachment; filename={$name}");
        $this->followingRedirects()
            ->post('/keeping/restore', ['copy' => $name])
            ->assertSee('Brought back');
    }

    private function at(string $now): Backups
    {
        $this->app->instance(ClockInterface::class, new BenchClock($now, null));

        return app(Backups::class);
    }

    private function changed(string $bytes, callable $change): string
    {
        $file = "{$this->folder}/changed.zip";
        file_put_contents($file, $bytes);
        $zip = new ZipArchive();
        $zip->open($file);
        $change($zip);
        $zip->close();

        return (string) file_get_contents($file);
    }

    /** @return array<string, mixed> all that was made here */
    private function state(): array
    {
        $out = [];
        foreach (
            [
                'layouts',
                'sections',
                'runs',
                'land_features',
                'zones',
                'coats',
                'applications',
                'rooms',
                'journal_entries',
                'lots',
                'air_readings',
            ] as $table
        ) {
            $out[$table] = DB::table($table)->orderBy('id')->get()->map(fn (object $row): array => (array) $row)->all();
        }

        return $out;
    }

    private function clear(): void
    {
        foreach ([...glob("{$this->folder}/copies/*") ?: [], ...glob("{$this->folder}/*.*") ?: []] as $file) {
            unlink($file);
        }
        @rmdir("{$this->folder}/copies");
        @rmdir($this->folder);
    }
}
