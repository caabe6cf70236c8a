<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use IdleRidge\Core\Interchange\BenchProblemFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Schedule\Job;
use IdleRidge\Core\Schedule\JobReasons;
use IdleRidge\Core\Schedule\Objective;
use IdleRidge\Core\Schedule\Precedence;
use IdleRidge\Core\Schedule\Problem;
use IdleRidge\Core\Schedule\Solver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\BenchProblems;
use Tests\Fixtures;
use Tests\PlanChecker;

final class ScheduleTest extends TestCase
{
    /** @return list<array{string}> */
    public static function problems(): array
    {
        return [['s10-01'], ['s10-04'], ['s10-06'], ['s20-02'], ['s20-07'], ['infeasible-01']];
    }

    #[DataProvider('problems')]
    public function test_known_problems_are_planned_validly_and_no_worse_than_greedy(string $name): void
    {
        $file = Fixtures::json("schedule/{$name}.json");
        $of = Fixtures::json("schedule/{$name}.answer.json");
        $problem = BenchProblemFile::read(Fixtures::text("schedule/{$name}.json"));
        $plan = Solver::solve($problem, new StepBudget(400));
        if ($of['status'] === 'infeasible') {
            $this->assertSame('infeasible', $plan->status);
            $this->assertStringContainsString('has to follow', (string) $plan->why);

            return;
        }
        $this->assertSame([], PlanChecker::faults($file, $plan->starts));
        $this->assertLessThanOrEqual($of['greedy_finish'], $plan->finish);
        $this->assertGreaterThanOrEqual($of['finish'], $plan->finish);
        $this->assertLessThanOrEqual($of['finish'], $plan->lowerBound);
        $this->assertSame($plan->status === 'optimal', $plan->finish === $plan->lowerBound);
        $reasons = JobReasons::of($problem, $plan->starts);
        $this->assertSame(array_keys($plan->starts), array_keys($reasons));
        foreach ($reasons as $reason) {
            $this->assertNotSame('', $reason->text);
        }
    }

    public function test_random_problems_never_get_a_wrong_plan(): void
    {
        for ($seed = 1; $seed <= 200; $seed++) {
            $file = self::random($seed);
            $plan = Solver::solve(BenchProblemFile::read((string) json_encode($file)), new StepBudget(5), $seed);
            $this->assertContains($plan->status, ['optimal', 'feasible', 'infeasible', 'unknown']);
            if ($plan->finish !== null) {
                $this->assertSame([], PlanChecker::faults($file, $plan->starts), "seed {$seed}");
                $this->assertGreaterThanOrEqual($plan->lowerBound, $plan->finish, "seed {$seed}");
            } else {
                $this->assertNotNull($plan->why);
            }
        }
    }

    public function test_kept_tools_coming_hands_and_dates_hold_in_every_plan(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $problem = BenchProblems::of(18, 3, $seed);
            $plan = Solver::solve($problem, new StepBudget(15), $seed);
            $this->assertContains($plan->status, ['optimal', 'feasible'], "seed {$seed}");
            $this->assertSame([], PlanChecker::faultsOf($problem, $plan->starts), "seed {$seed}");
            $this->assertGreaterThanOrEqual($plan->lowerBound, $plan->finish, "seed {$seed}");
            $this->assertEquals($plan, Solver::solve($problem, new StepBudget(15), $seed), 'the same steps, the same plan');
            // Begun from its own order a search can only end as well or better.
            $order = array_map('strval', array_keys($plan->starts));
            usort($order, fn (string $a, string $b): int => $plan->starts[$a] <=> $plan->starts[$b]);
            $anew = Solver::solve($problem, new StepBudget(3), $seed + 1, [$order]);
            $this->assertLessThanOrEqual($plan->finish, $anew->finish, "seed {$seed}");
        }
    }

    public function test_a_date_is_met_at_the_cost_of_a_later_end(): void
    {
        // Two evenings with room for one job each: the one with a date goes first, though all would end sooner the other way.
        $job = fn (string $id, int $minutes, ?int $due = null): Job => new Job($id, $minutes, due: $due);
        $problem = fn (?int $due): Problem => new Problem(
            5000,
            1,
            [],
            [[100, 160], [1540, 1600]],
            [$job('long', 55), $job('short', 20, $due)],
            [Precedence::of('long', 'short', 1300, null)],
        );
        $this->assertSame(1560, Solver::solve($problem(null), new StepBudget(60))->finish);
        $free = new Problem(5000, 1, [], [[100, 160], [1540, 1600]], [$job('a', 60), $job('b', 30, 200)]);
        $plan = Solver::solve($free, new StepBudget(60));
        $this->assertSame(['a' => 1540, 'b' => 100], $plan->starts);
        $this->assertSame([0, 1600.0], array_slice((new Objective($free))->of($plan->starts), 0, 2));
        $this->assertSame(1370, (new Objective($free))->of(['a' => 100, 'b' => 1540])[0], 'minutes late');
        $this->assertSame('feasible', $plan->status, 'where dates count, the end alone proves nothing');
    }

    public function test_what_stands_twice_or_touches_is_still_one_plan(): void
    {
        $touching =
            [
                'sessions' => [[100, 160], [160, 220]],
                'jobs' => [self::job('a', 60), self::job('b', 50)],
                'waits' => [self::wait('a', 'b', 0), self::wait('a', 'b', 5, 100)],
            ] + self::problem();
        $plan = Solver::solve(BenchProblemFile::read((string) json_encode($touching)), new StepBudget(60));
        $this->assertSame(['a' => 100, 'b' => 165], $plan->starts, 'of two waits the longer holds');
        $against = ['waits' => [self::wait('a', 'b', 0, 10), self::wait('a', 'b', 30)]] + $touching;
        $this->assertSame('infeasible', Solver::solve(BenchProblemFile::read((string) json_encode($against)), new StepBudget(60))->status);
        $ring = BenchProblemFile::read(
            (string) json_encode(
                [
                    'jobs' => [self::job('a', 5), self::job('b', 5), self::job('c', 5), self::job('d', 5)],
                    'waits' => [self::wait('a', 'b', 0), self::wait('b', 'c', 0), self::wait('c', 'b', 0), self::wait('c', 'd', 0)],
                ] + self::problem(),
            ),
        );
        $circle = $ring->circle();
        sort($circle);
        $this->assertSame(['b', 'c'], $circle);
        $this->assertStringContainsString('“b”', (string) Solver::solve($ring, new StepBudget(60))->why);
        $this->assertSame([], BenchProblemFile::read((string) json_encode($touching))->circle());
    }

    public function test_what_cannot_be_planned_says_why(): void
    {
        foreach (
            [
                'add an evening' => ['sessions' => []],
                'longer than any session' => ['jobs' => [self::job('a', 500)]],
                'needs 2 hands' => ['jobs' => [['hands' => 2] + self::job('a', 10)]],
                'needs the tool' => ['tools' => ['wire' => 0], 'jobs' => [['tools' => ['wire']] + self::job('a', 10)]],
                'in a circle' => [
                    'jobs' => [self::job('a', 10), self::job('b', 10)],
                    'waits' => [self::wait('a', 'b', 0), self::wait('b', 'a', 0)],
                ],
                'no sessions allow' => ['jobs' => [self::job('a', 10), self::job('b', 10)], 'waits' => [self::wait('a', 'b', 200, 300)]],
            ] as $words => $with
        ) {
            $plan = Solver::solve(BenchProblemFile::read((string) json_encode($with + self::problem())), new StepBudget(60));
            $this->assertSame('infeasible', $plan->status, $words);
            $this->assertStringContainsString($words, (string) $plan->why);
        }
    }

    public function test_reasons_name_what_binds(): void
    {
        $file =
            [
                'jobs' => [self::job('first', 60), ['tools' => ['wire']] + self::job('second', 30), self::job('third', 20)],
                'waits' => [self::wait('first', 'third', 15)],
                'tools' => ['wire' => 1],
            ] + self::problem();
        $problem = BenchProblemFile::read((string) json_encode($file));
        $reasons = JobReasons::of($problem, ['first' => 100, 'second' => 160, 'third' => 200]);
        $this->assertSame(['session', 'hands', 'order'], array_map(fn ($r): string => $r->kind->value, array_values($reasons)));
        $this->assertSame('wait', JobReasons::of($problem, ['first' => 100, 'second' => 195, 'third' => 175])['third']->kind->value);
    }

    public function test_files_that_cannot_be_are_refused_with_their_pointer(): void
    {
        foreach (
            [
                '/format' => ['format' => 'other'],
                '/sessions/0' => ['sessions' => [[50, 20]]],
                '/sessions/1' => ['sessions' => [[50, 90], [80, 120]]],
                '/jobs/0/minutes' => ['jobs' => [self::job('a', 0)]],
                '/jobs/1/id' => ['jobs' => [self::job('a', 5), self::job('a', 5)]],
                '/jobs/0/tools' => ['jobs' => [['tools' => ['saw']] + self::job('a', 5)]],
                '/waits/0' => ['waits' => [self::wait('a', 'z', 0)]],
                '/waits/0/max' => ['jobs' => [self::job('a', 5), self::job('b', 5)], 'waits' => [self::wait('a', 'b', 60, 30)]],
                '/apart/0' => ['apart' => [['a', 'z']]],
                '/hands' => ['hands' => 0],
            ] as $place => $with
        ) {
            try {
                BenchProblemFile::read((string) json_encode($with + self::problem()));
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    /** @return array<string, mixed> */
    private static function problem(): array
    {
        return [
            'format' => 'idle-ridge/bench-problem',
            'version' => 1,
            'horizon' => 5000,
            'hands' => 1,
            'tools' => (object) [],
            'sessions' => [[100, 220], [1540, 1660]],
            'jobs' => [self::job('a', 10)],
            'waits' => [],
            'apart' => [],
        ];
    }

    /** @return array<string, mixed> */
    private static function job(string $id, int $minutes): array
    {
        return ['id' => $id, 'minutes' => $minutes, 'hands' => 1, 'tools' => [], 'section' => 's'];
    }

    /** @return array<string, mixed> */
    private static function wait(string $after, string $before, int $min, ?int $max = null): array
    {
        return ['after' => $after, 'before' => $before, 'min' => $min, 'max' => $max];
    }

    /** @return array<string, mixed> */
    private static function random(int $seed): array
    {
        mt_srand($seed);
        $sessions = [];
        for ($day = 0; $day < 6; $day++) {
            $from = 1440 * $day + mt_rand(1000, 1200);
            $sessions[] = [$from, $from + mt_rand(60, 180)];
        }
        $jobs = $waits = [];
        $count = mt_rand(2, 9);
        for ($k = 0; $k < $count; $k++) {
            $jobs[] = ['hands' => mt_rand(1, 2), 'tools' => mt_rand(0, 2) === 0 ? ['wire'] : []] + self::job("j{$k}", mt_rand(5, 70));
            if ($k > 0 && mt_rand(0, 2) > 0) {
                $min = mt_rand(0, 900);
                $waits[] = self::wait('j'.mt_rand(0, $k - 1), "j{$k}", $min, mt_rand(0, 3) === 0 ? $min + mt_rand(30, 2000) : null);
            }
        }

        return [
            'format' => 'idle-ridge/bench-problem',
            'version' => 1,
            'horizon' => 10_000,
            'hands' => 2,
            'tools' => ['wire' => 1],
            'sessions' => $sessions,
            'jobs' => $jobs,
            'waits' => $waits,
            'apart' => $count > 3 ? [['j0', 'j2']] : [],
        ];
    }
}
