<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Pages\Drawing\Labels;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\Section;

/** One layer laid flat on its board: its pieces with their names, and where the next layer is glued on. */
final class LayerDrawing
{
    public static function of(Section $section, Layer $layer, ?Layer $next): Svg
    {
        $frame = new PlanFrame($section->width, $section->depth, 330.0, 190.0, 17.0, 8.0);
        $svg = new Svg(364.0, $frame->height + 18.0, "Layer {$layer->index} laid flat", ['id' => 'layer', 'class' => 'drawing layer-flat']);
        $svg->hatch('hatch-flat', 'hatch-body', 6.0, 45.0);
        $svg->rect('outline', $frame->left, $frame->top, $frame->width, $frame->height);
        $labels = new Labels($frame->left + $frame->width, $frame->top + $frame->height, $frame->left, $frame->top);
        foreach ($layer->pieces as $piece) {
            $d = implode('', array_map(fn (array $ring): string => $frame->d($ring, true), $piece->rings));
            $svg->path('foam even', $d, ['fill-rule' => 'evenodd'])->path('body-hatch', $d, [
                'fill' => 'url(#hatch-flat)',
                'fill-rule' => 'evenodd',
            ]);
        }
        foreach ($next->pieces ?? [] as $piece) {
            $svg->path('next', implode('', array_map(fn (array $ring): string => $frame->d($ring, true), $piece->rings)));
        }
        foreach ($layer->pieces as $piece) {
            [$x, $y] = self::middle($piece->rings[0]);
            $width = mb_strlen($piece->id) * 6.6;
            $place =
                $piece->area > 900.0 ? $labels->place($piece->id, 6.6, 11.0, [[$frame->x($x) - $width / 2.0, $frame->y($y) + 4.0]]) : null;
            if ($place !== null) {
                $svg->text('m halo', $place[0], $place[1], $piece->id);
            }
        }

        return $svg;
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @return array{float, float}
     */
    private static function middle(array $ring): array
    {
        return [array_sum(array_column($ring, 0)) / count($ring), array_sum(array_column($ring, 1)) / count($ring)];
    }
}
