<?php

declare(strict_types=1);

namespace App\Pages\Rail;

use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;

/** A section small: its outline, a few contours, its runs. */
final class ThumbDrawing
{
    /**
     * @param  list<list<array{float, float}>>  $contours
     * @param  list<Run>  $runs in section coordinates
     * @param  float  $scale drawing units per mm
     */
    public static function of(Section $section, array $contours, array $runs, float $scale): Svg
    {
        [$width, $height] = [$section->width * $scale, $section->depth * $scale];
        $frame = new PlanFrame($section->width, $section->depth, $width, $height, 1.0, 1.0);
        $svg = new Svg($width + 2.0, $height + 2.0, $section->name, [
            'class' => 'thumb',
            'width' => Svg::n($width + 2.0),
            'height' => Svg::n($height + 2.0),
            'aria-hidden' => 'true',
        ]);
        $id = 'thumb-'.$section->uid;
        $svg->clip($id, 1.0, 1.0, $width, $height)
            ->rect('brd', 1.0, 1.0, $width, $height)
            ->open(['clip-path' => "url(#{$id})"]);
        $svg->path('ct', implode('', array_map(fn (array $line): string => $frame->d($line), $contours)));
        foreach ($runs as $run) {
            $svg->path('tr', $frame->d($run->alignment->polyline(0.0, $run->alignment->length, 0.0, 2.0)));
        }

        return $svg->close();
    }
}
