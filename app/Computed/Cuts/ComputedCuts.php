<?php

declare(strict_types=1);

namespace App\Computed\Cuts;

use App\Computed\ComputedCache;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\PlasterLayer;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Gluing;
use IdleRidge\Core\Cuts\Shell;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Project\CutStudy;
use IdleRidge\Core\Project\HiddenThing;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Rulebook;

/** What a section is made of, from what was computed before where land and settings are the same. */
final readonly class ComputedCuts
{
    public function __construct(
        private ComputedLand $desk,
        private CutComputation $cut,
        private ComputedPlan $plan,
        private ComputedCache $cache,
    ) {
    }

    public function page(Project $project, Section $section): CutResult
    {
        return $this->made($project, $section, $project->cuts(), $this->plaster($project, $section));
    }

    /** @return array<string, BoardWeight> section uid → what it weighs, of all boards at once */
    public function weights(Project $project): array
    {
        return $this->cache->remember('weights', $this->cache->fingerprint($project), function () use ($project): array {
            $weights = [];
            foreach ($project->sections as $section) {
                $weights[$section->uid] = $this->page($project, $section)->weight;
            }

            return $weights;
        });
    }

    /** The same land made another way. */
    public function by(CutSchool $school, CutResult $page): CutResult
    {
        return $school === $page->cuts->school
            ? $page
            : $this->made($page->project, $page->section, $page->cuts->by($school), $page->plaster);
    }

    private function made(Project $project, Section $section, CutSettings $cuts, ?PlasterLayer $plaster): CutResult
    {
        $model = fn (): LandModel => $this->desk->model($project, $section);
        $grid = fn (): HeightGrid => $this->desk->sheet($project, $section)->grid();
        /** @var array{FoamStack|Shell, BoardWeight, float} $kept */
        $kept = $this->cache->remember('cuts', $this->asked($project, $section, $cuts, $plaster), function () use (
            $project,
            $section,
            $cuts,
            $model,
            $plaster,
        ): array {
            $page = $this->cut->of($project, $model(), $section, $cuts, $plaster);

            return [$page->body, $page->weight, $page->surface];
        });

        return new CutResult($project, $section, $cuts, $kept[0], $kept[1], $plaster, $kept[2], $model, $grid);
    }

    /** What coats put on the foam; null where there are none of plaster. */
    private function plaster(Project $project, Section $section): ?PlasterLayer
    {
        $zones = $project->works->zonesOf($section->uid);
        $coats = array_values(
            array_filter($project->works->coats, fn (Coat $c): bool => isset($zones[$c->zone]) && $c->recipe->family === Family::Plaster),
        );

        return $coats === [] ? null : PlasterLayer::of($this->plan->survey($project, $section), $coats);
    }

    /** @return list<Finding> */
    public function findings(CutResult $page): array
    {
        $hidden = HiddenThing::on($page->project, $page->section);

        return Rulebook::checkCuts(
            new CutStudy(
                $page->section,
                $this->gluing($page),
                $page->weight,
                $page->cuts->board,
                $hidden,
                $page->stack(),
                $hidden === [] ? null : $page->land(),
            ),
        );
    }

    public function gluing(CutResult $page): ?Gluing
    {
        $stack = $page->stack();
        /** @var Gluing|null $gluing */
        $gluing =
            $stack === null
                ? null
                : $this->cache->remember(
                    'gluing',
                    $this->asked($page->project, $page->section, $page->cuts),
                    fn (): Gluing => Gluing::of($stack),
                );

        return $gluing;
    }

    /** The fingerprint of what a body depends on. */
    private function asked(Project $project, Section $section, CutSettings $cuts, ?PlasterLayer $plaster = null): string
    {
        return $this->cache->fingerprint(
            $this->desk->hash($project, $section, ComputedLand::CELL_MM),
            $project->layout->gauge,
            $cuts,
            $plaster,
            $section->standing,
        );
    }
}
