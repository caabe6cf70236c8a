<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\Frame;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Project\Section;

/** A board's frame from below with its centre of gravity, and beside it the timbers with what is sawn from each. */
final class FrameDrawing
{
    private const WIDTH = 734.0;

    private const PLAN = 340.0;

    private const BARS = 400.0;

    private const PITCH = 30.0;

    public static function of(Section $section, Frame $frame, BoardBuild $build, BoardWeight $weight): Svg
    {
        $scale = min(self::PLAN / $section->width, 190.0 / $section->depth);
        $height = max($section->depth * $scale + 36.0, count($frame->bars) * self::PITCH + 30.0);
        $svg = new Svg(self::WIDTH, $height, "The frame of {$section->name}", ['class' => 'drawing frame-plan']);
        $at = fn (float $x, float $y): array => [14.0 + $x * $scale, 14.0 + ($section->depth - $y) * $scale];
        $rect = function (string $class, float $x1, float $y1, float $x2, float $y2) use ($svg, $at): void {
            $svg->path($class, Svg::d([$at($x1, $y1), $at($x2, $y1), $at($x2, $y2), $at($x1, $y2)], true));
        };
        $rect('outline', 0.0, 0.0, $section->width, $section->depth);
        [$along, $across] = $section->width >= $section->depth ? [$section->width, $section->depth] : [$section->depth, $section->width];
        $put = fn (float $s1, float $t1, float $s2, float $t2) => $section->width >= $section->depth
            ? $rect('timber', $s1, $t1, $s2, $t2)
            : $rect('timber', $t1, $s1, $t2, $s2);
        $t = $build->timber;
        $put(0.0, 0.0, $along, $t);
        $put(0.0, $across - $t, $along, $across);
        $cross = array_values(array_filter($frame->parts, fn (array $p): bool => $p['name'] === 'cross piece'))[0]['count'] ?? 0;
        for ($k = 0; $k < $cross; $k++) {
            $s = (($along - $t) * $k) / max(1, $cross - 1);
            $put($s, $t, $s + $t, $across - $t);
        }
        [$x, $y] = $at($weight->centre[0], $weight->centre[1]);
        $svg->circle('gravity', $x, $y, 7.0)
            ->line('gravity', $x - 11.0, $y, $x + 11.0, $y)
            ->line('gravity', $x, $y - 11.0, $x, $y + 11.0);
        $words =
            'balances '.
            Format::length($weight->centre[0]).
            ' from the left, '.
            Format::length($weight->centre[1]).
            ' from the front';
        $svg->text('n', 14.0, 14.0 + $section->depth * $scale + 16.0, $words);
        self::bars($svg, $frame, $build);

        return $svg;
    }

    private static function bars(Svg $svg, Frame $frame, BoardBuild $build): void
    {
        $scale = (self::WIDTH - self::BARS - 14.0) / $build->stock;
        foreach ($frame->bars as $k => $bar) {
            $y = 16.0 + $k * self::PITCH;
            $svg->rect('outline', self::BARS, $y, $build->stock * $scale, 12.0);
            $x = 0.0;
            foreach ($bar as $piece) {
                $svg->rect('timber', self::BARS + $x * $scale, $y, $piece['length'] * $scale, 12.0);
                $words = Format::cell($piece['length']);
                if (mb_strlen($words) * 6.6 + 4.0 < $piece['length'] * $scale) {
                    $svg->text('m', self::BARS + ($x + $piece['length'] / 2.0) * $scale, $y + 10.0, $words, 'middle');
                }
                $x += $piece['length'];
            }
        }
        $svg->text(
            'n',
            self::BARS,
            16.0 + count($frame->bars) * self::PITCH + 4.0,
            count($frame->bars).
                (count($frame->bars) === 1 ? ' timber of ' : ' timbers of ').
                Format::length($build->stock).
                ', '.
                Format::cell($build->timber).
                ' × '.
                Format::cell($build->timberHigh),
        );
    }
}
