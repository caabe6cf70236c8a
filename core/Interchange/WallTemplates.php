<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Land\Wall;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Track\Run;

/** Walls laid flat at 1:1, one under the other, to cut by: along their own faces, from foot to top. */
final class WallTemplates
{
    private const GAP = 22.0;

    /**
     * @param  list<Wall>  $walls
     * @param  list<Run>  $runs
     */
    public static function svg(array $walls, array $runs): string
    {
        $y = 14.0;
        $wide = 120.0;
        $marks = '';
        foreach ($walls as $n => $wall) {
            $run = array_values(array_filter($runs, fn (Run $r): bool => $r->uid === $wall->run))[0] ?? null;
            if ($run === null || count($wall->profile) < 2) {
                continue;
            }
            $low = min(array_column($wall->profile, 'foot'));
            $floor = $y + max(array_column($wall->profile, 'top')) - $low + 6.0;
            $line = fn (string $of): array => array_map(
                fn (array $p): array => [10.0 + $p['along'] - $wall->profile[0]['along'], $floor - ($p[$of] - $low)],
                $wall->profile,
            );
            [$upper, $lower] = [$line('top'), $line('foot')];
            $words = sprintf(
                '%d %s, %s, %s, %s long, %s high',
                $n + 1,
                $run->name,
                $wall->side->value,
                Format::cell($wall->from).' to '.Format::cell($wall->to),
                Format::length($wall->length, 1),
                Format::several([$wall->lowest, $wall->highest], 'mm', 1, ' to '),
            );
            $marks .=
                sprintf(
                    "  <text x=\"10\" y=\"%s\" font-family=\"sans-serif\" font-size=\"4\">%s</text>\n",
                    Svg::n($y),
                    htmlspecialchars($words, ENT_XML1 | ENT_QUOTES),
                ).
                sprintf(
                    "  <path d=\"%s\" fill=\"none\" stroke=\"black\" stroke-width=\"0.3\"/>\n",
                    Svg::d([...$upper, ...array_reverse($lower)], true),
                );
            $y = $floor + self::GAP;
            $wide = max($wide, $wall->length + 20.0);
        }
        $marks .= sprintf(
            "  <path d=\"M10 %1\$sh%2\$s\" fill=\"none\" stroke=\"black\" stroke-width=\"0.5\"/>\n  <text "
                ."x=\"%3\$s\" y=\"%1\$s\" font-family=\"sans-serif\" font-size=\"4\">%4\$s</text>\n",
            Svg::n($y),
            Svg::n(RoundSteps::printBar()),
            Svg::n(12.0 + RoundSteps::printBar()),
            htmlspecialchars(Format::length(RoundSteps::printBar()), ENT_XML1 | ENT_QUOTES),
        );

        return sprintf(
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" "
                ."width=\"%1\$smm\" height=\"%2\$smm\" viewBox=\"0 0 %1\$s %2\$s\">\n%3\$s</svg>\n",
            Svg::n($wide + 20.0),
            Svg::n($y + 8.0),
            $marks,
        );
    }
}
