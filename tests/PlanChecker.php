<?php

declare(strict_types=1);

namespace Tests;

use IdleRidge\Core\Schedule\Problem;

/** Holds a plan against its problem, minute by minute and straight from the file: it shares no code with the solver. */
final class PlanChecker
{
    /**
     * The same for a problem that was made, with hands that come and go and tools that are kept.
     *
     * @param  array<string, int>  $starts
     * @return list<string> what is wrong
     */
    public static function faultsOf(Problem $problem, array $starts): array
    {
        $faults = array_map(
            fn (string $id): string => "{$id} is not planned",
            array_map('strval', array_keys(array_diff_key($problem->jobs, $starts))),
        );
        $hands = $there = $tools = [];
        foreach ($problem->sessions as $k => [$from, $to]) {
            foreach ($problem->steps[$k] as $s => [$begin, $count]) {
                for ($minute = $begin; $minute < ($problem->steps[$k][$s + 1][0] ?? $to); $minute++) {
                    $there[$minute] = $count;
                }
            }
        }
        foreach ($starts as $id => $start) {
            $job = $problem->jobs[$id];
            $end = $start + $job->minutes;
            for ($minute = $start; $minute < $end; $minute++) {
                $hands[$minute] = ($hands[$minute] ?? 0) + $job->demand;
                if ($hands[$minute] > ($there[$minute] ?? 0)) {
                    $faults[] = "too few hands for {$id} at {$minute}";
                }
            }
            foreach ($job->tools as $tool) {
                for ($minute = $start; $minute < (isset($job->holds[$tool]) ? $job->holds[$tool]->earliest($end) : $end); $minute++) {
                    $tools[$tool][$minute] = ($tools[$tool][$minute] ?? 0) + 1;
                    if ($tools[$tool][$minute] > $problem->tools[$tool]) {
                        $faults[] = "too few {$tool} for {$id} at {$minute}";
                    }
                }
            }
        }
        foreach ($problem->waits as $wait) {
            $gap = $starts[$wait->before] - $starts[$wait->after] - $problem->jobs[$wait->after]->minutes;
            if ($gap < $wait->gap->least() || ($wait->max !== null && $gap > $wait->max)) {
                $faults[] = "{$wait->before} follows {$wait->after} after {$gap}";
            }
        }
        foreach ($problem->apart as [$a, $b]) {
            [$one, $two] = $starts[$a] < $starts[$b] ? [$a, $b] : [$b, $a];
            if ($starts[$two] < $starts[$one] + $problem->jobs[$one]->minutes + $problem->jobs[$one]->clear) {
                $faults[] = "{$one} and {$two} are not apart";
            }
        }

        return array_values(array_unique($faults));
    }

    /**
     * @param  array<string, mixed>  $problem as in the file
     * @param  array<string, int>  $starts
     * @return list<string> what is wrong
     */
    public static function faults(array $problem, array $starts): array
    {
        $faults = [];
        $jobs = array_column($problem['jobs'], null, 'id');
        if (array_diff(array_keys($jobs), array_keys($starts)) !== [] || count($starts) !== count($jobs)) {
            return ['not every job stands in the plan'];
        }
        $ends = [];
        $load = [];
        foreach ($starts as $id => $start) {
            $ends[$id] = $start + $jobs[$id]['minutes'];
            $inside = array_filter($problem['sessions'], fn (array $s): bool => $s[0] <= $start && $ends[$id] <= $s[1]);
            if ($inside === []) {
                $faults[] = "{$id} lies in no session";
            }
            for ($minute = $start; $minute < $ends[$id]; $minute++) {
                $load[$minute]['hands'] = ($load[$minute]['hands'] ?? 0) + $jobs[$id]['hands'];
                foreach ($jobs[$id]['tools'] as $tool) {
                    $load[$minute][$tool] = ($load[$minute][$tool] ?? 0) + 1;
                }
            }
        }
        $most = ['hands' => $problem['hands']] + $problem['tools'];
        foreach ($load as $minute => $uses) {
            foreach ($uses as $what => $count) {
                if ($count > $most[$what]) {
                    $faults[] = "too many {$what} at {$minute}";
                }
            }
        }
        foreach ($problem['waits'] as $wait) {
            $gap = $starts[$wait['before']] - $ends[$wait['after']];
            if ($gap < $wait['min'] || ($wait['max'] !== null && $gap > $wait['max'])) {
                $faults[] = "{$wait['before']} follows {$wait['after']} after {$gap}";
            }
        }
        foreach ($problem['apart'] as [$a, $b]) {
            if ($starts[$a] < $ends[$b] && $starts[$b] < $ends[$a]) {
                $faults[] = "{$a} overlaps {$b}";
            }
        }

        return $faults;
    }
}
