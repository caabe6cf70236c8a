<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Plans by trying orders of priority: the listed one, those by the work that still follows, and then changes of the best,
 * accepted now and then though worse (simulated annealing: S. Kirkpatrick et al., Science 220, 1983), within a budget of
 * time. A plan is always valid; that there is none is only said when it is proven.
 */
final class Solver
{
    public static function solve(Problem $problem, float $seconds = 2.0, int $seed = 1, int $steps = PHP_INT_MAX): Timetable
    {
        $order = $problem->inOrder();
        if ($order === null) {
            return new Timetable('infeasible', null, 0, [], 'Jobs wait for each other in a circle.');
        }
        $windows = Windows::in($problem);
        if ($windows->impossible !== null) {
            return new Timetable('infeasible', null, 0, [], $windows->impossible);
        }
        if ($problem->jobs === []) {
            return new Timetable('optimal', 0, 0, []);
        }
        $bound = self::lowerBound($problem, $windows);
        $best = self::search($problem, new Generator($problem, $windows), $order, $bound, $seconds, $seed, $steps);
        if ($best === null) {
            return new Timetable('unknown', null, $bound, [], 'No plan was found; that there is none is not proven.');
        }
        ksort($best);
        $finish = self::finish($problem, $best);

        return new Timetable($finish === $bound ? 'optimal' : 'feasible', $finish, $bound, $best);
    }

    /**
     * Where not everything finds a place: as much as does, the listed order first.
     *
     * @return array<string, int>
     */
    public static function most(Problem $problem): array
    {
        $windows = Windows::alone($problem);
        $order = $problem->inOrder() ?? [];
        $starts = (new Generator($problem, $windows))->place($order, most: true) ?? [];
        ksort($starts);

        return $starts;
    }

    /** @param  array<string, int>  $starts */
    public static function finish(Problem $problem, array $starts): int
    {
        $finish = 0;
        foreach ($starts as $id => $start) {
            $finish = max($finish, $start + $problem->jobs[$id]->minutes);
        }

        return $finish;
    }

    /**
     * @param list<string> $listed
     * @return array<string, int>|null
     */
    private static function search(Problem $problem, Generator $generator, array $listed, int $bound, float $seconds, int $seed, int $steps): ?array
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $until = hrtime(true) + (int) ($seconds * 1e9);
        $tails = self::tails($problem, $listed);
        $byTail = $listed;
        usort($byTail, fn (string $a, string $b): int => $tails[$b] <=> $tails[$a]);
        $best = null;
        $bestCost = INF;
        $current = $byTail;
        $currentCost = INF;
        foreach ([array_keys($problem->jobs), $listed, $byTail] as $order) {
            $order = array_map('strval', $order);
            $starts = $generator->place($order);
            $cost = self::cost($problem, $starts);
            if ($cost < $bestCost) {
                [$best, $bestCost, $current, $currentCost] = [$starts, $cost, $order, $cost];
            }
        }
        $heat = 0.02;
        for ($step = 0; $step < $steps && hrtime(true) < $until && ($best === null || self::finish($problem, $best) > $bound); $step++) {
            if ($step % 400 === 399) {
                // A fresh beginning, urgent work first but for chance.
                $current = $byTail;
                $urgency = array_map(fn (int $tail): float => $tail * (0.6 + 0.8 * self::chance($random)), $tails);
                usort($current, fn (string $a, string $b): int => $urgency[$b] <=> $urgency[$a]);
                $currentCost = INF;
                $heat = 0.02;
            }
            $trial = self::changed($current, $random);
            $starts = $generator->place($trial);
            $cost = self::cost($problem, $starts);
            if ($cost <= $currentCost || ($cost < INF && self::chance($random) < exp(($currentCost - $cost) / ($heat * $currentCost)))) {
                [$current, $currentCost] = [$trial, $cost];
            }
            if ($cost < $bestCost) {
                [$best, $bestCost] = [$starts, $cost];
            }
            $heat *= 0.99;
        }

        return $best;
    }

    /** 0 … 1 */
    private static function chance(Randomizer $random): float
    {
        return $random->getInt(0, 1_000_000) / 1_000_000;
    }

    /**
     * @param list<string> $order
     * @return list<string>
     */
    private static function changed(array $order, Randomizer $random): array
    {
        $moves = $random->getInt(1, 3);
        for ($k = 0; $k < $moves; $k++) {
            $from = $random->getInt(0, count($order) - 1);
            [$job] = array_splice($order, $from, 1);
            array_splice($order, $random->getInt(0, count($order)), 0, [$job]);
        }

        return $order;
    }

    /** @param  array<string, int>|null  $starts  finish, and among equals the earlier starts on average */
    private static function cost(Problem $problem, ?array $starts): float
    {
        return $starts === null ? INF : self::finish($problem, $starts) + 1e-3 * array_sum($starts) / count($starts);
    }

    /**
     * The least time from the start of each job to the end of all that waits for it.
     *
     * @param list<string> $order
     * @return array<string, int>
     */
    private static function tails(Problem $problem, array $order): array
    {
        $tails = [];
        foreach (array_reverse($order) as $id) {
            $follows = 0;
            foreach ($problem->waits as $wait) {
                if ($wait->after === $id) {
                    $follows = max($follows, $wait->gap->least() + $tails[$wait->before]);
                }
            }
            $tails[$id] = (int) ($problem->jobs[$id]->minutes + $follows);
        }

        return $tails;
    }

    /** No plan can finish earlier: each job's first window, and the hands there are for all the work. */
    private static function lowerBound(Problem $problem, Windows $windows): int
    {
        $bound = 0;
        $work = 0;
        foreach ($problem->jobs as $id => $job) {
            $bound = max($bound, $windows->of[$id][0][0] + $job->minutes);
            $work += $job->minutes * $job->hands;
        }
        foreach ($problem->sessions as [$from, $to]) {
            $hands = $problem->handsAt($from);
            if ($work <= ($to - $from) * $hands) {
                return max($bound, $from + (int) ceil($work / $hands));
            }
            $work -= ($to - $from) * $hands;
        }

        return $bound;
    }
}
