<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** A board small, with the place where a picture was taken and which way one looked. Touching it sets the place. */
final class PhotoPlan
{
    private const WIDTH = 288.0;

    /** One may stand so far before a board, mm. */
    private const MARGIN_MM = 250.0;

    /** @param  list<list<array{float, float}>>  $contours */
    public static function of(Section $section, Project $project, array $contours, Photo $photo): Svg
    {
        $scale = self::WIDTH / ($section->width + 2.0 * self::MARGIN_MM);
        $height = ($section->depth + 2.0 * self::MARGIN_MM) * $scale;
        $margin = self::MARGIN_MM * $scale;
        [$wide, $deep] = [$section->width * $scale, $section->depth * $scale];
        $frame = new PlanFrame($section->width, $section->depth, $wide, $deep, $margin, $margin);
        $svg = new Svg(self::WIDTH, $height, "Where on {$section->name} it was taken", [
            'class' => 'photo-plan',
            'data-place' => Svg::n($section->width).' '.Svg::n($section->depth).' '.Svg::n(self::MARGIN_MM),
        ]);
        $svg->clip("pp-{$section->uid}", $margin, $margin, $wide, $deep)
            ->rect('brd', $margin, $margin, $wide, $deep)
            ->open(['clip-path' => "url(#pp-{$section->uid})"]);
        $svg->path('ct', implode('', array_map(fn (array $line): string => $frame->d($line), $contours)));
        foreach ($project->runsNear($section) as $run) {
            $svg->path('tr', $frame->d($run->alignment->polyline(0.0, $run->alignment->length, 0.0, 2.0)));
        }
        $svg->close();
        if ($photo->place !== null) {
            $x = $margin + $photo->place['x'] * $scale;
            $y = $margin + ($section->depth - $photo->place['y']) * $scale;
            $turn = Svg::n(-$photo->place['heading']);
            $svg->open(['class' => 'eye', 'transform' => 'translate('.Svg::n($x).' '.Svg::n($y).") rotate({$turn})"])
                ->path('cone', 'M0 0 46-17A49 49 0 0 1 46 17Z')
                ->path('dot', 'M-4 0A4 4 0 1 0 4 0A4 4 0 1 0-4 0Z')
                ->close();
        }

        return $svg;
    }
}
