<?php

declare(strict_types=1);

namespace Tests;

use IdleRidge\Core\Schedule\ConstantTimeLag;
use IdleRidge\Core\Schedule\Job;
use IdleRidge\Core\Schedule\Precedence;
use IdleRidge\Core\Schedule\Problem;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Work as layouts have it, made by a seed: sections in chains of coats that wait for each other through nights, some with a
 * greatest wait, tools of which there is one, weights that stay on, two pairs of hands on Saturdays.
 */
final class BenchProblems
{
    /** @param  int  $jobs  in so many weeks of five sessions */
    public static function of(int $jobs, int $weeks, int $seed): Problem
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $sessions = $hands = [];
        for ($day = 0; $day < 7 * $weeks; $day++) {
            $week = $day % 7;
            if ($week < 4) {
                $sessions[] = [1440 * $day + 1170, 1440 * $day + 1290];
                $hands[] = 1;
            } elseif ($week === 5) {
                $sessions[] = [1440 * $day + 600, 1440 * $day + 900];
                $hands[] = [[1440 * $day + 600, 1], [1440 * $day + 660, 2]];
            }
        }
        $all = $waits = $apart = $last = [];
        $chains = max(2, intdiv($jobs, 7));
        for ($k = 0; $k < $jobs; $k++) {
            $chain = $k % $chains;
            $tools = match ($random->getInt(0, 9)) {
                0, 1 => ['fibre applicator'],
                2 => ['weights'],
                default => [],
            };
            $minutes = 5 * $random->getInt(1, 9);
            $all[] = new Job(
                "j{$k}",
                $minutes,
                1,
                $tools,
                "s{$chain}",
                holds: $tools === ['weights'] ? ['weights' => new ConstantTimeLag(720, null)] : [],
            );
            if (isset($last[$chain])) {
                $min = [20, 120, 360, 720, 1440][$random->getInt(0, 4)];
                // What must follow soon follows something short, within an evening.
                $waits[] =
                    $min === 20 ? Precedence::of($last[$chain], "j{$k}", 20, 1440) : Precedence::of($last[$chain], "j{$k}", $min);
            }
            if ($k > $chains && $random->getInt(0, 9) === 0) {
                $apart[] = ['j'.$random->getInt(0, $k - 1), "j{$k}"];
            }
            $last[$chain] = "j{$k}";
        }

        return new Problem(1440 * 7 * $weeks, 1, ['fibre applicator' => 1, 'weights' => 2], $sessions, $all, $waits, $apart, $hands);
    }
}
