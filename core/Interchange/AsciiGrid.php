<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\InvalidValue;

/** ESRI ASCII grids, string in and string out; rows run north to south as the format says. */
final class AsciiGrid
{
    private const NODATA = -9999.0;

    /** @throws InvalidValue naming the line that cannot be read */
    public static function read(string $text): HeightGrid
    {
        $lines = preg_split('/\R/', trim($text));
        $head = [];
        $at = 0;
        while ($lines !== false && isset($lines[$at]) && preg_match('/^\s*([a-z_]+)\s+(\S+)\s*$/i', $lines[$at], $m) === 1) {
            $head[strtolower($m[1])] = self::number($m[2], $at + 1);
            $at++;
        }
        foreach (['ncols', 'nrows', 'cellsize'] as $key) {
            if (! isset($head[$key])) {
                throw new InvalidValue(
                    "The header has no {$key}; an ASCII grid begins with ncols, nrows, xllcorner, yllcorner, cellsize.",
                    'line '.($at + 1),
                );
            }
        }
        $cols = (int) $head['ncols'];
        $rows = (int) $head['nrows'];
        if ($cols < 2 || $rows < 2 || $cols * $rows > HeightGrid::MAX_CELLS) {
            throw new InvalidValue(
                "A grid of {$cols} × {$rows} cannot be read; it needs 2 × 2 values and at most ".HeightGrid::MAX_CELLS.'.',
                'line 1',
            );
        }
        $values = [];
        $blank = $head['nodata_value'] ?? self::NODATA;
        foreach (array_slice($lines ?: [], $at) as $offset => $line) {
            foreach (preg_split('/\s+/', trim($line), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
                $value = self::number($word, $at + $offset + 1);
                if ($value === $blank) {
                    throw new InvalidValue(
                        'A cell without a height (NODATA); every cell of the board needs one.',
                        'line '.($at + $offset + 1),
                    );
                }
                $values[] = $value;
            }
        }
        if (count($values) !== $cols * $rows) {
            throw new InvalidValue(
                sprintf('%d heights where ncols × nrows asks for %d.', count($values), $cols * $rows),
                'line '.($at + 1),
            );
        }
        $southFirst = [];
        for ($j = $rows - 1; $j >= 0; $j--) {
            array_push($southFirst, ...array_slice($values, $j * $cols, $cols));
        }
        if (isset($head['xllcenter'])) {
            return HeightGrid::nodes($cols, $rows, $head['cellsize'], $head['xllcenter'], $head['yllcenter'] ?? 0.0, $southFirst);
        }

        return HeightGrid::cells($cols, $rows, $head['cellsize'], $head['xllcorner'] ?? 0.0, $head['yllcorner'] ?? 0.0, $southFirst);
    }

    public static function write(HeightGrid $grid): string
    {
        $corner = $grid->onNodes ? 'center' : 'corner';
        $out =
            "ncols {$grid->cols}\nnrows {$grid->rows}\nxll{$corner} {$grid->x0}\nyll{$corner} {$grid->y0}\ncellsize "
                ."{$grid->cell}\nNODATA_value -9999\n";
        for ($j = $grid->rows - 1; $j >= 0; $j--) {
            $words = [];
            for ($i = 0; $i < $grid->cols; $i++) {
                $words[] = Decimal::fixed($grid->values[$j * $grid->cols + $i], 3);
            }
            $out .= implode(' ', $words)."\n";
        }

        return $out;
    }

    private static function number(string $word, int $line): float
    {
        if (! is_numeric($word)) {
            throw new InvalidValue("“{$word}” is not a number.", 'line '.$line);
        }

        return (float) $word;
    }
}
