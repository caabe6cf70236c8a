<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** Lengths as they are read off a rule in inches: whole ones and a fraction that cannot be reduced, thousandths where it is thinner. */
final class Inches
{
    public const MM = 25.4;

    /** Below it a fraction says too little, inches. */
    public const THIN = 1.0 / 16.0;

    /** A length so near to a fraction is meant to be it, mm. */
    private const MEANT_MM = 0.01;

    private const GLYPHS = ['1/2' => '½', '1/4' => '¼', '3/4' => '¾'];

    /** To the nearest 1/`$fraction`, without a sign for the unit: `1 1/2`, `3/4`, `0.012`. */
    public static function text(float $mm, int $fraction): string
    {
        $inches = abs($mm) / self::MM;
        if ($inches < self::THIN && ! self::isFraction($mm)) {
            $thin = Decimal::trimmed($inches, 3);

            return ($mm < 0.0 && $thin !== '0' ? '-' : '').$thin;
        }
        $parts = (int) round($inches * $fraction);
        $top = $parts % $fraction;
        $bottom = $fraction;
        while ($top > 0 && $top % 2 === 0) {
            $top = intdiv($top, 2);
            $bottom = intdiv($bottom, 2);
        }
        $whole = intdiv($parts, $fraction);
        $words = array_filter([$whole > 0 ? (string) $whole : '', $top > 0 ? "{$top}/{$bottom}" : ''], fn (string $w): bool => $w !== '');

        return $words === [] ? '0' : ($mm < 0.0 ? '-' : '').implode(' ', $words);
    }

    /** The nominal size of sheets and packings, as it is called: `½`, `1 ½`, `1/8`. */
    public static function nominal(float $mm): string
    {
        return implode(' ', array_map(fn (string $w): string => self::GLYPHS[$w] ?? $w, explode(' ', self::text($mm, 64))));
    }

    /** Whether it is a number of 64ths. */
    private static function isFraction(float $mm): bool
    {
        $parts = $mm / self::MM * 64.0;

        return abs($parts - round($parts)) * self::MM / 64.0 <= self::MEANT_MM;
    }
}
