<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Computed\Growth\GrowthReport;
use App\Computed\Land\LandReport;
use App\Computed\Plan\PlanReport;
use App\Computed\Water\WaterReport;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Rulebook\Rulebook;

final class CheckCommand extends RidgeCommand
{
    protected $signature = 'ridge:check {file : a *.ridge.json} {--section= : only this one, by '
        .'uid or name} {--now= : a moment in ISO 8601; without it the clock\'s} {--json}';

    protected $description = 'Lists the findings of a layout';

    protected function answer(): array
    {
        $project = $this->project();
        $works = new LandReport();
        $growth = new GrowthReport();
        $water = new WaterReport();
        $findings = [];
        $only = $this->word('section');
        foreach ($only === '' ? $project->sections : [$project->section($only)] as $section) {
            $study = $works->of($project, $section);
            array_push($findings, ...$works->findings($study), ...$growth->findings($study), ...$water->findings($study));
        }

        $plans = new PlanReport();
        $wanted = $only === '' ? null : $project->section($only)->uid;
        foreach (Rulebook::checkWork(BenchPlan::make($plans->work($project, $this->minute()))) as $finding) {
            if ($wanted === null || $finding->section === $wanted) {
                $findings[] = $finding->toArray();
            }
        }

        return ['findings' => $findings];
    }
}
