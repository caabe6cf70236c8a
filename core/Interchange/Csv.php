<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use RuntimeException;

/** Tables as CSV (RFC 4180): written with commas and CR LF, read with whatever parts their first line. */
final class Csv
{
    private const BYTE_ORDER_MARK = "\xEF\xBB\xBF";

    /**
     * @param  list<string>  $head
     * @param  list<list<string|int|float>>  $rows
     */
    public static function write(array $head, array $rows): string
    {
        $line = fn (array $cells): string => implode(',', array_map(self::cell(...), $cells))."\r\n";

        return implode('', array_map($line, [$head, ...$rows]));
    }

    /**
     * Fields are parted by the comma, semicolon or tab that the first line has most of; quoted ones may hold breaks; empty lines are
     * passed over. What is no UTF-8 is taken for what spreadsheets wrote before it.
     *
     * @return array{head: list<string>, rows: array<int, list<string>>} names of columns in small letters; line → its cells
     */
    public static function read(string $text): array
    {
        $text = str_starts_with($text, self::BYTE_ORDER_MARK) ? substr($text, 3) : $text;
        $text = ltrim(mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252'));
        $first = (string) strtok($text, "\r\n");
        $more = fn (string $best, string $mark): string => substr_count($first, $mark) > substr_count($first, $best) ? $mark : $best;
        $mark = array_reduce([';', "\t"], $more, ',');
        $file = fopen('php://temp', 'w+b') ?: throw new RuntimeException('no room to read a table');
        fwrite($file, (string) preg_replace('/\R/u', "\n", $text));
        rewind($file);
        $all = [];
        for ($line = 1; ($cells = fgetcsv($file, null, $mark, '"', '')) !== false; $line += 1 + $breaks) {
            $cells = array_map(fn (?string $cell): string => (string) $cell, $cells);
            $breaks = substr_count(implode('', $cells), "\n");
            $all[$line] = array_map(trim(...), $cells);
        }
        fclose($file);
        $head = array_map(mb_strtolower(...), $all[1] ?? ['']);
        unset($all[1]);

        return ['head' => $head, 'rows' => array_filter($all, fn (array $cells): bool => implode('', $cells) !== '')];
    }

    private static function cell(string|int|float $value): string
    {
        $text = (string) $value;
        // A cell that a table program would take for a formula is kept as words.
        if (is_string($value) && ! is_numeric($value) && preg_match('/^[=+\-@\t]/', $text) === 1) {
            $text = "'".$text;
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
