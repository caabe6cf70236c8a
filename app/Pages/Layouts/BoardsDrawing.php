<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Pages\Drawing\BoardsPlan;
use App\Pages\Drawing\Labels;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Project;

/** All boards of a layout as they lie to each other, with the runs over them. */
final class BoardsDrawing
{
    /** @param  array<string, list<list<array{float, float}>>>  $contours section uid → lines in its coordinates */
    public static function of(Project $project, array $contours, float $room, float $roomHeight): ?Svg
    {
        $plan = BoardsPlan::of($project, $room - 20.0, $roomHeight - 20.0, 10.0, 10.0);
        if ($plan === null) {
            return null;
        }
        $svg = new Svg($room, $plan->frame->height + 20.0, "The boards of {$project->layout->name}", ['class' => 'drawing boards']);
        $labels = new Labels($room, $plan->frame->height + 20.0);
        $plan->draw($svg, $contours);
        foreach ($project->sections as $section) {
            // The name stands in the far left corner, as it would be pencilled on the board.
            [$x, $y] = $plan->at($section, 0.0, $section->depth);
            $width = mb_strlen($section->name) * 6.4;
            $place = $labels->place($section->name, 6.4, 14.0, [[$x + 8.0, $y + 18.0]]);
            if ($place !== null && $width < $section->width * $plan->frame->scale) {
                $svg->text('h halo', $place[0], $place[1], $section->name);
            }
        }

        return $svg;
    }
}
