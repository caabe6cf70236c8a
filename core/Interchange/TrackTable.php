<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

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
