<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Workshop\Plan\PlanFile;
use IdleRidge\Core\Plan\BenchPlan;

final class PlanCommand extends RidgeCommand
{
    protected $signature = 'ridge:plan {file : a *.ridge.json} {--now= : a moment in ISO 8601; without it the clock\'s} {--json}';

    protected $description = 'Puts the work of a layout into its sessions';

    protected function answer(): array
    {
        $works = new PlanFile;

        return $works->plan(BenchPlan::make($works->work($this->project(), $this->minute())));
    }
}
