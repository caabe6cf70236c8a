<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Pages\Drawing\BoardsPlan;
use App\Pages\Drawing\Labels;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Project;

/** The boards as they lie, with the numbers of the moves where they are done, and the minutes on each board. */
final class WhereDrawing
{
    /** Width of a letter of the names. */
    private const LETTER = 5.5;

    /**
     * @param  array<string, list<list<array{float, float}>>>  $contours
     * @param  list<array{section: string, x: float, y: float, number: int, rings: list<list<array{float, float}>>}>  $marks where each
     *     move is done and where its number stands, section coordinates
     * @param  array<string, int>  $minutes section uid → minutes
     */
    public static function of(Project $project, array $contours, array $marks, array $minutes): ?Svg
    {
        $plan = BoardsPlan::of($project, 434.0, 76.0, 4.0, 18.0);
        if ($plan === null) {
            return null;
        }
        $svg = new Svg(442.0, $plan->frame->height + 38.0, 'Where the moves are', ['class' => 'drawing boards where']);
        $labels = new Labels(440.0, $plan->frame->height + 38.0, 2.0, 0.0);
        $plan->draw($svg, $contours);
        // Names first: a number finds another place more easily.
        foreach ($project->sections as $section) {
            [$x, $top] = $plan->at($section, 0.0, $section->depth);
            [, $foot] = $plan->at($section, 0.0, 0.0);
            $words = $section->name.(isset($minutes[$section->uid]) ? '  '.$minutes[$section->uid].' min' : '');
            // A name longer than what is left of the drawing begins sooner.
            $x = min($x + 2.0, 438.0 - self::LETTER * mb_strlen($words));
            $place = $labels->place($words, self::LETTER, 13.0, [[$x, $top - 5.0], [$x, $foot + 13.0], [$x - 30.0, $foot + 13.0]]);
            if ($place !== null) {
                $svg->text('h', $place[0], $place[1], $words);
            }
        }

        $spots = [];
        foreach ($marks as $mark) {
            $section = $project->section($mark['section']);
            $patch = array_map(
                fn (array $ring): string => Svg::d(array_map(fn (array $p): array => $plan->at($section, ...$p), $ring), true),
                $mark['rings'],
            );
            $svg->path('where-patch', implode('', $patch), ['fill-rule' => 'evenodd']);
            [$x, $y] = $plan->at($section, $mark['x'], $mark['y']);
            $key = round($x).'|'.round($y);
            $spots[$key] = [...$spots[$key] ?? [$x, $y], $mark['number']];
        }
        foreach ($spots as $spot) {
            $words = implode(' ', array_slice($spot, 2));
            $wide = 9.0 + 6.6 * mb_strlen($words);
            $x = max($wide / 2.0 + 4.0, min(438.0 - $wide / 2.0, $spot[0]));
            $place = $labels->place($words, 6.6, 14.0, [
                [$x - $wide / 2.0 + 4.5, $spot[1] + 4.0],
                [$x - $wide / 2.0 + 4.5, $spot[1] + 22.0],
                [$x - $wide / 2.0 + 4.5, $spot[1] - 14.0],
                [$x + $wide * 0.6, $spot[1] + 4.0],
            ]);
            if ($place !== null) {
                $svg->rect('where-mark', $place[0] - 4.5, $place[1] - 12.0, $wide, 16.0, ['rx' => 8])->text(
                    'm where-word',
                    $place[0] + $wide / 2.0 - 4.5,
                    $place[1],
                    $words,
                    'middle',
                );
            }
        }

        return $svg;
    }
}
