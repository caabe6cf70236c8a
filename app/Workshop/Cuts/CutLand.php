<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Cuts\Piece;
use IdleRidge\Core\Cuts\Sequence;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** The foam stack of a section's land, for screens and the command line alike. */
final class CutLand
{
    private const CELL = 5.0;

    public function stack(Project $project, LandModel $model, Section $section, CutSettings $cuts): FoamStack
    {
        $land = $model->terrain(self::CELL)->grid();

        $shape = FoamStack::lessSkin($land, $cuts->skin)->mesh($section->width, $section->depth);

        return FoamStack::of($shape, $section->base, count($cuts->sheets) === 1 ? $cuts->first()->thickness : Sequence::of($shape, $section->base, $cuts), $cuts->school, $project->bores($model->grading->runs));
    }

    /** @return array<string, mixed> the form of docs/formats/cuts.schema.json */
    public function facts(FoamStack $stack, Section $section, CutSettings $cuts): array
    {
        return [
            'section' => $section->uid,
            'school' => $stack->school->value,
            'layers' => array_map(fn (Layer $layer): array => [
                'index' => $layer->index, 'bottom_mm' => round($layer->bottom, 3), 'thickness_mm' => $layer->thickness, 'area_mm2' => round($layer->area, 1),
                'pieces' => array_map(fn (Piece $piece): array => ['id' => $piece->id, 'rings' => array_map(
                    fn (array $ring): array => array_map(fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $ring), $piece->rings,
                )], $layer->pieces),
            ], $stack->layers),
            'foam_mm3' => round($stack->foam, 1),
            'carved_mm3' => round($stack->carved, 1),
            'filler_mm3' => round($stack->filler, 1),
            'sheets' => array_map(fn (array $s): array => ['thickness_mm' => $s['thickness'], 'count' => $s['count'], 'by' => 'area'], $stack->sheets($cuts)),
        ];
    }
}
