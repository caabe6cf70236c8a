<?php

declare(strict_types=1);

// Called by bin/bench. Every figure is the median of several runs in one process, after one to warm up.

use App\Computed\Clock\SearchTime;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Cuts\Nesting\NestPiece;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Interchange\BenchProblemFile;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\TakeOff;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\ProvingSolver;
use IdleRidge\Core\Schedule\Solver;
use IdleRidge\Core\Shelf\Purchase;
use IdleRidge\Core\Shelf\PurchaseNeed;
use IdleRidge\Core\Shelf\PurchasePack;
use IdleRidge\Core\Shelf\PurchaseProblem;
use Tests\Bench\EditInBrowser;
use Tests\Bench\GrowthBench;
use Tests\Bench\WaterBench;
use Tests\BenchProblems;
use Tests\Build;
use Tests\Fixtures;

require __DIR__.'/../../vendor/autoload.php';

/**
 * @return array{ms: float, worst: float, mb: float}
 */
function measure(callable $work, int $runs = 9): array
{
    $work();
    $times = [];
    memory_reset_peak_usage();
    $before = memory_get_usage();
    for ($k = 0; $k < $runs; $k++) {
        $start = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return ['ms' => $times[intdiv($runs, 2)], 'worst' => $times[$runs - 1], 'mb' => (memory_get_peak_usage() - $before) / 1048576];
}

function terrain(float $width, float $depth, float $cell): callable
{
    mt_srand(3);
    $spots = array_map(
        fn (): Spot => new Spot((float) mt_rand(0, (int) $width), (float) mt_rand(0, (int) $depth), (float) mt_rand(0, 160)),
        range(1, (int) (($width * $depth) / 60_000)),
    );
    $bend = [
        ['kind' => 'tangent', 'length_mm' => 0.33 * $width],
        ['kind' => 'arc', 'radius_mm' => 720.0, 'angle_deg' => -28.0],
        ['kind' => 'tangent', 'length_mm' => 0.36 * $width],
    ];
    $runs = [
        Build::run(1, 0, 0.37 * $depth, 10, $bend, 62, [[420, 62], [0.8 * $width, 76]]),
        Build::run(2, 0.05 * $width, 0.3 * $depth, 10, [['kind' => 'tangent', 'length_mm' => 0.25 * $width]], 62),
    ];

    return function () use ($width, $depth, $cell, $spots, $runs): void {
        $lattice = GroundSolver::solve(GroundProblem::over(0.0, 0.0, $width, $depth, $spots));
        (new LandModel($width, $depth, new Ground($lattice, new Placement(0.0, 0.0, 0.0)), new Grading($runs)))->terrain($cell);
    };
}

function contours(int $cols, int $rows): callable
{
    $values = [];
    for ($j = 0; $j < $rows; $j++) {
        for ($i = 0; $i < $cols; $i++) {
            $values[] = 100 + 50 * sin($i / 30) * cos($j / 25) + 30 * sin(($i + $j) / 17);
        }
    }
    $grid = HeightGrid::cells($cols, $rows, 2.5, 0.0, 0.0, $values);

    return function () use ($grid): void {
        $mesh = $grid->mesh();
        Contours::of($mesh, Contours::levels($mesh, 10.0));
    };
}

/** A formation along a run, two zones drawn, one by slope, and the rest: on a rolling board of 1200 × 600 mm times a size. */
function survey(float $size): callable
{
    [$cols, $rows] = [(int) (240 * $size), (int) (120 * $size)];
    $z = [];
    for ($j = 0; $j < $rows; $j++) {
        for ($i = 0; $i < $cols; $i++) {
            $z[] = 60 + 40 * sin($i / 20) * cos($j / 15);
        }
    }
    $grid = HeightGrid::cells($cols, $rows, 5.0, 0.0, 0.0, $z);
    $run = Build::straight(5, 220.0 * $size, 60.0, 60.0, length: 1200.0 * $size);
    $zones = [
        Build::zone(1, ['near' => ['run' => null, 'from' => 0.0, 'to' => 24.0]]),
        Build::zone(2, ['outline' => Build::square(100 * $size, 20 * $size, 400 * $size, 160 * $size)]),
        Build::zone(3, [
            'outline' => Build::square(700 * $size, 300 * $size, 1100 * $size, 580 * $size),
            'slope' => [25.0, 90.0],
            'without' => [Build::uid(1)],
        ]),
        Build::zone(4, ['slope' => [30.0, 90.0], 'without' => [Build::uid(1), Build::uid(3)]]),
        Build::zone(5, ['without' => [Build::uid(1), Build::uid(2), Build::uid(3), Build::uid(4)]]),
    ];
    $byUid = array_column(array_map(fn (Zone $zone): array => [$zone->uid, $zone], $zones), 1, 0);

    return fn () => SectionSurvey::of(
        new ZoneSurvey($grid, 1200.0 * $size, 600.0 * $size, 0.0, new Placement(0.0, 0.0, 0.0), [$run], $byUid),
        new Placement(0.0, 0.0, 0.0),
        $byUid,
        [],
        [],
    );
}

/** @return list<Coat> */
function coats(int $zone, string ...$ids): array
{
    return array_map(
        fn (int $k): Coat => new Coat(Build::uid(100 * $zone + $k), Build::uid($zone), Build::recipe($ids[$k])),
        array_keys($ids),
    );
}

function takeOff(): callable
{
    $work = Build::work(
        new Works([Build::zone(1)], coats(1, 'pulp-plaster-spreading', 'earth-paint', 'sifted-soil', 'fibre-2mm', 'fibre-4mm')),
        '2026-10-12T12:00Z',
    );

    return fn () => TakeOff::byMaterial($work);
}

function plan(int $count): callable
{
    $zones = $coats = [];
    for ($k = 1; $k <= $count; $k++) {
        $zones[] = Build::zone($k, ['outline' => Build::square(95.0 * ($k - 1), 100, 95.0 * ($k - 1) + 90, 400)]);
        array_push(
            $coats,
            ...coats(
                $k,
                'pulp-plaster-spreading',
                'earth-paint',
                'sifted-soil',
                'fibre-2mm',
                'fibre-4mm',
                'white-glue-neat',
                'spray-adhesive',
                'gloss-medium',
            ),
        );
    }
    $times = array_map(fn (int $day): BenchTime => Build::weekly(50 + $day, $day, 1140, 1260), [1, 2, 3, 4, 6]);
    $work = Build::work(new Works($zones, $coats, [], [], $times), '2026-10-12T12:00Z');

    return fn () => BenchPlan::make($work);
}

/** Pieces with eight corners, 80 to 300 mm across, on sheets of 1250 × 600 mm: a first layout. */
function nest(int $count): callable
{
    mt_srand(7);
    $pieces = [];
    for ($k = 1; $k <= $count; $k++) {
        $ring = [];
        $size = mt_rand(40, 150);
        for ($n = 0; $n < 8; $n++) {
            $away = ($size * mt_rand(60, 100)) / 100.0;
            $ring[] = [$away * cos(($n * M_PI) / 4.0), $away * sin(($n * M_PI) / 4.0)];
        }
        $pieces[] = new NestPiece("p{$k}", [$ring]);
    }
    $problem = new NestProblem([new NestSheet('s', 1250.0, 600.0, 20)], $pieces, 2.0, 0.0);

    return fn () => Nester::lay($problem, null, 1);
}

/** Twelve materials, six packs of each, two shops. */
function buy(): callable
{
    mt_srand(3);
    $needs = $packs = [];
    for ($k = 0; $k < 12; $k++) {
        $needs[] = new PurchaseNeed("n{$k}", mt_rand(200, 6000));
        foreach ([20, 50, 142, 250, 500, 1361] as $p => $amount) {
            $price = (int) ($amount ** 0.8 * 10);
            $packs[] = new PurchasePack("p{$k}-{$p}", "n{$k}", $amount + mt_rand(0, 9), $price, null, ['a', 'b'][$p % 2]);
        }
    }

    return fn () => Purchase::best(new PurchaseProblem($needs, $packs, ['a' => 500, 'b' => 700]));
}

$rows = [];
foreach (
    [
        ['Terrain 600 × 300 mm at 5 mm', terrain(600, 300, 5.0), ''],
        ['Terrain 1200 × 600 mm at 5 mm', terrain(1200, 600, 5.0), '150 ms, 64 MB'],
        ['Terrain 2400 × 1200 mm at 5 mm', terrain(2400, 1200, 5.0), ''],
        ['Terrain 1200 × 600 mm at 2.5 mm', terrain(1200, 600, 2.5), '600 ms, 128 MB'],
        ['Contours of a 240 × 120 grid', contours(240, 120), ''],
        ['Contours of a 480 × 240 grid', contours(480, 240), '120 ms'],
        ['Contours of a 960 × 480 grid', contours(960, 480), ''],
        ['20 pieces laid on sheets', nest(20), ''],
        ['40 pieces laid on sheets', nest(40), '3000 ms'],
        ['80 pieces laid on sheets', nest(80), ''],
        ['Survey of five zones, 600 × 300 mm', survey(0.5), ''],
        ['Survey of five zones, 1200 × 600 mm', survey(1.0), ''],
        ['Survey of five zones, 2400 × 1200 mm', survey(2.0), ''],
        ['A wood of 502 trees planted on 1200 × 600 mm', GrowthBench::plant(2.55), '300 ms for 500'],
        ['A wood of 4697 trees planted on 1200 × 600 mm', GrowthBench::plant(0.83), '3000 ms for 5000'],
        ['Flood and spill of 2400 × 600 mm at 5 mm', WaterBench::flood(), '150 ms'],
        ['Take-off of a zone of five coats', takeOff(), '200 ms for the demo'],
        ['Purchase of 12 materials, 6 packs each, two shops', buy(), '200 ms'],
        ['Plan of 25 moves in three zones', plan(3), ''],
        ['Plan of 50 moves in six zones', plan(6), ''],
        ['Plan of 100 moves in twelve zones', plan(12), ''],
    ] as [$name, $work, $limit]
) {
    $m = measure($work);
    $rows[] = sprintf('| %s | %.0f | %.0f | %.0f | %s |', $name, $m['ms'], $m['worst'], $m['mb'], $limit);
    echo end($rows), "\n";
}
$plans = [];
foreach (['s10-01', 's10-04', 's10-06', 's20-02', 's20-07', 'infeasible-01'] as $name) {
    $best = Fixtures::json("schedule/{$name}.answer.json")['finish'];
    $plan = ProvingSolver::solve(BenchProblemFile::read(Fixtures::text("schedule/{$name}.json")), SearchTime::of(2.0));
    $plans[] = sprintf(
        '| %s | %s | %s | %s | %s |',
        $name,
        $plan->status,
        $plan->finish ?? '–',
        $best ?? 'none',
        $best === null ? '–' : sprintf('%.2f %%', (100.0 * ($plan->finish - $best)) / $best),
    );
}
foreach ([[60, 8, range(1, 10), 2.0], [300, 12, [1, 2, 3], 2.0]] as [$jobs, $weeks, $seeds, $seconds]) {
    foreach ($seeds as $seed) {
        $problem = BenchProblems::of($jobs, $weeks, $seed);
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $start = hrtime(true);
        Solver::solve($problem, SearchTime::of(0.0));
        $first = (hrtime(true) - $start) / 1e9;
        $plan = ProvingSolver::solve($problem, SearchTime::of($seconds));
        $plans[] = sprintf(
            '| %d jobs in %d weeks, seed %d; first plan after %.1f s, %.0f MB | %s | %s | over %d | %.2f %% over the bound |',
            $jobs,
            $weeks,
            $seed,
            $first,
            (memory_get_peak_usage() - $before) / 1048576,
            $plan->status,
            $plan->finish ?? '–',
            $plan->lowerBound,
            (100.0 * (($plan->finish ?? 0) - $plan->lowerBound)) / $plan->lowerBound,
        );
    }
}
echo implode("\n", $plans), "\n";
$pages = EditInBrowser::measure();
foreach ($pages as $row) {
    echo $row, "\n";
}
$page = dirname(__DIR__, 2).'/docs/benchmarks.md';
$held = strstr((string) @file_get_contents($page), "\n## Held against\n") ?: '';
file_put_contents(
    $page,
    implode("\n", [
        '# Benchmarks',
        '',
        'Written by `bin/bench`; the machine is shared, so the worst run says more about it than about the code.',
        '',
        '## In process',
        '',
        '| computation | median ms | worst ms | memory MB | may take |',
        '|---|---|---|---|---|',
        ...$rows,
        '',
        '## Plans after two seconds',
        '',
        'Known problems against their proven ends, made ones against a bound that no plan can beat and most cannot meet.',
        '',
        '| problem | status | ends at | best | gap |',
        '|---|---|---|---|---|',
        ...$plans,
        '',
        '## In the browser, demo data',
        '',
        '| what | median ms | worst ms | may take |',
        '|---|---|---|---|',
        ...$pages,
        '',
    ]).$held,
);
