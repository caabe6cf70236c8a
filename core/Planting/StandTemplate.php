<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Measure\Format;

/** Where trees stand, at full size, to prick through: a cross at every stem, the outline of its crown, number and height. */
final class StandTemplate
{
    private const CROSS_MM = 2.5;

    private const AROUND_MM = 8.0;

    private const CORNERS = 24;

    /**
     * @param  list<Tree>  $trees section coordinates
     * @param  float  $width of the board, mm; $length too
     */
    public static function of(Stand $stand, array $trees, float $width, float $length): ?Template
    {
        if ($trees === []) {
            return null;
        }
        $crowns = $lines = $words = [];
        foreach ($trees as $k => $tree) {
            $crowns[] = self::circle($tree->x, $tree->y, $tree->crown / 2.0);
            $lines[] = [[$tree->x - self::CROSS_MM, $tree->y], [$tree->x + self::CROSS_MM, $tree->y]];
            $lines[] = [[$tree->x, $tree->y - self::CROSS_MM], [$tree->x, $tree->y + self::CROSS_MM]];
            $tall = Format::cell($tree->height).($tree->dead ? ' dead' : '');
            $words[] = [$tree->x + 1.2, $tree->y + 1.2, sprintf('%d: %s', $k + 1, $tall)];
        }
        [$x1, $y1, $x2, $y2] = Box::around(array_merge(...$crowns) ?: [[0.0, 0.0]], self::AROUND_MM);
        [$x1, $y1, $x2, $y2] = [max(0.0, $x1), max(0.0, $y1), min($width, $x2), min($length, $y2)];

        return new Template(
            'stand',
            sprintf('%s: %d trees, number and height in %s', $stand->name, count($trees), Format::unit('mm')),
            [[[$x1, $y1], [$x2, $y1], [$x2, $y2], [$x1, $y2]]],
            $crowns,
            $lines,
            $stand->socket === null ? [] : array_map(fn (Tree $t): array => [$t->x, $t->y], $trees),
            $words,
        );
    }

    /** @return list<array{float, float}> */
    private static function circle(float $x, float $y, float $radius): array
    {
        return array_map(function (int $k) use ($x, $y, $radius): array {
            $angle = (2.0 * M_PI * $k) / self::CORNERS;

            return [$x + $radius * cos($angle), $y + $radius * sin($angle)];
        }, range(0, self::CORNERS - 1));
    }
}
