<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Section;

/** The stack taken apart: each layer hangs over the one below it, seen from the front and above, its pieces hatched. */
final class StackDrawing
{
    private const WIDTH = 762.0;

    private const HEIGHT = 604.0;

    private const LEFT = 64.0;

    private const RIGHT = 600.0;

    /** How far back a board leans in the drawing, and how flat it lies. */
    private const LEAN = 0.32;

    private const FLAT = 0.34;

    public static function of(Section $section, FoamStack $stack, int $picked): Svg
    {
        $svg = new Svg(self::WIDTH, self::HEIGHT, "The foam stack of {$section->name}, taken apart", [
            'id' => 'stack',
            'role' => 'group',
            'class' => 'drawing stack',
        ]);
        $svg->hatch('hatch-foam', 'hatch-body', 6.0, 45.0);
        $scale = min((self::RIGHT - self::LEFT) / ($section->width + self::LEAN * $section->depth), 170.0 / ($section->depth * self::FLAT));
        $tall = $section->depth * self::FLAT * $scale;
        $count = max(1, count($stack->layers));
        $gap = min(64.0, (self::HEIGHT - 30.0 - $tall) / $count);
        $x = fn (float $px, float $py): float => self::LEFT + ($px + self::LEAN * $py) * $scale;
        $foot = self::HEIGHT - 14.0;
        $draw = function (array $rings, float $rise) use ($x, $scale, $foot): string {
            $d = '';
            foreach ($rings as $ring) {
                $d .= Svg::d(
                    array_map(fn (array $p): array => [$x($p[0], $p[1]), $foot - $rise - $p[1] * self::FLAT * $scale], $ring),
                    true,
                );
            }

            return $d;
        };
        $board = [[[0.0, 0.0], [$section->width, 0.0], [$section->width, $section->depth], [0.0, $section->depth]]];
        $svg->path('ply', $draw($board, 0.0))->text('note', self::LEFT - 8.0, $foot, 'board', 'end');
        foreach ($stack->layers as $k => $layer) {
            $rise = ($k + 1) * $gap - $gap * 0.45;
            $on = $layer->index === $picked;
            $svg->open(['class' => 'layer'.($on ? ' on' : ''), 'data-layer' => $layer->index]);
            $svg->path('outline', $draw($board, $rise));
            foreach ($layer->pieces as $piece) {
                $thick = 3.5;
                $svg->path('side', $draw([$piece->rings[0]], $rise - $thick));
                $svg->path('foam '.($k % 2 === 0 ? 'even' : 'odd'), $draw($piece->rings, $rise), ['fill-rule' => 'evenodd']);
            }
            $y = $foot - $rise;
            $svg->text('m', self::LEFT - 8.0, $y + 1.0, Format::cell($layer->bottom, 1), 'end');
            $right = self::RIGHT + 14.0;
            $lift = $y - $tall * 0.45;
            $svg->line('leader-line', $x($section->width, $section->depth * 0.5), $lift, $right - 4.0, $lift)
                ->text('h', $right, $lift + 4.0, 'Layer '.$layer->index)
                ->text('m tick', $right + 58.0, $lift + 4.0, Format::text($layer->area / 100.0, 'cm²'));
            $svg->close();
        }

        return $svg;
    }
}
