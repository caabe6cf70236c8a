<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Measure\Scale;

/** Fibre as grass: colours by weight, and how high it stands outdoors. */
final readonly class GrassMix
{
    /** Up to which height outdoors grass is called so, m: on a person of middle height. */
    private const WORDS = [
        [0.12, 'mown'], [0.22, 'ankle-high'], [0.32, 'shin-high'], [0.6, 'knee-high'], [1.05, 'waist-high'], [1.45, 'breast-high'],
    ];

    /** @param  non-empty-array<string, float>  $parts colour → parts by weight */
    public function __construct(public array $parts)
    {
    }

    /** @return array<string, float> colour → g of so much in all */
    public function weighed(float $grams): array
    {
        $all = array_sum($this->parts);

        return array_map(fn (float $parts): float => ($grams * $parts) / $all, $this->parts);
    }

    /** How high fibres of a length stand outdoors, m. */
    public static function outdoors(float $mm, Scale $scale): float
    {
        return $scale->toPrototype($mm) / 1000.0;
    }

    public static function word(float $metres): string
    {
        foreach (self::WORDS as [$upTo, $word]) {
            if ($metres <= $upTo) {
                return $word;
            }
        }

        return 'over one’s head';
    }
}
