<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Computed\Plan\PlanReport;
use IdleRidge\Core\Interchange\CalendarFile;
use IdleRidge\Core\Plan\BenchPlan;

final class PlanCommand extends RidgeCommand
{
    protected $signature = 'ridge:plan {file : a *.ridge.json} {--now= : a moment in ISO 8601; without it the '
        .'clock\'s} {--ics : the plan as an iCalendar file} {--csv : its moves as a table} {--json}';

    protected $description = 'Puts the work of a layout into its sessions';

    protected function answer(): ?array
    {
        $works = new PlanReport();
        $plan = BenchPlan::make($works->work($this->project(), $this->minute()));
        $file = match (true) {
            $this->option('ics') === true => CalendarFile::write($plan),
            $this->option('csv') === true => $works->csv($plan),
            default => null,
        };
        if ($file === null) {
            return $works->plan($plan);
        }
        $this->output->write($file);

        return null;
    }
}
