<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Inches;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Track\Run;

/** Runs as a table of stations, CSV (RFC 4180, UTF-8), one line every so many mm and one at each end. */
final class TrackTable
{
    /** In the units in use. */
    private const LENGTHS = ['station', 'x', 'y', 'z_formation', 'z_rail', 'radius'];

    private const COLUMNS = ['run', 'station', 'x', 'y', 'z_formation', 'z_rail', 'heading_deg', 'radius', 'grade_percent', 'structure'];

    /** @return list<string> */
    public static function columns(): array
    {
        return array_map(fn (string $of): string => in_array($of, self::LENGTHS, true) ? Format::column($of, 'mm') : $of, self::COLUMNS);
    }

    /**
     * Headings count from x, counter-clockwise, within ±180°; radii are positive to the left, empty on the straight.
     *
     * @param  list<array{Run, float, float}>  $stretches run, from and to station, mm
     */
    public static function write(array $stretches, float $step = 10.0): string
    {
        $lines = [];
        foreach ($stretches as [$run, $from, $to]) {
            $stations = [$from];
            for ($k = (int) floor($from / $step) + 1; $k * $step < $to - 1e-6; $k++) {
                $stations[] = $k * $step;
            }
            foreach ([...$stations, $to] as $station) {
                $lines[] = self::line($run, $station);
            }
        }

        return Csv::write(self::columns(), $lines);
    }

    /**
     * Reads any table with columns x and y (`x_mm`, `y_mm`), heights (`z_formation_mm`, `z_mm`, `z`, or `z_rail_mm`) and names
     * (`run`, `name`) if there are any; fields parted by comma, semicolon or tab, lines in the order of the run.
     *
     * @return list<TrackLine>
     *
     * @throws InvalidValue naming the line that cannot be read
     */
    public static function read(string $text): array
    {
        ['head' => $head, 'rows' => $rows] = Csv::read($text);
        $column = function (string ...$names) use ($head): ?int {
            foreach ($names as $name) {
                $k = array_search($name, $head, true);
                if ($k !== false) {
                    return $k;
                }
            }

            return null;
        };
        [$x, $y, $z, $rail, $name] = [
            $column('x_mm', 'x_in', 'x'),
            $column('y_mm', 'y_in', 'y'),
            $column('z_formation_mm', 'z_formation_in', 'z_mm', 'z_in', 'z'),
            $column('z_rail_mm', 'z_rail_in'),
            $column('run', 'name'),
        ];
        if ($x === null || $y === null) {
            throw new InvalidValue('The first line names the columns; x_mm and y_mm have to be among them.', 'line 1');
        }
        $lines = [];
        foreach ($rows as $line => $cells) {
            $number = fn (int $at, string $what): float => self::value($cells[$at] ?? '', $what, $line)
                * (str_ends_with($head[$at], '_in') ? Inches::MM : 1.0);
            $run = $name === null ? 'Track' : $cells[$name] ?? '';
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
            throw new InvalidValue($text === '' ? ucfirst("{$what} is missing.") : "“{$text}” is no number for {$what}.", "line {$line}");
        }

        return (float) $text;
    }

    /** @return list<string> */
    private static function line(Run $run, float $station): array
    {
        $mm = fn (float $value, int $decimals): string => Decimal::fixed(
            Format::converted($value, 'mm'),
            $decimals + (UnitsInUse::areMetric() ? 0 : 1),
        );
        $p = $run->alignment->pointAt($station);
        $z = $run->grade->heightAt($station);
        $curvature = $run->alignment->curvatureAt($station);

        return [
            $run->name,
            $mm($station, 3),
            $mm($p->x, 3),
            $mm($p->y, 3),
            $mm($z, 3),
            $mm($z + $run->profile->railTop(), 3),
            Decimal::fixed(rad2deg(atan2(sin($run->alignment->headingAt($station)), cos($run->alignment->headingAt($station)))), 4),
            abs($curvature) < 1e-9 ? '' : $mm(1.0 / $curvature, 1),
            Decimal::fixed($run->grade->gradeAt($station), 3),
            $run->structureAt($station)->kind->value ?? '',
        ];
    }
}
