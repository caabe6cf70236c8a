<?php

declare(strict_types=1);

namespace App\Devices;

use IdleRidge\Core\Measure\InvalidValue;

/** A scale that answers `GET address` with a line of text for each reading, the newest last: `  123.4 g`; kg and oz are understood. */
final class HttpBenchScale implements BenchScale
{
    private const GRAMS = ['g' => 1.0, 'kg' => 1000.0, 'oz' => 28.349523125];

    public function grams(string $address): float
    {
        $lines = preg_split('/\R/', trim(self::house()->text($address))) ?: [''];

        return self::read((string) end($lines));
    }

    /** @throws InvalidValue for an address that is not in the house */
    public static function allowed(string $address): string
    {
        return self::house()->allowed($address);
    }

    /** @throws InvalidValue */
    public static function read(string $line): float
    {
        if (preg_match('/(-?)\s*(\d{1,6}(?:[.,]\d{1,4})?)\s*(g|kg|oz)?\s*$/i', $line, $found) !== 1) {
            throw new InvalidValue('What the scale says cannot be read: it should be a line such as 123.4 g.', 'scale');
        }
        $grams = (float) str_replace(',', '.', $found[2]) * self::GRAMS[strtolower($found[3] ?? 'g')];

        return $found[1] === '-' ? -$grams : $grams;
    }

    private static function house(): HouseAddress
    {
        return new HouseAddress('A scale', 'http://127.0.0.1:8090/scale', 'scale', 2);
    }
}
