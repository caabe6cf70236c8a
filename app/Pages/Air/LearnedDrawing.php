<?php

declare(strict_types=1);

namespace App\Pages\Air;

use IdleRidge\Core\Cure\LearnedFactor;
use IdleRidge\Core\Interchange\Svg;

/** How long something takes against its figures, from half to twice as long: a bar from 10 to 90 %, a dot at the middle. */
final class LearnedDrawing
{
    public static function of(LearnedFactor $learned): Svg
    {
        $x = fn (float $factor): float => max(3.0, min(117.0, 60.0 + 40.0 * log($factor, 2.0)));
        $svg = new Svg(120.0, 20.0, '', ['class' => 'learned-mini', 'width' => 120, 'height' => 20, 'aria-hidden' => 'true']);
        foreach ([0.5, 1.0, 2.0] as $factor) {
            $svg->line($factor === 1.0 ? 'datum' : 'doubling', $x($factor), 2.0, $x($factor), 18.0);
        }

        return $svg
            ->rect('learned-bar', $x($learned->factor(0.1)), 7.0, $x($learned->factor(0.9)) - $x($learned->factor(0.1)), 6.0)
            ->circle('learned-dot', $x($learned->factor(0.5)), 10.0, 4.0);
    }
}
