<?php

declare(strict_types=1);

namespace Tests\Bench;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Water\Pool;
use PDO;
use Tests\Browser\Bench;

/** Water: flooded, and its level changed. */
final class WaterBench
{
    /** @return callable(): void a basin of 2400 × 600 mm at 5 mm, rough, filled nearly to its rim and followed over it */
    public static function flood(): callable
    {
        mt_srand(3);
        $values = [];
        for ($j = 0; $j < 120; $j++) {
            for ($i = 0; $i < 480; $i++) {
                $values[] = 60.0 + 40.0 * ((($i - 240) / 240.0) ** 2 + (($j - 60) / 60.0) ** 2)
                    - 20.0 * cos(($i - 240) / 15.0) * cos(($j - 60) / 11.0) + mt_rand() / mt_getrandmax();
            }
        }
        $mesh = HeightGrid::cells(480, 120, 5.0, 0.0, 0.0, $values)->mesh();

        return function () use ($mesh): void {
            Pool::fill($mesh, 90.0, 1200.0, 300.0);
        };
    }

    /** @return list<array{string, list<float>, string}> what, times in ms, what it may take */
    public static function measure(Bench $bench, RemoteWebDriver $browser, PDO $database, string $layout): array
    {
        $section = (string) $database->query("select uid from sections where name = 'Tarnhead'")->fetchColumn();
        $tarn = (string) $database->query("select uid from land_features where name = 'Peat tarn'")->fetchColumn();
        $root = $bench->address()."/layouts/{$layout}/sections/{$section}";
        $pages = [];
        for ($k = 0; $k < 12; $k++) {
            $start = hrtime(true);
            file_get_contents("{$root}/water");
            $pages[] = (hrtime(true) - $start) / 1e6;
        }
        $browser->get("{$root}/land?pick={$tarn}");
        $browser->executeAsyncScript('const done = arguments[0]; document.fonts.ready.then(() => setTimeout(done, 500));');
        $times = [];
        for ($k = 0; $k < 12; $k++) {
            $times[] = (float) $browser->executeAsyncScript(self::LEVEL, [$tarn]);
        }

        return [
            ['Page Water, whole answer', array_slice($pages, 2), '60 ms median'],
            ['Level of the tarn changed, until the new land and what it holds stand', array_slice($times, 2), '300 ms'],
        ];
    }

    /** From the call to two frames after the answer is in the page; every level is a new one. */
    private const LEVEL = <<<'JS'
        const [uid, done] = arguments;
        const start = performance.now();
        htmx.ajax('POST', document.getElementById('land').dataset.grip, { target: '#land', swap: 'outerHTML', values: {
            ...Object.fromEntries(new FormData(document.getElementById('look'))), drag: 'height', uid, index: 0, dz: 0.1,
        } }).then(() => requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - start))));
    JS;
}
