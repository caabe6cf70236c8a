<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** Numbers as text with a decimal point; a negative zero is none. */
final class Decimal
{
    /** At most so many decimals, trailing zeros dropped. */
    public static function trimmed(float $value, int $decimals): string
    {
        $text = self::fixed($value, $decimals);

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** Always so many decimals. */
    public static function fixed(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');

        return (float) $text === 0.0 ? ltrim($text, '-') : $text;
    }
}
