<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use DateTimeImmutable;
use DateTimeZone;
use Exception;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;

/**
 * What a thermometer with a memory gives away: a table with a time, °C or °F and % relative humidity, fields parted by comma,
 * semicolon or tab. Times without an offset are local to the layout.
 */
final class AirFile
{
    private const COLUMNS = [
        'time' => ['time', 'at', 'date', 'datetime', 'timestamp', 'moment'],
        'temperature' => ['temperature_c', 'temperature_f', 'temperature', 'temp', 't', 'c', '°c', 'f', '°f'],
        'humidity' => ['humidity_percent', 'humidity', 'rh', 'h', '%', '% rh'],
    ];

    /** More faults than this are no help. */
    private const MAX_FAULTS = 8;

    private const MAX_READINGS = 200_000;

    /**
     * @throws InvalidValues naming every row that cannot be read or stands out of order; then nothing is taken
     */
    public static function read(string $text, DateTimeZone $zone): AirLog
    {
        if (substr_count($text, "\n") > self::MAX_READINGS) {
            throw new InvalidValues([new InvalidValue('More than '.self::MAX_READINGS.' lines: take the last weeks.', 'line 1')]);
        }
        ['head' => $head, 'rows' => $rows] = Csv::read($text);
        $at = [];
        foreach (self::COLUMNS as $column => $names) {
            $found =
                array_values(array_intersect($names, $head))[0] ??
                throw new InvalidValues([
                    new InvalidValue("The first line names the columns; {$names[0]} has to be among them.", 'line 1'),
                ]);
            $at[$column] = (int) array_search($found, $head, true);
        }
        $fahrenheit = in_array($head[$at['temperature']], ['temperature_f', 'f', '°f'], true);
        $readings = $faults = [];
        $last = null;
        foreach ($rows as $line => $cells) {
            try {
                $reading = self::reading($cells, $at, $zone, "line {$line}", $fahrenheit);
                if ($last !== null && $reading[0] <= $last[0]) {
                    throw new InvalidValue(
                        $reading[0] === $last[0]
                            ? "It has the same minute as line {$last[1]}."
                            : "It is earlier than line {$last[1]}: the lines have to be in order.",
                        "line {$line}",
                    );
                }
                $last = [$reading[0], $line];
                $readings[] = $reading;
            } catch (InvalidValue $refusal) {
                $faults[] = $refusal;
                if (count($faults) === self::MAX_FAULTS) {
                    break;
                }
            }
        }
        if ($faults !== []) {
            throw new InvalidValues($faults);
        }
        if ($readings === []) {
            throw new InvalidValues([new InvalidValue('There is no reading in it.', 'line 2')]);
        }

        return AirLog::of($readings);
    }

    /**
     * @param  list<string|null>  $cells
     * @param  array<string, int>  $at
     * @return array{int, float, float}
     */
    private static function reading(array $cells, array $at, DateTimeZone $zone, string $line, bool $fahrenheit): array
    {
        $time = trim((string) ($cells[$at['time']] ?? ''));
        try {
            $moment =
                preg_match('/\d{4}-\d{2}-\d{2}[T ]\d{1,2}:\d{2}/', $time) === 1
                    ? new DateTimeImmutable($time, $zone)
                    : throw new Exception();
        } catch (Exception) {
            throw new InvalidValue($time === '' ? 'The time is missing.' : "“{$time}” is not a time such as 2026-10-14 18:30.", $line);
        }
        $number = function (string $column, string $what) use ($cells, $at, $line): float {
            $text = str_replace(',', '.', trim((string) ($cells[$at[$column]] ?? '')));

            return is_numeric($text)
                ? (float) $text
                : throw new InvalidValue($text === '' ? ucfirst("{$what} is missing.") : "“{$text}” is no number for {$what}.", $line);
        };
        [$temperature, $humidity] = [$number('temperature', 'the temperature'), $number('humidity', 'the humidity')];
        $temperature = $fahrenheit ? Amount::convert($temperature, '°F', '°C') : $temperature;
        try {
            new Climate($temperature, $humidity);
        } catch (InvalidValue $refusal) {
            throw new InvalidValue($refusal->getMessage(), $line);
        }

        return [intdiv($moment->getTimestamp(), 60), $temperature, $humidity];
    }
}
