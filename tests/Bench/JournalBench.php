<?php

declare(strict_types=1);

namespace Tests\Bench;

use App\Actions\Journal\PictureIntake;
use PDO;
use Tests\Browser\Bench;
use Tests\Drawn;

/** A journal of years: its page, its search, and a phone's picture coming in. */
final class JournalBench
{
    private const WORDS = [
        'peat', 'heather', 'weir', 'ballast', 'birch', 'crag', 'moss', 'bank', 'tarn', 'soil', 'glue', 'wash', 'fibre', 'stone',
    ];

    /** @return list<array{string, list<float>, string}> what, times in ms, what it may take */
    public static function measure(Bench $bench, PDO $database, string $layout): array
    {
        $page = $bench->address()."/layouts/{$layout}/journal";
        self::fill($database, $layout, 2000);
        $out = [['Page Journal of 2000 entries, every third with a picture', self::times($page), '60 ms median']];
        self::fill($database, $layout, 18_000);
        $out[] = ['Search of two words in 20 000 entries, whole answer', self::times("{$page}?words=heather+weir"), '100 ms'];
        $out[] = ['Search of a word that a third of 20 000 entries say', self::times("{$page}?words=peat"), '100 ms'];
        $fields = 'zone=meadow&material=paint&from=2026-01-01';
        $out[] = ['Search by zone, material and day in 20 000 entries', self::times("{$page}?{$fields}"), '100 ms'];
        $picture = Drawn::jpeg(4032, 3024, '#7d8a4a', function (\GdImage $image): void {
            mt_srand(5);
            for ($k = 0; $k < 60_000; $k++) {
                [$x, $y] = [mt_rand(0, 4031), mt_rand(0, 3023)];
                imageline($image, $x, $y, $x + mt_rand(-40, 40), $y + mt_rand(-40, 40), mt_rand(0, 0xFFFFFF));
            }
        });
        $times = [];
        for ($k = 0; $k < 5; $k++) {
            $start = hrtime(true);
            (new PictureIntake())->take($picture);
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        // Pictures lie outside what PHP counts: the most that the process ever had is told by the system.
        preg_match('/VmHWM:\s+(\d+) kB/', (string) file_get_contents('/proc/self/status'), $most);
        $mb = round((int) ($most[1] ?? 0) / 1024);
        $name = "A picture of 12 megapixels taken in three sizes; the whole process at most {$mb} MB";
        $out[] = [$name, $times, '2000 ms, 256 MB'];

        return $out;
    }

    private static function fill(PDO $database, string $layout, int $count): void
    {
        mt_srand($count);
        $id = (int) $database->query('select id from layouts where uid = '.$database->quote($layout))->fetchColumn();
        $section = (string) $database->query("select uid from sections where layout_id = {$id}")->fetchColumn();
        $hash = (string) $database->query("select hash from pictures where layout_id = {$id} and size = 'large'")->fetchColumn();
        $entry = $database->prepare('insert into journal_entries (uid, layout_id, rev, position, data) values (?, ?, 1, ?, ?)');
        $photo = $database->prepare('insert into photos (uid, layout_id, rev, position, data) values (?, ?, 1, ?, ?)');
        $database->beginTransaction();
        for ($k = 0; $k < $count; $k++) {
            $uid = sprintf('%09d%05dB', $count, $k);
            $uid = str_pad($uid, 26, '0');
            $words = implode(' ', array_map(fn (): string => self::WORDS[mt_rand(0, count(self::WORDS) - 1)], range(1, 6)));
            $at = gmdate('Y-m-d\TH:i\Z', 1_790_000_000 - 1800 * $k);
            $work = ['zone' => $section, 'zone_name' => 'Meadow', 'coat' => $section, 'title' => 'Earth paint', 'recipe' => 'earth-paint'];
            $work += ['area_mm2' => 1e5, 'lots' => [], 'pots' => []];
            $amounts = [['material' => 'earth paint', 'amount' => 12.5, 'unit' => 'ml']];
            $data = ['at' => $at, 'kind' => 'done', 'section' => $section, 'sentence' => ucfirst($words)];
            $data += ['amounts' => $amounts, 'work' => $work];
            $entry->execute([$uid, $id, $k + 1000, json_encode($data)]);
            if ($k % 3 === 0) {
                $shown = ['at' => $at, 'section' => $section, 'hash' => $hash, 'width_px' => 960, 'height_px' => 720, 'entry' => $uid];
                $photo->execute([substr($uid, 0, 25).'P', $id, $k + 1000, json_encode($shown + ['caption' => ''])]);
            }
        }
        $database->commit();
    }

    /** @return list<float> */
    private static function times(string $url): array
    {
        $times = [];
        for ($k = 0; $k < 16; $k++) {
            $start = hrtime(true);
            file_get_contents($url);
            $times[] = (hrtime(true) - $start) / 1e6;
        }

        return array_slice($times, 3);
    }
}
