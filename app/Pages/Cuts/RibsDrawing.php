<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Pages\Drawing\Labels;
use IdleRidge\Core\Cuts\Rib;
use IdleRidge\Core\Cuts\Shell;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Section;

/** The ribs of a shell as they stand on the board, seen from the front and above, those further right behind those further left. */
final class RibsDrawing
{
    private const WIDTH = 762.0;

    private const HEIGHT = 440.0;

    private const LEAN = 0.42;

    private const FLAT = 0.5;

    /** @param  int  $picked from 1; 0 for none */
    public static function of(Section $section, Shell $shell, int $picked): Svg
    {
        $svg = new Svg(self::WIDTH, self::HEIGHT, "The ribs of {$section->name}", [
            'id' => 'stack',
            'role' => 'group',
            'class' => 'drawing stack ribs',
        ]);
        $svg->hatch('hatch-foam', 'hatch-body', 6.0, 45.0);
        $highest = max([30.0, ...array_map(fn (Rib $r): float => $r->highest, $shell->ribs)]);
        $scale = min(
            (self::WIDTH - 80.0) / ($section->width + self::LEAN * $section->depth),
            (self::HEIGHT - 70.0) / ($section->depth * self::FLAT + $highest),
        );
        $foot = self::HEIGHT - 34.0;
        $at = fn (float $x, float $y, float $z): array => [34.0 + ($x + self::LEAN * $y) * $scale, $foot - ($y * self::FLAT + $z) * $scale];
        $svg->path(
            'ply',
            Svg::d(
                [
                    $at(0.0, 0.0, 0.0),
                    $at($section->width, 0.0, 0.0),
                    $at($section->width, $section->depth, 0.0),
                    $at(0.0, $section->depth, 0.0),
                ],
                true,
            ),
        );
        $labels = new Labels(self::WIDTH, self::HEIGHT);
        foreach (array_reverse($shell->ribs, true) as $k => $rib) {
            $d = implode(
                '',
                array_map(
                    fn (array $ring): string => Svg::d(array_map(fn (array $p): array => $at($rib->x, $p[0], $p[1]), $ring), true),
                    $rib->rings,
                ),
            );
            $svg->open(['class' => 'layer'.($k + 1 === $picked ? ' on' : ''), 'data-layer' => $k + 1]);
            if ($d !== '') {
                $svg->path('foam even', $d, ['fill-rule' => 'evenodd']);
            }
            $svg->close();
        }
        foreach ($shell->ribs as $rib) {
            [$x, $y] = $at($rib->x, 0.0, 0.0);
            $width = mb_strlen($rib->name) * 6.6;
            $place = $labels->place($rib->name, 6.6, 11.0, [[$x - $width / 2.0, $y + 16.0]]);
            if ($place !== null) {
                $svg->text('m', $place[0], $place[1], $rib->name);
            }
        }
        $svg->text(
            'note',
            34.0,
            self::HEIGHT - 6.0,
            count($shell->ribs).' ribs, '.Format::length($shell->ribs[1]->x - $shell->ribs[0]->x).' apart',
        );

        return $svg;
    }
}
