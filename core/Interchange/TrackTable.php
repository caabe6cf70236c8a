<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Track\Run;

/** Runs as a table of stations, CSV (RFC 4180, UTF-8), one line every so many mm and one at each end. */
final class TrackTable
{
    public const COLUMNS = ['run', 'station_mm', 'x_mm', 'y_mm', 'z_formation_mm', 'z_rail_mm', 'heading_deg', 'radius_mm', 'grade_percent', 'structure'];

    /**
     * Headings count from x, counter-clockwise, within ±180°; radii are positive to the left, empty on the straight.
     *
     * @param list<array{Run, float, float}> $stretches run, from and to station, mm
     */
    public static function write(array $stretches, float $step = 10.0): string
    {
        $lines = [self::COLUMNS];
        foreach ($stretches as [$run, $from, $to]) {
            $stations = [$from];
            for ($k = (int) floor($from / $step) + 1; $k * $step < $to - 1e-6; $k++) {
                $stations[] = $k * $step;
            }
            foreach ([...$stations, $to] as $station) {
                $lines[] = self::line($run, $station);
            }
        }

        return implode('', array_map(fn (array $line): string => implode(',', array_map(self::field(...), $line))."\r\n", $lines));
    }

    /**
     * Reads any table with columns x and y (`x_mm`, `y_mm`), heights (`z_formation_mm`, `z_mm`, `z`, or `z_rail_mm`) and names
     * (`run`, `name`) if there are any; fields parted by comma, semicolon or tab, lines in the order of the run.
     *
     * @return list<TrackLine>
     *
     * @throws Refusal naming the line that cannot be read
     */
    public static function read(string $text): array
    {
        $rows = preg_split('/\R/', trim($text)) ?: [];
        $mark = array_reduce([';', "\t"], fn (string $best, string $m): string => substr_count($rows[0], $m) > substr_count($rows[0], $best) ? $m : $best, ',');
        $head = array_map(fn (?string $cell): string => strtolower(trim((string) $cell)), str_getcsv($rows[0], $mark, '"', ''));
        $column = function (string ...$names) use ($head): ?int {
            foreach ($names as $name) {
                $k = array_search($name, $head, true);
                if ($k !== false) {
                    return $k;
                }
            }

            return null;
        };
        [$x, $y, $z, $rail, $name] = [$column('x_mm', 'x'), $column('y_mm', 'y'), $column('z_formation_mm', 'z_mm', 'z'), $column('z_rail_mm'), $column('run', 'name')];
        if ($x === null || $y === null) {
            throw new Refusal('The first line names the columns; x_mm and y_mm have to be among them.', 'line 1');
        }
        $lines = [];
        foreach (array_slice($rows, 1, preserve_keys: true) as $k => $row) {
            if (trim($row) === '') {
                continue;
            }
            $cells = str_getcsv($row, $mark, '"', '');
            $number = fn (int $at, string $what): float => self::value((string) ($cells[$at] ?? ''), $what, $k + 1);
            $run = $name === null ? 'Track' : trim((string) ($cells[$name] ?? ''));
            $lines[$run]['points'][] = [$number($x, 'x'), $number($y, 'y')];
            if ($z !== null || $rail !== null) {
                $lines[$run]['heights'][] = $number($z ?? (int) $rail, 'the height');
            }
        }
        $out = [];
        foreach ($lines as $run => $line) {
            $out[] = new TrackLine((string) $run, $line['points'], $line['heights'] ?? null, $z === null);
        }

        return TrackLine::some($out, 'line of stations');
    }

    private static function value(string $text, string $what, int $line): float
    {
        $text = str_replace(',', '.', trim($text));
        if (! is_numeric($text) || abs((float) $text) > 1e6) {
            throw new Refusal($text === '' ? ucfirst("{$what} is missing.") : "“{$text}” is no number for {$what}.", "line {$line}");
        }

        return (float) $text;
    }

    /** @return list<string> */
    private static function line(Run $run, float $station): array
    {
        $p = $run->alignment->pointAt($station);
        $z = $run->grade->heightAt($station);
        $curvature = $run->alignment->curvatureAt($station);

        return [
            $run->name, self::number($station, 3), self::number($p->x, 3), self::number($p->y, 3), self::number($z, 3), self::number($z + $run->profile->railTop(), 3),
            self::number(rad2deg(atan2(sin($run->alignment->headingAt($station)), cos($run->alignment->headingAt($station)))), 4),
            abs($curvature) < 1e-9 ? '' : self::number(1.0 / $curvature, 1), self::number($run->grade->gradeAt($station), 3), $run->structureAt($station)->kind ?? '',
        ];
    }

    private static function number(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');

        return (float) $text === 0.0 ? ltrim($text, '-') : $text;
    }

    private static function field(string $text): string
    {
        return strpbrk($text, "\",\r\n") === false ? $text : '"'.str_replace('"', '""', $text).'"';
    }
}
