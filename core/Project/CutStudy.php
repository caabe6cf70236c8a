<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Gluing;
use IdleRidge\Core\Geometry\HeightMesh;

/** A board as it is cut and carried: what rules about cutting look at. */
final readonly class CutStudy
{
    /**
     * @param  Gluing|null  $gluing null for a shell
     * @param  list<HiddenThing>  $hidden under its land
     * @param  FoamStack|null  $stack null for a shell
     * @param  HeightMesh|null  $land over the board's base, with its skin
     */
    public function __construct(
        public Section $section,
        public ?Gluing $gluing,
        public BoardWeight $weight,
        public BoardBuild $build,
        public array $hidden = [],
        public ?FoamStack $stack = null,
        public ?HeightMesh $land = null,
    ) {
    }
}
