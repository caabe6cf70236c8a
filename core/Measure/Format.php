<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/**
 * How every quantity is shown in the units in use, and what a bare number in a field of it means. Units are named as the core
 * keeps them: `mm`, `m`, `mm²`, `cm²`, `m²`, `ml` (what is poured), `l` (what is solid), `m³`, `g`, `kg`, `°C` and quotients of
 * two of them, such as `g/m²`; any other is shown as it is.
 */
final class Format
{
    /** Metric unit → the imperial one that a field, a column or an axis of it is in. */
    private const IMPERIAL = [
        'mm' => 'in', 'cm' => 'in', 'm' => 'ft', 'mm²' => 'sq in', 'cm²' => 'sq in', 'dm²' => 'sq ft', 'm²' => 'sq ft',
        'ml' => 'fl oz', 'l' => 'cu in',
        'm³' => 'cu ft', 'g' => 'oz', 'kg' => 'lb', '°C' => '°F',
    ];

    /** Unit → from how much of it on people say so many of a larger one. */
    private const LARGER = [
        'cm²' => [1000.0, 'm²'], 'ml' => [1000.0, 'l'], 'g' => [1000.0, 'kg'],
        'in' => [120.0, 'ft'], 'sq in' => [288.0, 'sq ft'], 'fl oz' => [64.0, 'qt'], 'cu in' => [3456.0, 'cu ft'], 'oz' => [16.0, 'lb'],
    ];

    /** Unit → under how much of it people say so many of a smaller one. */
    private const SMALLER = ['m²' => [0.1, 'cm²'], 'sq ft' => [1.0, 'sq in'], 'lb' => [1.0, 'oz']];

    /** Most decimals of a figure in the larger unit, from one on. */
    private const LARGER_DECIMALS = 2;

    /** Figures worked out of other units show so many digits that count. */
    private const DIGITS = 3;

    private const FIELD_FRACTION = 64;

    /**
     * @param  int  $decimals  that the figure has at most in the unit it is given in
     * @return array{string, string} figure and unit as a person would write them: 1260 ml is 1.26 l
     */
    public static function parts(float $value, string $unit, int $decimals = 0): array
    {
        $name = self::unit($unit);
        if ($name === 'in' && $unit === 'mm') {
            return self::inches($value, $decimals);
        }
        [$shown, $most] = $name === $unit ? [$value, $decimals] : [self::converted($value, $unit), null];
        [$from, $larger] = self::LARGER[$name] ?? [INF, $name];
        if (abs($shown) >= $from) {
            $of = Amount::convert($shown, $name, $larger);

            return [Decimal::trimmed($of, max(self::LARGER_DECIMALS, self::decimals($of))), $larger];
        }
        [$under, $smaller] = self::SMALLER[$name] ?? [0.0, $name];
        if ($shown > 0.0 && $shown < $under) {
            [$shown, $name, $most] = [Amount::convert($shown, $name, $smaller), $smaller, null];
        }
        // Ounces are coarser than grams by more than a digit; a hundredth is as fine as a scale tells them.
        $fine = in_array($unit, ['g', 'ml'], true) ? max(2, $decimals) : $decimals + 1;
        $most ??= $unit === '°C' ? $decimals : min($fine, self::decimals($shown));

        return [Decimal::trimmed($shown, $most), $name];
    }

    /** Figure and unit, as 12 mm, 1 1/2", 68 °F. */
    public static function text(float $value, string $unit, int $decimals = 0): string
    {
        return self::joined(...self::parts($value, $unit, $decimals));
    }

    public static function length(float $mm, int $decimals = 0): string
    {
        return self::text($mm, 'mm', $decimals);
    }

    /** @param  array<float>  $values several of one kind with a word between, the unit once where it is a word: 1200 × 600 mm */
    public static function several(array $values, string $unit, int $decimals = 0, string $between = ' × '): string
    {
        $parts = array_map(fn (float $v): array => self::parts($v, $unit, $decimals), array_values($values));
        $one = count(array_unique(array_column($parts, 1))) === 1 && $parts[0][1] !== 'in';

        return $one
            ? trim(implode($between, array_column($parts, 0)).' '.$parts[0][1])
            : implode($between, array_map(fn (array $p): string => self::joined(...$p), $parts));
    }

    /** What is only about so much, beside a drawing that says its unit: whole millimetres, or eighths of an inch with their sign. */
    public static function about(float $mm): string
    {
        return UnitsInUse::current() === Units::Metric ? Decimal::trimmed($mm, 0) : Inches::text($mm, 8).'"';
    }

    /** @return array{float, string} lengths of strip, as it is bought: metres, or yards */
    public static function strip(float $metres): array
    {
        return UnitsInUse::current() === Units::Metric ? [$metres, 'm'] : [Amount::convert($metres, 'm', 'yd'), 'yd'];
    }

    /** The nominal size of what comes in sheets, its unit left to what stands around it: 20, ½. */
    public static function nominal(float $mm, string $sign = ''): string
    {
        return UnitsInUse::current() === Units::Metric ? Decimal::trimmed($mm, 2) : Inches::nominal($mm).$sign;
    }

    /** The same with its unit: 20 mm, ½". */
    public static function sheet(float $mm): string
    {
        return UnitsInUse::current() === Units::Metric ? self::length($mm, 2) : self::nominal($mm, '"');
    }

    /** In a table or beside an axis that says its unit: bare millimetres, or inches with their sign. */
    public static function cell(float $mm, int $decimals = 0): string
    {
        return UnitsInUse::current() === Units::Metric ? Decimal::trimmed($mm, $decimals) : self::length($mm, max(1, $decimals));
    }

    /** For a field that says its unit; `$decimals` at most in the unit of the core. */
    public static function field(float $value, string $unit = 'mm', int $decimals = 2): string
    {
        return match (true) {
            self::unit($unit) === $unit => Decimal::trimmed($value, $decimals),
            $unit === 'mm' => Inches::text($value, self::FIELD_FRACTION).'"',
            default => Decimal::trimmed(self::converted($value, $unit), $decimals + 1),
        };
    }

    /** The unit in which a field, a column or an axis has it. */
    public static function unit(string $unit): string
    {
        if (UnitsInUse::current() === Units::Metric) {
            return $unit;
        }

        return implode('/', array_map(fn (string $part): string => self::IMPERIAL[$part] ?? $part, explode('/', $unit)));
    }

    /** A value of the core as a plain number in that unit. */
    public static function converted(float $value, string $unit): float
    {
        $in = explode('/', $unit);
        $out = explode('/', self::unit($unit));
        if (count($in) === 2) {
            return $value * self::factor($in[0], $out[0]) / self::factor($in[1], $out[1]);
        }

        return $unit === $out[0] ? $value : Amount::convert($value, $unit, $out[0]);
    }

    /** A plain number in that unit as a value of the core. */
    public static function back(float $shown, string $unit): float
    {
        $out = explode('/', $unit);
        $in = explode('/', self::unit($unit));

        return match (true) {
            $in === $out => $shown,
            count($out) === 2 => $shown * self::factor($in[0], $out[0]) / self::factor($in[1], $out[1]),
            default => Amount::convert($shown, $in[0], $unit),
        };
    }

    /** How a table's column is headed: height_mm, height_in. */
    public static function column(string $name, string $unit): string
    {
        return $name.'_'.strtr(self::unit($unit), [' ' => '_', '°C' => 'c', '°F' => 'f', '²' => '2', '³' => '3', '/' => '_']);
    }

    /** For a table of figures: that number, to so many decimals of the core's unit and one more where it is another. */
    public static function number(float $value, string $unit, int $decimals): float
    {
        return round(self::converted($value, $unit), $decimals + ($unit === self::unit($unit) ? 0 : 2));
    }

    /** @return array{string, float} so much of it as prices are compared by, in words, and how much that is: a litre, 1000 (ml) */
    public static function bulk(string $unit): array
    {
        $metric = UnitsInUse::current() === Units::Metric;

        return match ($unit) {
            'ml' => $metric ? ['a litre', 1000.0] : ['a quart', Amount::convert(1.0, 'qt', 'ml')],
            'g' => $metric ? ['a kilogram', 1000.0] : ['a pound', Amount::convert(1.0, 'lb', 'g')],
            'm²' => $metric ? ['a square metre', 1.0] : ['a square foot', Amount::convert(1.0, 'sq ft', 'm²')],
            'm' => $metric ? ['a metre', 1.0] : ['a yard', Amount::convert(1.0, 'yd', 'm')],
            default => ['a thousand', 1000.0],
        };
    }

    /** A sentence in which quantities stand as {3 mm} or {20 °C}. */
    public static function sentence(string $text): string
    {
        return (string) preg_replace_callback(
            '/\{(-?\d+(?:\.(\d+))?) ([^}]+)\}/u',
            fn (array $m): string => self::text((float) $m[1], $m[3], strlen($m[2])),
            $text,
        );
    }

    /** @return array{string, string} */
    private static function inches(float $mm, int $decimals): array
    {
        [$from, $larger] = self::LARGER['in'];
        $inches = abs($mm) / Inches::MM;
        // What would be nothing in millimetres is nothing in inches.
        if (abs($mm) < 0.5 * 10.0 ** -$decimals) {
            return ['0', 'in'];
        }
        if ($inches >= $from) {
            return [Decimal::trimmed(Amount::convert($mm, 'mm', $larger), self::LARGER_DECIMALS), $larger];
        }
        $fraction = match (true) {
            $decimals === 0 && $inches >= Inches::THIN => 16,
            $inches >= 12.0 => 32,
            default => 64,
        };

        return [Inches::text($mm, $fraction), 'in'];
    }

    private static function joined(string $figure, string $unit): string
    {
        return $unit === 'in' ? $figure.'"' : trim("{$figure} {$unit}");
    }

    private static function factor(string $from, string $to): float
    {
        return $from === $to ? 1.0 : Amount::convert(1.0, $from, $to);
    }

    private static function decimals(float $shown): int
    {
        return $shown === 0.0 ? 0 : max(0, self::DIGITS - 1 - (int) floor(log10(abs($shown))));
    }
}
