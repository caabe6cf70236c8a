<?php

declare(strict_types=1);

namespace App\Computed\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\GrowthSurvey;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Rulebook\Rulebook;

/** What grows in a layout that came from a file: the same steps as the screens take, without a database. */
final class GrowthReport
{
    /** @return list<array<string, mixed>> findings in the form of docs/formats/finding.schema.json */
    public function findings(LandStudy $study): array
    {
        $growth = new GrowthStudy($study->project);
        $rows = $growth->rows();
        $grid = $study->terrain->grid();
        [$w, $d] = [$study->section->width, $study->section->depth];
        $ground = $growth->ground(
            $study->section,
            $study->model,
            $grid->mesh($w, $d),
            $grid->with($grid->slopes())->mesh($w, $d),
            $rows['sets'],
        );
        $survey = new GrowthSurvey($study->project, $study->section, $ground, $rows['sets'], $rows['faults']);

        return array_map(fn (Finding $f): array => $f->toArray(), Rulebook::checkGrowth($survey));
    }
}
