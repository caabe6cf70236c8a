<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

use DateTimeImmutable;

/** A day of the calendar as files and forms name it: 2026-10-14. */
final class Day
{
    public const FIRST_YEAR = 2000;

    public const LAST_YEAR = 2199;

    /** @throws InvalidValue when it is none, or in a year in which nobody builds */
    public static function of(string $text, string $place): DateTimeImmutable
    {
        $read = DateTimeImmutable::createFromFormat('!Y-m-d', $text);
        if ($read === false || $read->format('Y-m-d') !== $text) {
            throw new InvalidValue(
                $text === '' ? 'A date is missing; type it as 2026-10-14.' : "“{$text}” is not a date; type it as 2026-10-14.",
                $place,
            );
        }
        if ((int) $read->format('Y') < self::FIRST_YEAR || (int) $read->format('Y') > self::LAST_YEAR) {
            throw new InvalidValue('The year lies between '.self::FIRST_YEAR.' and '.self::LAST_YEAR.'.', $place);
        }

        return $read;
    }
}
