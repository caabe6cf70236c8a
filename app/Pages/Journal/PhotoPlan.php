<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Pages\Drawing\BoardPlan;
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
        $plan = new BoardPlan(
            $section,
            $project,
            $contours,
            "Where on {$section->name} it was taken",
            self::WIDTH,
            self::MARGIN_MM,
            ['class' => 'board-plan touched', 'data-place' => implode(' ', array_map(
                Svg::n(...),
                [$section->width, $section->depth, self::MARGIN_MM],
            ))],
        );
        if ($photo->place !== null) {
            [$x, $y] = $plan->at($photo->place['x'], $photo->place['y']);
            $turn = Svg::n(-$photo->place['heading']);
            $plan->svg->open(['class' => 'eye', 'transform' => 'translate('.Svg::n($x).' '.Svg::n($y).") rotate({$turn})"])
                ->path('cone', 'M0 0 46-17A49 49 0 0 1 46 17Z')
                ->path('dot', 'M-4 0A4 4 0 1 0 4 0A4 4 0 1 0-4 0Z')
                ->close();
        }

        return $plan->svg;
    }
}
