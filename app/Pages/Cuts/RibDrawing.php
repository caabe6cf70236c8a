<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use IdleRidge\Core\Cuts\Rib;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;

/** One rib laid flat, front to the left. */
final class RibDrawing
{
    public static function of(Rib $rib, float $depth): Svg
    {
        $scale = 330.0 / max(1.0, $depth);
        $tall = max(40.0, $rib->highest * $scale);
        $svg = new Svg(364.0, $tall + 38.0, "{$rib->name} laid flat", ['id' => 'layer', 'class' => 'drawing layer-flat']);
        $svg->hatch('hatch-flat', 'hatch-body', 6.0, 45.0);
        $foot = $tall + 14.0;
        $d = implode(
            '',
            array_map(
                fn (array $ring): string => Svg::d(
                    array_map(fn (array $p): array => [17.0 + $p[0] * $scale, $foot - $p[1] * $scale], $ring),
                    true,
                ),
                $rib->rings,
            ),
        );
        if ($d !== '') {
            $svg->path('foam even', $d, ['fill-rule' => 'evenodd'])->path('body-hatch', $d, [
                'fill' => 'url(#hatch-flat)',
                'fill-rule' => 'evenodd',
            ]);
        }
        $svg->line('boardtop', 17.0, $foot, 347.0, $foot)
            ->text('n', 17.0, $foot + 16.0, 'front')
            ->text('n', 347.0, $foot + 16.0, 'back', 'end')
            ->text(
                'm',
                182.0,
                $foot + 16.0,
                Format::cell($depth).' long, up to '.Format::cell($rib->highest, 1),
                'middle',
            );

        return $svg;
    }
}
