<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/**
 * A moment before which no plan can finish. Each job with the least that follows it; and for every set of jobs that have so
 * much following them: the hands there are from the first head on must do all their work before that (after J. Carlier, "The
 * one-machine sequencing problem", 1982, with hands that come and go).
 */
final class LowerBound
{
    /** @param  array<string, int>  $tails least minutes from the start of each job to the end of all that waits for it */
    public static function of(Problem $problem, StartWindows $windows, array $tails): int
    {
        $bound = 0;
        $jobs = [];
        foreach ($problem->jobs as $id => $job) {
            $head = $windows->of[$id][0][0];
            $bound = max($bound, $head + $tails[$id]);
            $jobs[] = [$tails[$id] - $job->minutes, $head, $job->minutes * $job->demand];
        }
        usort($jobs, fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $work = 0;
        $head = PHP_INT_MAX;
        foreach ($jobs as $k => [$tail, $its, $minutes]) {
            $work += $minutes;
            $head = min($head, $its);
            if (($jobs[$k + 1][0] ?? -1) < $tail) {
                $bound = max($bound, self::workedOff($problem, $head, $work) + $tail);
            }
        }

        return $bound;
    }

    /** The first minute by which so much work can be done from a moment on, all hands at it. */
    private static function workedOff(Problem $problem, int $from, int $work): int
    {
        foreach ($problem->sessions as $k => [, $to]) {
            foreach ($problem->steps[$k] as $s => [$begin, $capacity]) {
                $end = $problem->steps[$k][$s + 1][0] ?? $to;
                $begin = max($begin, $from);
                if ($end <= $begin) {
                    continue;
                }
                if ($work <= ($end - $begin) * $capacity) {
                    return $begin + (int) ceil($work / $capacity);
                }
                $work -= ($end - $begin) * $capacity;
            }
        }

        return $problem->horizon;
    }
}
