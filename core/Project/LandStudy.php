<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Terrain;
use IdleRidge\Core\Land\Wall;
use IdleRidge\Core\Land\Walls;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Track\Turnout;

/** The land of one section worked out: terrain, walls and the figures that stand on screen and in files. */
final readonly class LandStudy
{
    /**
     * @param  list<Wall>  $walls
     * @param  list<Turnout>  $turnouts among the tracks that come near the board
     */
    private function __construct(
        public Project $project,
        public Section $section,
        public LandModel $model,
        public Terrain $terrain,
        public array $walls,
        public array $turnouts,
    ) {
    }

    public static function of(Project $project, Section $section, LandModel $model, Terrain $terrain): self
    {
        $walls = [...Walls::find($model, $terrain, $project->joinedEdges($section)), ...Walls::placed($model)];

        return new self(
            $project,
            $section,
            $model,
            $terrain,
            $walls,
            Turnout::among($model->grading->runs, $project->layout->clearance->vehicles, $project->layout->clearance->margin),
        );
    }

    /**
     * Heights over the layout's datum; areas and volumes within the board, volume over the board's top.
     *
     * @return array<string, Quantity>
     */
    public function figures(): array
    {
        $mesh = $this->terrain->mesh();
        $works = $this->terrain->earthworks();
        $cell = ['cells of' => Format::length($this->terrain->cell, 2)];
        $plan = $this->section->width * $this->section->depth;
        $heights = [...$this->terrain->heights, ...$this->terrain->rim ?? [], ...$this->atPointsGiven()];

        return [
            'z_min' => new Quantity(
                min($heights),
                'mm',
                'lowest of the cells, the edges and the points that were given',
                $cell,
                decimals: 1,
            ),
            'z_max' => new Quantity(
                max($heights),
                'mm',
                'highest of the cells, the edges and the points that were given',
                $cell,
                decimals: 1,
            ),
            'cut' => new Quantity($works['cut'], 'mm³', 'sum of what grading takes from the natural ground', $cell),
            'fill' => new Quantity($works['fill'], 'mm³', 'sum of what grading puts on the natural ground', $cell),
            'volume' => new Quantity(
                $mesh->volumeAbove($this->section->base),
                'mm³',
                'volume between the terrain and the board top',
                $cell + ['board top' => Format::length($this->section->base, 1)],
            ),
            'plan' => new Quantity($plan, 'mm²', 'width × depth', [
                'width' => Format::length($this->section->width, 1),
                'depth' => Format::length($this->section->depth, 1),
            ]),
            'surface' => new Quantity(
                $mesh->surface(),
                'mm²',
                'area of the land itself, two triangles a cell, mean of both diagonals',
                $cell,
            ),
            'max_slope' => new Quantity(
                rad2deg(atan($this->terrain->grid()->maxSlope())),
                '°',
                'steepest slope over three by three cells',
                $cell,
                decimals: 1,
            ),
        ];
    }

    /** @return list<float> how high the land lies at the points of what was drawn on the board: a top falls between cells */
    private function atPointsGiven(): array
    {
        $heights = [];
        foreach ($this->project->features as $feature) {
            foreach ($feature->points as $given) {
                $at = $this->section->placement->toSection(new Point($given->x, $given->y));
                if ($at->x >= 0.0 && $at->y >= 0.0 && $at->x <= $this->section->width && $at->y <= $this->section->depth) {
                    $heights[] = $this->model->heightAt($at->x, $at->y);
                }
            }
        }

        return $heights;
    }
}
