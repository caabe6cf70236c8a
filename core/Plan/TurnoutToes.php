<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Turnout;

/** Where the blades of turnouts lie on each section, worked out once. */
final class TurnoutToes
{
    /** @var array<string, list<array{float, float}>> */
    private array $known = [];

    /** @return list<array{float, float}> section coordinates, mm */
    public function of(Project $project, Section $section): array
    {
        return $this->known[$section->uid] ??= array_map(function (Turnout $t): array {
            $p = $t->main->alignment->pointAt($t->toe);

            return [$p->x, $p->y];
        }, Turnout::among($project->runsNear($section), $project->layout->clearance->vehicles, $project->layout->clearance->margin));
    }
}
