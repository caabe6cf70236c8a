<?php

declare(strict_types=1);

namespace Tests;

/** Reads the files under tests/fixtures. */
final class Fixtures
{
    public static function text(string $file): string
    {
        return (string) file_get_contents(__DIR__.'/fixtures/'.$file);
    }

    /** @return array<string, mixed> */
    public static function json(string $file): array
    {
        return json_decode(self::text($file), true, 512, JSON_THROW_ON_ERROR);
    }

    /** @return list<array<string, mixed>> the cases of one group of single formulas */
    public static function vectors(string $group): array
    {
        return self::json('vectors.json')[$group];
    }
}
