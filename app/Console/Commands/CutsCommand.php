<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Workshop\Cuts\CutLand;
use App\Workshop\Land\LandDesk;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Measure\Refusal;

final class CutsCommand extends RidgeCommand
{
    protected $signature = 'ridge:cuts {file : a *.ridge.json} {--section= : uid or name} {--school= : carved or fill; without it the layout\'s} {--json}';

    protected $description = 'Cuts the land of a section into foam layers';

    protected function answer(): array
    {
        $project = $this->project();
        $section = $project->section($this->word('section') === '' ? throw new Refusal('name a section by its uid or name', '--section') : $this->word('section'));
        $cuts = $project->layout->cuts;
        if ($this->word('school') !== '') {
            $school = CutSchool::tryFrom($this->word('school')) ?? throw new Refusal('the school is carved or fill', '--school');
            $cuts = $cuts->by($school);
        }
        $works = new CutLand;
        $model = $project->land($section, GroundSolver::solve($project->groundProblem($section), LandDesk::CELL));

        return $works->facts($works->stack($project, $model, $section, $cuts), $section, $cuts);
    }
}
