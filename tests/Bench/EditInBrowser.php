<?php

declare(strict_types=1);

namespace Tests\Bench;

use PDO;
use Tests\Browser\Bench;

/** Times what a builder waits for: pages of the demo, and an edit from the key to the new picture. */
final class EditInBrowser
{
    /** @return list<string> rows of a table */
    public static function measure(): array
    {
        $root = dirname(__DIR__, 2);
        foreach (
            ['APP_ENV=production', 'DB_DATABASE='.Bench::database(), 'DB_QUEUE_DATABASE='.Bench::folder().'/queue.sqlite'] as $set
        ) {
            putenv($set);
        }
        Bench::clear();
        exec("{$root}/bin/php {$root}/artisan migrate --force --seed --quiet");
        $database = new PDO('sqlite:'.Bench::database());
        $layout = (string) $database->query('select uid from layouts')->fetchColumn();
        $section = (string) $database->query("select uid from sections where name = 'Tarnhead'")->fetchColumn();
        $spot = (string) $database->query("select uid from land_features where name = 'Birch bank'")->fetchColumn();
        $land = "/layouts/{$layout}/sections/{$section}/land";
        $bench = Bench::start();
        $browser = $bench->browser();
        $rows = [];
        foreach (
            [
                'Layouts' => '/',
                'Layout sheet' => "/layouts/{$layout}/settings",
                'Whole layout' => "/layouts/{$layout}/whole",
                'Carrying' => "/layouts/{$layout}/carrying",
                'Curves and sizes' => "/layouts/{$layout}/curves",
                'Land' => $land,
                'Cuts' => "/layouts/{$layout}/sections/{$section}/cuts",
                'Cuts, on sheets' => "/layouts/{$layout}/sections/{$section}/cuts?on=sheets",
                'Cuts, glue-up' => "/layouts/{$layout}/sections/{$section}/cuts?on=glue",
                'Coats' => "/layouts/{$layout}/sections/{$section}/coats",
                'Schools' => "/layouts/{$layout}/sections/{$section}/coats/schools",
                'Tonight' => "/layouts/{$layout}/tonight",
                'Pots' => "/layouts/{$layout}/pots",
                'Shelf' => "/layouts/{$layout}/shelf",
                'Drying line' => "/layouts/{$layout}/drying",
                'Rounds' => "/layouts/{$layout}/rounds",
                'Journal' => "/layouts/{$layout}/journal",
            ] as $name => $path
        ) {
            $times = [];
            for ($k = 0; $k < 16; $k++) {
                $start = hrtime(true);
                file_get_contents($bench->address().$path);
                $times[] = (hrtime(true) - $start) / 1e6;
            }
            $rows[] = self::row("Page {$name}, whole answer", array_slice($times, 3), '60 ms median');
        }
        foreach (GrowthBench::measure($bench, $browser, $database, $layout) as [$name, $times, $limit]) {
            $rows[] = self::row($name, $times, $limit);
        }
        foreach (BoardBench::measure($bench, $browser, $database, $layout) as [$name, $times, $limit]) {
            $rows[] = self::row($name, $times, $limit);
        }
        foreach (WaterBench::measure($bench, $browser, $database, $layout) as [$name, $times, $limit]) {
            $rows[] = self::row($name, $times, $limit);
        }
        foreach (ClubBench::measure($bench, $database, $layout) as [$name, $times, $limit]) {
            $rows[] = self::row($name, $times, $limit);
        }
        // One board alone, as most layouts begin, and the demo's four that hang together and share one ground.
        $stages = [
            'four boards joined' => [],
            'one board of 1200 × 600' => [
                'delete from stands',
                'delete from lineside_rows',
                'delete from waters',
                'delete from mirrors',
                'delete from coats',
                'delete from applications',
                'delete from zones',
                "delete from sections where name <> 'Tarnhead'",
                "update sections set edges = '{}'",
            ],
            'one board of 2400 × 900, three runs' => [
                'update sections set width_mm = 2400, depth_mm = 900',
                "delete from runs where name not in ('Running line', 'Yard siding', 'Birch line')",
            ],
        ];
        foreach ($stages as $boards => $first) {
            array_map($database->exec(...), $first);
            $browser->get($bench->address().$land."?pick={$spot}");
            $browser->executeAsyncScript('const done = arguments[0]; document.fonts.ready.then(() => setTimeout(done, 500));');
            foreach (['Edit saved, until the new land stands' => 'grip', 'Preview while held' => 'preview'] as $name => $kind) {
                $times = [];
                for ($k = 0; $k < 14; $k++) {
                    $times[] = (float) $browser->executeAsyncScript(self::EDIT, [$kind, $spot, 150 + $k]);
                }
                $rows[] = self::row("{$name}; {$boards}", array_slice($times, 3), str_contains($boards, '2400') ? '1000 ms' : '300 ms');
            }
        }

        foreach (JournalBench::measure($bench, $database, $layout) as [$name, $times, $limit]) {
            $rows[] = self::row($name, $times, $limit);
        }

        return $rows;
    }

    /** From the call to two frames after the answer is in the page; every edit is a new height, so nothing is in the cache. */
    private const EDIT = <<<'JS'
        const [kind, uid, step, done] = arguments;
        const land = document.getElementById('land');
        const start = performance.now();
        htmx.ajax(
            'POST',
            land.dataset[kind],
            { target: '#land', swap: 'outerHTML', values: { ...Object.fromEntries(
                new FormData(document.getElementById('look')),
            ), drag: 'height', uid, index: 0, dz: kind === 'grip' ? 1 : step } },
        )
            .then(() => requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - start))));
    JS;

    /** @param  list<float>  $times */
    private static function row(string $name, array $times, string $limit): string
    {
        sort($times);

        return sprintf('| %s | %.0f | %.0f | %s |', $name, $times[intdiv(count($times), 2)], $times[count($times) - 1], $limit);
    }
}
