<?php

declare(strict_types=1);

namespace App\Drawing;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Project\Project;

/** The boards as they lie, with the numbers of the moves where they are done, and the minutes on each board. */
final class WhereDrawing
{
    /**
     * @param array<string, list<list<array{float, float}>>> $contours
     * @param list<array{section: string, x: float, y: float, number: int}> $marks section coordinates
     * @param array<string, int> $minutes section uid → minutes
     */
    public static function of(Project $project, array $contours, array $marks, array $minutes): ?Svg
    {
        if ($project->sections === []) {
            return null;
        }
        $corners = array_merge(...array_map(fn ($s): array => $s->corners(), $project->sections));
        $xs = array_map(fn (Point $p): float => $p->x, $corners);
        $ys = array_map(fn (Point $p): float => $p->y, $corners);
        $frame = new PlanFrame(max($xs) - min($xs), max($ys) - min($ys), 434.0, 76.0, 4.0, 18.0);
        $move = fn (Point $p): Point => new Point($p->x - min($xs), $p->y - min($ys));
        $svg = new Svg(442.0, $frame->height + 38.0, 'Where the moves are', ['class' => 'drawing boards where']);
        $labels = new Labels(440.0, $frame->height + 38.0, 2.0, 0.0);
        $spots = [];
        foreach ($project->sections as $section) {
            $svg->path('brd', $frame->d(array_map($move, $section->corners()), true));
            $d = '';
            foreach ($contours[$section->uid] ?? [] as $line) {
                $d .= $frame->d(array_map(fn (array $p): Point => $move($section->placement->toLayout(new Point($p[0], $p[1]))), $line));
            }
            $svg->path('ct', $d);
            foreach ($marks as $mark) {
                if ($mark['section'] === $section->uid) {
                    $at = $move($section->placement->toLayout(new Point($mark['x'], $mark['y'])));
                    $spots[round($at->x).'|'.round($at->y)] = [...($spots[round($at->x).'|'.round($at->y)] ?? [$frame->x($at->x), $frame->y($at->y)]), $mark['number']];
                }
            }
        }
        foreach ($project->runs as $run) {
            $svg->path('tr', $frame->d(array_map($move, $run->alignment->polyline(0.0, $run->alignment->length, 0.0, 2.0))));
        }
        foreach ($spots as $spot) {
            $words = implode(' ', array_slice($spot, 2));
            $wide = 9.0 + 6.6 * mb_strlen($words);
            $x = max($wide / 2.0 + 4.0, min(438.0 - $wide / 2.0, $spot[0]));
            $place = $labels->place($words, 6.6, 14.0, [[$x - $wide / 2.0 + 4.5, $spot[1] + 4.0], [$x - $wide / 2.0 + 4.5, $spot[1] + 22.0], [$x - $wide / 2.0 + 4.5, $spot[1] - 14.0], [$x + $wide * 0.6, $spot[1] + 4.0]]);
            if ($place !== null) {
                $svg->rect('where-mark', $place[0] - 4.5, $place[1] - 12.0, $wide, 16.0, ['rx' => 8])->text('m where-word', $place[0] + $wide / 2.0 - 4.5, $place[1], $words, 'middle');
            }
        }
        foreach ($project->sections as $section) {
            $left = $move($section->placement->toLayout(new Point(0.0, $section->depth)));
            $low = $move($section->placement->toLayout(new Point(0.0, 0.0)));
            $words = $section->name.(isset($minutes[$section->uid]) ? '  '.$minutes[$section->uid].' min' : '');
            $place = $labels->place($words, 6.0, 13.0, [[$frame->x($left->x) + 2.0, $frame->y($left->y) - 5.0], [$frame->x($low->x) + 2.0, $frame->y($low->y) + 13.0]]);
            if ($place !== null) {
                $svg->text('h', $place[0], $place[1], $words);
            }
        }

        return $svg;
    }
}
