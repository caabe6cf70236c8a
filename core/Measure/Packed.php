<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/** Long lists of figures in few bytes, to the last digit: what is kept with them is read back many times as fast as digit by digit. */
final class Packed
{
    /** @param  array<float>  $values their keys go */
    public static function floats(array $values): string
    {
        return pack('d*', ...array_values($values));
    }

    /** @return list<float> */
    public static function toFloats(string $packed): array
    {
        return array_values(unpack('d*', $packed) ?: []);
    }

    /** @param  list<int>  $values 0 … 2³² − 1 */
    public static function counts(array $values): string
    {
        return pack('V*', ...$values);
    }

    /** @return list<int> */
    public static function toCounts(string $packed): array
    {
        return array_values(unpack('V*', $packed) ?: []);
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @return array{string, string}
     */
    public static function rings(array $rings): array
    {
        return [self::counts(array_map(count(...), $rings)), self::floats(array_merge(...array_merge(...$rings)))];
    }

    /**
     * @param  array{string, string}  $packed
     * @return list<list<array{float, float}>>
     */
    public static function toRings(array $packed): array
    {
        $points = array_chunk(self::toFloats($packed[1]), 2);
        $rings = [];
        $at = 0;
        foreach (self::toCounts($packed[0]) as $count) {
            $rings[] = array_slice($points, $at, $count);
            $at += $count;
        }

        /** @var list<list<array{float, float}>> $rings */
        return $rings;
    }
}
