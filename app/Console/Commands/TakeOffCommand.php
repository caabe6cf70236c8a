<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Computed\Plan\PlanReport;

final class TakeOffCommand extends RidgeCommand
{
    protected $signature = 'ridge:takeoff {file : a *.ridge.json} {--section= : only this one, by '
        .'uid or name} {--now= : a moment in ISO 8601; without it the clock\'s} {--json}';

    protected $description = 'Lists what the coats still to lay take';

    protected function answer(): array
    {
        $project = $this->project();
        $section = $this->word('section') === '' ? null : $project->section($this->word('section'))->uid;
        $works = new PlanReport();

        return $works->takeOff($works->work($project, $this->minute()), $section);
    }
}
