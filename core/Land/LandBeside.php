<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use Closure;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;

/** Where beside a run the land comes over its rails: looked for coarsely, then closed in upon. */
final class LandBeside
{
    private const STEP_MM = 2.0;

    private const EXACT_MM = 0.001;

    /**
     * The least offset from `$from` to `$to`, to one side, at which the land stands over the top of the rails, mm; null where it does
     * nowhere, or where that lies off the board.
     */
    public static function firstOverRails(LandModel $model, Run $run, float $station, Side $side, float $from, float $to): ?float
    {
        $top = $run->grade->heightAt($station) + $run->profile->railTop();
        $clear = null;
        $under = 0.0;
        for ($k = 0; $from + ($k - 1) * self::STEP_MM < $to && $from < $to; $k++) {
            $away = min($to, $from + $k * self::STEP_MM);
            $over = self::over($model, $run, $station, $side->offset($away), $top);
            if ($over === null) {
                return null;
            }
            if ($over > 0.0) {
                if ($clear !== null) {
                    $away = self::edge(
                        fn (float $out): ?float => self::over($model, $run, $station, $side->offset($out), $top),
                        $clear,
                        $away,
                        $under,
                        $over,
                    );
                }

                return $away < $to ? $away : null;
            }
            [$clear, $under] = [$away, $over];
        }

        return null;
    }

    /**
     * Where it comes over, from an offset at which it is not to one at which it is. Slopes are straight mostly, so it is looked for first
     * where a straight one comes over.
     *
     * @param  Closure(float): ?float  $over
     */
    private static function edge(Closure $over, float $clear, float $away, float $under, float $height): float
    {
        $straight = $clear + (($away - $clear) * $under) / ($under - $height);
        [$before, $after] = [max($clear, $straight - self::EXACT_MM / 2.0), min($away, $straight + self::EXACT_MM / 2.0)];
        if ($over($after) > 0.0) {
            $away = $after;
            if ($over($before) <= 0.0) {
                return $away;
            }
        }
        while ($away - $clear > self::EXACT_MM) {
            $middle = ($clear + $away) / 2.0;
            [$clear, $away] = $over($middle) > 0.0 ? [$clear, $middle] : [$middle, $away];
        }

        return $away;
    }

    /** How far the land stands over the rails there, mm, below zero where it does not; null off the board. */
    private static function over(LandModel $model, Run $run, float $station, float $offset, float $top): ?float
    {
        $p = $run->alignment->beside($station, $offset);

        return $p->x < 0.0 || $p->x > $model->width || $p->y < 0.0 || $p->y > $model->depth ? null : $model->heightAt($p->x, $p->y) - $top;
    }
}
