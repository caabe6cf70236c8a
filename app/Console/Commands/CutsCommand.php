<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Computed\Cuts\CutComputation;
use App\Computed\Cuts\CutTemplates;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\PlanReport;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\PlasterLayer;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Interchange\TemplateDxf;
use IdleRidge\Core\Interchange\TemplatePdf;
use IdleRidge\Core\Interchange\TemplateSvg;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Measure\InvalidValue;

final class CutsCommand extends RidgeCommand
{
    protected $signature = 'ridge:cuts {file : a *.ridge.json} {--section= : uid or name} {--school= : carved, fill, '
        .'balanced, web or towel; without it the layout\'s} {--layer=0 : of the drawings; 0 for all} {--paper=a4 : a4, '
        .'a3 or letter} {--pdf= : templates at full size} {--svg= : the same} {--dxf= : the same} {--json}';

    protected $description = 'Cuts the land of a section into foam layers';

    protected function answer(): array
    {
        $project = $this->project();
        $section = $project->section(
            $this->word('section') === ''
                ? throw new InvalidValue('name a section by its uid or name', '--section')
                : $this->word('section'),
        );
        $school = null;
        if ($this->word('school') !== '') {
            $school =
                CutSchool::tryFrom($this->word('school')) ??
                throw new InvalidValue('the school is '.implode(', ', array_column(CutSchool::cases(), 'value')).'', '--school');
        }
        $works = new CutComputation();
        $model = $project->land($section, GroundSolver::solve($project->groundProblem($section), ComputedLand::CELL_MM));

        $zones = $project->works->zonesOf($section->uid);
        $coats = array_values(array_filter($project->works->coats, fn (Coat $c): bool => isset($zones[$c->zone])));
        $plaster = $coats === [] ? null : PlasterLayer::of(PlanReport::survey($project, $section, $model), $coats);
        $page = $works->page($project, $model, $section, $school, $plaster);
        $templates = CutTemplates::of($page, (int) $this->number('layer', 0.0, 400.0, ''));
        $title = "{$project->layout->name}, {$section->name}";
        foreach (
            [
                'pdf' => fn (): string => TemplatePdf::of($templates, $this->word('paper'), $title),
                'svg' => fn (): string => TemplateSvg::of($templates),
                'dxf' => fn (): string => TemplateDxf::write($templates),
            ] as $form => $make
        ) {
            if ($this->word($form) !== '') {
                $this->put($this->word($form), $make());
            }
        }

        return $works->facts($page);
    }
}
