<?php

declare(strict_types=1);

namespace App\Pages\Words;

use IdleRidge\Core\Cure\LearnedFactor;
use IdleRidge\Core\Measure\Decimal;

/** What was learned of a recipe's times in a room, in words. */
final class LearnedWords
{
    /** Closer to its figures than this it is as good as they are, share. */
    private const SAME_SHARE = 0.05;

    public static function of(LearnedFactor $learned, string $recipe, string $room): string
    {
        if ($learned->cases === 0) {
            return '';
        }
        $factor = exp($learned->mean);
        $seen = $learned->cases === 1 ? 'seen once' : "seen {$learned->cases} times";

        return abs($factor - 1.0) < self::SAME_SHARE
            ? "{$recipe} takes its figures’ time in {$room} ({$seen})"
            : "{$recipe} takes ".Decimal::trimmed($factor, 2)." of its figures’ time in {$room} ({$seen})";
    }
}
