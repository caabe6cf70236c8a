<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\FoamWork;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Measure\Figure;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** The ways to make the same land of foam, beside each other. */
final readonly class CompareSchools
{
    public function __construct(private CutLand $cut)
    {
    }

    /** @return array<string, list<array{label: string, figure: Figure}>> school → figures */
    public function of(Project $project, LandModel $model, Section $section): array
    {
        $out = [];
        foreach (CutSchool::cases() as $school) {
            $cuts = $project->layout->cuts->by($school);
            $stack = $this->cut->stack($project, $model, $section, $cuts);
            $work = FoamWork::of($stack, $cuts);
            $sheets = array_sum(array_column($stack->sheets($cuts), 'count'));
            $from = ['stack' => $stack->words().' mm'];
            $out[$school->value] = [
                ['label' => 'sheets', 'figure' => new Figure((float) $sheets, '', 'area of the layers over that of sheets, rounded up', $from, decimals: 0)],
                ['label' => 'hours', 'figure' => new Figure($work->minutes() / 60.0, 'h', 'cutting by length of outline, gluing by layer, carving and filling by volume', ['cutting' => round($work->cutting).' min', 'gluing' => round($work->gluing).' min', 'shaping' => round($work->shaping).' min'], 'starting value', 1)],
                ['label' => 'weight, kg', 'figure' => new Figure($work->weight, 'kg', 'foam that stays × 32 kg/m³, and filler × 900 kg/m³', $from, 'starting value', 2)],
                ['label' => 'dust, l', 'figure' => new Figure($stack->carved / 1e6, 'l', 'foam that is cut away', $from, decimals: 1)],
            ];
            if ($work->cost !== null) {
                $out[$school->value][] = ['label' => 'cost', 'figure' => new Figure($work->cost / 100.0, $project->layout->currency, 'whole sheets by area × their price', $from, decimals: 2)];
            }
        }

        return $out;
    }
}
