<?php

declare(strict_types=1);

namespace App\Pages\Drawing;

use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Plan\DryingState;

/** One ring in five conditions; always followed by its word. */
final class StateMarks
{
    private const RING = '<circle cx="8" cy="8" r="5.6" fill="none" stroke="currentColor" stroke-width="1.5"/>';

    private static function body(DryingState $state): string
    {
        return match ($state) {
            DryingState::Bare => self::RING,
            DryingState::Wet => self::RING.
                '<path fill="currentColor" d="M2.5 8.4c1-1.5 2-1.5 3-.2s2 1.3 3 0 2-1.3 2.7-.4 1.5.8 2.3-.2A5.6 5.6 0 0 1 2.5 8.4z"/>',
            DryingState::Setting => self::RING.
                '<path d="M4.3 11.2 11.2 4.3M3.3 8.2 8.2 3.3M7.8 12.7l4.9-4.9" stroke="currentColor" stroke-width="1.25"/>',
            DryingState::Ready => '<path fill="currentColor" d="M5.7 2.05 8 7.2l2.3-5.15a6.35 6.35 0 1 1-4.6 0z"/>',
            DryingState::Blocked => '<circle cx="6.6" cy="8" r="4.9" fill="none" stroke="currentColor" '
                .'stroke-width="1.5"/><path d="M13.6 1.8v12.4" stroke="currentColor" stroke-width="2.4"/>',
        };
    }

    public static function html(DryingState $state): string
    {
        return '<svg class="mk" viewBox="0 0 16 16" aria-hidden="true">'.self::body($state).'</svg>';
    }

    /** The mark 12 units wide with its left upper corner at (x, y). */
    public static function draw(Svg $svg, DryingState $state, float $x, float $y): void
    {
        $svg->open(['class' => "st-{$state->value}", 'transform' => 'translate('.Svg::n($x).' '.Svg::n($y).') scale(.75)'])
            ->raw(self::body($state))
            ->close();
    }
}
