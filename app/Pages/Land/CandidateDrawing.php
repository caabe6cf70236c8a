<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Computed\Land\LandResult;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Project;

/** One of several lands side by side: heights in tints, relief, contours, runs, and the thing that is varied. */
final class CandidateDrawing
{
    private const WIDTH = 282.0;

    public static function of(Project $project, string $section, LandResult $sheet, string $varied): Svg
    {
        $board = $project->section($section);
        $frame = new PlanFrame($board->width, $board->depth, self::WIDTH, 220.0, 1.0, 1.0);
        $svg = new Svg(self::WIDTH + 2.0, $frame->height + 2.0, "{$board->name} as it would be", ['class' => 'drawing candidate-plan']);
        $id = 'candidate-'.$sheet->hash;
        $svg->clip($id, $frame->left, $frame->top, $frame->width, $frame->height)
            ->open(['clip-path' => "url(#{$id})"])
            ->rect('hyp hyp-1', $frame->left, $frame->top, $frame->width, $frame->height);
        $low = $sheet->figures['z_min']->value;
        $range = max(20.0, $sheet->figures['z_max']->value - $low);
        foreach ($sheet->bands as $band) {
            $tint = max(1, min(10, 1 + (int) round((9.0 * ($band['level'] - $low)) / $range)));
            $svg->path("hyp hyp-{$tint}", implode('', array_map(fn (array $ring): string => $frame->d($ring, true), $band['rings'])));
        }
        $svg->image(
            route('land.relief', [$project->layout->uid, $section, $sheet->hash], false),
            $frame->left,
            $frame->top,
            $frame->width,
            $frame->height,
            ['class' => 'relief'],
        );
        $svg->path(
            'ct',
            implode(
                '',
                array_map(
                    fn (array $c): string => implode(
                        '',
                        array_map(fn (array $line): string => $frame->d($line['points'], $line['closed']), $c['lines']),
                    ),
                    $sheet->contours,
                ),
            ),
        );
        foreach ($project->runsNear($board) as $run) {
            $svg->path(
                'tr'.($run->uid === $varied ? ' on' : ''),
                $frame->d($run->alignment->polyline(0.0, $run->alignment->length, 0.0, 1.0)),
            );
        }
        foreach ($project->features as $feature) {
            if ($feature->uid === $varied) {
                $points = array_map(
                    fn (array $p): array => [($at = $board->placement->toSection(new Point($p[0], $p[1])))->x, $at->y],
                    $feature->plan(),
                );
                $svg->path('varied', $frame->d($points, $feature->kind->isArea()));
                foreach ($points as [$x, $y]) {
                    $svg->circle('varied-point', $frame->x($x), $frame->y($y), 3.0);
                }
            }
        }

        return $svg->close()->rect('board', $frame->left, $frame->top, $frame->width, $frame->height);
    }
}
