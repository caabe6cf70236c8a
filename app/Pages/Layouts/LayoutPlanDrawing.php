<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Pages\Drawing\BoardsPlan;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** All boards of a layout as they lie, each to be taken hold of; the runs go on over their joints. */
final class LayoutPlanDrawing
{
    private const WIDTH = 780.0;

    private const HEIGHT = 330.0;

    /** Room in which boards are moved about. */
    private const AROUND = 32.0;

    /** How far outside its board an edge that is looked at is marked. */
    private const MARK = 5.0;

    /**
     * @param  array<string, list<list<array{float, float}>>>  $contours section uid → lines in its coordinates
     * @param  array<string, string>  $rooms section uid → name of the room it stands in
     */
    public static function of(Project $project, array $contours, array $rooms, ?string $picked): ?Svg
    {
        $room = [self::WIDTH - 2.0 * self::AROUND, self::HEIGHT - 2.0 * self::AROUND];
        $plan = BoardsPlan::of($project, ...[...$room, self::AROUND, self::AROUND]);
        if ($plan === null) {
            return null;
        }
        $svg = new Svg(self::WIDTH, $plan->frame->height + 2.0 * self::AROUND, "The boards of {$project->layout->name}", [
            'class' => 'drawing boards board-plan',
            'id' => 'board-plan',
            'role' => 'group',
            'data-scale' => sprintf('%.6F', $plan->frame->scale),
        ]);
        // The one in hand lies over the others.
        $boards = $project->sections;
        usort($boards, fn (Section $a, Section $b): int => ($a->uid === $picked) <=> ($b->uid === $picked));
        foreach ($boards as $section) {
            self::board($svg, $plan, $section, $contours[$section->uid] ?? [], $rooms[$section->uid] ?? '', $section->uid === $picked);
        }
        $plan->runs($svg);
        foreach ($project->sections as $section) {
            foreach ($project->layout->viewingEdges as $edge) {
                self::lookedAt($svg, $plan, $section, $edge);
            }
        }

        return $svg;
    }

    /** @param  list<list<array{float, float}>>  $contours */
    private static function board(Svg $svg, BoardsPlan $plan, Section $section, array $contours, string $room, bool $isPicked): void
    {
        $size = Format::length($section->width).' × '.Format::length($section->depth);
        $svg->open([
            'class' => 'board-hold'.($isPicked ? ' on' : ''),
            'data-board' => $section->uid,
            'tabindex' => 0,
            'role' => 'button',
            'aria-label' => "{$section->name}, {$size}".($room === '' ? '' : ", stands in {$room}"),
        ]);
        $plan->board($svg, $section, $contours);
        if ($section->placement->isAxisParallel() && mb_strlen($section->name) * 6.4 < $section->width * $plan->frame->scale - 12.0) {
            [$x, $y] = $plan->at($section, 0.0, $section->depth);
            $svg->text('h halo', $x + 8.0, $y + 18.0, $section->name);
        }
        $svg->close();
    }

    private static function lookedAt(Svg $svg, BoardsPlan $plan, Section $section, BoardEdge $edge): void
    {
        $off = self::MARK / $plan->frame->scale;
        $ends = array_map(
            fn (float $along): array => $plan->at($section, ...$edge->place($along, $section->width, $section->depth, $off)),
            [0.0, $edge->length($section->width, $section->depth)],
        );
        $svg->line('looked-at', ...$ends[0], ...$ends[1]);
    }
}
