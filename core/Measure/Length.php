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
    private const MM = ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0, 'km' => 1_000_000.0, 'in' => 25.4, 'ft' => 304.8, 'yd' => 914.4];

    private const NAMES = [
        '"' => 'in', '″' => 'in', 'inch' => 'in', 'inches' => 'in', 'in' => 'in',
        "'" => 'ft', '′' => 'ft', 'foot' => 'ft', 'feet' => 'ft', 'ft' => 'ft',
        'yd' => 'yd', 'yds' => 'yd', 'yard' => 'yd', 'yards' => 'yd',
        'mm' => 'mm', 'cm' => 'cm', 'm' => 'm', 'metre' => 'm', 'metres' => 'm', 'km' => 'km',
    ];

    /**
     * @return float mm
     *
     * @throws InvalidValue when the text is not a length
     */
    public static function parse(string $text, Units $bare = Units::Metric, string $place = ''): float
    {
        $rest = trim(str_replace(["\u{2212}", "\u{2019}", "\u{201D}", "\u{00A0}", "''"], ['-', "'", '"', ' ', '"'], mb_strtolower($text)));
        if ($rest === '') {
            throw new InvalidValue('A length is missing, such as 38 mm or 1 1/2".', $place);
        }
        $sign = 1.0;
        if (preg_match('/^([+-])\s*(.*)$/us', $rest, $m) === 1) {
            $sign = $m[1] === '-' ? -1.0 : 1.0;
            $rest = $m[2];
        }
        $number = '(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))';
        $total = 0.0;
        $seen = 0;
        $lastUnit = null;
        while ($rest !== '') {
            if (preg_match('/^'.$number.'\s*([a-z]+|["\'″′])?\.?\s*/u', $rest, $m) !== 1) {
                throw self::unreadable($text, $place);
            }
            $value = self::number($m, $text, $place);
            $name = $m[7] ?? '';
            if ($name === '') {
                if ($seen > 0 && $lastUnit !== 'ft') {
                    throw self::unreadable($text, $place);
                }
                $unit = $seen > 0 ? 'in' : ($bare === Units::Imperial ? 'in' : 'mm');
            } else {
                $unit = self::NAMES[$name] ?? throw self::unreadable($text, $place);
            }
            if ($seen > 0 && ! ($seen === 1 && $lastUnit === 'ft' && $unit === 'in')) {
                throw self::unreadable($text, $place);
            }
            $total += $value * self::MM[$unit];
            $lastUnit = $unit;
            $seen++;
            $rest = substr($rest, strlen($m[0]));
        }

        return $sign * $total;
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

    /** @param  array<int, string>  $m */
    private static function number(array $m, string $text, string $place): float
    {
        $share = function (string $top, string $bottom) use ($text, $place): float {
            return (float) $bottom > 0.0 ? (float) $top / (float) $bottom : throw self::unreadable($text, $place);
        };
        if ($m[1] !== '') {
            return (float) $m[1] + $share($m[2], $m[3]);
        }
        if ($m[4] !== '') {
            return $share($m[4], $m[5]);
        }

        return (float) str_replace(',', '.', $m[6]);
    }

    private static function unreadable(string $text, string $place): InvalidValue
    {
        $shown = mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;

        return new InvalidValue("“{$shown}” is not a length; try 38 mm, 2.4 m, 125 ft, 6'3\" or 1 1/2\".", $place);
    }
}
