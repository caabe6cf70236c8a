<?php

declare(strict_types=1);

namespace App\Computed\Water;

use App\Computed\ComputedCache;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Interchange\WaterFile;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Water\BedColours;
use IdleRidge\Core\Water\BedOutlines;
use IdleRidge\Core\Water\WaterBody;
use IdleRidge\Core\Water\WaterSheet;

/** The waters of a section worked out, or taken from what was computed before; and the work on one of them, done or only thought of. */
final class ComputedWater
{
    /** The uid of a bed that is not among the work yet. */
    private const THOUGHT_OF = '00000000000000000000000000';

    /** @var array{colours: BedColours, sheet: WaterSheet}|null */
    private ?array $library = null;

    public function __construct(
        private readonly ComputedLand $land,
        private readonly ComputedPlan $plan,
        private readonly ComputedCache $cache,
    ) {
    }

    public function survey(Project $project, Section $section): WaterSurvey
    {
        $zones = array_filter($project->works->zonesOf($section->uid), fn (Zone $z): bool => $z->backdrop !== null);
        $from = $this->cache->fingerprint(
            $this->hash($project, $section),
            $project->layout->viewing,
            $project->works->growth->standsOn($section->uid),
            $project->works->waters->mirrorsOn($section->uid),
            array_column($zones, 'backdrop'),
            // Over a joint another water may go on.
            array_values(array_filter($project->features, fn (LandFeature $f): bool => $f->kind === FeatureKind::Water)),
        );

        return $this->cache->remember('water', $from, fn (): WaterSurvey => WaterSurvey::of(new WaterStudy(
            $project,
            $section,
            $this->land->model($project, $section),
            $this->land->sheet($project, $section)->grid()->mesh($section->width, $section->depth),
        )));
    }

    /**
     * Outlines of what of a water is deeper than some depths.
     *
     * @param  non-empty-list<float>  $depths
     * @return list<list<list<array{float, float}>>>
     */
    public function outlines(Project $project, Section $section, string $water, array $depths): array
    {
        return $this->cache->remember(
            'bed-outlines',
            $this->cache->fingerprint($this->hash($project, $section), $water, $depths),
            fn (): array => (new BedOutlines($this->land->model($project, $section)))->of($water, $depths),
        );
    }

    /** The zone that is the bed of a water among the work; null while it is only thought of. */
    public function zone(Project $project, Section $section, string $water): ?Zone
    {
        foreach ($project->works->zonesOf($section->uid) as $zone) {
            if ($zone->isBed() && $zone->water === $water) {
                return $zone;
            }
        }

        return null;
    }

    /**
     * The work with a water’s bed in it, whether or not it is among the work.
     *
     * @return array{BenchWork, Zone}
     */
    public function work(Project $project, Section $section, WaterBody $body): array
    {
        $zone = $this->zone($project, $section, $body->uid);
        if ($zone === null) {
            // No other zone of the board has such a name.
            $zone = new Zone(self::THOUGHT_OF, $section->uid, 'Thought of '.self::THOUGHT_OF, water: $body->uid);
            $project = $project->working($project->works->with(['zones' => [...$project->works->zones, $zone]]));
        }

        return [$this->plan->work($project, $this->plan->minute()), $zone];
    }

    public function colours(): BedColours
    {
        return $this->library()['colours'];
    }

    public function sheet(): WaterSheet
    {
        return $this->library()['sheet'];
    }

    /** @return array{colours: BedColours, sheet: WaterSheet} */
    private function library(): array
    {
        return $this->library ??= WaterFile::library((string) file_get_contents(base_path('library/water.json')));
    }

    private function hash(Project $project, Section $section): string
    {
        return $this->land->hash($project, $section, ComputedLand::CELL_MM);
    }
}
