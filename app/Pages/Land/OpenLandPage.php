<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Computed\Growth\ComputedGrowth;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Record;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Cut;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;

/** The Land screen of a section, as it is or as it would be with one row changed. */
final readonly class OpenLandPage
{
    public function __construct(private ProjectLoader $load, private ComputedLand $desk, private ComputedGrowth $growth)
    {
    }

    /** @param  Record|null  $changed a row not saved: makes the page a preview on coarser cells */
    public function page(Layout $layout, SectionRow $row, ViewState $look, ?Record $changed = null): LandPage
    {
        $project = $changed === null ? $this->load->of($layout) : $this->load->with($layout, $changed);
        $section = $project->section($row->uid);
        $cell = $changed === null ? ComputedLand::CELL_MM : ComputedLand::PREVIEW_CELL_MM;
        $sheet = $this->desk->sheet($project, $section, $cell);
        $model = $this->desk->model($project, $section, $cell);
        $spans = [];
        foreach ($model->grading->runs as $run) {
            $span = $run->within($section->width, $section->depth);
            if ($span !== null) {
                $spans[$run->uid] = $span;
            }
        }
        $features = $this->features($project, $section);

        return new LandPage(
            $project, $section, $sheet, $model, $model->grading->runs, $spans, $features,
            $this->cut($look, $model->grading->runs, $spans, $section), $look->picked, $look->tab, $changed !== null,
            $look->tint, $changed === null ? $this->desk->classes($project, $section, $look->tint) : [],
            $sheet->turnouts, $changed === null && $look->tint === 'sight' ? $this->desk->sight($project, $section) : null,
            $this->growth->rows($project)['sets'],
        );
    }

    /**
     * @param  list<Run>  $runs
     * @param  array<string, array{float, float}>  $spans
     */
    private function cut(ViewState $look, array $runs, array $spans, Section $section): Cut
    {
        $here = array_values(array_filter($runs, fn (Run $run): bool => isset($spans[$run->uid])));
        // Of itself the cut follows the run that lies longest over the board.
        usort($here, fn (Run $a, Run $b): int => ($spans[$b->uid][1] - $spans[$b->uid][0]) <=> ($spans[$a->uid][1] - $spans[$a->uid][0]));
        $run = $here[0] ?? null;
        foreach ($here as $one) {
            if ($one->uid === ($look->run ?? $look->picked)) {
                $run = $one;
            }
        }
        if ($run === null) {
            return Cut::acrossBoard($look->atX ?? $look->x ?? $section->width / 2.0, $section->width, $section->depth);
        }
        [$from, $to] = $spans[$run->uid];
        $station = $look->station ?? round(($from + $to) / 2.0, -1);
        if ($look->atX !== null && $look->atY !== null) {
            $station = round($run->alignment->nearest(new Point($look->atX, $look->atY))['station']);
        }

        return Cut::acrossRun($run, max($from, min($to, $station)), $section->width, $section->depth);
    }

    /** @return list<LandFeature> those with a point on the board, in its coordinates */
    private function features(Project $project, Section $section): array
    {
        $out = [];
        foreach ($project->features as $feature) {
            $on = false;
            $points = [];
            foreach ($feature->points as $p) {
                $on = $on || $section->holds($p->x, $p->y, 0.5);
                $here = $section->placement->toSection(new Point($p->x, $p->y));
                $points[] = new Spot(round($here->x, 6), round($here->y, 6), $p->z);
            }
            if ($on) {
                $out[] = $feature->at($points);
            }
        }

        return $out;
    }
}
