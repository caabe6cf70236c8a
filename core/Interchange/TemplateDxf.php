<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Cuts\Template;

/** Templates as DXF R12, mm: what is cut, what is marked, dowels and names on layers of each piece. */
final class TemplateDxf
{
    /** @param  list<Template>  $templates */
    public static function write(array $templates): string
    {
        $drawing = new DxfDrawing;
        foreach ($templates as $template) {
            foreach ($template->cut as $ring) {
                $drawing->polyline('CUT '.$template->name, $ring, true);
            }
            foreach ($template->marked as $ring) {
                $drawing->polyline('MARK '.$template->name, $ring, true);
            }
            foreach ($template->lines as $line) {
                $drawing->polyline('LINE '.$template->name, $line, false);
            }
            foreach ($template->dowels as $p) {
                $drawing->point('DOWEL '.$template->name, ...$p);
            }
            foreach ($template->words as [$x, $y, $text]) {
                $drawing->text('NAME '.$template->name, $x, $y, $text);
            }
        }

        return (string) $drawing;
    }
}
