<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

/** Rows as CSV by RFC 4180: commas, lines ended by CR LF, quotes where they are needed. */
final class CsvText
{
    /**
     * @param list<string> $head
     * @param list<list<string|int|float>> $rows
     */
    public static function of(array $head, array $rows): string
    {
        $line = fn (array $cells): string => implode(',', array_map(self::cell(...), $cells))."\r\n";

        return implode('', array_map($line, [$head, ...$rows]));
    }

    private static function cell(string|int|float $value): string
    {
        $text = (string) $value;
        // A cell that a table program would take for a formula is kept as words.
        if (is_string($value) && preg_match('/^[=+\-@\t]/', $text) === 1) {
            $text = "'".$text;
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
