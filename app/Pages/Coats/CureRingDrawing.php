<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\CoatState;

/**
 * The state mark grown large: from twelve round, wet, setting, and what is left to dry through; the hand is now. The angle
 * follows the square root of time, so that the first hours have room.
 */
final class CureRingDrawing
{
    /** Of what was laid last of a coat; null where nothing was. */
    public static function ofState(BenchPlan $plan, CoatState $state): ?Svg
    {
        $laid = $state->last;
        if ($laid === null) {
            return null;
        }
        $work = $plan->work;
        $end = $work->endOf($laid);
        $reached = fn (Milestone $m): float => $work->reached($laid, $m, $work->certainty()) - $end;
        $at = fn (Milestone $m): float => isset($laid->recipe->cure->minutes[$m->value]) ? $reached($m) : 0.0;

        return self::of(
            $work->now - $end,
            $at(Milestone::TouchDry),
            $at(Milestone::NextCoat),
            $reached(BenchPlan::through($laid->recipe->cure->minutes)),
            "{$laid->title}: {$state->state->value}, ".ClockWords::span($work->now - $end).' since laid',
        );
    }

    /**
     * @param  float  $since minutes since it was laid
     * @param  float  $wet minutes to touch-dry, `$setting` to the next coat, `$through` to dry through
     */
    public static function of(float $since, float $wet, float $setting, float $through, string $label): Svg
    {
        $svg = new Svg(132.0, 132.0, $label, ['class' => 'drawing ring', 'width' => 132, 'height' => 132]);
        $svg->hatch('ring-hatch', 'ring-line', 5.0, 45.0);
        $svg->pattern('ring-wave', 12, 6, (new Svg(0.0, 0.0, ''))->path('ring-wave-line', 'M0 3c2-2 4-2 6 0s4 2 6 0'));
        $angle = fn (float $minutes): float => 2.0 * M_PI * 0.96 * sqrt(max(0.0, min(1.0, $minutes / max(1.0, $through))));
        $band = function (float $from, float $to): string {
            $outer = $inner = [];
            $steps = max(2, (int) ceil(($to - $from) / 0.08));
            for ($k = 0; $k <= $steps; $k++) {
                $a = $from + (($to - $from) * $k) / $steps;
                $outer[] = [66.0 + 58.0 * sin($a), 66.0 - 58.0 * cos($a)];
                $inner[] = [66.0 + 44.0 * sin($a), 66.0 - 44.0 * cos($a)];
            }

            return Svg::d([...$outer, ...array_reverse($inner)], true);
        };
        $svg->path('ring-rest', $band($angle($setting), $angle($through)));
        $svg->path('ring-wet', $band(0.0, $angle($wet)))->path('', $band(0.0, $angle($wet)), ['fill' => 'url(#ring-wave)']);
        $svg->path('ring-setting', $band($angle($wet), $angle($setting)))->path('', $band($angle($wet), $angle($setting)), [
            'fill' => 'url(#ring-hatch)',
        ]);
        $svg->path('ring-notch', 'M60 4H72L66 20Z');
        $now = $angle($since);
        $svg->line('ring-hand', 66.0 + 38.0 * sin($now), 66.0 - 38.0 * cos($now), 66.0 + 62.0 * sin($now), 66.0 - 62.0 * cos($now));

        return $svg
            ->text('ring-figure', 66.0, 68.0, ClockWords::span($since), 'middle')
            ->text('note small', 66.0, 84.0, 'since laid', 'middle');
    }
}
