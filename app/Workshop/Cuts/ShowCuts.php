<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Drawing\LayerDrawing;
use App\Drawing\SheetDrawing;
use App\Drawing\StackDrawing;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Workshop\Land\LandDesk;
use App\Workshop\Land\ShowRail;
use App\Workshop\LoadProject;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\FoamWork;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Measure\Figure;
use IdleRidge\Core\Measure\Length;

/** The Cuts screen: the stack taken apart, one layer laid flat with the next one's outline on it. */
final readonly class ShowCuts
{
    public function __construct(private LoadProject $load, private LandDesk $desk, private CutLand $cut, private LaySheets $sheets, private CompareSchools $schools, private ShowRisers $risers, private ShowRail $rail)
    {
    }

    /**
     * @param string $view `apart`, `risers`, or `sheets` for the pieces on sheets; `closer` looks at these for another round
     * @return array<string, mixed> for the view cuts.show
     */
    public function of(Layout $layout, SectionRow $row, int $picked, string $view = 'apart', string $run = ''): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $cuts = $project->layout->cuts;
        $model = $this->desk->model($project, $section);
        $stack = $this->cut->stack($project, $model, $section, $cuts);
        $indices = array_map(fn (Layer $layer): int => $layer->index, $stack->layers);
        $picked = in_array($picked, $indices, true) ? $picked : ($indices[0] ?? 0);
        $at = array_search($picked, $indices, true);
        $from = ['stack' => $stack->words().' mm', 'skin' => Length::decimal($cuts->skin, 2).' mm'];
        $laid = ! in_array($view, ['sheets', 'closer'], true) || $stack->layers === [] ? null : $this->sheets->of($project, $section, $stack, $view === 'closer');
        $first = $cuts->first();
        $sheets = array_sum(array_column($stack->sheets($cuts), 'count'));
        $of = count($cuts->sheets) === 1 ? 'of '.Length::decimal($first->width, 0).' × '.Length::decimal($first->depth, 0) : '';
        $size = ['sheet' => Length::decimal($first->width, 1).' × '.Length::decimal($first->depth, 1).' mm'];
        $rest = $stack->school === CutSchool::Carved
            ? ['label' => 'Carved away', 'figure' => new Figure($stack->carved / 1e6, 'l', 'foam less the land under its skin', $from, decimals: 1), 'unit' => 'l']
            : ['label' => 'Filler', 'figure' => new Figure($stack->filler / 1e6, 'l', 'the land under its skin less foam', $from, decimals: 1), 'unit' => 'l'];

        return [
            'layout' => $layout, 'section' => $section, 'sheet' => $project->layout, 'cuts' => $cuts, 'units' => $project->layout->units, 'stack' => $stack, 'picked' => $picked,
            'rail' => $this->rail->of($project, $section), 'schools' => $stack->layers === [] ? [] : $this->schools->of($project, $model, $section),
            'view' => $view === 'closer' ? 'sheets' : $view, 'risers' => $view === 'risers' ? $this->risers->of($project, $section, $model, $run) : null, 'laid' => $laid, 'rounds' => LaySheets::ROUNDS, 'looking' => $view === 'closer',
            'apart' => $laid === null ? StackDrawing::of($section, $stack, $picked) : SheetDrawing::of($laid->problems, $laid->nested, 734.0, (string) $picked),
            'flat' => $at === false ? null : LayerDrawing::of($section, $stack->layers[$at], $stack->layers[$at + 1] ?? null),
            'layer' => $at === false ? null : $stack->layers[$at],
            'facts' => [
                $laid === null
                    ? ['label' => 'Sheets, by area', 'figure' => new Figure($sheets, 'sheets', 'area of all layers over the area of a sheet, rounded up; laying the pieces out may take more', $from + $size), 'unit' => $of]
                    : ['label' => 'Sheets, laid out', 'figure' => new Figure($laid->count(), 'sheets', 'pieces laid out by their outlines, a kerf apart', $from + $size + ['kerf' => Length::decimal($cuts->kerf, 2).' mm', 'covered' => Length::decimal(100.0 * $laid->utilisation(), 0).' %']), 'unit' => $of],
                ['label' => 'Foam', 'figure' => new Figure($stack->foam / 1e6, 'l', 'area of each layer × its thickness', $from, decimals: 1), 'unit' => 'l'],
                $rest,
                ['label' => 'Foam as it stands', 'figure' => new Figure(($stack->foam - $stack->carved) * FoamWork::FOAM / 1e9, 'kg', 'foam that stays × 32 kg/m³', $from, 'starting value', 2), 'unit' => 'kg'],
            ],
        ];
    }
}
