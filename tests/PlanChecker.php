<?php

declare(strict_types=1);

namespace Tests;

/** Holds a plan against its problem, minute by minute and straight from the file: it shares no code with the solver. */
final class PlanChecker
{
    /**
     * @param array<string, mixed> $problem as in the file
     * @param array<string, int> $starts
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
