<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Computed\Land\LandResult;
use IdleRidge\Core\Land\Cut;
use IdleRidge\Core\Land\LandClass;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\SightStudy;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Turnout;

/** One look at a section's land: what is worked out, where the cut line stands, what is picked. */
final readonly class LandPage
{
    /**
     * @param  list<Run>  $runs in section coordinates, as far as they come near the board
     * @param  array<string, array{float, float}>  $spans run uid → stations over the board
     * @param  list<LandFeature>  $features in section coordinates
     * @param  list<LandClass>  $classes of the tint, none for heights
     * @param  list<Turnout>  $turnouts
     * @param  list<RowLayout>  $rows of the layout, those that can be set out
     */
    public function __construct(
        public Project $project,
        public Section $section,
        public LandResult $sheet,
        public LandModel $model,
        public array $runs,
        public array $spans,
        public array $features,
        public Cut $cut,
        public ?string $picked,
        public string $tab,
        public bool $preview,
        public string $tint = 'heights',
        public array $classes = [],
        public array $turnouts = [],
        public ?SightStudy $sight = null,
        public array $rows = [],
    ) {
    }

    public function pickedRun(): ?Run
    {
        foreach ($this->runs as $run) {
            if ($run->uid === $this->picked) {
                return $run;
            }
        }

        return null;
    }

    public function pickedFeature(): ?LandFeature
    {
        foreach ($this->features as $feature) {
            if ($feature->uid === $this->picked) {
                return $feature;
            }
        }

        return null;
    }

    /** @return array{float, float}|null the stations over this board of the run that the cut follows */
    public function span(): ?array
    {
        return $this->cut->run === null ? null : ($this->spans[$this->cut->run->uid] ?? [0.0, $this->cut->run->alignment->length]);
    }
}
