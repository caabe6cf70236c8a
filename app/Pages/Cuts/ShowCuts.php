<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Actions\Cuts\SaveCutCoats;
use App\Computed\Cuts\ComputedCuts;
use App\Computed\Cuts\ComputedSheets;
use App\Computed\Cuts\CutResult;
use App\Computed\Cuts\SheetResult;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Cuts\Densities;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Cuts\Rib;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\FoamAdvice;
use IdleRidge\Core\Project\HiddenThing;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\StockMovement;

/** The Cuts screen: the stack or the shell taken apart, one piece of it laid flat, and all that is cut for a board. */
final readonly class ShowCuts
{
    public const VIEWS = ['apart', 'turned', 'sheets', 'closer', 'glue', 'risers', 'edges', 'board', 'hidden'];

    /** Thicknesses of skin that differ by less are the same, mm. */
    private const SAME_SKIN_MM = 0.25;

    public function __construct(
        private ProjectLoader $load,
        private ComputedCuts $desk,
        private ComputedSheets $sheets,
        private CompareCutSchools $schools,
        private ShowRisers $risers,
        private ShowEdges $edges,
        private ShowBoard $board,
        private ShowRail $rail,
    ) {
    }

    /**
     * @param  string  $view one of VIEWS; `closer` looks at the pieces on sheets for another round
     * @param  array{layer: int, run: string, rise: string, lay: bool}  $wish
     * @return array<string, mixed> for the view cuts.show
     */
    public function of(Layout $layout, SectionRow $row, string $view, array $wish): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $page = $this->desk->page($project, $section);
        $shell = $page->shell();
        $indices =
            $shell === null
                ? array_map(fn (Layer $layer): int => $layer->index, $page->stack()->layers ?? [])
                : range(1, count($shell->ribs));
        $picked = in_array($wish['layer'], $indices, true) ? $wish['layer'] : $indices[0] ?? 0;
        $laid = ! in_array($view, ['sheets', 'closer'], true) || $indices === [] ? null : $this->sheets->of($page, $view === 'closer');

        return [
            'layout' => $layout,
            'section' => $section,
            'sheet' => $project->layout,
            'cuts' => $page->cuts,
            'units' => $project->layout->units,
            'page' => $page,
            'stack' => $page->stack(),
            'shell' => $shell,
            'picked' => $picked,
            'rail' => $this->rail->of($project, $section),
            'schools' => $indices === [] ? null : $this->schools->of($page, $wish['lay']),
            'view' => $view === 'closer' ? 'sheets' : $view,
            'laid' => $laid,
            'rounds' => ComputedSheets::ROUNDS,
            'looking' => $view === 'closer',
            'risers' => $view === 'risers' ? $this->risers->of($page, $wish['run']) : null,
            'edges' => $view === 'edges' ? $this->edges->of($page, $wish['rise']) : null,
            'hidden' => $view === 'hidden' ? HiddenDrawing::of($page) : null,
            'things' => HiddenThing::on($project, $page->section),
            'tunnels' => count($project->bores($page->model()->grading->runs)),
            'bears' => $shell !== null || $picked === 0 ? [] : $this->bears($page, $picked),
            'board' => $view === 'board' ? $this->board->of($page) : null,
            'findings' => in_array($view, ['glue', 'board', 'hidden'], true) ? $this->desk->findings($page) : [],
            'gluing' => $view === 'glue' ? $this->desk->gluing($page) : null,
            'minutes' => $page->minutes(),
            'scheduled' => self::scheduled(SaveCutCoats::coatsOf($project->works, $section->uid)),
            'store' => $project->works->store,
            'taken' => array_values(
                array_filter(
                    $project->works->store->movements,
                    fn (StockMovement $m): bool => $m->section === $section->uid && $m->cause === MovementCause::Cut,
                ),
            ),
            'drawing' => $laid !== null
                    ? SheetDrawing::of($laid->problems, $laid->nested, 734.0, $shell === null ? (string) $picked : 'R'.$picked)
                    : $this->apart($page, $picked),
            'flat' => $this->flat($page, $picked),
            'names' => array_combine(
                $indices,
                $shell === null
                    ? array_map(fn (int $k): string => "Layer {$k}", $indices)
                    : array_map(fn (Rib $r): string => "Rib {$r->name}", $shell->ribs),
            ),
            'facts' => $this->facts($page, $laid ?? ($indices === [] ? null : $this->sheets->standing($page))),
            'skin' => $this->skin($page),
        ];
    }

    /**
     * @param  list<Coat>  $coats
     * @return array{goes: int, minutes: float} of what stands on the schedule; no goes where nothing does
     */
    private static function scheduled(array $coats): array
    {
        return [
            'goes' => array_sum(array_map(fn (Coat $c): int => $c->passes, $coats)),
            'minutes' => array_sum(array_map(fn (Coat $c): float => $c->passes * (float) $c->minutes, $coats)),
        ];
    }

    /** @return array{laid: Quantity, left: float, take: float}|null where coats lay another thickness than the cuts leave room for */
    private function skin(CutResult $page): ?array
    {
        $plaster = $page->plaster;
        if ($plaster === null || $page->shell() !== null || abs($plaster->mm - $page->cuts->skin) < self::SAME_SKIN_MM) {
            return null;
        }

        return [
            'laid' => new Quantity(
                $plaster->mm,
                'mm',
                'volume of all coats of plaster over the area they cover',
                ['area' => Format::text($plaster->area / 100.0, 'cm²')],
                decimals: 1,
            ),
            'left' => $page->cuts->skin,
            'take' => round($plaster->mm, 1),
        ];
    }

    private function apart(CutResult $page, int $picked): ?Svg
    {
        $shell = $page->shell();
        if ($shell !== null) {
            return RibsDrawing::of($page->section, $shell, $picked);
        }
        $stack = $page->stack();

        return $stack === null || $stack->layers === [] ? null : StackDrawing::of($page->section, $stack, $picked);
    }

    private function flat(CutResult $page, int $picked): ?Svg
    {
        $shell = $page->shell();
        if ($shell !== null) {
            return RibDrawing::of($shell->ribs[$picked - 1], $page->section->depth);
        }
        $layer = $page->stack()?->layer($picked);

        return $layer === null ? null : LayerDrawing::of($page->section, $layer, $page->stack()->layer($picked + 1));
    }

    /** @return list<array{label: string, figure: Quantity, unit?: string, note?: string}> */
    private function facts(CutResult $page, ?SheetResult $laid): array
    {
        $weight = $page->weight;
        $parts = array_column(array_map(fn (array $p): array => [$p['part'], Format::text($p['dry'], 'kg', 2)], $weight->parts), 1, 0);
        $whole = [
            'label' => 'Board, all told',
            'figure' => new Quantity($weight->dry(), 'kg', 'frame, board, land and track, dry', $parts, 'starting value', 1),
        ];
        $shell = $page->shell();
        if ($shell !== null) {
            $cloth = $shell->cover() / 1e6;
            [$long, $unit] = Format::strip($shell->strips / 1000.0);

            return [
                [
                    'label' => 'Ribs',
                    'figure' => new Quantity(
                        (float) count($shell->ribs),
                        'ribs',
                        'length of the board over the gap between ribs, rounded up, and one',
                        ['gap' => Format::length($shell->build->ribGap)],
                        decimals: 0,
                    ),
                    'unit' => '',
                ],
                [
                    'label' => 'Strips',
                    'figure' => new Quantity(
                        $long,
                        $unit,
                        'length along the land of all strips, and what fastens them',
                        ['strips' => (string) $shell->stripCount],
                        decimals: 1,
                    ),
                ],
                [
                    'label' => $page->cuts->school->value === 'towel' ? 'Towel' : 'Cloth',
                    'figure' => new Quantity(
                        $cloth,
                        'm²',
                        'whole pieces that cover the true surface, each over its neighbour by the overlap, × layers',
                        [
                            'surface' => Format::text($shell->surface / 1e6, 'm²', 3),
                            'a piece' => Format::several([$shell->build->clothWidth, $shell->build->clothLength], 'mm'),
                            'layers' => (string) $shell->build->layers,
                            'overlap' => Decimal::trimmed(100.0 * $shell->build->overlap, 0).' %',
                        ],
                        decimals: 2,
                    ),
                    'note' => $shell->pieces().' pieces',
                ],
                $whole,
            ];
        }
        $stack = $page->stack();
        $cuts = $page->cuts;
        $from = ['stack' => (string) $stack?->words(), 'skin' => Format::length($cuts->skin, 2)];
        $first = $cuts->first();
        $size = ['sheet' => Format::several([$first->width, $first->depth], 'mm', 1)];
        $of = count($cuts->sheets) === 1 ? 'of '.Format::cell($first->width).' × '.Format::cell($first->depth) : '';
        $rest =
            ($stack->carved ?? 0.0) >= ($stack->filler ?? 0.0)
                ? [
                    'label' => 'Carved away',
                    'figure' => new Quantity(($stack->carved ?? 0.0) / 1e6, 'l', 'foam less the land under its skin', $from, decimals: 1),
                ]
                : [
                    'label' => 'Filler',
                    'figure' => new Quantity(($stack->filler ?? 0.0) / 1e6, 'l', 'the land under its skin less foam', $from, decimals: 1),
                ];

        return [
            $laid === null
                ? [
                    'label' => 'Sheets, at least',
                    'figure' => new Quantity(
                        $page->sheetsByArea(),
                        'sheets',
                        'area of all layers over the area of a sheet, rounded up; laying the pieces out may take more',
                        $from + $size,
                    ),
                    'unit' => $of,
                ]
                : [
                    'label' => 'Sheets, laid out',
                    'figure' => new Quantity(
                        $laid->count(),
                        'sheets',
                        'pieces laid out by their outlines, a kerf apart',
                        $from +
                            $size + [
                                'kerf' => Format::length($cuts->kerf, 2),
                                'covered' => Decimal::trimmed(100.0 * $laid->utilisation(), 0).' %',
                            ],
                    ),
                    'unit' => $of,
                ],
            [
                'label' => 'Foam',
                'figure' => new Quantity(
                    ($stack->foam ?? 0.0) / 1e6,
                    'l',
                    'area of each layer × its thickness',
                    $from +
                        (($stack->hollowed ?? 0.0) > 0.0
                            ? ['left out inside' => Format::text(($stack->hollowed ?? 0.0) / 1e6, 'l', 1)]
                            : []),
                    decimals: 1,
                ),
                'note' => Format::text(
                    ((($stack->foam ?? 0.0) - ($stack->carved ?? 0.0)) * Densities::FOAM_KG_PER_M3) / 1e9,
                    'kg',
                    2,
                ).' as it stands',
            ],
            $rest,
            $whole,
        ];
    }

    /** @return list<string> what a layer of foam has to bear or hold, and the kind of foam for that */
    private function bears(CutResult $page, int $picked): array
    {
        foreach ($page->stack()->layers ?? [] as $layer) {
            if ($layer->index === $picked) {
                return FoamAdvice::of($page->project, $page->section, $page->model(), $layer);
            }
        }

        return [];
    }
}
