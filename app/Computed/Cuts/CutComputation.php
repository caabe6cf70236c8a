<?php

declare(strict_types=1);

namespace App\Computed\Cuts;

use Closure;
use IdleRidge\Core\Coats\PlasterLayer;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Cuts\LayerPieces;
use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use IdleRidge\Core\Cuts\Piece;
use IdleRidge\Core\Cuts\Rib;
use IdleRidge\Core\Cuts\SheetSequence;
use IdleRidge\Core\Cuts\Shell;
use IdleRidge\Core\Cuts\SkinnedLand;
use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** What a section's land is made of, for screens and the command line alike. */
final class CutComputation
{
    private const CELL_MM = 5.0;

    /** @param  CutSchool|null  $school another than the layout's */
    public function page(
        Project $project,
        LandModel $model,
        Section $section,
        ?CutSchool $school = null,
        ?PlasterLayer $plaster = null,
    ): CutResult {
        $cuts = $project->cuts();

        return $this->of($project, $model, $section, $school === null ? $cuts : $cuts->by($school), $plaster);
    }

    public function of(Project $project, LandModel $model, Section $section, CutSettings $cuts, ?PlasterLayer $plaster = null): CutResult
    {
        $terrain = $model->terrain(self::CELL_MM);
        $grid = $terrain->grid();
        $land = $terrain->mesh();
        $skinned = new SkinnedLand($model, $cuts->skin);
        $shape = $skinned->grid($terrain)->mesh($section->width, $section->depth);
        $body = self::body($project, $model, $section, $cuts, $shape, $land, $skinned->at(...));
        $weight = BoardWeight::of(
            $section,
            $land,
            $shape,
            $cuts->skin,
            $body,
            $cuts->board,
            $model->grading->runs,
            $project->layout->gauge,
            $plaster,
        );

        return new CutResult(
            $project,
            $section,
            $cuts,
            $body,
            $weight,
            $plaster,
            self::surface($land, $section->base),
            fn (): LandModel => $model,
            fn (): HeightGrid => $grid,
        );
    }

    /** @param  Closure(float, float): float  $exact height of the shape at any place */
    private static function body(
        Project $project,
        LandModel $model,
        Section $section,
        CutSettings $cuts,
        HeightMesh $shape,
        HeightMesh $land,
        Closure $exact,
    ): FoamStack|Shell {
        $bores = $project->bores($model->grading->runs);
        if (! $cuts->school->isFoam()) {
            return Shell::over($shape, $section->base, $cuts->school, $cuts->shell, $bores, $land, $exact);
        }
        $ways = count($cuts->thicknesses()) === 1 ? [$cuts->first()->thickness] : SheetSequence::cheapest($shape, $section->base, $cuts);
        $best = null;
        foreach ($ways as $way) {
            $stack = FoamStack::of($shape, $section->base, $way, $cuts->school, $bores, $cuts->hollow, $exact, $section->standing);
            $cost = count($ways) === 1 ? 0.0 : self::whole($stack, $cuts);
            $best = $best === null || $cost < $best[0] - 1e-9 ? [$cost, $stack] : $best;
        }

        return $best[1];
    }

    /** What whole sheets come to: by their prices, or by their volume where one has none. */
    private static function whole(FoamStack $stack, CutSettings $cuts): float
    {
        $laid = [];
        foreach (LayerPieces::of($stack, $cuts)->pieces as $thickness => $pieces) {
            $sheets = $cuts->ofThickness((float) $thickness) ?: [$cuts->first()];
            $kinds = array_map(
                fn (StockSheet $s, int $k): NestSheet => new NestSheet("s{$k}", $s->width, $s->depth, min(200, $s->count ?? 200)),
                $sheets,
                array_keys($sheets),
            );
            $problem = new NestProblem($kinds, array_slice($pieces, 0, NestProblem::MAX_PIECES), $cuts->kerf, $cuts->margin);
            foreach (Nester::lay($problem)->used as $used) {
                $laid[] = $sheets[(int) substr($used['sheet'], 1)];
            }
        }
        $priced = array_filter($cuts->sheets, fn (StockSheet $s): bool => $s->price === null) === [];

        return array_sum(array_map(fn (StockSheet $s): float => $priced ? (float) $s->price : $s->area() * $s->thickness, $laid));
    }

    private static function surface(HeightMesh $land, float $base): float
    {
        [$outline] = Contours::of($land, [$base + 0.5]);

        return ($land->surface() * $outline->areaAbove) / max(1.0, $land->planArea());
    }

    /** @return array<string, mixed> the form of docs/formats/cuts.schema.json */
    public function facts(CutResult $page): array
    {
        $rings = fn (array $rings): array => array_map(
            fn (array $ring): array => array_map(fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $ring),
            $rings,
        );
        $stack = $page->stack();
        $shell = $page->shell();
        $weight = $page->weight;

        return [
            'section' => $page->section->uid,
            'school' => $page->cuts->school->value,
            'layers' => array_map(
                fn (Layer $layer): array => [
                    'index' => $layer->index,
                    'bottom_mm' => round($layer->bottom, 3),
                    'thickness_mm' => $layer->thickness,
                    'area_mm2' => round($layer->area, 1),
                    'pieces' => array_map(
                        fn (Piece $piece): array => ['id' => $piece->id, 'rings' => $rings($piece->rings)],
                        $layer->pieces,
                    ),
                ],
                $stack->layers ?? [],
            ),
            'foam_mm3' => round($stack->foam ?? 0.0, 1),
            'carved_mm3' => round($stack->carved ?? 0.0, 1),
            'filler_mm3' => round($stack->filler ?? 0.0, 1),
            'hollow_mm3' => round($stack->hollowed ?? 0.0, 1),
            'sheets' => array_map(
                fn (array $s): array => ['thickness_mm' => $s['thickness'], 'count' => $s['count'], 'by' => 'area'],
                $stack?->sheets($page->cuts) ?? [],
            ),
            'weight' => [
                'dry_kg' => round($weight->dry(), 3),
                'wet_kg' => round($weight->wet(), 3),
                'centre_mm' => array_map(fn (float $v): float => round($v, 1), $weight->centre),
            ],
            'minutes' => (int) ceil($page->minutes()),
        ] +
            ($shell === null
                ? []
                : [
                    'shell' => [
                        'ribs' => array_map(
                            fn (Rib $rib): array => ['name' => $rib->name, 'x_mm' => round($rib->x, 2), 'rings' => $rings($rib->rings)],
                            $shell->ribs,
                        ),
                        'surface_mm2' => round($shell->surface, 1),
                        'strips_mm' => round($shell->strips, 1),
                        'cloth_mm2' => round($shell->cover(), 1),
                        'pieces' => $shell->pieces(),
                    ],
                ]);
    }
}
