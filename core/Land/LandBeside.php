<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Track\Run;

/** Where beside a run the land comes over its rails: looked for coarsely, then closed in upon. */
final class LandBeside
{
    private const STEP = 2.0;

    private const EXACT = 0.001;

    /**
     * The least offset from `$from` to `$to`, to one side, at which the land stands over the top of the rails, mm; null where it does
     * nowhere, or where that lies off the board.
     */
    public static function firstOverRails(LandModel $model, Run $run, float $station, bool $left, float $from, float $to): ?float
    {
        $top = $run->grade->heightAt($station) + $run->profile->railTop();
        $clear = null;
        for ($k = 0; $from + ($k - 1) * self::STEP < $to && $from < $to; $k++) {
            $away = min($to, $from + $k * self::STEP);
            $above = self::isOver($model, $run, $station, $left ? $away : -$away, $top);
            if ($above === null) {
                return null;
            }
            if ($above) {
                while ($clear !== null && $away - $clear > self::EXACT) {
                    $middle = ($clear + $away) / 2.0;
                    [$clear, $away] = self::isOver($model, $run, $station, $left ? $middle : -$middle, $top) === true ? [$clear, $middle] : [$middle, $away];
                }

                return $away < $to ? $away : null;
            }
            $clear = $away;
        }

        return null;
    }

    /** Null off the board. */
    private static function isOver(LandModel $model, Run $run, float $station, float $offset, float $top): ?bool
    {
        $p = $run->alignment->beside($station, $offset);

        return $p->x < 0.0 || $p->x > $model->width || $p->y < 0.0 || $p->y > $model->depth ? null : $model->heightAt($p->x, $p->y) > $top;
    }
}
