<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/**
 * Figures with their units as people type them, read one after the other: `6' 3 1/2"`, `1 lb 4 oz`, `½ in`, `2,4 m`.
 */
final class Terms
{
    private const PLAIN = [
        "\u{2212}" => '-', "\u{2019}" => "'", "\u{201D}" => '"', "\u{00A0}" => ' ', "\u{202F}" => ' ', "''" => '"',
        '½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4', '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8',
    ];

    private const NUMBER = '(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))';

    /**
     * @param  string  $unit  a pattern of all that can be a unit, without groups that count
     * @return array{float, list<array{float, string}>}|null the sign, and each figure with its unit in small letters (none: empty);
     *     null for what is not made of figures
     */
    public static function of(string $text, string $unit): ?array
    {
        $rest = trim(strtr(mb_strtolower($text), self::PLAIN));
        $sign = 1.0;
        if (preg_match('/^([+-])\s*(.*)$/us', $rest, $m) === 1) {
            [$sign, $rest] = [$m[1] === '-' ? -1.0 : 1.0, $m[2]];
        }
        $terms = [];
        while ($rest !== '') {
            if (preg_match('/^'.self::NUMBER.'\s*('.$unit.')?\.?\s*/u', $rest, $m) !== 1) {
                return null;
            }
            $value = self::number($m);
            if ($value === null) {
                return null;
            }
            $terms[] = [$value, $m[7] ?? ''];
            $rest = substr($rest, strlen($m[0]));
        }

        return $terms === [] ? null : [$sign, $terms];
    }

    /** What was typed, short enough for a message. */
    public static function quoted(string $text): string
    {
        return '“'.(mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text).'”';
    }

    /** @param  array<int, string>  $m */
    private static function number(array $m): ?float
    {
        [$whole, $top, $bottom] = $m[1] !== '' ? [$m[1], $m[2], $m[3]] : ['0', $m[4], $m[5]];
        $value = match (true) {
            $bottom === '' => (float) str_replace(',', '.', $m[6]),
            (float) $bottom > 0.0 => (float) $whole + (float) $top / (float) $bottom,
            default => INF,
        };

        return is_finite($value) ? $value : null;
    }
}
