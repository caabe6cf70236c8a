<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

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
     * Fields are parted by the comma, semicolon or tab that the first line has most of; empty lines are passed over.
     *
     * @return array{head: list<string>, rows: array<int, list<string>>} names of columns in small letters; line → its cells
     */
    public static function read(string $text): array
    {
        $lines = preg_split('/\R/', trim(str_starts_with($text, self::BYTE_ORDER_MARK) ? substr($text, 3) : $text)) ?: [''];
        $more = fn (string $best, string $mark): string => substr_count($lines[0], $mark) > substr_count($lines[0], $best) ? $mark : $best;
        $mark = array_reduce([';', "\t"], $more, ',');
        $cells = fn (string $line): array => array_map(
            fn (?string $cell): string => trim((string) $cell),
            str_getcsv($line, $mark, '"', ''),
        );
        $rows = [];
        foreach (array_slice($lines, 1, preserve_keys: true) as $k => $line) {
            if (trim($line) !== '') {
                $rows[$k + 1] = $cells($line);
            }
        }

        return ['head' => array_map(mb_strtolower(...), $cells($lines[0])), 'rows' => $rows];
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
