<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use IdleRidge\Core\Cuts\Span;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;

/** Strips over a gap, one under the other and to one scale, bent by a hand; the bend is drawn larger than it is. */
final class SpanDrawing
{
    private const WIDTH = 780.0;

    private const AROUND = 90.0;

    /** A bend is drawn so many times as large, unless it would leave its place. */
    private const LARGER = 10.0;

    /** So much of its row a bend may take. */
    private const MAX_BEND = 34.0;

    private const PARTS = 24;

    /** @param  non-empty-list<Span>  $spans of one length */
    public static function of(array $spans): Svg
    {
        $scale = (self::WIDTH - 2.0 * self::AROUND) / $spans[0]->length;
        $most = max(array_map(fn (Span $s): float => $s->bendsByHand(), $spans));
        $larger = min(self::LARGER, self::MAX_BEND / max(1e-6, $most * $scale));
        // A thick strip over a short gap would fill the screen: what is across it is drawn to the same lesser scale for all.
        $across = min($scale, 40.0 / max(array_map(fn (Span $s): float => $s->thick, $spans)));
        $rise = min(60.0, $spans[0]->rise * $scale);
        $row = 40.0 + self::MAX_BEND + $rise + 26.0;
        $svg = new Svg(self::WIDTH, count($spans) * $row, 'Strips over a gap, bent by a hand', ['class' => 'drawing spans']);
        foreach ($spans as $k => $span) {
            self::strip($svg, $span, $k * $row + $rise + 24.0, [$scale, $across, $rise, $larger]);
        }

        return $svg;
    }

    /** @param  array{float, float, float, float}  $by scale along and across, the arch's rise on the drawing, how much larger a bend is */
    private static function strip(Svg $svg, Span $span, float $y, array $by): void
    {
        [$scale, $across, $rise, $larger] = $by;
        [$from, $to] = [self::AROUND, self::WIDTH - self::AROUND];
        $thick = max(2.0, $span->thick * $across);
        $bend = $span->bendsByHand() * $scale * $larger;
        $top = $bottom = [];
        for ($k = 0; $k <= self::PARTS; $k++) {
            $t = $k / self::PARTS;
            // The line of a beam that is pressed on its middle, or of an arch less that.
            $u = min($t, 1.0 - $t);
            $down = $bend * (3.0 * $u - 4.0 * $u ** 3) - $rise * 4.0 * $t * (1.0 - $t);
            $x = $from + ($to - $from) * $t;
            $top[] = [$x, $y + $down];
            $bottom[] = [$x, $y + $down + $thick];
        }
        $svg->rect('foot', $from - 46.0, $y + $thick, 46.0, 16.0)->rect('foot', $to, $y + $thick, 46.0, 16.0);
        $outline = [[$from - 30.0, $y], ...$top, [$to + 30.0, $y], [$to + 30.0, $y + $thick], ...array_reverse($bottom),
            [$from - 30.0, $y + $thick]];
        $svg->path('strip'.($span->holds() ? '' : ' bad'), Svg::d($outline, true));
        [$x, $crown] = $top[intdiv(self::PARTS, 2)];
        $svg->line('hand', $x, $crown - 16.0, $x, $crown - 3.0)->path('hand-tip', Svg::d([[$x - 4.0, $crown - 8.0], [$x, $crown - 1.0],
            [$x + 4.0, $crown - 8.0]], true));
        $svg->text('n', $x + 9.0, $crown - 6.0, Format::length($span->bendsByHand(), 1).' down');
        $svg->text('h', 15.0, $y - 8.0, $span->material->value);
    }
}
