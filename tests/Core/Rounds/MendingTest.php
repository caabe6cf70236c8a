<?php

declare(strict_types=1);

namespace Tests\Core\Rounds;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\BenchPlanChecker;
use Tests\Build;

/** What was not right is work of its own, and what depends on it comes after it. */
final class MendingTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

    public function test_what_depends_on_it_comes_after_it_and_says_so(): void
    {
        [$free] = $this->plan([])->moves;
        $this->assertSame(Build::minute('2026-10-12T19:00Z'), $free->start);
        $plan = $this->plan([$this->found(CheckAnswer::NotRight, 25)]);
        $this->assertSame([Build::uid(61) => [Build::minute('2026-10-12T19:00Z'), Build::minute('2026-10-12T19:25Z')]], $plan->mends);
        [$held] = $plan->moves;
        $this->assertSame(Build::minute('2026-10-12T19:25Z'), $held->start);
        $this->assertSame('check', $held->reason()->kind->value);
        $this->assertStringContainsString('“Do the blades move?” was not right', $held->reason()->text);
        $this->assertSame([], BenchPlanChecker::faults($plan));
    }

    public function test_once_it_is_right_nothing_waits(): void
    {
        $now = Build::minute(self::NOW);
        $right = new CheckResult(Build::uid(62), $now, 'blades', Build::uid(1), CheckAnswer::Right, 'Do the blades move?');
        $plan = $this->plan([$this->found(CheckAnswer::NotRight, 25), $right]);
        $this->assertSame([], $plan->mends);
        $this->assertSame(Build::minute('2026-10-12T19:00Z'), $plan->moves[0]->start);
        $this->assertSame([], $this->plan([$this->found(CheckAnswer::Later, 25)])->mends);
    }

    public function test_it_never_takes_more_than_the_longest_session(): void
    {
        $plan = $this->plan([$this->found(CheckAnswer::NotRight, 600)]);
        $this->assertSame(120, $plan->mends[Build::uid(61)][1] - $plan->mends[Build::uid(61)][0]);
        $this->assertSame(Build::minute('2026-10-13T19:00Z'), $plan->moves[0]->start);
    }

    public function test_without_sessions_everything_says_why(): void
    {
        $plan = $this->plan([$this->found(CheckAnswer::NotRight, 25)], []);
        $this->assertSame([[], []], [$plan->moves, $plan->mends]);
        $this->assertSame('sessions', $plan->unplaced[0]->kind->value);
    }

    /** Whatever is not right and holds whichever coats: mends and moves share no hands, and every held move begins after its mend. */
    public function test_any_mends_leave_a_plan_that_holds(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(11));
        for ($n = 0; $n < 12; $n++) {
            $results = [];
            for ($k = 0; $k < $random->getInt(1, 4); $k++) {
                $holds = array_map(fn (int $c): string => Build::uid(20 + $c), $random->pickArrayKeys([0, 1], $random->getInt(1, 2)));
                $results[] = new CheckResult(
                    Build::uid(70 + $k),
                    Build::minute(self::NOW),
                    "k{$k}",
                    Build::uid(1),
                    CheckAnswer::NotRight,
                    "Is {$k} right?",
                    '',
                    $random->getInt(1, 60),
                    $holds,
                );
            }
            $plan = $this->plan($results);
            $this->assertCount(count($results), $plan->mends);
            $this->assertSame([], BenchPlanChecker::faults($plan));
            $taken = [...array_values($plan->mends), ...array_map(fn (PlacedMove $p): array => [$p->start, $p->end], $plan->moves)];
            usort($taken, fn (array $a, array $b): int => $a <=> $b);
            foreach (array_slice($taken, 1) as $k => [$start]) {
                $this->assertGreaterThanOrEqual($taken[$k][1], $start, 'one pair of hands');
            }
            foreach ($plan->moves as $placed) {
                foreach ($results as $result) {
                    if (in_array($placed->move->coat->uid, $result->holds, true)) {
                        $this->assertGreaterThanOrEqual($plan->mends[$result->uid][1], $placed->start);
                    }
                }
            }
        }
    }

    private function found(CheckAnswer $answer, int $minutes): CheckResult
    {
        return new CheckResult(
            Build::uid(61),
            Build::minute(self::NOW) - 60,
            'blades',
            Build::uid(1),
            $answer,
            'Do the blades move?',
            'a stone',
            $minutes,
            [Build::uid(20)],
        );
    }

    /**
     * @param  list<CheckResult>  $checks
     * @param  list<BenchTime>|null  $times
     */
    private function plan(array $checks, ?array $times = null): BenchPlan
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $coats = [
            new Coat(Build::uid(20), $zone->uid, Build::recipe('earth-paint')),
            new Coat(Build::uid(21), $zone->uid, Build::recipe('sifted-soil')),
        ];
        $times ??= array_map(
            fn (int $day): BenchTime => Build::weekly(90 + $day, $day, 1140, 1260),
            range(1, 7),
        );

        return BenchPlan::make(Build::work(new Works([$zone], $coats, [], [], $times, new Journal(checks: $checks)), self::NOW));
    }
}
