<?php

declare(strict_types=1);

namespace App\Computed\Water;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Rulebook\Rulebook;

/** The water of a layout that came from a file: the same steps as the screens take, without a database. */
final class WaterReport
{
    /** @return list<array<string, mixed>> findings in the form of docs/formats/finding.schema.json */
    public function findings(LandStudy $study): array
    {
        return array_map(
            fn (Finding $f): array => $f->toArray(),
            Rulebook::checkWater($study->project, WaterSurvey::of(WaterStudy::of($study))),
        );
    }
}
