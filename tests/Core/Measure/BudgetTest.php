<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use IdleRidge\Core\Interchange\BenchProblemFile;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Measure\TimeBudget;
use IdleRidge\Core\Schedule\Solver;
use PHPUnit\Framework\TestCase;
use Tests\Fixtures;

/** What a search may spend: counted, or by a clock that somebody else holds. */
final class BudgetTest extends TestCase
{
    public function test_steps_end_where_they_are_counted_to(): void
    {
        $budget = new StepBudget(3);
        $this->assertSame(0.0, $budget->spent());
        $this->assertSame([true, true, true, false, false], array_map(fn (): bool => $budget->take(), range(1, 5)));
        $this->assertSame(1.0, $budget->spent());
        $this->assertFalse((new StepBudget(0))->take());
    }

    public function test_time_begins_when_it_is_first_asked_for_and_ends_on_the_second(): void
    {
        $now = 100.0;
        $budget = new TimeBudget(2.0, function () use (&$now): float {
            return $now;
        });
        $now = 500.0;
        $this->assertSame(0.0, $budget->spent());
        $now = 501.0;
        $this->assertSame(0.5, $budget->spent());
        $now = 501.999;
        $this->assertTrue($budget->take());
        $now = 502.0;
        $this->assertFalse($budget->take());
        $now = 900.0;
        $this->assertSame(1.0, $budget->spent());
        $this->assertFalse((new TimeBudget(0.0, fn (): float => 1.0))->take());
    }

    public function test_a_search_goes_by_the_clock_it_is_given(): void
    {
        $problem = BenchProblemFile::read(Fixtures::text('schedule/s20-02.json'));
        $asked = $now = 0;
        Solver::solve($problem, new TimeBudget(40.0, function () use (&$now): float {
            return (float) $now++;
        }), each: function (float $share) use (&$asked): bool {
            $asked++;

            return true;
        });
        $this->assertGreaterThanOrEqual(1, $asked);
        $this->assertLessThan(60, $now, 'each look at the clock takes a second of it');
    }
}
