<?php

declare(strict_types=1);

// Prints the heights of some of the demo's sections as 5 mm cells, solved in this process alone. Called by SameHeightsTest.

use Database\Seeders\SkarnvikBranch;
use IdleRidge\Core\Land\GroundSolver;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$heights = [];
for ($k = 1; $k < $argc; $k++) {
    $project = $app->make(SkarnvikBranch::class)->land();
    $section = $project->section($argv[$k]) ?? exit(1);
    $land = $project->land($section, GroundSolver::solve($project->groundProblem($section), 5.0));
    $heights[] = array_map(fn (float $z): float => round($z, 6), $land->terrain(5.0)->heights);
}
echo json_encode($heights, JSON_THROW_ON_ERROR);
