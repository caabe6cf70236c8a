<?php

declare(strict_types=1);

namespace App\Computed\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\Stream;
use IdleRidge\Core\Land\Wall;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Track\Turnout;
use IdleRidge\Core\Water\Dam;
use IdleRidge\Core\Water\WaterBody;

/** The land of a project that came from a file: the same steps as the screens take, without a database. */
final class LandReport
{
    public function of(Project $project, Section $section, float $cell = ComputedLand::CELL_MM): LandStudy
    {
        $model = $project->land($section, GroundSolver::solve($project->groundProblem($section), ComputedLand::CELL_MM));

        return LandStudy::of($project, $section, $model, $model->terrain($cell));
    }

    /** @return array<string, mixed> the form of docs/formats/land.schema.json */
    public function facts(LandStudy $study): array
    {
        $figures = array_map(fn (Quantity $f): float => round($f->value, 3), $study->figures());

        return [
            'section' => $study->section->uid,
            'cell_mm' => $study->terrain->cell,
            'cols' => $study->terrain->cols,
            'rows' => $study->terrain->rows,
            'z_min_mm' => $figures['z_min'],
            'z_max_mm' => $figures['z_max'],
            'cut_mm3' => $figures['cut'],
            'fill_mm3' => $figures['fill'],
            'volume_mm3' => $figures['volume'],
            'plan_mm2' => $figures['plan'],
            'surface_mm2' => $figures['surface'],
            'max_slope_deg' => $figures['max_slope'],
            'walls' => array_map(
                fn (Wall $w): array => [
                    'run' => $w->run,
                    'side' => $w->side->value,
                    'from_mm' => round($w->from, 1),
                    'to_mm' => round($w->to, 1),
                    'height_min_mm' => round($w->lowest, 2),
                    'height_max_mm' => round($w->highest, 2),
                    'length_mm' => round($w->length, 1),
                    'face_mm2' => round($w->face, 1),
                    'cause' => $w->cause,
                    'profile' => array_map(
                        fn (array $p): array => [
                            'station_mm' => round($p['station'], 1),
                            'along_mm' => round($p['along'], 1),
                            'foot_mm' => round($p['foot'], 2),
                            'height_mm' => round($p['top'] - $p['foot'], 2),
                        ],
                        $w->profile,
                    ),
                ],
                $study->walls,
            ),
            'water' => array_map(
                fn (WaterBody $b): array => [
                    'uid' => $b->uid,
                    'name' => $b->name,
                    'level_mm' => $b->level,
                    'surface_mm2' => round($b->curve->area(), 1),
                    'volume_mm3' => round($b->curve->volume(), 1),
                    'spill_mm' => $b->spill === null ? null : round($b->spill->level, 2),
                    'dams_mm' => array_map(fn (Dam $d): float => round($d->length(), 1), $b->dams),
                ],
                array_values(array_filter(WaterStudy::of($study)->bodies(), fn (WaterBody $b): bool => ! $b->isStream)),
            ),
            'streams' => array_map(
                fn (Stream $s): array => [
                    'uid' => $s->uid,
                    'name' => $s->name,
                    'length_mm' => round($s->length(), 1),
                    'fall_mm' => round($s->fall(), 2),
                ],
                $study->model->ground->streams,
            ),
            'turnouts' => array_map(
                fn (Turnout $t): array => [
                    'run' => $t->main->uid,
                    'branch' => $t->branch->uid,
                    'toe_mm' => round($t->toe, 1),
                    'from_mm' => round($t->from, 1),
                    'to_mm' => round($t->to, 1),
                    'hand' => $t->left ? 'left' : 'right',
                ],
                $study->turnouts,
            ),
            'findings' => $this->findings($study),
        ];
    }

    /** @return list<array<string, mixed>> */
    public function findings(LandStudy $study): array
    {
        return array_map(fn (Finding $f): array => $f->toArray(), Rulebook::check($study));
    }
}
