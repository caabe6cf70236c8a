<?php

declare(strict_types=1);

namespace Tests\Bench;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Planting\Depth;
use IdleRidge\Core\Planting\Obstacle;
use IdleRidge\Core\Planting\Obstacles;
use IdleRidge\Core\Planting\Planter;
use IdleRidge\Core\Planting\PlantingGround;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\TreeForm;
use PDO;
use Tests\Browser\Bench;

/** Woods: planted, dragged in, and drawn. */
final class GrowthBench
{
    private const SQUARE = [[0.0, 0.0], [1200.0, 0.0], [1200.0, 600.0], [0.0, 600.0]];

    /** @return callable(): void a wood on 1200 × 600 with a track through it, of some hundred or some thousand trees */
    public static function plant(float $crownM): callable
    {
        $mesh = fn (float $z): HeightMesh => new HeightMesh([0.0, 1200.0], [0.0, 600.0], [$z, $z, $z, $z]);
        $track = [];
        for ($k = 0; $k <= 240; $k++) {
            $track[] = new Obstacle(5.0 * $k, 300.0, 25.0, 0.0, 0.0, 80.0, 'Line');
            $track[] = new Obstacle(5.0 * $k, 300.0, 0.0, 30.0, 0.0, 80.0, 'Line');
        }
        $ground = new PlantingGround(
            1200.0, 600.0, $mesh(10.0), $mesh(5.0), new Obstacles($track), fn (): bool => false, [],
            new Depth([BoardEdge::Front], 1200.0, 600.0),
        );
        $mix = [new Species('Birch', TreeForm::Round, 4.0, 12.0, $crownM, 1.4 * $crownM)];
        $stand = new Stand('00000000000000000000000001', '00000000000000000000000002', 'Wood', null, $mix, new PlantingRule());

        return function () use ($stand, $ground): void {
            (new Planter($stand, $ground, [self::SQUARE], Scale::oneTo(87.1)))->plant();
        };
    }

    /** @return list<array{string, list<float>, string}> what, times in ms, what it may take */
    public static function measure(Bench $bench, RemoteWebDriver $browser, PDO $database, string $layout): array
    {
        $section = (string) $database->query("select uid from sections where name = 'Birch Cutting'")->fetchColumn();
        $stand = (string) $database->query("select uid from stands where data like '%Birch wood%'")->fetchColumn();
        $root = $bench->address()."/layouts/{$layout}/sections/{$section}";
        $out = [['Page Growth, whole answer', self::times("{$root}/growth"), '60 ms median']];
        $browser->get("{$root}/growth?pick={$stand}");
        $browser->executeAsyncScript('const done = arguments[0]; document.fonts.ready.then(() => setTimeout(done, 500));');
        $times = [];
        for ($k = 0; $k < 12; $k++) {
            $times[] = (float) $browser->executeAsyncScript(self::DRAG, [$k % 2 === 0 ? 1 : -1]);
        }
        $out[] = ['A tree of 77 dragged, until the new plan stands', array_slice($times, 2), '300 ms'];
        $land = self::times("{$root}/land");
        self::wood($database, $layout, $section, 2000);
        $out[] = ['Page Land with 77 trees, whole answer', $land, ''];
        $out[] = ['Page Land with 2077 trees, whole answer', self::times("{$root}/land"), '100 ms more'];
        $out[] = ['Page Growth with 2077 trees, whole answer', self::times("{$root}/growth"), ''];
        $database->exec("delete from stands where uid = '00000000000000000000000W00'");

        return $out;
    }

    private const DRAG = <<<'JS'
        const [dx, done] = arguments;
        const start = performance.now();
        htmx.ajax('POST', `${document.querySelector('.page.growth').dataset.trees}/3`,
            { target: '#land', select: '#land', swap: 'outerHTML', values: { _method: 'patch', dx, dy: 0 } })
            .then(() => requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - start))));
    JS;

    private static function wood(PDO $database, string $layout, string $section, int $count): void
    {
        mt_srand(4);
        $id = (int) $database->query('select id from layouts where uid = '.$database->quote($layout))->fetchColumn();
        $trees = array_map(
            fn (): array => [1205 + mt_rand(0, 990), 5 + mt_rand(0, 490), 0, 20 + mt_rand(0, 60), 8 + mt_rand(0, 10), 0, 0],
            range(1, $count),
        );
        $species = [['name' => 'Birch', 'form' => 'round', 'height_m' => [4, 12], 'crown_m' => [1, 2], 'parts' => 1]];
        $database->prepare('insert into stands (uid, layout_id, rev, position, data) values (?, ?, 1, 99, ?)')->execute([
            '00000000000000000000000W00',
            $id,
            json_encode(['section' => $section, 'name' => 'Thicket', 'species' => $species, 'trees' => $trees]),
        ]);
    }

    /** @return list<float> */
    private static function times(string $url): array
    {
        $times = [];
        for ($k = 0; $k < 12; $k++) {
            $start = hrtime(true);
            file_get_contents($url);
            $times[] = (hrtime(true) - $start) / 1e6;
        }

        return array_slice($times, 2);
    }
}
