<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use Closure;
use IdleRidge\Core\Measure\Budget;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Plans by trying orders of priority: those given, the listed one, those by the work that still follows, and then changes of
 * the best, accepted now and then though worse (simulated annealing: S. Kirkpatrick et al., Science 220, 1983), within a
 * budget of time. A plan is always valid; that there is none is only said when it is proven.
 */
final class Solver
{
    private const START_TEMPERATURE = 0.02;

    private const COOLING = 0.99;

    private const FRESH_AFTER = 400;

    /** Share of changes that draw one of the moves that hold up the end towards the beginning. */
    private const PULL_FORWARD_SHARE = 0.6;

    private const MAX_SHIFT = 30;

    private const EAGER_SHARE = 0.5;

    /**
     * @param  Budget  $budget a step of it is one order tried after the first ones
     * @param  list<list<string>>  $first orders to try first, such as that of an earlier plan
     * @param  Closure(float): bool|null  $each called with the share of the budget that is spent; false ends the search
     * @param  int  $proven a minute before which it is proven elsewhere that no plan ends
     */
    public static function solve(
        Problem $problem,
        Budget $budget,
        int $seed = 1,
        array $first = [],
        ?Closure $each = null,
        int $proven = 0,
    ): Timetable {
        $order = $problem->inOrder();
        if ($order === null) {
            return new Timetable(
                'infeasible',
                null,
                0,
                [],
                'Jobs wait for each other in a circle: '.
                    implode(', ', array_map(fn (string $id): string => "“{$id}”", $problem->circle())).
                    '.',
            );
        }
        $windows = StartWindows::in($problem);
        if ($windows->impossible !== null) {
            return new Timetable('infeasible', null, 0, [], $windows->impossible);
        }
        if ($problem->jobs === []) {
            return new Timetable('optimal', 0, 0, []);
        }
        $tails = self::tails($problem, $order);
        $bound = max($proven, LowerBound::of($problem, $windows, $tails));
        $objective = new Objective($problem);
        $best = self::search(
            $problem,
            new ScheduleGenerator($problem, $windows),
            $objective,
            $order,
            $tails,
            $bound,
            $budget,
            $seed,
            $first,
            $each,
        );
        if ($best === null) {
            return new Timetable('unknown', null, $bound, [], 'No plan was found; that there is none is not proven.');
        }
        ksort($best);
        $finish = self::finish($problem, $best);

        return new Timetable($finish === $bound && $objective->isFinishAlone() ? 'optimal' : 'feasible', $finish, $bound, $best);
    }

    /**
     * Where not everything finds a place: as much as does, the most urgent first.
     *
     * @param  list<string>|null  $order all jobs or more of them; the listed order without it
     * @return array<string, int>
     */
    public static function most(Problem $problem, ?array $order = null): array
    {
        $windows = StartWindows::alone($problem);
        $order =
            $order === null
                ? $problem->inOrder() ?? []
                : array_values(array_intersect($order, array_map('strval', array_keys($problem->jobs))));
        $starts = (new ScheduleGenerator($problem, $windows))->place($order, most: true, eager: true) ?? [];
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
     * @param  list<string>  $listed
     * @param  array<string, int>  $tails
     * @param  list<list<string>>  $first
     * @param  Closure(float): bool|null  $each
     * @return array<string, int>|null
     */
    private static function search(
        Problem $problem,
        ScheduleGenerator $generator,
        Objective $objective,
        array $listed,
        array $tails,
        int $bound,
        Budget $budget,
        int $seed,
        array $first,
        ?Closure $each,
    ): ?array {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $budget->spent();
        $byTail = self::sorted(
            $listed,
            fn (string $id): array => [$problem->jobs[$id]->group, $problem->jobs[$id]->due ?? PHP_INT_MAX, -$tails[$id]],
        );
        $best = null;
        $bestValue = null;
        $current = $byTail;
        $currentCost = INF;
        $all = array_map('strval', array_keys($problem->jobs));
        foreach ([...array_map(fn (array $order): array => self::completed($order, $all), $first), $all, $listed, $byTail] as $order) {
            foreach ([true, false] as $eager) {
                $starts = $generator->place($order, eager: $eager);
                $cost = $objective->cost($starts);
                if ($starts !== null && ($bestValue === null || $objective->of($starts) < $bestValue)) {
                    [$best, $bestValue, $current, $currentCost] = [$starts, $objective->of($starts), $order, $cost];
                }
                if ($best !== null && $budget->spent() >= 1.0) {
                    break 2;
                }
            }
        }
        $heat = self::START_TEMPERATURE;
        $critical = $best === null ? null : self::criticalChain($problem, $best);
        for ($step = 0; $budget->take(); $step++) {
            if ($bestValue !== null && $objective->isFinishAlone() && $bestValue[1] <= $bound) {
                break;
            }
            if ($each !== null && $step % 20 === 0 && ! $each($budget->spent())) {
                break;
            }
            if ($step % self::FRESH_AFTER === self::FRESH_AFTER - 1) {
                // A fresh beginning, urgent work first but for chance.
                $urgency = array_map(fn (int $tail): float => $tail * (0.6 + 0.8 * self::chance($random)), $tails);
                $current = self::sorted($byTail, fn (string $id): array => [$problem->jobs[$id]->group, -$urgency[$id]]);
                [$currentCost, $critical] = [INF, null];
                $heat = self::START_TEMPERATURE;
            }
            $trial =
                $critical !== null && self::chance($random) < self::PULL_FORWARD_SHARE
                    ? self::pullForward($current, $critical, $random)
                    : self::changed($current, $random);
            $starts = $generator->place($trial, eager: self::chance($random) < self::EAGER_SHARE);
            $cost = $objective->cost($starts);
            if (
                $starts !== null &&
                ($cost <= $currentCost || self::chance($random) < exp(($currentCost - $cost) / ($heat * $currentCost)))
            ) {
                // In the order of its starts the same plan comes out, and a change of place means what it says.
                asort($starts);
                [$current, $currentCost] = [array_map('strval', array_keys($starts)), $cost];
                $critical = self::criticalChain($problem, $starts);
            }
            if ($starts !== null && ($bestValue === null || $objective->of($starts) < $bestValue)) {
                [$best, $bestValue] = [$starts, $objective->of($starts)];
            }
            $heat *= self::COOLING;
        }

        return $best;
    }

    /**
     * @param  list<string>  $order
     * @param  Closure(string): array<int, int|float>  $by
     * @return list<string>
     */
    private static function sorted(array $order, Closure $by): array
    {
        usort($order, fn (string $a, string $b): int => $by($a) <=> $by($b));

        return $order;
    }

    /**
     * An earlier order made to fit: what is gone leaves it, what is new stands at its end.
     *
     * @param  list<string>  $order
     * @param  list<string>  $all
     * @return list<string>
     */
    private static function completed(array $order, array $all): array
    {
        $kept = array_values(array_intersect($order, $all));

        return [...$kept, ...array_values(array_diff($all, $kept))];
    }

    /**
     * The jobs that hold up the end: the last one, and back along what each waited for or had before it.
     *
     * @param  array<string, int>  $starts
     * @return non-empty-list<string>
     */
    private static function criticalChain(Problem $problem, array $starts): array
    {
        $last = '';
        $latest = -1;
        $ends = [];
        foreach ($starts as $id => $start) {
            $end = $start + $problem->jobs[$id]->minutes;
            $ends[$end][] = (string) $id;
            if ($end > $latest) {
                [$last, $latest] = [(string) $id, $end];
            }
        }
        $chain = [$last];
        $seen = [$last => true];
        for ($at = $last; ;) {
            $next = null;
            $most = -1;
            foreach ($problem->before[$at] ?? [] as $wait) {
                $ready = $wait->gap->earliest($starts[$wait->after] + $problem->jobs[$wait->after]->minutes);
                if ($ready > $most) {
                    [$next, $most] = [$wait->after, $ready];
                }
            }
            // Nearer than its waits stands what had the hands just before it.
            if ($next === null || $most < $starts[$at] - self::MAX_SHIFT) {
                $next = $ends[$starts[$at]][0] ?? $next;
            }
            if ($next === null || isset($seen[$next])) {
                return $chain;
            }
            $chain[] = $at = $next;
            $seen[$next] = true;
        }
    }

    /**
     * One of the jobs that hold up the end, earlier; what it waits for goes with it.
     *
     * @param  list<string>  $order
     * @param  non-empty-list<string>  $critical
     * @return list<string>
     */
    private static function pullForward(array $order, array $critical, Randomizer $random): array
    {
        $id = $critical[$random->getInt(0, count($critical) - 1)];
        $from = (int) array_search($id, $order, true);
        array_splice($order, $from, 1);
        array_splice($order, $random->getInt(0, max(0, $from - 1)), 0, [$id]);

        return $order;
    }

    /** 0 … 1 */
    private static function chance(Randomizer $random): float
    {
        return $random->getInt(0, 1_000_000) / 1_000_000;
    }

    /**
     * @param  list<string>  $order
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

    /**
     * The least time from the start of each job to the end of all that waits for it.
     *
     * @param  list<string>  $order
     * @return array<string, int>
     */
    private static function tails(Problem $problem, array $order): array
    {
        $after = [];
        foreach ($problem->waits as $wait) {
            $after[$wait->after][] = $wait;
        }
        $tails = [];
        foreach (array_reverse($order) as $id) {
            $follows = 0;
            foreach ($after[$id] ?? [] as $wait) {
                $follows = max($follows, $wait->gap->least() + $tails[$wait->before]);
            }
            $tails[$id] = (int) ($problem->jobs[$id]->minutes + $follows);
        }

        return $tails;
    }
}
