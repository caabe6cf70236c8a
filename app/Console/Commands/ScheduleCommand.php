<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Computed\Clock\SearchTime;
use IdleRidge\Core\Interchange\BenchProblemFile;
use IdleRidge\Core\Schedule\JobReasons;
use IdleRidge\Core\Schedule\ProvingSolver;
use IdleRidge\Core\Schedule\Solver;

final class ScheduleCommand extends RidgeCommand
{
    protected $signature = 'ridge:schedule {file : sessions, jobs and waits as JSON} {--seconds=2 : how long to look} {--seed=1} {--json}';

    protected $description = 'Plans jobs into bench sessions';

    protected function answer(): array
    {
        $problem = BenchProblemFile::read($this->contents($this->file()));
        [$seconds, $seed] = [$this->number('seconds', 0.0, 600.0, 's'), (int) $this->number('seed', 0.0, 1e9)];
        $plan = $seconds > 0.0
            ? ProvingSolver::solve($problem, SearchTime::of($seconds), $seed)
            : Solver::solve($problem, SearchTime::of(0.0), $seed);

        return [
            'status' => $plan->status,
            'finish' => $plan->finish,
            'lower_bound' => $plan->lowerBound,
            'starts' => (object) $plan->starts,
            'reasons' => (object) JobReasons::of($problem, $plan->starts),
        ] + ($plan->why === null ? [] : ['why' => $plan->why]);
    }
}
