<?php

declare(strict_types=1);

namespace App\Pages\Growth;

use App\Actions\Ledger\Ledger;
use App\Computed\Growth\ComputedGrowth;
use App\Computed\Land\ComputedLand;
use App\Computed\Library\SpeciesSets;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\SpeciesSet;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Rulebook;

/** What grows and stands along lines on a board: drawn from above and from its edge, counted, and put into words. */
final readonly class ShowGrowth
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedGrowth $growth,
        private ComputedLand $land,
        private SpeciesSets $sets,
        private ShowRail $rail,
        private Ledger $ledger,
        private ShowGrass $grass,
    ) {
    }

    public function page(Layout $layout, SectionRow $row, ?string $picked, ?int $tree): GrowthPage
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $survey = $this->growth->survey($project, $section);

        return new GrowthPage(
            $project,
            $section,
            $survey,
            $this->land->sheet($project, $section),
            $this->land->model($project, $section),
            $survey->stands(),
            $picked,
            $tree,
        );
    }

    /** @return array<string, mixed> for the view growth.show */
    public function of(Layout $layout, SectionRow $row, ?string $picked, ?int $tree, string $from, bool $onGrass = false): array
    {
        $page = $this->page($layout, $row, $picked, $tree);
        $project = $page->project;
        $findings = Rulebook::checkGrowth($page->survey);
        $edges = $project->layout->viewing->edges;
        $edge = BoardEdge::tryFrom($from) ?? $edges[0] ?? BoardEdge::Front;

        $grass = $onGrass ? $this->grass->of($page) : null;

        return [
            'layout' => $layout,
            'section' => $row,
            'page' => $page,
            'sheet' => $project->layout,
            'rail' => $this->rail->of($project, $page->section),
            'grass' => $grass,
            'plan' => GrowthPlanDrawing::of($page, $onGrass ? [] : $findings, array_column($grass['coats'] ?? [], 'patches')),
            'skyline' => SkylineDrawing::of($page, $edge),
            'from' => $edge->value,
            'findings' => $findings,
            'facts' => $this->facts($page),
            'stand' => $page->stand(),
            'tree' => $page->tree(),
            'row' => $page->row(),
            'set' => $page->row() === null ? null : $page->set($page->row()->uid),
            'stands' => array_map(fn (Stand $s): array => $this->standLine($s, $project), $page->stands),
            'rows' => array_map(fn (RowLayout $s): array => $this->rowLine($s, $page->section), $page->sets()),
            'choices' => array_map(fn (SpeciesSet $s): string => $s->name, $this->sets->all()),
            'zones' => $this->zones($project, $page->section),
            'lines' => $this->lines($project, $page->section),
            'kinds' => array_column(array_map(fn (RowKind $k): array => [$k->value, $k->title()], RowKind::cases()), 1, 0),
            'travel' => $this->travel($page),
            'distances' => $this->distances($page),
            'sunny' => $this->sunny($page),
            'work' => $this->work($page),
            'next' => $this->ledger->next($layout),
        ];
    }

    /** @return list<array{label: string, figure: Quantity, note: string}> */
    private function facts(GrowthPage $page): array
    {
        $trees = array_merge(...array_map(fn (Stand $s): array => $s->trees, $page->stands));
        $tallest = $trees === [] ? null : max(array_map(fn (Tree $t): float => $t->height, $trees));
        $out = [
            ['label' => 'Trees', 'figure' => new Quantity((float) count($trees), '', 'that stand on this board'), 'note' => ''],
        ];
        if ($tallest !== null) {
            $out[] = [
                'label' => 'Tallest',
                'figure' => new Quantity($tallest, 'mm', 'over its ground', decimals: 0),
                'note' => Format::text($page->project->layout->scale->toPrototype($tallest) / 1000.0, 'm', 1).' outdoors',
            ];
        }
        $count = array_sum(array_map(fn (RowLayout $s): int => $s->count($page->section->uid), $page->sets()));
        $along = [
            'label' => 'Along lines',
            'figure' => new Quantity((float) $count, '', 'posts, poles and pieces on this board'),
            'note' => count($page->sets()) === 1 ? 'in 1 row' : 'in '.count($page->sets()).' rows',
        ];
        $out = $page->sets() === [] ? $out : [...$out, $along];
        $tall = $page->survey->tall(max($page->sheet->figures['z_max']->value, $page->section->base));
        $out[] = [
            'label' => 'Board, carried',
            'figure' => new Quantity($tall['lifted'], 'mm', 'from under the frame to the highest that stays on', decimals: 0),
            'note' => $tall['all'] - $tall['lifted'] < 0.5 ? 'high' : Format::length($tall['all']).' with all trees',
        ];

        return $out;
    }

    /** @return array{uid: string, name: string, trees: int, words: string} */
    private function standLine(Stand $stand, Project $project): array
    {
        $words = [];
        foreach ($stand->counts() as $species => $count) {
            $words[] = "{$count} ".mb_strtolower((string) $species);
        }
        $heights = array_map(fn (Tree $t): float => $t->height, $stand->trees);

        return [
            'uid' => $stand->uid,
            'name' => $stand->name,
            'trees' => count($stand->trees),
            'words' => implode(', ', $words).($heights === [] ? '' : sprintf(
                '; %s, that is %s',
                Format::several([min($heights), max($heights)], 'mm', between: ' to '),
                Format::several(
                    array_map(fn (float $mm): float => $project->layout->scale->toPrototype($mm) / 1000.0, [min($heights), max($heights)]),
                    'm',
                    1,
                    ' to ',
                ),
            )),
        ];
    }

    /** @return array{uid: string, name: string, count: string, words: string} */
    private function rowLine(RowLayout $set, Section $section): array
    {
        $row = $set->row;
        $here = $set->count($section->uid);
        $words = [];
        $roles = $set->roles($section->uid);
        foreach (['straining' => 'straining', 'gate' => 'at gates', 'stayed' => 'stayed'] as $role => $word) {
            if (isset($roles[$role])) {
                $words[] = "{$roles[$role]} {$word}";
            }
        }
        $words[] = Format::length($set->laid($section->uid)).' long';
        if ($set->count() > $here) {
            $words[] = $set->count().' in all';
        }
        if ($row->figures->wires !== []) {
            $words[] = Format::text($set->wire($section->uid) / 1000.0, 'm', 2).' of wire';
        }
        if ($row->pack > 0.0) {
            $packs = $set->packs();
            $words[] = $packs['packs'].($packs['packs'] === 1 ? ' pack, ' : ' packs, ').Format::length($packs['left']).' over';
        }

        return [
            'uid' => $row->uid,
            'name' => $row->called(),
            'count' => $row->kind->isUnbroken() ? '' : "{$here} ".$row->kind->word($here),
            'words' => implode(' · ', $words),
        ];
    }

    /** The zone that the work on what is picked stands in. */
    private function work(GrowthPage $page): ?Zone
    {
        foreach ($page->project->works->zonesOf($page->section->uid) as $zone) {
            if ($page->picked !== null && ($zone->along === $page->picked || in_array($page->picked, $zone->under, true))) {
                return $zone;
            }
        }

        return null;
    }

    /** @return array<string, string> */
    private function zones(Project $project, Section $section): array
    {
        $out = ['' => 'the whole board'];
        foreach ($project->works->zonesOf($section->uid) as $zone) {
            if ($zone->backdrop === null && $zone->along === null && $zone->under === []) {
                $out[$zone->uid] = $zone->name;
            }
        }

        return $out;
    }

    /** @return array<string, string> what a row may go along on this board */
    private function lines(Project $project, Section $section): array
    {
        $out = [];
        foreach ($project->runsNear($section) as $run) {
            $out["run:{$run->uid}"] = $run->name;
        }
        foreach ($project->features as $feature) {
            $on = array_filter($feature->points, fn ($p): bool => $section->holds($p->x, $p->y, 0.5)) !== [];
            if ($on && ! $feature->kind->isSpot()) {
                $out["feature:{$feature->uid}"] = $this->featureWord($feature);
            }
        }

        return $out;
    }

    private function featureWord(LandFeature $feature): string
    {
        $kind = match ($feature->kind) {
            FeatureKind::Water => 'shore',
            FeatureKind::Rough => 'rough ground',
            default => $feature->kind->value,
        };

        return $feature->name === '' ? "the {$kind}" : "{$feature->name} ({$kind})";
    }

    /** The edge of the board that the sun shines on from, by where north lies. */
    private function sunny(GrowthPage $page): string
    {
        $south = deg2rad($page->project->layout->northDeg + 180.0 - $page->section->placement->angleDeg);
        $named = fn (float $part, string $less, string $more): string => abs($part) < 0.38 ? '' : ($part < 0.0 ? $less : $more);

        return implode(' and the ', array_filter([$named(sin($south), 'front', 'back'), $named(cos($south), 'left', 'right')]));
    }

    /**
     * What things are built to as they lie deeper in the scene; none where all are built to scale.
     *
     * @return list<array{deep: float, ratio: string, sizes: list<float>}> a person of 1.75 m, a door of 2 m, a house 8 m wide, mm
     */
    private function distances(GrowthPage $page): array
    {
        $depth = $page->survey->ground->depth;
        $out = [];
        foreach ($page->project->layout->growth->farScale < 1.0 && $depth->deepest() > 0.0 ? [0.0, 0.25, 0.5, 0.75, 1.0] : [] as $share) {
            $to = $depth->scaleAt($share);
            $out[] = [
                'deep' => $share * $depth->deepest(),
                'ratio' => '1:'.Decimal::trimmed($page->project->layout->scale->ratio / $to, 1),
                'sizes' => array_map(fn (float $mm): float => $page->project->layout->scale->toModel($mm) * $to, [1750.0, 2000.0, 8000.0]),
            ];
        }

        return $out;
    }

    /** @return list<array{stand: string, number: int, species: string, height: float}> trees that lift off, tallest first */
    private function travel(GrowthPage $page): array
    {
        $out = [];
        foreach ($page->stands as $stand) {
            foreach ($stand->socket === null ? [] : $stand->trees as $k => $tree) {
                $species = $stand->species($tree)->name;
                $out[] = ['stand' => $stand->name, 'number' => $k + 1, 'species' => $species, 'height' => $tree->height];
            }
        }
        usort($out, fn (array $a, array $b): int => $b['height'] <=> $a['height']);

        return $out;
    }
}
