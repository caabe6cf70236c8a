<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** Steps that are round in the units in use, in mm: of keys, contours, axes and of the bar by which a print is measured. */
final class RoundSteps
{
    /** In inches: halved below one as a rule is, then as feet go. */
    private const INCHES = [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1.0, 2.0, 4.0, 6.0, 12.0, 24.0, 48.0, 120.0, 240.0, 480.0, 1200.0];

    /** A key’s step: 1 mm, or 1/16". */
    public static function fine(): float
    {
        return self::metric() ? 1.0 : Inches::MM / 16.0;
    }

    /** To the nearest fine step: what is dragged or drawn is round. */
    public static function whole(float $mm): float
    {
        return self::metric() ? round($mm) : round($mm / self::fine()) * self::fine();
    }

    /** A key’s long step, and what lies between contours: 10 mm, or 1/2". */
    public static function coarse(): float
    {
        return self::metric() ? 10.0 : Inches::MM / 2.0;
    }

    /** Contours drawn heavy, with their figure: every 50 mm, or 2". */
    public static function isHeavy(float $mm): bool
    {
        return self::isMultiple($mm, self::metric() ? 50.0 : 2.0 * Inches::MM);
    }

    public static function isMultiple(float $mm, float $step): bool
    {
        return abs($mm - $step * round($mm / $step)) < 1e-6 * $step;
    }

    /** Of an axis: the least round one of at least so much. */
    public static function axis(float $least): float
    {
        if (self::metric()) {
            $ten = 10.0 ** floor(log10($least));

            return $ten * ($least <= $ten * (1.0 + 1e-9) ? 1.0 : ($least <= 2.0 * $ten ? 2.0 : ($least <= 5.0 * $ten ? 5.0 : 10.0)));
        }
        foreach (self::INCHES as $inches) {
            if ($inches * Inches::MM >= $least * (1.0 - 1e-9)) {
                return $inches * Inches::MM;
            }
        }

        return ceil($least / (1200.0 * Inches::MM)) * 1200.0 * Inches::MM;
    }

    /** The bar on a print, by which it is measured before anything is cut: 100 mm, or 4". */
    public static function printBar(): float
    {
        return self::metric() ? 100.0 : 4.0 * Inches::MM;
    }

    private static function metric(): bool
    {
        return UnitsInUse::current() === Units::Metric;
    }
}
