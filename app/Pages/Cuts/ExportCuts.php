<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\Cuts\ComputedSheets;
use App\Computed\Cuts\CutResult;
use App\Computed\Cuts\CutTemplates;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Pages\Drawing\TemplateFile;
use IdleRidge\Core\Cuts\EdgeBoard;
use IdleRidge\Core\Cuts\Riser;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Cuts\TunnelTemplates;
use IdleRidge\Core\Interchange\Stl;
use IdleRidge\Core\Project\BoardPlan;
use Illuminate\Support\Str;

/** What is printed or cut from: templates at 1:1, the board's plan, sheets, the land as a solid. */
final readonly class ExportCuts
{
    /** What there are templates of, and in which forms besides. */
    private const SETS = ['layers', 'risers', 'bases', 'edges', 'plan', 'tunnels'];

    public const FORMS = ['pdf', 'svg', 'dxf', 'sheets', 'stl'];

    public function __construct(
        private ProjectLoader $load,
        private ComputedCuts $desk,
        private ComputedSheets $sheets,
        private ShowRisers $risers,
        private ShowEdges $edges,
    ) {
    }

    /**
     * @param  string  $of which set of templates; layers for what is not known
     * @param  array{layer: int, paper: string, run: string, rise: string}  $wish layer 0 for all of them
     * @return array{name: string, type: string, body: string}
     */
    public function as(string $form, Layout $layout, SectionRow $row, string $of, array $wish): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $page = $this->desk->page($project, $section);
        $slug = Str::slug($section->name) ?: 'section';
        if ($form === 'stl') {
            return ['name' => "{$slug}.stl", 'type' => 'model/stl', 'body' => Stl::ofLand($page->land(), $page->section->base)];
        }
        if ($form === 'sheets') {
            $laid = $this->sheets->of($page);

            return [
                'name' => "{$slug}-sheets.svg",
                'type' => 'image/svg+xml',
                'body' => SheetDrawing::file($laid->problems, $laid->nested),
            ];
        }
        $of = in_array($of, self::SETS, true) ? $of : 'layers';
        $templates = $this->templates($page, $of, $wish);
        $which = $of !== 'layers' ? $of : ($wish['layer'] === 0 ? 'layers' : "layer-{$wish['layer']}");

        return TemplateFile::of($form, "{$slug}-{$which}", $templates, $wish['paper'], "{$project->layout->name}, {$section->name}");
    }

    /**
     * @param  array{layer: int, paper: string, run: string, rise: string}  $wish
     * @return list<Template>
     */
    private function templates(CutResult $page, string $of, array $wish): array
    {
        $risers = in_array($of, ['risers', 'bases'], true) ? $this->risers->of($page, $wish['run']) : null;

        return match ($of) {
            'risers' => array_map(
                fn (Riser $riser, int $k): Template => $riser->template('R'.($k + 1)),
                $risers['risers'] ?? [],
                array_keys($risers['risers'] ?? []),
            ),
            'bases' => isset($risers['base'], $risers['run']) ? $risers['base']->templates($risers['run']) : [],
            'edges' => array_map(fn (EdgeBoard $board): Template => $board->template(), $this->edges->boards($page, $wish['rise'])),
            'tunnels' => $this->tunnels($page),
            'plan' => [BoardPlan::of($page->project, $page->section, $page->model())],
            default => CutTemplates::of($page, $wish['layer']),
        };
    }

    /** @return list<Template> of the tunnels that begin or end on the board */
    private function tunnels(CutResult $page): array
    {
        $out = [];
        foreach ($page->project->bores($page->model()->grading->runs) as $k => $bore) {
            array_push($out, ...TunnelTemplates::of($bore, $bore->run->name.', tunnel '.($k + 1)));
        }

        return $out;
    }
}
