<?php

declare(strict_types=1);

namespace App\Drawing;

use IdleRidge\Core\Cure\Learned;
use IdleRidge\Core\Measure\Length;

/** What was learned of a recipe's times in a room, in words. */
final class LearnedWords
{
    /** Closer to its figures than this it is as good as they are, share. */
    private const ALIKE = 0.05;

    public static function of(Learned $learned, string $recipe, string $room): string
    {
        if ($learned->cases === 0) {
            return '';
        }
        $factor = exp($learned->mean);
        $seen = $learned->cases === 1 ? 'seen once' : "seen {$learned->cases} times";

        return abs($factor - 1.0) < self::ALIKE
            ? "{$recipe} takes its figures’ time in {$room} ({$seen})"
            : "{$recipe} takes ".Length::decimal($factor, 2)." of its figures’ time in {$room} ({$seen})";
    }
}
