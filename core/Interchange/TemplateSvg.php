<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Cuts\Template;

/** Templates as one SVG at full size, to be opened elsewhere. */
final class TemplateSvg
{
    private const AROUND = 5.0;

    /** @param  list<Template>  $templates */
    public static function of(array $templates): string
    {
        $all = array_merge(...array_map(fn (Template $t): array => array_merge(...$t->outlines()), $templates)) ?: [[0.0, 0.0]];
        [$x1, $x2, $y1, $y2] = [
            min(array_column($all, 0)) - self::AROUND,
            max(array_column($all, 0)) + self::AROUND,
            min(array_column($all, 1)) - self::AROUND,
            max(array_column($all, 1)) + self::AROUND,
        ];
        $d = fn (array $line, bool $closed): string => Svg::d(
            array_map(fn (array $p): array => [$p[0] - $x1, $y2 - $p[1]], $line),
            $closed,
        );
        $marks = '';
        foreach ($templates as $template) {
            $marks .= sprintf("  <g id=\"piece-%s\">\n", htmlspecialchars($template->name, ENT_XML1 | ENT_QUOTES));
            foreach (
                [
                    ['cut', $template->cut, '', true],
                    ['mark', $template->marked, ' stroke-dasharray="4 3"', true],
                    ['line', $template->lines, '', false],
                ] as [$class, $rings, $dash, $closed]
            ) {
                $marks .=
                    $rings === []
                        ? ''
                        : sprintf(
                            "    <path class=\"%s\" d=\"%s\" fill=\"none\" stroke=\"black\" stroke-width=\"%s\"%s/>\n",
                            $class,
                            implode('', array_map(fn (array $r): string => $d($r, $closed), $rings)),
                            $closed ? '0.3' : '0.15',
                            $dash,
                        );
            }
            foreach ($template->dowels as [$x, $y]) {
                $marks .= sprintf(
                    "    <circle cx=\"%s\" cy=\"%s\" r=\"1.6\" fill=\"none\" stroke=\"black\" stroke-width=\"0.2\"/>\n",
                    Svg::n($x - $x1),
                    Svg::n($y2 - $y),
                );
            }
            foreach ($template->words as [$x, $y, $text]) {
                $marks .= sprintf(
                    "    <text x=\"%s\" y=\"%s\" font-family=\"sans-serif\" font-size=\"6\">%s</text>\n",
                    Svg::n($x - $x1),
                    Svg::n($y2 - $y),
                    htmlspecialchars($text, ENT_XML1 | ENT_QUOTES),
                );
            }
            $marks .= "  </g>\n";
        }

        return sprintf(
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" "
                ."width=\"%1\$smm\" height=\"%2\$smm\" viewBox=\"0 0 %1\$s %2\$s\">\n%3\$s</svg>\n",
            Svg::n($x2 - $x1),
            Svg::n($y2 - $y1),
            $marks,
        );
    }
}
