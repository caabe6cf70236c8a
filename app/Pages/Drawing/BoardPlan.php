<?php

declare(strict_types=1);

namespace App\Pages\Drawing;

use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** A board small, with its contours and runs and room around it: for places that are marked on it. */
final readonly class BoardPlan
{
    public Svg $svg;

    private float $scale;

    /**
     * @param  list<list<array{float, float}>>  $contours
     * @param  float  $width units of the drawing
     * @param  float  $margin mm around the board
     * @param  array<string, string>  $attributes
     */
    public function __construct(
        private Section $section,
        Project $project,
        array $contours,
        string $title,
        float $width,
        private float $margin,
        array $attributes = [],
    ) {
        $this->scale = $width / ($section->width + 2.0 * $margin);
        [$wide, $deep, $edge] = [$section->width * $this->scale, $section->depth * $this->scale, $margin * $this->scale];
        $frame = new PlanFrame($section->width, $section->depth, $wide, $deep, $edge, $edge);
        $id = "plan-{$section->uid}";
        $this->svg = new Svg($width, $deep + 2.0 * $edge, $title, $attributes + ['class' => 'board-plan']);
        $this->svg->clip($id, $edge, $edge, $wide, $deep)
            ->rect('brd', $edge, $edge, $wide, $deep)
            ->open(['clip-path' => "url(#{$id})"]);
        $this->svg->path('ct', implode('', array_map(fn (array $line): string => $frame->d($line), $contours)));
        foreach ($project->runsNear($section) as $run) {
            $this->svg->path('tr', $frame->d($run->alignment->polyline(0.0, $run->alignment->length, 0.0, 2.0)));
        }
        $this->svg->close();
    }

    /** @return array{float, float} where a place of the section (mm) lies on the drawing */
    public function at(float $x, float $y): array
    {
        return [($this->margin + $x) * $this->scale, ($this->margin + $this->section->depth - $y) * $this->scale];
    }
}
