<?php

declare(strict_types=1);

namespace App\Computed\Cuts;

use Closure;
use IdleRidge\Core\Coats\PlasterLayer;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\FoamWork;
use IdleRidge\Core\Cuts\Shell;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;

/**
 * A section and what its land is made of by its school: a stack of foam or a shell. Land itself is looked at only where it is asked for.
 */
final class CutResult
{
    private ?LandModel $model = null;

    private ?HeightGrid $grid = null;

    /**
     * @param  Closure(): LandModel  $makeModel
     * @param  Closure(): HeightGrid  $makeGrid land with its skin
     * @param  float  $surface true area of the land that stands over the board, mm²
     */
    public function __construct(
        public readonly Project $project,
        public readonly Section $section,
        public readonly CutSettings $cuts,
        public readonly FoamStack|Shell $body,
        public readonly BoardWeight $weight,
        public readonly ?PlasterLayer $plaster,
        public readonly float $surface,
        private readonly Closure $makeModel,
        private readonly Closure $makeGrid,
    ) {
    }

    public function model(): LandModel
    {
        return $this->model ??= ($this->makeModel)();
    }

    /** The land with its skin. */
    public function land(): HeightMesh
    {
        $this->grid ??= ($this->makeGrid)();

        return $this->grid->mesh($this->section->width, $this->section->depth);
    }

    public function stack(): ?FoamStack
    {
        return $this->body instanceof FoamStack ? $this->body : null;
    }

    public function shell(): ?Shell
    {
        return $this->body instanceof Shell ? $this->body : null;
    }

    /** Whole sheets by area alone: never fewer than these. */
    public function sheetsByArea(): int
    {
        return $this->body instanceof Shell
            ? (int) ceil($this->body->ribArea() / $this->cuts->first()->area() - 1e-9)
            : (int) array_sum(array_column($this->body->sheets($this->cuts), 'count'));
    }

    /** What those cost, in the currency's smallest unit; null where a sheet has no price. */
    public function costByArea(): ?int
    {
        if ($this->body instanceof FoamStack) {
            $cost = FoamWork::of($this->body, $this->cuts, $this->surface)->cost;

            return $cost === null ? null : (int) round($cost);
        }

        return $this->cuts->first()->price === null ? null : $this->sheetsByArea() * $this->cuts->first()->price;
    }

    /** Hands-on minutes until coats can go on: those of a shell's cover are its coats'. */
    public function minutes(): float
    {
        return $this->body instanceof Shell
            ? $this->body->formMinutes()
            : FoamWork::of($this->body, $this->cuts, $this->surface)->minutes();
    }

    /** @return list<array{Run, array{float, float}}> runs over the board with the stations between which they are, the longest first */
    public function runs(): array
    {
        $here = [];
        foreach ($this->model()->grading->runs as $run) {
            $over = $run->within($this->section->width, $this->section->depth);
            if ($over !== null && $over[1] - $over[0] > 20.0) {
                $here[] = [$run, $over];
            }
        }
        usort($here, fn (array $a, array $b): int => $b[1][1] - $b[1][0] <=> $a[1][1] - $a[1][0]);

        return $here;
    }
}
