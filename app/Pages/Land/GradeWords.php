<?php

declare(strict_types=1);

namespace App\Pages\Land;

/** A grade in words: sign and one decimal, or level. */
final class GradeWords
{
    public static function of(float $percent): string
    {
        return abs($percent) < 0.05 ? 'level' : sprintf('%+.1f %%', $percent);
    }
}
