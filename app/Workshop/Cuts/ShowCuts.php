<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Drawing\LayerDrawing;
use App\Drawing\StackDrawing;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Workshop\Land\LandDesk;
use App\Workshop\Land\ShowRail;
use App\Workshop\LoadProject;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Measure\Figure;
use IdleRidge\Core\Measure\Length;

/** The Cuts screen: the stack taken apart, one layer laid flat with the next one's outline on it. */
final readonly class ShowCuts
{
    /** Extruded foam board, kg/m³: a starting value from general trade practice. */
    private const FOAM_DENSITY = 32.0;

    public function __construct(private LoadProject $load, private LandDesk $desk, private CutLand $cut, private ShowRail $rail)
    {
    }

    /** @return array<string, mixed> for the view cuts.show */
    public function of(Layout $layout, SectionRow $row, int $picked): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $cuts = $project->layout->cuts;
        $stack = $this->cut->stack($project, $this->desk->model($project, $section), $section, $cuts);
        $indices = array_map(fn (Layer $layer): int => $layer->index, $stack->layers);
        $picked = in_array($picked, $indices, true) ? $picked : ($indices[0] ?? 0);
        $at = array_search($picked, $indices, true);
        $from = ['sheets of' => Length::decimal($cuts->thickness, 2).' mm', 'skin' => Length::decimal($cuts->skin, 2).' mm'];
        $sheets = $stack->sheets($cuts->sheetWidth, $cuts->sheetDepth);
        $rest = $stack->school === CutSchool::Carved
            ? ['label' => 'Carved away', 'figure' => new Figure($stack->carved / 1e6, 'l', 'foam less the land under its skin', $from, decimals: 1), 'unit' => 'l']
            : ['label' => 'Filler', 'figure' => new Figure($stack->filler / 1e6, 'l', 'the land under its skin less foam', $from, decimals: 1), 'unit' => 'l'];

        return [
            'layout' => $layout, 'section' => $section, 'sheet' => $project->layout, 'cuts' => $cuts, 'units' => $project->layout->units, 'stack' => $stack, 'picked' => $picked,
            'rail' => $this->rail->of($project, $section),
            'apart' => StackDrawing::of($section, $stack, $picked),
            'flat' => $at === false ? null : LayerDrawing::of($section, $stack->layers[$at], $stack->layers[$at + 1] ?? null),
            'layer' => $at === false ? null : $stack->layers[$at],
            'facts' => [
                ['label' => 'Sheets, by area', 'figure' => new Figure($sheets['count'], 'sheets', 'area of all layers over the area of a sheet, rounded up; laying the pieces out may take more', $from + ['sheet' => Length::decimal($cuts->sheetWidth, 1).' × '.Length::decimal($cuts->sheetDepth, 1).' mm']), 'unit' => 'of '.Length::decimal($cuts->sheetWidth, 0).' × '.Length::decimal($cuts->sheetDepth, 0)],
                ['label' => 'Foam', 'figure' => new Figure($stack->foam / 1e6, 'l', 'area of each layer × its thickness', $from, decimals: 1), 'unit' => 'l'],
                $rest,
                ['label' => 'Foam as it stands', 'figure' => new Figure(($stack->foam - $stack->carved) * self::FOAM_DENSITY / 1e9, 'kg', 'foam that stays × 32 kg/m³', $from, 'starting value', 2), 'unit' => 'kg'],
            ],
        ];
    }
}
