<?php

declare(strict_types=1);

namespace App\Pages\Water;

use App\Computed\Land\LandResult;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Plan\SchoolTrial;
use IdleRidge\Core\Plan\TrialStep;
use IdleRidge\Core\Project\MirrorFit;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Water\BedColours;
use IdleRidge\Core\Water\WaterBody;
use IdleRidge\Core\Water\WaterPlan;

/** One look at the water of a board: what is picked, how it is to be made, and what that comes to. */
final readonly class WaterPage
{
    /**
     * @param  WaterPlan|null  $plan of the picked water
     * @param  SchoolTrial|null  $trial of the picked water as it is planned; null where it cannot be made so
     * @param  Zone|null  $zone its bed among the work
     * @param  array<string, list<list<list<array{float, float}>>>>  $beds uid → rings of what is deeper than the upper edge of each band
     */
    public function __construct(
        public Project $project,
        public Section $section,
        public WaterSurvey $survey,
        public LandResult $sheet,
        public LandModel $model,
        public BedColours $colours,
        public ?WaterBody $body,
        public ?WaterPlan $plan,
        public ?SchoolTrial $trial,
        public ?Zone $zone,
        public array $beds,
        public ?MirrorFit $mirror,
    ) {
    }

    /** Whether any of what it is made of is poured. */
    public function isPoured(): bool
    {
        $pours = fn (TrialStep $step): bool => $step->coat->recipe->is(RecipeTrait::Pour);

        return array_filter($this->trial->steps ?? [], $pours) !== [];
    }

    public function bands(): int
    {
        return $this->plan->bands ?? 3;
    }

    public function darkRim(): bool
    {
        return $this->plan->darkRim ?? false;
    }
}
