<?php

declare(strict_types=1);

namespace Tests;

use BackedEnum;
use Closure;
use DateTimeZone;

/**
 * Anything that was computed, told short: values by their fields, long lists of numbers by their sums and where in them these lie, so that
 * a change of the last digit anywhere shows.
 */
final class Digest
{
    private const SHORT_LIST = 6;

    private const SHORT_TEXT = 160;

    public static function of(mixed $value): mixed
    {
        return match (true) {
            $value instanceof BackedEnum => $value->value,
            $value instanceof Closure, $value instanceof DateTimeZone => null,
            is_object($value) => self::of(get_object_vars($value)),
            is_array($value) => self::list($value),
            is_float($value) => self::number($value),
            is_string($value) => self::text($value),
            default => $value,
        };
    }

    /**
     * Where two digests differ, as a path, or null.
     *
     * @param  float  $tolerance of a number, relative
     */
    public static function difference(mixed $was, mixed $is, string $at = '', float $tolerance = 1e-6): ?string
    {
        if (is_array($was) && is_array($is)) {
            foreach (array_keys($was + $is) as $key) {
                if (! array_key_exists($key, $was) || ! array_key_exists($key, $is)) {
                    return "{$at}/{$key}: ".(array_key_exists($key, $was) ? 'gone' : 'new');
                }
                $found = self::difference($was[$key], $is[$key], "{$at}/{$key}", $tolerance);
                if ($found !== null) {
                    return $found;
                }
            }

            return null;
        }
        if ((is_float($was) || is_int($was)) && (is_float($is) || is_int($is))) {
            return abs($was - $is) <= $tolerance * max(1e-3, abs($was), abs($is)) ? null : "{$at}: {$was} was, {$is} is";
        }

        return $was === $is ? null : "{$at}: ".json_encode($was).' was, '.json_encode($is).' is';
    }

    /** @param  array<mixed>  $list */
    private static function list(array $list): mixed
    {
        $flat = [];
        if (count($list, COUNT_RECURSIVE) > self::SHORT_LIST && self::isOfNumbers($list, $flat)) {
            $sum = $weighed = $squares = 0.0;
            foreach ($flat as $k => $number) {
                $sum += $number;
                $weighed += ($k % 97 + 1) * $number;
                $squares += $number * $number;
            }

            return [
                'count' => count($flat),
                'sum' => self::number($sum),
                'weighed' => self::number($weighed),
                'squares' => self::number($squares),
            ];
        }

        return array_map(self::of(...), $list);
    }

    /**
     * @param  array<mixed>  $list
     * @param  list<float>  $flat
     */
    private static function isOfNumbers(array $list, array &$flat): bool
    {
        foreach ($list as $key => $value) {
            if (is_string($key)) {
                return false;
            }
            if (is_array($value)) {
                if (! self::isOfNumbers($value, $flat)) {
                    return false;
                }
            } elseif (is_int($value) || is_float($value)) {
                $flat[] = (float) $value;
            } else {
                return false;
            }
        }

        return true;
    }

    /** A long text by its length and the numbers in it, which may differ in their last digit from machine to machine. */
    private static function text(string $text): mixed
    {
        if (strlen($text) <= self::SHORT_TEXT) {
            return $text;
        }
        preg_match_all('/-?\d+(?:\.\d+)?(?:[eE][-+]?\d+)?/', $text, $found);

        return [
            'words' => sha1((string) preg_replace('/[-+\d.eE]+/', '', $text)),
            'numbers' => self::list(array_map(floatval(...), $found[0])),
        ];
    }

    private static function number(float $number): float
    {
        return abs($number) < 1e-9 ? 0.0 : (float) sprintf('%.9g', $number);
    }
}
