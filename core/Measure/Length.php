<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/**
 * Reads and shows lengths. Internally every length is a float in mm and is never rounded on input.
 *
 * Read: `38`, `38 mm`, `3.8 cm`, `2,4 m`, `1.2 km`, `125 ft`, `6'3"`, `6' 3 1/2"`, `1 1/2 in`, `3/4"`, `-12 mm`.
 * A bare number takes the unit given by the layout: mm, or inches when it is imperial.
 */
final class Length
{
    /**
     * @return float mm
     *
     * @throws InvalidValue when the text is not a length
     */
    public static function parse(string $text, Units $bare = Units::Metric, string $place = ''): float
    {
        return Amount::parse($text, 'mm', $place, $bare === Units::Imperial ? 'in' : 'mm');
    }

    /**
     * As the layout likes it: `38 mm` with at most `$decimals`, or inches to the nearest 1/`$fraction`.
     */
    public static function show(float $mm, Units $units, int $decimals = 0, int $fraction = 16): string
    {
        if ($units === Units::Metric) {
            return Decimal::trimmed($mm, $decimals).' mm';
        }
        $parts = (int) round(abs($mm) / 25.4 * $fraction);
        $sign = $mm < 0 && $parts > 0 ? '-' : '';
        $whole = intdiv($parts, $fraction);
        $top = $parts % $fraction;
        $bottom = $fraction;
        while ($top > 0 && $top % 2 === 0) {
            $top = intdiv($top, 2);
            $bottom = intdiv($bottom, 2);
        }
        $text = $top === 0 ? (string) $whole : ($whole === 0 ? "{$top}/{$bottom}" : "{$whole} {$top}/{$bottom}");

        return $sign.$text.'"';
    }

    /** For a field that already says its unit: bare mm, or inches to 1/32. */
    public static function field(float $mm, Units $units): string
    {
        return $units === Units::Metric ? Decimal::trimmed($mm, 2) : self::show($mm, $units, fraction: 32);
    }

    /** In a table of lengths: bare mm with at most `$decimals`, or inches to 1/32. */
    public static function cell(float $mm, Units $units, int $decimals = 0): string
    {
        return $units === Units::Metric ? Decimal::trimmed($mm, $decimals) : self::show($mm, $units, fraction: 32);
    }
}
