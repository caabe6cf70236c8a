<?php

declare(strict_types=1);

// Called by bin/bench. Every figure is the median of several runs in one process, after one to warm up.

use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Spot;
use Tests\Bench\EditInBrowser;
use Tests\Build;

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
    $spots = array_map(fn (): Spot => new Spot((float) mt_rand(0, (int) $width), (float) mt_rand(0, (int) $depth), (float) mt_rand(0, 160)), range(1, (int) ($width * $depth / 60_000)));
    $bend = [['kind' => 'tangent', 'length_mm' => 0.33 * $width], ['kind' => 'arc', 'radius_mm' => 720.0, 'angle_deg' => -28.0], ['kind' => 'tangent', 'length_mm' => 0.36 * $width]];
    $runs = [Build::run(1, 0, 0.37 * $depth, 10, $bend, 62, [[420, 62], [0.8 * $width, 76]]), Build::run(2, 0.05 * $width, 0.3 * $depth, 10, [['kind' => 'tangent', 'length_mm' => 0.25 * $width]], 62)];

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

$rows = [];
foreach ([
    ['Terrain 600 × 300 mm at 5 mm', terrain(600, 300, 5.0), ''],
    ['Terrain 1200 × 600 mm at 5 mm', terrain(1200, 600, 5.0), '150 ms, 64 MB'],
    ['Terrain 2400 × 1200 mm at 5 mm', terrain(2400, 1200, 5.0), ''],
    ['Terrain 1200 × 600 mm at 2.5 mm', terrain(1200, 600, 2.5), '600 ms, 128 MB'],
    ['Contours of a 240 × 120 grid', contours(240, 120), ''],
    ['Contours of a 480 × 240 grid', contours(480, 240), '120 ms'],
    ['Contours of a 960 × 480 grid', contours(960, 480), ''],
] as [$name, $work, $limit]) {
    $m = measure($work);
    $rows[] = sprintf('| %s | %.0f | %.0f | %.0f | %s |', $name, $m['ms'], $m['worst'], $m['mb'], $limit);
    echo end($rows), "\n";
}
$pages = EditInBrowser::measure();
foreach ($pages as $row) {
    echo $row, "\n";
}
file_put_contents(dirname(__DIR__, 2).'/docs/benchmarks.md', implode("\n", [
    '# Benchmarks', '',
    'Written by `bin/bench`; the machine is shared, so the worst run says more about it than about the code.', '',
    '## In process', '', '| computation | median ms | worst ms | memory MB | may take |', '|---|---|---|---|---|', ...$rows, '',
    '## In the browser, demo data', '', '| what | median ms | worst ms | may take |', '|---|---|---|---|', ...$pages, '',
]));
