<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Workshop\Land\LandDesk;
use App\Workshop\Plan\PlanDesk;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\PlasterLaid;
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
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Rulebook;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;

/** What a section is made of, from what was computed before where land and settings are the same. */
final readonly class CutDesk
{
    /** Raise when what is kept changes its form. */
    private const VERSION = 3;

    private const DAYS = 7;

    public function __construct(private LandDesk $desk, private CutLand $cut, private PlanDesk $plan)
    {
    }

    public function page(Project $project, Section $section): CutPage
    {
        return $this->made($project, $section, $project->cuts(), $this->plaster($project, $section));
    }

    /** The same land made another way. */
    public function by(CutSchool $school, CutPage $page): CutPage
    {
        return $school === $page->cuts->school ? $page : $this->made($page->project, $page->section, $page->cuts->by($school), $page->plaster);
    }

    private function made(Project $project, Section $section, CutSettings $cuts, ?PlasterLaid $plaster): CutPage
    {
        $model = fn (): LandModel => $this->desk->model($project, $section);
        $grid = fn (): HeightGrid => $this->desk->sheet($project, $section)->grid();
        /** @var array{FoamStack|Shell, BoardWeight, float} $kept */
        $kept = $this->kept('cuts-'.sha1(serialize($plaster)), $project, $section, $cuts, function () use ($project, $section, $cuts, $model, $plaster): array {
            $page = $this->cut->of($project, $model(), $section, $cuts, $plaster);

            return [$page->body, $page->weight, $page->surface];
        });

        return new CutPage($project, $section, $cuts, $kept[0], $kept[1], $plaster, $kept[2], $model, $grid);
    }

    /** What coats put on the foam; null where there are none of plaster. */
    private function plaster(Project $project, Section $section): ?PlasterLaid
    {
        $zones = $project->works->zonesOf($section->uid);
        $coats = array_values(array_filter($project->works->coats, fn (Coat $c): bool => isset($zones[$c->zone]) && $c->recipe->family === 'plaster'));

        return $coats === [] ? null : PlasterLaid::of($this->plan->survey($project, $section), $coats);
    }

    /** @return list<Finding> */
    public function findings(CutPage $page): array
    {
        return Rulebook::checkCuts(new CutStudy($page->section, $this->gluing($page), $page->weight, $page->cuts->board));
    }

    public function gluing(CutPage $page): ?Gluing
    {
        $stack = $page->stack();
        /** @var Gluing|null $gluing */
        $gluing = $stack === null ? null : $this->kept('gluing', $page->project, $page->section, $page->cuts, fn (): Gluing => Gluing::of($stack));

        return $gluing;
    }

    /**
     * @template T
     *
     * @param callable(): T $make
     * @return T
     */
    private function kept(string $what, Project $project, Section $section, CutSettings $cuts, callable $make): mixed
    {
        $key = "{$what}-".sha1(json_encode([self::VERSION, $this->desk->hash($project, $section, LandDesk::CELL), $project->layout->gauge, $cuts->toArray(), $cuts->sheets], JSON_THROW_ON_ERROR));
        $found = $this->store()->get($key);
        if ($found === null) {
            $found = $make();
            $this->store()->put($key, $found, 86400 * self::DAYS);
        }

        return $found;
    }

    private function store(): Repository
    {
        return Cache::store('computed');
    }
}
