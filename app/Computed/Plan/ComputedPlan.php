<?php

declare(strict_types=1);

namespace App\Computed\Plan;

use App\Computed\ComputedCache;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatPasses;
use IdleRidge\Core\Coats\LaidPatch;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Standing;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\GrowthZones;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\WaterZones;
use Psr\Clock\ClockInterface;

/** Surveys zones and plans the work, or takes it from what was computed before. */
final class ComputedPlan
{
    public function __construct(
        private readonly ComputedLand $land,
        private readonly ProjectLoader $load,
        private readonly ClockInterface $clock,
        private readonly ComputedCache $cache,
    ) {
    }

    public function minute(): int
    {
        return intdiv($this->clock->now()->getTimestamp(), 60);
    }

    public function plan(Layout $layout): BenchPlan
    {
        return $this->planOf($this->load->of($layout), $this->minute());
    }

    public function planOf(Project $project, int $now): BenchPlan
    {
        $work = $this->work($project, $now);
        $surveys = array_map(fn (Section $s): string => $this->surveyed($project, $s), $project->sections);
        // Of what a plan is made of only what lies in store depends on the moment.
        $stock = $this->cache->fingerprint($project->works->store->planned($now));
        $asked = $this->cache->fingerprintOf($project, "planned {$stock}", fn (): array => [$project->planned($now)]);
        $from = $this->cache->fingerprint($asked, $surveys, $work->planFrom());
        /** @var array{status: string, at: array<string, array{int, int}>, cold: list<string>, bound: int} $found */
        $found = $this->cache->remember(
            'plan',
            $from,
            fn (): array => BenchPlan::solve(new BenchWork($project->planned($now), $work->surveys, $now)),
        );

        return BenchPlan::of($work, $found);
    }

    public function work(Project $project, int $now): BenchWork
    {
        $surveys = [];
        foreach ($project->sections as $section) {
            if ($project->works->zonesOf($section->uid) !== []) {
                $surveys[$section->uid] = $this->survey($project, $section);
            }
        }

        return new BenchWork($project, $surveys, $now);
    }

    public function survey(Project $project, Section $section): SectionSurvey
    {
        return $this->cache->remember('survey', $this->surveyed($project, $section), function () use ($project, $section): SectionSurvey {
            [$zones, $passes, $patches, $standing] = $this->toSurvey($project, $section);
            $model = $this->land->model($project, $section);
            $survey = ZoneSurvey::ofLand(
                $model,
                ComputedLand::CELL_MM,
                $section->base,
                $section->placement,
                $zones,
                $project->layout->northDeg,
                WaterZones::filled($project, $section, $model, ComputedLand::CELL_MM, $zones, $standing),
            );

            return SectionSurvey::ofPasses($survey, $section->placement, $zones, $passes, $patches);
        });
    }

    /** The fingerprint of what a section's survey depends on. */
    private function surveyed(Project $project, Section $section): string
    {
        return $this->cache->fingerprintOf($project, "survey {$section->uid}", fn (): array => [
            $this->land->hash($project, $section, ComputedLand::CELL_MM),
            $project->layout->northDeg,
            $this->toSurvey($project, $section),
        ]);
    }

    /** @return array{array<string, Zone>, list<CoatPasses>, list<LaidPatch>, array<string, Standing>} */
    private function toSurvey(Project $project, Section $section): array
    {
        $zones = $project->works->zonesOf($section->uid);
        $coats = array_filter($project->works->coats, fn (Coat $c): bool => isset($zones[$c->zone]));
        $laid = $project->works->laidOn($section->uid);

        return [
            $zones,
            array_map(CoatPasses::of(...), array_values($coats)),
            array_map(LaidPatch::of(...), array_values($laid)),
            (new GrowthZones($project))->standing($section),
        ];
    }
}
