<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Cuts\Template;

/** What lies hidden at the height of a layer, drawn on the templates of its pieces: a cross where it is, a line where it goes. */
final class HiddenMarks
{
    /** Arms of a cross, mm. */
    private const ARM_MM = 6.0;

    /** Drawn as far beyond the piece, mm. */
    private const BESIDE_MM = 15.0;

    /** @param  list<HiddenThing>  $things */
    public static function on(Template $template, Layer $layer, array $things): Template
    {
        $lines = $words = [];
        foreach ($things as $thing) {
            $meets = $thing->top >= $layer->bottom && $thing->bottom <= $layer->bottom + $layer->thickness;
            if (! $meets || ! self::isNear($template, $thing)) {
                continue;
            }
            if ($thing->kind->isLine()) {
                $lines[] = $thing->points;
            } else {
                [$x, $y] = $thing->points[0];
                $lines[] = [[$x - self::ARM_MM, $y], [$x + self::ARM_MM, $y]];
                $lines[] = [[$x, $y - self::ARM_MM], [$x, $y + self::ARM_MM]];
            }
            [$x, $y] = $thing->points[0];
            $words[] = [$x + self::ARM_MM, $y + self::ARM_MM, $thing->called()];
        }

        return $lines === []
            ? $template
            : new Template(
                $template->name,
                $template->title,
                $template->cut,
                $template->marked,
                [...$template->lines, ...$lines],
                $template->dowels,
                [...$template->words, ...$words],
            );
    }

    private static function isNear(Template $template, HiddenThing $thing): bool
    {
        $points = array_merge(...$template->cut);
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        foreach ($thing->places() as [$x, $y]) {
            $within = $x >= min($xs) - self::BESIDE_MM && $x <= max($xs) + self::BESIDE_MM;
            if ($within && $y >= min($ys) - self::BESIDE_MM && $y <= max($ys) + self::BESIDE_MM) {
                return true;
            }
        }

        return false;
    }
}
