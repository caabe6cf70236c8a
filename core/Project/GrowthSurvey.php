<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Planting\PlantingGround;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\Tree;

/** What grows and stands on one board, with the ground it stands on. */
final readonly class GrowthSurvey
{
    /**
     * @param  list<RowLayout>  $sets rows of the layout that can be set out
     * @param  array<string, string>  $faults uid of a row that cannot → why
     */
    public function __construct(
        public Project $project,
        public Section $section,
        public PlantingGround $ground,
        public array $sets,
        public array $faults = [],
    ) {
    }

    /** @return list<Stand> with their trees in the board's coordinates */
    public function stands(): array
    {
        return array_map(
            fn (Stand $s): Stand => $s->but(trees: $s->treesOn($this->section->placement)),
            $this->project->works->growth->standsOn($this->section->uid),
        );
    }

    /** Height of a tree's top over the datum, mm. */
    public function top(Tree $tree): float
    {
        return $this->ground->height($tree->x, $tree->y) + $tree->height;
    }

    /**
     * Height of the board from under its frame to the highest that stands on it, mm: with all trees, and with those lifted off that stand
     * in sockets.
     *
     * @return array{all: float, lifted: float}
     */
    public function tall(float $land): array
    {
        $out = ['all' => $land, 'lifted' => $land];
        foreach ($this->stands() as $stand) {
            foreach ($stand->trees as $tree) {
                $top = $this->top($tree);
                $out['all'] = max($out['all'], $top);
                $out['lifted'] = $stand->socket === null ? max($out['lifted'], $top) : $out['lifted'];
            }
        }
        foreach ($this->sets as $set) {
            foreach ($set->on($this->section->uid) as $thing) {
                $p = $this->section->placement->toSection(new Point($thing->x, $thing->y));
                $top = $this->ground->height($p->x, $p->y) + $thing->height;
                $out = ['all' => max($out['all'], $top), 'lifted' => max($out['lifted'], $top)];
            }
        }
        $board = $this->project->layout->cuts->board;
        $under = $board->top + $board->timberHigh - $this->section->base;

        return ['all' => $out['all'] + $under, 'lifted' => $out['lifted'] + $under];
    }
}
