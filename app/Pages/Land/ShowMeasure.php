<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\TapeMeasure;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\Project;

/** What stands under the pointer, and what a tape laid on the plan measures, in words. */
final readonly class ShowMeasure
{
    /** No layout reaches further from one of its boards, mm. */
    private const MAX_DISTANCE_MM = 100_000.0;

    private const MAX_POINTS = 50;

    public function __construct(private ProjectLoader $load, private ComputedLand $desk)
    {
    }

    /** "x 412, y 230 · 96.4 mm high · 18° · st 511" */
    public function at(Layout $layout, SectionRow $row, float $x, float $y): string
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        if ($x < 0.0 || $y < 0.0 || $x > $section->width || $y > $section->depth) {
            return '';
        }
        $model = $this->desk->model($project, $section);
        $units = $project->layout->units;
        $words = sprintf(
            'x %s, y %s · %s high · %d°',
            Format::field($x),
            Format::field($y),
            Format::length($model->heightAt($x, $y), 1),
            round($this->slope($model, $x, $y, $section->width, $section->depth)),
        );
        $nearest = null;
        foreach ($model->grading->runs as $run) {
            $place = $run->alignment->nearest(new Point($x, $y));
            if ($nearest === null || abs($place['offset']) < abs($nearest['offset'])) {
                $nearest = $place;
            }
        }

        return $nearest === null
            ? $words
            : $words.sprintf(' · st %s, %s off', Format::cell($nearest['station']), Format::length(abs($nearest['offset'])));
    }

    /**
     * @param  list<array{float, float}>  $points section coordinates
     *
     * @throws InvalidValue for less than two
     */
    public function tape(Layout $layout, SectionRow $row, array $points): string
    {
        if (count($points) < 2 || count($points) > self::MAX_POINTS) {
            throw new InvalidValue('A tape runs between two places or more.', 'points');
        }
        foreach ($points as $place) {
            if (! (max(abs($place[0]), abs($place[1])) <= self::MAX_DISTANCE_MM)) {
                throw new InvalidValue('A place of the tape lies nowhere near the layout.', 'points');
            }
        }
        $project = $this->load->of($layout);
        $tape = TapeMeasure::along(
            $this->desk->model($project, $project->section($row->uid)),
            array_map(fn (array $p): Point => new Point($p[0], $p[1]), $points),
        );
        $units = $project->layout->units;

        return sprintf(
            '%s in plan, %s real · %s along the ground · rises %s',
            Format::length($tape->plan, 1),
            $this->real($project, $tape->plan),
            Format::length($tape->ground, 1),
            Format::length($tape->rise, 1),
        );
    }

    private function real(Project $project, float $mm): string
    {
        $there = $project->layout->scale->toPrototype($mm);

        return Format::text($there / 1000.0, 'm', 1);
    }

    private function slope(LandModel $model, float $x, float $y, float $width, float $depth): float
    {
        $step = ComputedLand::CELL_MM;
        [$x1, $x2, $y1, $y2] = [max(0.0, $x - $step), min($width, $x + $step), max(0.0, $y - $step), min($depth, $y + $step)];
        $gx = ($model->heightAt($x2, $y) - $model->heightAt($x1, $y)) / max(1e-6, $x2 - $x1);
        $gy = ($model->heightAt($x, $y2) - $model->heightAt($x, $y1)) / max(1e-6, $y2 - $y1);

        return rad2deg(atan(hypot($gx, $gy)));
    }
}
