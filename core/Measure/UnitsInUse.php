<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/**
 * The units that are read and written at the moment, as a locale is: those of the layout that is open. What is shown or typed
 * asks here; nothing that is computed does.
 */
final class UnitsInUse
{
    private static Units $units = Units::Metric;

    public static function current(): Units
    {
        return self::$units;
    }

    public static function areMetric(): bool
    {
        return self::$units === Units::Metric;
    }

    public static function become(Units $units): void
    {
        self::$units = $units;
    }

    /**
     * What is done in between reads and writes in these units, whatever was in use before.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    public static function during(Units $units, callable $do): mixed
    {
        $before = self::$units;
        self::$units = $units;
        try {
            return $do();
        } finally {
            self::$units = $before;
        }
    }
}
