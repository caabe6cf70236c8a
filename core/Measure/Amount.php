<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/**
 * Reads weights, volumes, areas, lengths and temperatures in whatever unit they are typed: `16 fl oz`, `1 lb 4 oz`, `1.2 l`, `68 °F`.
 *
 * Source of the factors, exact by definition: NIST Handbook 44, Appendix C (avoirdupois weights, United States liquid measure).
 */
final class Amount
{
    /** Kind → unit → what one of it is in the kind's first unit. */
    private const KINDS = [
        'weight' => ['g' => 1.0, 'kg' => 1000.0, 'oz' => 28.349523125, 'lb' => 453.59237],
        'volume' => [
            'ml' => 1.0, 'cl' => 10.0, 'l' => 1000.0, 'm³' => 1e6, 'cu in' => 16.387064, 'cu ft' => 28_316.846592,
            'fl oz' => 29.5735295625, 'pt' => 473.176473, 'qt' => 946.352946, 'gal' => 3785.411784,
        ],
        'area' => ['mm²' => 1.0, 'cm²' => 100.0, 'dm²' => 1e4, 'm²' => 1e6, 'sq in' => 645.16, 'sq ft' => 92_903.04, 'sq yd' => 836_127.36],
        'length' => ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0, 'km' => 1e6, 'in' => 25.4, 'ft' => 304.8, 'yd' => 914.4],
        'temperature' => ['°c' => 1.0, '°f' => 5.0 / 9.0],
    ];

    private const ALSO = [
        'gram' => 'g', 'grams' => 'g', 'ounce' => 'oz', 'ounces' => 'oz', 'lbs' => 'lb', 'pound' => 'lb', 'pounds' => 'lb',
        'litre' => 'l', 'litres' => 'l', 'liter' => 'l', 'liters' => 'l', 'm3' => 'm³', 'in³' => 'cu in', 'in3' => 'cu in',
        'ft³' => 'cu ft', 'ft3' => 'cu ft', 'floz' => 'fl oz', 'pint' => 'pt', 'pints' => 'pt', 'quart' => 'qt', 'quarts' => 'qt',
        'gallon' => 'gal', 'gallons' => 'gal', 'mm2' => 'mm²', 'cm2' => 'cm²', 'm2' => 'm²', 'in²' => 'sq in', 'in2' => 'sq in',
        'ft²' => 'sq ft', 'ft2' => 'sq ft', 'yd²' => 'sq yd', 'yd2' => 'sq yd', 'c' => '°c', 'f' => '°f', '"' => 'in', '″' => 'in',
        "'" => 'ft', '′' => 'ft', 'yard' => 'yd', 'yards' => 'yd', 'yds' => 'yd', 'foot' => 'ft', 'feet' => 'ft',
        'inch' => 'in', 'inches' => 'in',
        'metre' => 'm', 'metres' => 'm', 'meter' => 'm', 'meters' => 'm',
    ];

    /** What goes on after a larger unit: `1 lb 4 oz`, `2 qt 3 fl oz`, `6' 3"`. */
    private const GOES_ON = [
        'lb' => ['oz'], 'kg' => ['g'], 'l' => ['ml'], 'gal' => ['qt', 'pt', 'fl oz'], 'qt' => ['pt', 'fl oz'], 'pt' => ['fl oz'],
        'ft' => ['in'], 'yd' => ['ft', 'in'],
    ];

    private const TRY = [
        'weight' => '250 g, 1.2 kg, 9 oz or 1 lb 4 oz',
        'volume' => '250 ml, 1.2 l, 16 fl oz or 2 qt',
        'area' => '40 cm², 0.4 m², 60 sq in or 4 sq ft',
        'length' => '38 mm, 2.4 m, 125 ft, 6\'3" or 1 1/2"',
        'temperature' => '20 °C or 68 °F',
    ];

    private const UNIT = '(?:(?:fl|sq|cu)\.?\s*)?°?\s?[a-z]+[²³23]?|°';

    /** No power after a length: `6ft2` is six feet two. */
    private const LENGTH_UNIT = '[a-z]+|["\'″′]';

    /** Whether amounts in this unit can be typed in others. */
    public static function knows(string $unit): bool
    {
        return self::kind(mb_strtolower($unit)) !== null;
    }

    /**
     * @param  string  $unit  what comes back (such as g, ml, m², °C)
     * @param  string|null  $bare  what a bare number is in, unless it is what such fields are in with the units in use
     *
     * @throws InvalidValue for what is no amount of that kind, telling what is understood
     */
    public static function parse(string $text, string $unit, string $place = '', ?string $bare = null): float
    {
        [$in, $alone] = [mb_strtolower($unit), mb_strtolower($bare ?? Format::unit($unit))];
        $kind = self::kind($in) ?? throw new InvalidValue("Nothing is measured in “{$unit}”.", $place);
        $try = self::TRY[$kind];
        if (trim($text) === '') {
            throw new InvalidValue(($kind === 'area' ? 'An ' : 'A ')."{$kind} is missing, such as {$try}.", $place);
        }
        $refusal = new InvalidValue(Terms::quoted($text).($kind === 'area' ? ' is no ' : ' is not a ')."{$kind}; try {$try}.", $place);
        [$sign, $terms] = Terms::of($text, $kind === 'length' ? self::LENGTH_UNIT : self::UNIT) ?? throw $refusal;
        $total = $before = 0.0;
        $last = null;
        foreach ($terms as [$value, $typed]) {
            $name = self::named($kind === 'temperature' && $typed === '°' ? '' : $typed) ?: match ($last) {
                null => $alone,
                'ft' => 'in',
                default => '',
            };
            $one = self::KINDS[$kind][$name] ?? throw $refusal;
            if ($last !== null && (! in_array($name, self::GOES_ON[$last] ?? [], true) || $value * $one > $before - 1e-6 * $one)) {
                throw $refusal;
            }
            $total += $value * $one;
            [$last, $before] = [$name, $one];
        }
        if ($kind === 'temperature') {
            return self::celsius($sign * $terms[0][0], $last === '°f', $in === '°f');
        }

        // Typed in the unit asked for, it stays the very number that was typed.
        return $sign * (count($terms) === 1 && $last === $in ? $terms[0][0] : $total / self::KINDS[$kind][$in]);
    }

    /** From one unit to another of its kind; temperatures by where they stand. */
    public static function convert(float $value, string $from, string $to): float
    {
        [$in, $out] = [mb_strtolower($from), mb_strtolower($to)];
        $kind = self::kind($in);
        if ($kind === null || ! isset(self::KINDS[$kind][$out])) {
            throw new InvalidValue("“{$from}” and “{$to}” are no units of one kind.");
        }

        return $kind === 'temperature'
            ? self::celsius($value, $in === '°f', $out === '°f')
            : $value * self::KINDS[$kind][$in] / self::KINDS[$kind][$out];
    }

    private static function celsius(float $degrees, bool $typedF, bool $wantedF): float
    {
        return match (true) {
            $typedF === $wantedF => $degrees,
            $typedF => ($degrees - 32.0) / 1.8,
            default => $degrees * 1.8 + 32.0,
        };
    }

    private static function named(string $typed): string
    {
        $name = trim((string) preg_replace(['/[.\s]+/u', '/° /u'], [' ', '°'], $typed));
        $name = (string) preg_replace('/^(fl|sq|cu) ?(?=[a-z])/u', '$1 ', $name);

        return self::ALSO[$name] ?? $name;
    }

    private static function kind(string $unit): ?string
    {
        foreach (self::KINDS as $kind => $units) {
            if (isset($units[$unit])) {
                return $kind;
            }
        }

        return null;
    }
}
