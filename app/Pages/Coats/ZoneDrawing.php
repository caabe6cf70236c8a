<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Section;

/** Where a zone lies on its board, small. */
final class ZoneDrawing
{
    /** @param  list<list<array{float, float}>>  $rings section coordinates */
    public static function of(Section $section, array $rings, bool $picked): Svg
    {
        $frame = new PlanFrame($section->width, $section->depth, 48.0, 26.0, 1.0, 1.0);
        $svg = new Svg(50.0, 28.0, '', ['class' => 'zone-thumb', 'width' => 50, 'height' => 28, 'aria-hidden' => 'true']);
        $svg->rect('brd', $frame->left, $frame->top, $frame->width, $frame->height);

        return $svg->path($picked ? 'zf on' : 'zf', implode('', array_map(fn (array $ring): string => $frame->d($ring, true), $rings)), [
            'fill-rule' => 'evenodd',
        ]);
    }
}
