<?php

declare(strict_types=1);

namespace App\Drawing;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Project\Project;

/** All boards of a layout as they lie to each other, with the runs over them. */
final class BoardsDrawing
{
    /** @param  array<string, list<list<array{float, float}>>>  $contours section uid → lines in its coordinates */
    public static function of(Project $project, array $contours, float $room, float $roomHeight): ?Svg
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
            $d = '';
            foreach ($contours[$section->uid] ?? [] as $line) {
                $d .= $frame->d(array_map(fn (array $p): Point => $move($section->placement->toLayout(new Point($p[0], $p[1]))), $line));
            }
            $svg->path('ct', $d);
        }
        foreach ($project->runs as $run) {
            $svg->path('tr', $frame->d(array_map($move, $run->alignment->polyline(0.0, $run->alignment->length, 0.0, 2.0))));
        }
        foreach ($project->sections as $section) {
            // The name stands in the far left corner, as it would be pencilled on the board.
            $corner = $move($section->placement->toLayout(new Point(0.0, $section->depth)));
            $width = mb_strlen($section->name) * 6.4;
            $place = $labels->place($section->name, 6.4, 14.0, [[$frame->x($corner->x) + 8.0, $frame->y($corner->y) + 18.0]]);
            if ($place !== null && $width < $section->width * $frame->scale) {
                $svg->text('h halo', $place[0], $place[1], $section->name);
            }
        }

        return $svg;
    }
}
