<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Pages\Drawing\Labels;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestResult;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;

/** Sheets with the pieces that are cut from each, and what is left over. */
final class SheetDrawing
{
    private const GAP = 16.0;

    private const TITLE = 24.0;

    /**
     * All used sheets at one scale, side by side and below each other.
     *
     * @param  array<array-key, NestProblem>  $problems by thickness
     * @param  array<array-key, NestResult>  $nested
     * @param  string  $picked a layer's number: its pieces are marked
     */
    public static function of(array $problems, array $nested, float $width, string $picked): Svg
    {
        $sheets = self::sheets($nested);
        $widest = max([1.0, ...array_map(fn (array $s): float => $s[1]['width'], $sheets)]);
        $across = count($sheets) > 2 ? 2 : 1;
        $scale = min(($width - self::GAP * ($across - 1)) / $across / $widest, 0.62);
        $tall = max([1.0, ...array_map(fn (array $s): float => $s[1]['height'], $sheets)]) * $scale + self::TITLE + self::GAP;
        $svg = new Svg($width, $tall * ceil(count($sheets) / $across) + 4.0, 'Pieces on sheets', ['class' => 'drawing sheets']);
        foreach ($sheets as $k => [$thickness, $sheet]) {
            [$left, $top] = [($k % $across) * ($widest * $scale + self::GAP), intdiv($k, $across) * $tall + self::TITLE];
            $svg->text(
                'h',
                $left + 2.0,
                $top - 6.0,
                'Sheet '.($k + 1).(count($problems) > 1 ? ', '.Format::length((float) $thickness, 1) : ''),
            )->rect('sheet-edge', $left + 0.5, $top, $sheet['width'] * $scale - 1.0, $sheet['height'] * $scale);
            $at = fn (array $p): array => [$left + $p[0] * $scale, $top + ($sheet['height'] - $p[1]) * $scale];
            $labels = new Labels($left + $sheet['width'] * $scale, $top + $sheet['height'] * $scale, $left, $top);
            foreach (self::on($nested[$thickness], $sheet) as $placement) {
                $rings = self::laid($problems[$thickness], $placement);
                $svg->path(
                    'foam even'.(explode('.', $placement['piece'])[0] === $picked ? ' on' : ''),
                    implode('', array_map(fn (array $ring): string => Svg::d(array_map($at, $ring), true), $rings)),
                    ['fill-rule' => 'evenodd'],
                );
                [$x, $y] = $at(self::inside($rings[0]));
                $word = mb_strlen($placement['piece']) * 6.6;
                $place = $labels->place($placement['piece'], 6.6, 11.0, [
                    [$x - $word / 2.0, $y + 4.0],
                    [$x - $word / 2.0, $y + 14.0],
                    [$x + 4.0, $y + 4.0],
                ]);
                if ($place !== null) {
                    $svg->text('m halo', $place[0], $place[1], $placement['piece']);
                }
            }
        }

        return $svg;
    }

    /**
     * A file of its own at 1:1, sheets below each other, mm.
     *
     * @param  array<array-key, NestProblem>  $problems by thickness
     * @param  array<array-key, NestResult>  $nested
     */
    public static function file(array $problems, array $nested): string
    {
        $marks = '';
        $y = 20.0;
        $wide = 1.0;
        foreach (self::sheets($nested) as $k => [$thickness, $sheet]) {
            $marks .= sprintf(
                "  <text x=\"10\" y=\"%s\" font-family=\"sans-serif\" font-size=\"8\">Sheet %d</text>\n  <rect x=\"10\" "
                    ."y=\"%s\" width=\"%s\" height=\"%s\" fill=\"none\" stroke=\"gray\" stroke-width=\"0.5\"/>\n",
                Svg::n($y - 3.0),
                $k + 1,
                Svg::n($y),
                Svg::n($sheet['width']),
                Svg::n($sheet['height']),
            );
            foreach (self::on($nested[$thickness], $sheet) as $placement) {
                $at = fn (array $p): array => [10.0 + $p[0], $y + $sheet['height'] - $p[1]];
                $rings = self::laid($problems[$thickness], $placement);
                [$tx, $ty] = $at(self::inside($rings[0]));
                $marks .= sprintf(
                    "  <path d=\"%s\" fill=\"none\" stroke=\"black\" stroke-width=\"0.3\"/>\n  <text x=\"%s\" "
                        ."y=\"%s\" font-family=\"sans-serif\" font-size=\"8\" text-anchor=\"middle\">%s</text>\n",
                    implode('', array_map(fn (array $ring): string => Svg::d(array_map($at, $ring), true), $rings)),
                    Svg::n($tx),
                    Svg::n($ty),
                    htmlspecialchars($placement['piece'], ENT_XML1 | ENT_QUOTES),
                );
            }
            $y += $sheet['height'] + 30.0;
            $wide = max($wide, $sheet['width'] + 20.0);
        }

        return sprintf(
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" "
                ."width=\"%1\$smm\" height=\"%2\$smm\" viewBox=\"0 0 %1\$s %2\$s\">\n%3\$s</svg>\n",
            Svg::n($wide),
            Svg::n($y),
            $marks,
        );
    }

    /**
     * @param  array<array-key, NestResult>  $nested
     * @return list<array{string, array{sheet: string, index: int, left: float, right: float, width: float, height: float}}>
     */
    private static function sheets(array $nested): array
    {
        $out = [];
        foreach ($nested as $thickness => $one) {
            foreach ($one->used as $sheet) {
                $out[] = [(string) $thickness, $sheet];
            }
        }

        return $out;
    }

    /**
     * @param  array{sheet: string, index: int, left: float, right: float, width: float, height: float}  $sheet
     * @return list<array{piece: string, sheet: string, index: int, rotation: float, dx: float, dy: float}>
     */
    private static function on(NestResult $nested, array $sheet): array
    {
        return array_values(
            array_filter($nested->placements, fn (array $p): bool => $p['sheet'] === $sheet['sheet'] && $p['index'] === $sheet['index']),
        );
    }

    /**
     * @param  array{piece: string, sheet: string, index: int, rotation: float, dx: float, dy: float}  $placement
     * @return non-empty-list<list<array{float, float}>> rings on the sheet, mm
     */
    private static function laid(NestProblem $problem, array $placement): array
    {
        [$cos, $sin] = [cos(deg2rad($placement['rotation'])), sin(deg2rad($placement['rotation']))];
        foreach ($problem->pieces as $piece) {
            if ($piece->id === $placement['piece']) {
                return array_map(
                    fn (array $ring): array => array_map(
                        fn (array $p): array => [
                            $cos * $p[0] - $sin * $p[1] + $placement['dx'],
                            $sin * $p[0] + $cos * $p[1] + $placement['dy'],
                        ],
                        $ring,
                    ),
                    $piece->rings,
                );
            }
        }

        return [[]];
    }

    /**
     * A place well inside an outline: the middle of its widest stretch along a few lines.
     *
     * @param  list<array{float, float}>  $ring
     * @return array{float, float}
     */
    private static function inside(array $ring): array
    {
        $ys = array_column($ring, 1);
        [$low, $high] = [min($ys), max($ys)];
        $best = [0.0, [0.0, 0.0]];
        foreach ([0.5, 0.35, 0.65, 0.2, 0.8] as $share) {
            $y = $low + $share * ($high - $low) + 1e-4;
            $xs = [];
            foreach ($ring as $k => [$x1, $y1]) {
                [$x2, $y2] = $ring[($k + 1) % count($ring)];
                if ($y1 > $y !== $y2 > $y) {
                    $xs[] = $x1 + (($x2 - $x1) * ($y - $y1)) / ($y2 - $y1);
                }
            }
            sort($xs);
            for ($k = 1; $k < count($xs); $k += 2) {
                if ($xs[$k] - $xs[$k - 1] > $best[0] * 1.2) {
                    $best = [$xs[$k] - $xs[$k - 1], [($xs[$k] + $xs[$k - 1]) / 2.0, $y]];
                }
            }
        }

        return $best[1];
    }
}
