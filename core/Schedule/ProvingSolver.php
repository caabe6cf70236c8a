<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use Closure;
use IdleRidge\Core\Measure\Budget;
use IdleRidge\Core\Measure\StepBudget;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Plans with a proof: what the search finds is held against what sets of jobs by session let through at all. They say when no
 * plan ends sooner, why there is none, and in which session a better one would have to end; along them orders are tried that
 * changes of a plan do not come to. With dates or turns the end is not what counts, and the search stands alone.
 */
final class ProvingSolver
{
    /** Orders that the search tries before anything is proven. */
    private const FIRST_STEPS = 60;

    /** Orders tried for what counts after the end: few days, little idle time. */
    private const LAST_STEPS = 150;

    /** How often a better end is asked for along sets of jobs. */
    private const MAX_ROUNDS = 12;

    /** Share of the budget that may go by along sets, then with orders by what is due, then for a longer proof. */
    private const SETS_SHARE = 0.4;

    private const ORDERS_SHARE = 0.42;

    private const PROOF_SHARE = 0.95;

    /** Sets and parts of sets that the longer proof looks at. */
    private const LONG_NODES = 100_000;

    /**
     * @param  list<list<string>>  $first as for `Solver`
     * @param  Closure(float): bool|null  $each as for `Solver`
     */
    public static function solve(Problem $problem, Budget $budget, int $seed = 1, array $first = [], ?Closure $each = null): Timetable
    {
        $budget->spent();
        $plan = Solver::solve($problem, new StepBudget(self::FIRST_STEPS), $seed, $first);
        if ($plan->status === 'infeasible') {
            return $plan;
        }
        if (! (new Objective($problem))->isFinishAlone()) {
            return Solver::solve($problem, $budget, $seed, [...self::order($plan->starts), ...$first], $each);
        }
        if ($plan->finish === null) {
            $conflict = Conflict::of($problem);
            if ($conflict !== null) {
                return new Timetable('infeasible', null, $plan->lowerBound, [], $conflict->sentence());
            }
        }
        [$bound, $starts] = self::along($problem, $plan, $budget, $seed);
        [$bound, $starts] = self::longer($problem, $bound, $starts, $budget, $seed);
        $finish = $starts === [] ? null : Solver::finish($problem, $starts);
        $rest = $finish === $bound ? new StepBudget(self::LAST_STEPS) : $budget;
        // Where sets led nowhere the search goes as it does without them, and not on from where it stood.
        $begins = $starts === $plan->starts && $finish !== $bound ? $first : [...self::order($starts), ...$first];
        $found = Solver::solve($problem, $rest, $seed, $begins, $each, $bound);
        $plan = $finish !== null && ($found->finish === null || $found->finish > $finish)
            ? new Timetable('feasible', $finish, $bound, $starts)
            : $found;
        if ($plan->finish !== null && $plan->finish > $bound && $plan->finish !== $finish) {
            $bound = SessionRelaxation::bound($problem, $bound, $plan->finish);
        }

        return new Timetable($plan->finish === $bound ? 'optimal' : $plan->status, $plan->finish, $bound, $plan->starts, $plan->why);
    }

    /**
     * Asked session by session for an earlier end, until none is possible or none is found.
     *
     * @return array{int, array<string, int>} a minute before which no plan ends, and the best plan (empty: none was found)
     */
    private static function along(Problem $problem, Timetable $plan, Budget $budget, int $seed): array
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $starts = $plan->starts;
        $finish = $plan->finish ?? $problem->horizon + 1;
        $bound = SessionRelaxation::bound($problem, $plan->lowerBound, $finish, $tooMany);
        // Where there are too many sets by one moment there are more by a later one.
        for ($n = 0; ! $tooMany && $n < self::MAX_ROUNDS && $bound < $finish && $budget->spent() < self::SETS_SHARE; $n++) {
            $better = null;
            foreach ($problem->sessions as [$from, $to]) {
                $by = min($to, $finish - 1);
                $ways = $to < $bound || $from >= $finish ? false : SessionRelaxation::ways($problem, $by);
                $better = is_array($ways) ? (new SessionBeam($problem->until($by), $ways))->plan($random, $budget) : null;
                if ($better !== null || $ways === null) {
                    break;
                }
            }
            if ($better === null) {
                break;
            }
            [$starts, $finish] = [$better, Solver::finish($problem, $better)];
            $bound = SessionRelaxation::bound($problem, $bound, $finish, $tooMany);
        }

        return [$bound, $starts];
    }

    /**
     * Where sets are too many for a short look: orders by what is due in the last session before the one that a plan ends in, and on
     * from there; then a longer look at the first that is not refuted.
     *
     * @param  array<string, int>  $starts
     * @return array{int, array<string, int>} as `along`
     */
    private static function longer(Problem $problem, int $bound, array $starts, Budget $budget, int $seed): array
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $finish = $starts === [] ? $problem->horizon + 1 : Solver::finish($problem, $starts);
        $ends = array_column($problem->sessions, 1);
        $between = fn (int $bound, int $finish): array => array_values(array_filter(
            $ends,
            fn (int $to): bool => $to >= $bound && $to < $finish,
        ));
        while (($sooner = $between($bound, $finish)) !== []) {
            $found = DueOrders::plan($problem->until(end($sooner)), $random, $budget, self::ORDERS_SHARE);
            if ($found === null) {
                break;
            }
            [$starts, $finish] = [$found, Solver::finish($problem, $found)];
        }
        $goesOn = fn (): bool => $budget->spent() < self::PROOF_SHARE;
        foreach ($between($bound, $finish) as $to) {
            if (! $goesOn() || SessionRelaxation::refutes($problem, $to, most: self::LONG_NODES, goesOn: $goesOn) !== true) {
                break;
            }
            $bound = SessionRelaxation::bound($problem, $to + 1, $finish);
        }

        return [$bound, $starts];
    }

    /**
     * @param  array<string, int>  $starts
     * @return list<list<string>> the order of its starts, if there is a plan
     */
    private static function order(array $starts): array
    {
        asort($starts);

        return $starts === [] ? [] : [array_map('strval', array_keys($starts))];
    }
}
