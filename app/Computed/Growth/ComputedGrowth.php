<?php

declare(strict_types=1);

namespace App\Computed\Growth;

use App\Computed\ComputedCache;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Planting\Obstacles;
use IdleRidge\Core\Planting\Planter;
use IdleRidge\Core\Planting\PlantingGround;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\GrowthSurvey;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Rulebook;

/** Rows set out, where things may grow, and stands planted. */
final readonly class ComputedGrowth
{
    public function __construct(private ComputedLand $land, private ComputedPlan $plan, private ComputedCache $cache)
    {
    }

    /** @return array{sets: list<RowLayout>, faults: array<string, string>} */
    public function rows(Project $project): array
    {
        $rows = $project->works->growth->rows;
        if ($rows === []) {
            return ['sets' => [], 'faults' => []];
        }

        return $this->cache->remember('rows', $this->rowsFrom($project), fn (): array => (new GrowthStudy($project))->rows());
    }

    public function survey(Project $project, Section $section): GrowthSurvey
    {
        $rows = $this->rows($project);

        return new GrowthSurvey($project, $section, $this->ground($project, $section, $rows['sets']), $rows['sets'], $rows['faults']);
    }

    /** @return list<Finding> what the rules about growth find on a board */
    public function findings(Project $project, Section $section): array
    {
        $layout = $project->layout;
        $from = $this->cache->fingerprint(
            $this->land->hash($project, $section, ComputedLand::CELL_MM),
            $this->rowsFrom($project),
            $section,
            $layout->clearance,
            $layout->viewing,
            $layout->cuts->board,
            $this->cache->fingerprintOf($project, 'growth', fn (): array => [$project->works->growth]),
        );

        return $this->cache->remember('growth-findings', $from, fn (): array => Rulebook::checkGrowth($this->survey($project, $section)));
    }

    /**
     * A stand as it comes when it is planted: what is fixed stays.
     *
     * @throws \IdleRidge\Core\Measure\InvalidValue when there is no room
     */
    public function planted(Project $project, Stand $stand): Stand
    {
        $section = $project->section($stand->section);
        $rings = $stand->zone === null
            ? [[[0.0, 0.0], [$section->width, 0.0], [$section->width, $section->depth], [0.0, $section->depth]]]
            : $this->plan->survey($project, $section)->zones[$stand->zone]->rings;
        $others = [];
        foreach ($project->works->growth->standsOn($section->uid) as $other) {
            if ($other->uid !== $stand->uid) {
                array_push($others, ...$other->treesOn($section->placement));
            }
        }
        $here = $stand->but(trees: $stand->treesOn($section->placement));
        $planter = new Planter(
            $here,
            $this->ground($project, $section, $this->rows($project)['sets']),
            array_values(array_filter($rings)),
            $project->layout->scale,
            $others,
        );

        return $stand->but(trees: array_map(fn (Tree $t): Tree => $t->placed($section->placement), $planter->plant()));
    }

    /** @param  list<RowLayout>  $sets */
    private function ground(Project $project, Section $section, array $sets): PlantingGround
    {
        $hash = $this->land->hash($project, $section, ComputedLand::CELL_MM);
        $grid = $this->land->sheet($project, $section)->grid();
        $land = $grid->mesh($section->width, $section->depth);
        $model = $this->land->model($project, $section);
        $study = new GrowthStudy($project);
        $slopes = $this->cache->remember('slopes', $hash, fn (): string => pack('g*', ...$grid->slopes()));
        // Which way vehicles swing is asked every few millimetres: that is kept.
        $from = $this->cache->fingerprint($hash, $project->layout->clearance, $this->rowsFrom($project));
        $obstacles = $this->cache->remember(
            'obstacles',
            $from,
            fn (): Obstacles => $study->obstacles($section, $model, $land, $sets),
        );

        return $study->ground(
            $section,
            $model,
            $land,
            $grid->with(array_values(unpack('g*', $slopes) ?: []))->mesh($section->width, $section->depth),
            $sets,
            $obstacles,
        );
    }

    /** The fingerprint of what rows depend on. */
    private function rowsFrom(Project $project): string
    {
        return $this->cache->fingerprintOf($project, 'rows', fn (): array => [
            $project->layout->forRows(),
            $project->sections,
            $project->runs,
            $project->features,
            $project->works->growth->rows,
        ]);
    }
}
