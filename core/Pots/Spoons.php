<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

/** Amounts in level spoons of 15 and 5 ml, for who has no scale. */
final class Spoons
{
    private const TEA_ML = 5.0;

    private const MOST_ML = 60.0;

    private const QUARTERS = ['', '¼', '½', '¾'];

    /** Level, to a quarter of a small spoon; null of what is not measured so, or of more than anybody counts. */
    public static function words(?float $ml): ?string
    {
        if ($ml === null || $ml > self::MOST_ML) {
            return null;
        }
        $quarters = (int) round(($ml / self::TEA_ML) * 4.0);
        $large = intdiv($quarters, 12);
        $small = $quarters - 12 * $large;
        $words = $large > 0 ? ["{$large} large"] : [];
        if ($small > 0) {
            $words[] = ($small >= 4 ? (string) intdiv($small, 4) : '').self::QUARTERS[$small % 4].' small';
        }

        return $words === [] ? 'drops' : implode(', ', $words);
    }
}
