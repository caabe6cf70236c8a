<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Pages\Drawing\BoardsPlan;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Joints;
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

    /** So wide is the strip outside an edge that is touched. */
    private const TOUCH = 24.0;

    /**
     * @param  array<string, list<list<array{float, float}>>>  $contours section uid → lines in its coordinates
     * @param  array<string, string>  $rooms section uid → name of the room it stands in
     * @param  list<Finding>  $steps where land steps at a joint
     */
    public static function of(Project $project, array $contours, array $rooms, ?string $picked, array $steps): ?Svg
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
            $joined = $project->joined($section);
            foreach (array_filter(BoardEdge::cases(), fn (BoardEdge $edge): bool => ! isset($joined[$edge->value])) as $edge) {
                self::edge($svg, $plan, $section, $edge, $section->uid === $picked);
            }
        }
        self::steps($svg, $plan, $steps);

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

    /** An edge at which somebody can stand: marked where the layout is looked at from there, and touched to say so. */
    private static function edge(Svg $svg, BoardsPlan $plan, Section $section, BoardEdge $edge, bool $isReached): void
    {
        $along = function (float $px) use ($plan, $section, $edge): array {
            $off = $px / $plan->frame->scale;
            $ends = [0.0, $edge->length($section->width, $section->depth)];

            return array_merge(...array_map(
                fn (float $at): array => $plan->at($section, ...$edge->place($at, $section->width, $section->depth, $off)),
                $ends,
            ));
        };
        $edges = $plan->project->layout->viewing->edges;
        $isSeen = in_array($edge, $edges, true);
        if ($isSeen) {
            $svg->line('looked-at', ...$along(self::MARK));
        }
        $then = array_filter(
            BoardEdge::cases(),
            fn (BoardEdge $other): bool => $other === $edge ? ! $isSeen : in_array($other, $edges, true),
        );
        $svg->line('edge-touch', ...$along(self::TOUCH / 2.0 + 1.0), attributes: [
            'id' => "edge-{$section->uid}-{$edge->value}",
            'role' => 'button',
            'aria-label' => "Looked at from the {$edge->value}, as at {$section->name}",
            'aria-pressed' => $isSeen ? 'true' : 'false',
            'data-edges' => implode(' ', array_column($then, 'value')),
            'data-of' => $section->uid,
            // The edges of the board in hand stand for those of all: one stop each for the keys.
            'tabindex' => $isReached ? 0 : -1,
        ]);
    }

    /** @param  list<Finding>  $steps */
    private static function steps(Svg $svg, BoardsPlan $plan, array $steps): void
    {
        $marked = [];
        foreach ($steps as $finding) {
            [$x, $y] = $plan->at($plan->project->section($finding->section), $finding->place->xMm, $finding->place->yMm);
            // Both boards of a joint tell of it.
            $at = round($x / 4.0).' '.round($y / 4.0);
            if (! isset($marked[$at])) {
                $marked[$at] = true;
                $svg->circle('joint-step', $x, $y, 5.0);
                $svg->text('joint-step-figure halo', $x + 9.0, $y + 4.0, 'step '.Format::length($finding->figures['step']->value, 1));
            }
        }
    }
}
