<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use IdleRidge\Core\Interchange\Svg;

/** What is left of a drying, small: even to the 50 % time, a tick, then a taper to 90 %. Each tick of the axis doubles the time. */
final class DryingTailDrawing
{
    /** The first tick stands at a quarter of an hour. */
    private const FIRST = 15.0;

    private const STEP = 15.3;

    public static function of(float $half, float $most, string $state): Svg
    {
        $x = fn (float $minutes): float => max(2.0, min(100.0, 10.0 + self::STEP * log(max(1.0, $minutes) / self::FIRST, 2.0)));
        $svg = new Svg(104.0, 16.0, '', ['class' => 'tail-mini', 'width' => 104, 'height' => 16, 'aria-hidden' => 'true']);
        $svg->line('datum', 0.0, 15.5, 104.0, 15.5);
        for ($k = 0; $k < 7; $k++) {
            $svg->line('doubling', 10.0 + self::STEP * $k, 12.0, 10.0 + self::STEP * $k, 16.0);
        }
        [$a, $b] = [$x($half), max($x($half) + 2.0, $x($most))];

        return $svg
            ->path("tail-fill st-{$state}", Svg::d([[0.0, 4.5], [$a, 4.5], [$b, 7.0], [$a, 9.5], [0.0, 9.5]], true))
            ->line("tail-half st-{$state}", $a, 1.0, $a, 13.0);
    }
}
