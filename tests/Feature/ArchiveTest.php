<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Files\LayoutArchive;
use App\Actions\Files\LayoutFiles;
use App\Computed\Journal\Pictures;
use App\Models\Layout;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Drawn;
use ZipArchive;

/** A layout with its pictures out and in again; what does not belong into such a file. */
final class ArchiveTest extends FeatureCase
{
    public function test_a_layout_goes_out_with_its_pictures_and_comes_in_the_same(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $file = app(LayoutArchive::class)->export($layout);
        $this->import($file)->assertSessionHasNoErrors();
        $again = Layout::query()->orderByDesc('id')->firstOrFail();
        $this->assertSame('Skarnvik Branch (2)', $again->name);
        $pictures = app(Pictures::class);
        $hashes = $pictures->hashes($layout);
        $this->assertNotSame([], $hashes);
        $this->assertEqualsCanonicalizing($hashes, $pictures->hashes($again));
        foreach ($hashes as $hash) {
            $this->assertSame($pictures->bytes($layout, $hash, 'large'), $pictures->bytes($again, $hash, 'large'));
            $this->assertNotNull($pictures->bytes($again, $hash, 'small'));
        }
        foreach (['photos', 'journal_entries', 'checks', 'stalls', 'trials', 'hidden_things'] as $table) {
            $of = fn (Layout $l): array => DB::table($table)->where('layout_id', $l->id)->orderBy('position')->pluck('data')->all();
            $this->assertEquals(array_map(json_decode(...), $of($layout)), array_map(json_decode(...), $of($again)), $table);
        }
        $out = Drawn::file('zip');
        $this->artisan('ridge:export', ['layout' => $layout->uid, '--out' => $out])->assertExitCode(0);
        $this->artisan('ridge:import', ['file' => $out])->assertExitCode(0);
        $this->assertSame($hashes, $pictures->hashes(Layout::query()->orderByDesc('id')->firstOrFail()));
        $this->get("/layouts/{$layout->uid}/archive")->assertOk()->assertDownload('skarnvik-branch.ridge.zip');
        unlink($file);
    }

    public function test_what_was_put_away_stays_here_and_what_came_without_pictures_says_so(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $photo = $layout->photos()->firstOrFail();
        $this->delete("/layouts/{$layout->uid}/photos/{$photo->uid}")->assertRedirect();
        $file = app(LayoutArchive::class)->export($layout);
        $this->import($file)->assertSessionHasNoErrors();
        $again = Layout::query()->orderByDesc('id')->firstOrFail();
        $this->assertCount(count(app(Pictures::class)->hashes($layout)) - 1, app(Pictures::class)->hashes($again));
        unlink($file);
        // The file alone tells of its pictures, and no page shows a broken one.
        $json = app(LayoutFiles::class)->export($layout);
        $bare = app(LayoutFiles::class)->import($json);
        $this->assertSame($layout->photos()->count(), $bare->photos()->count());
        $this->get("/layouts/{$bare->uid}/journal")->assertOk()->assertDontSee('-small.jpg');
        $one = $bare->photos()->firstOrFail()->uid;
        $this->get("/layouts/{$bare->uid}/photos/{$one}")->assertOk()->assertSee('came with a file without pictures');
    }

    public function test_what_does_not_belong_into_it_is_refused_and_nothing_is_taken(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $count = Layout::query()->count();
        $good = app(LayoutArchive::class)->export($layout);
        $hash = app(Pictures::class)->hashes($layout)[0];
        $bytes = (string) app(Pictures::class)->bytes($layout, $hash, 'large');
        $loose = str_repeat('ab', 32);
        $phone = (string) file_get_contents(Drawn::phone(400, 300, '#667755', 1));
        foreach (
            [
                'does not belong' => fn (ZipArchive $z) => $z->addFromString('../../public/x.php', '<?php'),
                '“layout.ridge.json/../../x”' => fn (ZipArchive $z) => $z->addFromString('layout.ridge.json/../../x', 'x'),
                'unfolds to more than 4 MB' => fn (ZipArchive $z) => $z->addFromString("pictures/{$loose}.jpg", str_repeat('0', 5_000_000)),
                'unfolds to more than 20 MB' => fn (ZipArchive $z) => $z->addFromString('layout.ridge.json', str_repeat(' ', 21_000_000)),
                'another picture than its name says' => fn (ZipArchive $z) => $z->addFromString("pictures/{$hash}.jpg", $bytes.'x'),
                'knows nothing of' => fn (ZipArchive $z) => $z->addFromString('pictures/'.hash('sha256', $phone).'.jpg', $phone),
                'There is no layout.ridge.json' => fn (ZipArchive $z) => $z->deleteName('layout.ridge.json'),
                'not a readable JSON file' => fn (ZipArchive $z) => $z->addFromString('layout.ridge.json', '{'),
            ] as $why => $spoil
        ) {
            $file = Drawn::file('zip');
            copy($good, $file);
            $zip = new ZipArchive();
            $zip->open($file);
            $spoil($zip);
            $zip->close();
            $this->from('/')->import($file)->assertSessionHasErrors('file');
            $this->assertStringContainsString($why, session('errors')->first('file'));
        }
        $broken = Drawn::file('zip');
        file_put_contents($broken, substr((string) file_get_contents($good), 0, 2000));
        $this->from('/')->import($broken)->assertSessionHasErrors('file');
        $this->assertSame($count, Layout::query()->count());
        unlink($good);
    }

    public function test_a_picture_that_carries_what_a_camera_notes_is_refused(): void
    {
        $layout = $this->evening('2026-10-14T17:31Z');
        $phone = (string) file_get_contents(Drawn::phone(400, 300, '#667755', 1));
        $hash = hash('sha256', $phone);
        $row = $layout->photos()->firstOrFail();
        $row->update(['data' => (string) json_encode(['hash' => $hash] + (array) json_decode($row->data, true))]);
        $file = app(LayoutArchive::class)->export($layout);
        $zip = new ZipArchive();
        $zip->open($file);
        $zip->addFromString("pictures/{$hash}.jpg", $phone);
        for ($k = $zip->numFiles - 1; $k >= 0; $k--) {
            $name = (string) $zip->getNameIndex($k);
            $known = (string) $layout->photos()->pluck('data')->implode(' ');
            if (str_starts_with($name, 'pictures/') && ! str_contains($known, substr($name, 9, 64))) {
                $zip->deleteIndex($k);
            }
        }
        $zip->close();
        $this->from('/')->import($file)->assertSessionHasErrors('file');
        $this->assertStringContainsString('is no picture as it is kept here', session('errors')->first('file'));
        unlink($file);
    }

    private function import(string $file): TestResponse
    {
        return $this->post('/layouts/import', ['file' => new UploadedFile($file, 'whole.ridge.zip', null, null, true)]);
    }
}
