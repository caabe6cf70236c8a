<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Schedule\Job;
use IdleRidge\Core\Schedule\Precedence;
use IdleRidge\Core\Schedule\Problem;
use IdleRidge\Core\Schedule\ProvingSolver;
use IdleRidge\Core\Schedule\ScheduleGenerator;
use IdleRidge\Core\Schedule\Solver;
use IdleRidge\Core\Schedule\StartWindows;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\PlanChecker;

/** Small problems whose best plan is found by trying every start: what the search says of them is so. */
final class ExhaustiveTest extends TestCase
{
    /** All times are whole steps, so that no plan that begins between two of them ends sooner. */
    private const STEP = 10;

    public function test_the_best_plan_of_small_problems_is_found_and_nothing_possible_is_called_impossible(): void
    {
        $possible = $best = $impossible = 0;
        for ($seed = 1; $seed <= 120; $seed++) {
            $problem = $this->random($seed);
            $optimum = $this->optimum($problem);
            $plan = Solver::solve($problem, new StepBudget(150), $seed);
            if ($optimum === null) {
                $this->assertNull($plan->finish, "seed {$seed}: no plan exists");
                $this->assertContains($plan->status, ['infeasible', 'unknown']);
                $impossible++;

                continue;
            }
            $possible++;
            $this->assertNotSame('infeasible', $plan->status, "seed {$seed}: there is a plan that ends at {$optimum}");
            $this->assertLessThanOrEqual($optimum, $plan->lowerBound, "seed {$seed}: the bound lies over the best plan");
            if ($plan->finish !== null) {
                $this->assertGreaterThanOrEqual($optimum, $plan->finish, "seed {$seed}: better than the best");
                $best += (int) ($plan->finish === $optimum);
            }
            if ($plan->status === 'optimal') {
                $this->assertSame($optimum, $plan->finish, "seed {$seed}: called the best");
            }
        }
        $this->assertGreaterThan(50, $possible);
        $this->assertGreaterThan(10, $impossible);
        $this->assertGreaterThanOrEqual((int) ceil(0.97 * $possible), $best, "the best of {$possible}");
    }

    public function test_with_a_proof_every_best_plan_is_found_and_what_is_impossible_is_called_so(): void
    {
        $proven = $possible = $refuted = $impossible = 0;
        foreach ([1, 2] as $hands) {
            for ($seed = 1; $seed <= 120; $seed++) {
                $problem = $this->random($seed, $hands);
                $optimum = $this->optimum($problem);
                $plan = ProvingSolver::solve($problem, new StepBudget(150), $seed);
                $this->assertSame($optimum, $plan->finish, "seed {$seed}, {$hands}");
                if ($optimum === null) {
                    $impossible++;
                    $refuted += (int) ($plan->status === 'infeasible');

                    continue;
                }
                $possible++;
                $this->assertContains($plan->status, ['optimal', 'feasible'], "seed {$seed}, {$hands}");
                $this->assertLessThanOrEqual($optimum, $plan->lowerBound, "seed {$seed}, {$hands}");
                $this->assertSame([], PlanChecker::faultsOf($problem, $plan->starts), "seed {$seed}, {$hands}");
                $proven += (int) ($plan->status === 'optimal');
            }
        }
        $this->assertGreaterThanOrEqual((int) ceil(0.95 * $impossible), $refuted, "of {$impossible} that are impossible");
        $this->assertGreaterThanOrEqual((int) ceil(0.85 * $possible), $proven, "of {$possible} that have a plan");
    }

    public function test_windows_leave_out_no_start_of_any_plan(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $problem = $this->random($seed);
            $windows = StartWindows::in($problem);
            $every = $this->plans($problem, 40);
            if ($windows->impossible !== null) {
                $this->assertSame([], $every, "seed {$seed}: {$windows->impossible}");
            }
            foreach ($every as $plan) {
                foreach ($plan as $id => $start) {
                    $this->assertNotSame(
                        [],
                        array_filter($windows->of[$id], fn (array $w): bool => $start >= $w[0] && $start <= $w[1]),
                        "seed {$seed}: {$id} may start at {$start}",
                    );
                }
            }
        }
    }

    public function test_what_is_placed_first_starts_as_early_as_it_ever_can(): void
    {
        $checked = 0;
        for ($seed = 1; $seed <= 40; $seed++) {
            $problem = $this->random($seed);
            $windows = StartWindows::in($problem);
            $first = [];
            $this->each(
                $problem,
                function (array $starts) use (&$first): bool {
                    foreach ($starts as $id => $start) {
                        $first[$id] = min($first[$id] ?? PHP_INT_MAX, $start);
                    }

                    return true;
                },
                fn (): int => PHP_INT_MAX,
            );
            $urgent = array_unique(
                array_map(
                    fn (Precedence $w): string => $w->after,
                    array_filter($problem->waits, fn (Precedence $w): bool => $w->max !== null),
                ),
            );
            foreach (array_keys($first) as $id) {
                if (isset($problem->before[$id]) || in_array($id, $urgent, true)) {
                    continue;
                }
                $rest = array_values(array_diff(array_map('strval', array_keys($problem->jobs)), [$id]));
                $starts = (new ScheduleGenerator($problem, $windows))->place([$id, ...$rest]);
                if ($starts !== null) {
                    $this->assertSame($first[$id], $starts[$id], "seed {$seed}: {$id}");
                    $checked++;
                }
            }
        }
        $this->assertGreaterThan(40, $checked);
    }

    private function random(int $seed, int $hands = 2): Problem
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $sessions = $jobs = $waits = [];
        $at = 0;
        for ($k = 0; $k < 3; $k++) {
            $from = $at + self::STEP * $random->getInt(2, 9);
            $at = $from + self::STEP * $random->getInt(3, 7);
            $sessions[] = [$from, $at];
        }
        $count = $random->getInt(3, 5);
        for ($k = 0; $k < $count; $k++) {
            $jobs[] = new Job(
                "j{$k}",
                self::STEP * $random->getInt(1, 4),
                min($hands, $random->getInt(1, 2)),
                $random->getInt(0, 2) === 0 ? ['wire'] : [],
                notBefore: $random->getInt(0, 4) === 0 ? self::STEP * $random->getInt(1, 12) : 0,
            );
            if ($k > 0 && $random->getInt(0, 2) > 0) {
                $min = self::STEP * $random->getInt(0, 6);
                $waits[] = Precedence::of(
                    'j'.$random->getInt(0, $k - 1),
                    "j{$k}",
                    $min,
                    $random->getInt(0, 2) === 0 ? $min + self::STEP * $random->getInt(0, 6) : null,
                );
            }
        }

        return new Problem(1000, $hands, ['wire' => 1], $sessions, $jobs, $waits, $count > 3 ? [['j0', 'j2']] : []);
    }

    private function optimum(Problem $problem): ?int
    {
        $best = null;
        $this->each(
            $problem,
            function (array $starts) use (&$best, $problem): bool {
                $best = min($best ?? PHP_INT_MAX, Solver::finish($problem, $starts));

                return true;
            },
            function () use (&$best): int {
                return $best ?? PHP_INT_MAX;
            },
        );

        return $best;
    }

    /** @return list<array<string, int>> some plans, at most so many */
    private function plans(Problem $problem, int $most): array
    {
        $plans = [];
        $this->each(
            $problem,
            function (array $starts) use (&$plans, $most): bool {
                $plans[] = $starts;

                return count($plans) < $most;
            },
            fn (): int => PHP_INT_MAX,
        );

        return $plans;
    }

    /**
     * @param  callable(array<string, int>): bool  $found told each plan; false ends the search
     * @param  callable(): int  $until no plan that ends then or later is looked for
     */
    private function each(Problem $problem, callable $found, callable $until): void
    {
        $this->further($problem, [], $found, $until);
    }

    /** @param  array<string, int>  $starts of the first jobs */
    private function further(Problem $problem, array $starts, callable $found, callable $until): bool
    {
        $id = array_keys($problem->jobs)[count($starts)] ?? null;
        if ($id === null) {
            return $found($starts);
        }
        $minutes = $problem->jobs[$id]->minutes;
        foreach ($problem->sessions as [$from, $to]) {
            for ($start = $from; $start + $minutes <= $to && $start + $minutes < $until(); $start += self::STEP) {
                $more = fn (): bool => $this->further($problem, [...$starts, $id => $start], $found, $until);
                if ($this->fits($problem, $starts, (string) $id, $start) && ! $more()) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param  array<string, int>  $starts */
    private function fits(Problem $problem, array $starts, string $id, int $start): bool
    {
        $job = $problem->jobs[$id];
        $end = $start + $job->minutes;
        if ($start < $job->notBefore) {
            return false;
        }
        foreach ($problem->waits as $wait) {
            if ($wait->before === $id && isset($starts[$wait->after])) {
                $between = $start - $starts[$wait->after] - $problem->jobs[$wait->after]->minutes;
                if ($between < $wait->gap->least() || ($wait->max !== null && $between > $wait->max)) {
                    return false;
                }
            }
        }
        for ($minute = $start; $minute < $end; $minute += self::STEP) {
            $hands = $job->demand;
            foreach ($starts as $other => $at) {
                if ($at <= $minute && $minute < $at + $problem->jobs[$other]->minutes) {
                    $hands += $problem->jobs[$other]->demand;
                    if (
                        array_intersect($job->tools, $problem->jobs[$other]->tools) !== [] ||
                        in_array([$other, $id], $problem->apart, true)
                    ) {
                        return false;
                    }
                }
            }
            if ($hands > $problem->capacity) {
                return false;
            }
        }

        return true;
    }
}
