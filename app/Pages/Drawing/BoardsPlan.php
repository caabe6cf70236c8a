<?php

declare(strict_types=1);

namespace App\Pages\Drawing;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** How the boards of a layout lie to each other in one drawing: outlines, a few contours, the runs over them. */
final readonly class BoardsPlan
{
    private function __construct(public Project $project, public PlanFrame $frame, private float $x0, private float $y0)
    {
    }

    /** Null for a layout without sections. */
    public static function of(Project $project, float $room, float $roomHeight, float $left, float $top): ?self
    {
        if ($project->sections === []) {
            return null;
        }
        $corners = array_merge(...array_map(fn (Section $s): array => $s->corners(), $project->sections));
        $xs = array_map(fn (Point $p): float => $p->x, $corners);
        $ys = array_map(fn (Point $p): float => $p->y, $corners);

        return new self(
            $project,
            new PlanFrame(max($xs) - min($xs), max($ys) - min($ys), $room, $roomHeight, $left, $top),
            min($xs),
            min($ys),
        );
    }

    /** @param  array<string, list<list<array{float, float}>>>  $contours  section uid → lines in its coordinates */
    public function draw(Svg $svg, array $contours): void
    {
        foreach ($this->project->sections as $section) {
            $this->board($svg, $section, $contours[$section->uid] ?? []);
        }
        $this->runs($svg);
    }

    /** @param  list<list<array{float, float}>>  $contours in the board's coordinates */
    public function board(Svg $svg, Section $section, array $contours): void
    {
        $svg->path('brd', $this->frame->d(array_map($this->moved(...), $section->corners()), true));
        $d = '';
        foreach ($contours as $line) {
            $d .= $this->frame->d(array_map(fn (array $p): Point => $this->on($section, $p[0], $p[1]), $line));
        }
        $svg->path('ct', $d);
    }

    public function runs(Svg $svg): void
    {
        foreach ($this->project->runs as $run) {
            $line = $run->alignment->polyline(0.0, $run->alignment->length, 0.0, 2.0);
            $svg->path('tr', $this->frame->d(array_map($this->moved(...), $line)));
        }
    }

    /**
     * A place on a section, in drawing units.
     *
     * @return array{float, float}
     */
    public function at(Section $section, float $x, float $y): array
    {
        $p = $this->on($section, $x, $y);

        return [$this->frame->x($p->x), $this->frame->y($p->y)];
    }

    private function on(Section $section, float $x, float $y): Point
    {
        return $this->moved($section->placement->toLayout(new Point($x, $y)));
    }

    private function moved(Point $p): Point
    {
        return new Point($p->x - $this->x0, $p->y - $this->y0);
    }
}
