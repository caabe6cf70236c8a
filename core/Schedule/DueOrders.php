<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\Budget;
use Random\Randomizer;

/**
 * Plans that end by a moment, looked for in orders by the latest start that each job then has, with more or less noise in it: where
 * all that is due comes in time by its urgency alone, changes of a plan that ends later seldom get there.
 */
final class DueOrders
{
    /** Noise of the latest starts, minutes, one after the other. */
    private const NOISE = [100, 400, 1000, 2000];

    /**
     * @param  Problem  $problem cut where all has to be done
     * @param  float  $share of the budget that may be spent by then
     * @return array<string, int>|null starts
     */
    public static function plan(Problem $problem, Randomizer $random, Budget $budget, float $share): ?array
    {
        $windows = StartWindows::in($problem);
        if ($windows->impossible !== null) {
            return null;
        }
        $latest = array_map(fn (array $ranges): int => $ranges[count($ranges) - 1][1], $windows->of);
        $generator = new ScheduleGenerator($problem, $windows);
        for ($n = 0; $budget->spent() < $share && $budget->take(); $n++) {
            $noise = self::NOISE[$n % count(self::NOISE)];
            $due = array_map(fn (int $minute): int => $minute + $random->getInt(-$noise, $noise), $latest);
            asort($due);
            $starts = $generator->place(array_map('strval', array_keys($due)), eager: $n % 2 === 1);
            if ($starts !== null) {
                return $starts;
            }
        }

        return null;
    }
}
