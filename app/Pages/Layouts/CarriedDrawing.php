<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Pages\Rail\ThumbDrawing;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** A board as it stands in a room: to be taken hold of and carried into another. All boards of a layout to one scale. */
final class CarriedDrawing
{
    /** The longest board of a layout is drawn so wide. */
    private const LONGEST = 112.0;

    /** @param  list<list<array{float, float}>>  $contours in the board's coordinates */
    public static function of(Section $section, Project $project, Room $room, array $contours): Svg
    {
        $longest = max(array_map(fn (Section $s): float => max($s->width, $s->depth), $project->sections));
        $thumb = ThumbDrawing::of($section, $contours, $project->runsNear($section), self::LONGEST / $longest);
        $svg = new Svg($thumb->width, $thumb->height, $section->name, [
            'class' => 'drawing carried',
            'role' => 'group',
            'width' => Svg::n($thumb->width),
            'height' => Svg::n($thumb->height),
        ]);
        $uids = array_column($project->works->rooms, 'uid');
        $at = (int) array_search($room->uid, $uids, true);
        $size = Format::length($section->width).' × '.Format::length($section->depth);
        $svg->open([
            'class' => 'board-hold',
            'id' => "carry-{$section->uid}",
            'data-carry' => $section->uid,
            'data-left' => $uids[$at - 1] ?? '',
            'data-right' => $uids[$at + 1] ?? '',
            'tabindex' => 0,
            'role' => 'button',
            'aria-label' => "{$section->name}, {$size}, stands in {$room->name}; left and right carry it into another room",
        ]);
        $svg->raw($thumb->toHtml());
        $svg->close();

        return $svg;
    }
}
