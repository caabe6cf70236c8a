<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use IdleRidge\Core\Interchange\BenchProblemFile;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Schedule\Conflict;
use IdleRidge\Core\Schedule\DueOrders;
use IdleRidge\Core\Schedule\Job;
use IdleRidge\Core\Schedule\Precedence;
use IdleRidge\Core\Schedule\Problem;
use IdleRidge\Core\Schedule\ProvingSolver;
use IdleRidge\Core\Schedule\SessionBeam;
use IdleRidge\Core\Schedule\SessionRelaxation;
use IdleRidge\Core\Schedule\Solver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\BenchProblems;
use Tests\Fixtures;
use Tests\PlanChecker;

final class SessionRelaxationTest extends TestCase
{
    /** @return list<array{string, bool}> problem, and whether a minute less than its best end is refuted */
    public static function problems(): array
    {
        return [['s10-01', true], ['s10-04', true], ['s10-06', false], ['s20-02', true], ['s20-07', false]];
    }

    #[DataProvider('problems')]
    public function test_what_is_possible_is_never_refuted_and_little_else_is_let_through(string $name, bool $closely): void
    {
        $problem = BenchProblemFile::read(Fixtures::text("schedule/{$name}.json"));
        $best = Fixtures::json("schedule/{$name}.answer.json")['finish'];
        $this->assertNotTrue(SessionRelaxation::refutes($problem, $best));
        $bound = SessionRelaxation::bound($problem, 0, $best);
        $this->assertLessThanOrEqual($best, $bound);
        $this->assertLessThan(0.007 * $best, $best - $bound);
        $this->assertSame($closely, SessionRelaxation::refutes($problem, $best - 1) === true);
        $this->assertTrue(SessionRelaxation::refutes($problem, $bound - 1));
    }

    #[DataProvider('problems')]
    public function test_known_problems_are_planned_to_their_best_end(string $name, bool $closely): void
    {
        $problem = BenchProblemFile::read(Fixtures::text("schedule/{$name}.json"));
        $best = Fixtures::json("schedule/{$name}.answer.json")['finish'];
        foreach ([1, 2] as $seed) {
            $plan = ProvingSolver::solve($problem, new StepBudget(800), $seed);
            $this->assertSame($best, $plan->finish);
            $this->assertSame([], PlanChecker::faults(Fixtures::json("schedule/{$name}.json"), $plan->starts));
            $this->assertSame($closely ? 'optimal' : 'feasible', $plan->status);
        }
    }

    public function test_a_longer_look_proves_what_a_short_one_leaves_open(): void
    {
        $problem = BenchProblems::of(60, 8, 2);
        $by = 15_690;
        $this->assertNull(SessionRelaxation::refutes($problem, $by), 'too many sets for a short look');
        $this->assertNull(SessionRelaxation::refutes($problem, $by, most: 100_000, goesOn: fn (): bool => false), 'no time');
        $this->assertTrue(SessionRelaxation::refutes($problem, $by, most: 100_000));
        $asked = 0;
        SessionRelaxation::refutes($problem, $by, most: 10_000, goesOn: function () use (&$asked): bool {
            return ++$asked > 0;
        });
        $this->assertSame(39, $asked, 'the clock is asked once in 256 nodes');
        $bound = SessionRelaxation::bound($problem, 0, 20_000, $tooMany);
        $this->assertTrue($tooMany);
        $this->assertLessThanOrEqual($by, $bound);
    }

    public function test_orders_by_what_is_due_end_a_session_sooner(): void
    {
        $problem = BenchProblems::of(60, 8, 6);
        $random = fn (): Randomizer => new Randomizer(new Xoshiro256StarStar(1));
        $plan = DueOrders::plan($problem->until(18_180), $random(), new StepBudget(20_000), 1.0);
        $this->assertNotNull($plan);
        $this->assertSame([], PlanChecker::faultsOf($problem, $plan));
        $this->assertLessThanOrEqual(18_180, Solver::finish($problem, $plan));
        $this->assertSame($plan, DueOrders::plan($problem->until(18_180), $random(), new StepBudget(20_000), 1.0), 'the same seed');
        $this->assertNull(DueOrders::plan($problem->until(18_180), $random(), new StepBudget(0), 1.0), 'nothing to spend');
        $this->assertNull(DueOrders::plan($problem->until(18_180), $random(), new StepBudget(100), 0.0));
        $this->assertNull(DueOrders::plan($problem->until(7_800), $random(), new StepBudget(100), 1.0), 'windows alone forbid it');
    }

    public function test_sessions_are_filled_to_the_last_minute_along_sets(): void
    {
        // Each evening takes two jobs that make up its minutes to the last; taken as listed the long ones come first, and fill none.
        $minutes = [70, 65, 60, 55, 50, 45, 40, 35];
        $jobs = array_map(fn (int $k, int $m): Job => new Job("j{$k}", $m), array_keys($minutes), $minutes);
        $sessions = array_map(fn (int $k): array => [1440 * $k + 1200, 1440 * $k + 1305], range(0, 3));
        $problem = new Problem(10_000, 1, [], $sessions, $jobs);
        $ways = SessionRelaxation::ways($problem, 1440 * 3 + 1305);
        $this->assertIsArray($ways);
        $plan = (new SessionBeam($problem, $ways))->plan(new Randomizer(new Xoshiro256StarStar(1)), new StepBudget(1));
        $this->assertIsArray($plan);
        $this->assertSame([], PlanChecker::faultsOf($problem, $plan));
        $this->assertSame(1440 * 3 + 1305, Solver::finish($problem, $plan));
        $this->assertFalse(SessionRelaxation::ways($problem, 1440 * 3 + 1304));
        $this->assertTrue(SessionRelaxation::refutes($problem, 1440 * 3 + 1304));
    }

    public function test_too_many_jobs_are_left_to_the_search(): void
    {
        $sessions = array_map(fn (int $k): array => [1440 * $k, 1440 * $k + 600], range(0, 20));
        $jobs = fn (int $n): array => array_map(fn (int $k): Job => new Job("j{$k}", 10), range(1, $n));
        $this->assertNull(SessionRelaxation::refutes(new Problem(40_000, 1, [], $sessions, $jobs(63)), 40_000));
        $this->assertTrue(SessionRelaxation::refutes(new Problem(40_000, 1, [], $sessions, $jobs(62)), 600));
        $this->assertNull(Conflict::of(new Problem(40_000, 1, [], $sessions, $jobs(63))));
    }

    public function test_what_is_impossible_is_told_by_the_least_that_cannot_be_together(): void
    {
        // Two pours that need the whole of one evening, each to be followed the same evening: beside “c” there is no room for both.
        $jobs = [new Job('a', 40), new Job('b', 40), new Job('c', 50), new Job('far', 20)];
        $waits = [Precedence::of('a', 'b', 0, 30), Precedence::of('a', 'c', 0, 60)];
        $sessions = [[1200, 1300], [2640, 2740]];
        $conflict = Conflict::of(new Problem(3000, 1, [], $sessions, $jobs, $waits));
        $this->assertSame(['a', 'b', 'c'], $conflict?->jobs);
        $this->assertSame(
            '“a”, “b”, “c” cannot all be done in the sessions there are: “b” has to follow “a” after 0 to 30 minutes; '
                .'“c” has to follow “a” after 0 to 60 minutes.',
            $conflict->sentence(),
        );
        $plan = ProvingSolver::solve(new Problem(3000, 1, [], $sessions, $jobs, $waits), new StepBudget(50));
        $this->assertSame(['infeasible', $conflict->sentence()], [$plan->status, $plan->why]);
        $sessions[1][1] = 2780;
        $this->assertNull(Conflict::of(new Problem(3000, 1, [], $sessions, $jobs, $waits)));
    }

    public function test_a_conflict_of_many_names_five(): void
    {
        $jobs = array_map(fn (int $k): Job => new Job("j{$k}", 30), range(1, 6));
        $said = fn (int $count, int $minutes): string => (string) Conflict::of(
            new Problem(3000, 1, [], [[0, $minutes]], array_slice($jobs, 0, $count)),
        )?->sentence();
        $five = '“j1”, “j2”, “j3”, “j4”, “j5”';
        $this->assertSame("{$five} cannot all be done in the sessions there are.", $said(5, 149));
        $this->assertSame("{$five} and 1 more cannot all be done in the sessions there are.", $said(6, 179));
        $this->assertSame('', $said(6, 180));
        $this->assertSame('“j1” finds no session that is long enough.', $said(1, 29));
    }

    public function test_with_dates_the_search_stands_alone(): void
    {
        $problem = new Problem(5000, 1, [], [[100, 160], [1540, 1600]], [new Job('a', 50), new Job('b', 40, due: 160)]);
        $plan = ProvingSolver::solve($problem, new StepBudget(60));
        $this->assertSame(['a' => 1540, 'b' => 100], $plan->starts);
    }

    public function test_a_plan_with_a_proof_is_never_worse_than_one_without(): void
    {
        for ($seed = 1; $seed <= 30; $seed++) {
            $problem = BenchProblems::of(18, 3, $seed);
            $alone = Solver::solve($problem, new StepBudget(60), $seed);
            $plan = ProvingSolver::solve($problem, new StepBudget(60), $seed);
            $this->assertSame([], PlanChecker::faultsOf($problem, $plan->starts), "seed {$seed}");
            $this->assertLessThanOrEqual($alone->finish, $plan->finish, "seed {$seed}");
            $this->assertGreaterThanOrEqual($alone->lowerBound, $plan->lowerBound, "seed {$seed}");
            $this->assertLessThanOrEqual($plan->finish, $plan->lowerBound, "seed {$seed}");
        }
    }

    public function test_a_problem_cut_at_a_moment_keeps_what_it_has(): void
    {
        $problem = new Problem(
            5000,
            1,
            ['wire' => 1],
            [[100, 160], [1540, 1600], [3000, 3100]],
            [new Job('a', 50, tools: ['wire']), new Job('b', 40)],
            [Precedence::of('a', 'b', 10)],
            [['a', 'b']],
            [1, [[1540, 1], [1580, 2]]],
        );
        $cut = $problem->until(1570);
        $this->assertSame([[100, 160], [1540, 1570]], $cut->sessions);
        $this->assertSame([[[100, 1]], [[1540, 1]]], $cut->steps);
        $this->assertSame(['a' => ['b'], 'b' => ['a']], $cut->others);
        $this->assertCount(2, $problem->until(3000)->sessions);
        $this->assertCount(3, $problem->until(3001)->sessions);
    }
}
