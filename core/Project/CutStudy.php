<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\Gluing;

/** A board as it is cut and carried: what rules about cutting look at. */
final readonly class CutStudy
{
    /** @param  Gluing|null  $gluing null for a shell */
    public function __construct(public Section $section, public ?Gluing $gluing, public BoardWeight $weight, public BoardBuild $build)
    {
    }
}
