<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\View\MirrorView;
use IdleRidge\Core\Water\Mirror;

/** A mirror on its board: what it shows, and how it would have to stand to show the scene alone. Section coordinates, degrees. */
final readonly class MirrorFit
{
    /** @param  float|null  $betterDeg the nearest way to face in which it shows the least else; null where none sees it */
    public function __construct(public Mirror $mirror, public float $foot, public MirrorView $view, public ?float $betterDeg)
    {
    }
}
