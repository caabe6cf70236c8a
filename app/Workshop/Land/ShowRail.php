<?php

declare(strict_types=1);

namespace App\Workshop\Land;

use App\Drawing\Svg;
use App\Drawing\ThumbDrawing;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** The boards beside a screen, all to one scale, in running order. */
final readonly class ShowRail
{
    public function __construct(private LandDesk $desk)
    {
    }

    /** @return list<array{uid: string, name: string, current: bool, thumb: Svg}> */
    public function of(Project $project, Section $current): array
    {
        $widest = max(1200.0, ...array_map(fn (Section $s): float => $s->width, $project->sections));
        $out = [];
        foreach ($project->sections as $section) {
            $out[] = [
                'uid' => $section->uid, 'name' => $section->name, 'current' => $section->uid === $current->uid,
                'thumb' => ThumbDrawing::of($section, $this->desk->thumb($project, $section), $project->runsNear($section), 90.0 / $widest),
            ];
        }

        return $out;
    }
}
