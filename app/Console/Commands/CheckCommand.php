<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Workshop\Land\StudyFile;

final class CheckCommand extends RidgeCommand
{
    protected $signature = 'ridge:check {file : a *.ridge.json} {--section= : only this one, by uid or name} {--json}';

    protected $description = 'Lists the findings of a layout';

    protected function answer(): array
    {
        $project = $this->project();
        $works = new StudyFile;
        $findings = [];
        $only = $this->word('section');
        foreach ($only === '' ? $project->sections : [$project->section($only)] as $section) {
            array_push($findings, ...$works->findings($works->of($project, $section)));
        }

        return ['findings' => $findings];
    }
}
