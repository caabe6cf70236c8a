<?php

declare(strict_types=1);

namespace App\Drawing;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Project\Project;

/** All boards of a layout as they lie to each other, with the runs over them. */
final class BoardsDrawing
{
    public static function of(Project $project, float $room, float $roomHeight): ?Svg
    {
        if ($project->sections === []) {
            return null;
        }
        $corners = array_merge(...array_map(fn ($s): array => $s->corners(), $project->sections));
        $xs = array_map(fn (Point $p): float => $p->x, $corners);
        $ys = array_map(fn (Point $p): float => $p->y, $corners);
        [$x0, $y0] = [min($xs), min($ys)];
        $frame = new PlanFrame(max($xs) - $x0, max($ys) - $y0, $room - 20.0, $roomHeight - 20.0, 10.0, 10.0);
        $move = fn (Point $p): Point => new Point($p->x - $x0, $p->y - $y0);
        $svg = new Svg($room, $frame->height + 20.0, "The boards of {$project->layout->name}", ['class' => 'drawing boards']);
        $labels = new Labels($room, $frame->height + 20.0);
        foreach ($project->sections as $section) {
            $svg->path('brd', $frame->d(array_map($move, $section->corners()), true));
        }
        foreach ($project->runs as $run) {
            $svg->path('tr', $frame->d(array_map($move, $run->alignment->polyline(0.0, $run->alignment->length, 0.0, 2.0))));
        }
        foreach ($project->sections as $section) {
            $middle = $move($section->placement->toLayout(new Point($section->width / 2.0, $section->depth * 0.25)));
            $width = mb_strlen($section->name) * 6.2;
            $place = $labels->place($section->name, 6.2, 14.0, [[$frame->x($middle->x) - $width / 2.0, $frame->y($middle->y) + 5.0]]);
            if ($place !== null && $width < $section->width * $frame->scale) {
                $svg->text('h halo', $place[0] + $width / 2.0, $place[1], $section->name, 'middle');
            }
        }

        return $svg;
    }
}
