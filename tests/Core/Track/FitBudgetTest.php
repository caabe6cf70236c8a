<?php

declare(strict_types=1);

namespace Tests\Core\Track;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\FitBudget;
use IdleRidge\Core\Track\TrackFit;
use PHPUnit\Framework\TestCase;

/** What fitting may take: lines that are track fit as ever, lines that are none end. */
final class FitBudgetTest extends TestCase
{
    public function test_it_counts_down_and_says_when_it_is_used_up(): void
    {
        $budget = new FitBudget(10.0);
        $this->assertTrue($budget->spend(10.0));
        $this->assertFalse($budget->spend(0.5));
        $this->assertSame(-0.5, $budget->left());
        $this->assertSame(FitBudget::MAX_PRODUCTS / 4, FitBudget::among(4)->left());
        $this->assertSame(FitBudget::MAX_PRODUCTS, FitBudget::among(0)->left());
    }

    public function test_a_line_of_track_takes_a_hundredth_of_it(): void
    {
        $budget = new FitBudget;
        $fit = TrackFit::through(self::track(0.1), budget: $budget);
        $this->assertLessThan(0.5, $fit->worst);
        $this->assertGreaterThan(0.98 * FitBudget::MAX_PRODUCTS, $budget->left());
    }

    public function test_what_is_used_up_leaves_a_good_line_as_good_as_it_is_and_refuses_a_rough_one(): void
    {
        // Traced by hand: no piece more brings it nearer, so the search ends before the budget does.
        $budget = new FitBudget;
        $fit = TrackFit::through(self::track(1.0), budget: $budget);
        $this->assertLessThan(2.5, $fit->worst);
        $this->assertGreaterThan(0.5 * FitBudget::MAX_PRODUCTS, $budget->left());
        // Where little is left, it is as good as it got by then.
        $this->assertLessThan(5.0, TrackFit::through(self::track(1.0), budget: new FitBudget(8_000_000.0))->worst);
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage('too rough to be track');
        TrackFit::through(self::track(0.1), budget: new FitBudget(1.0));
    }

    /** @return list<array{float, float}> five pieces, each point off by as much as this, mm */
    private static function track(float $noise): array
    {
        mt_srand(5);
        [$x, $y, $heading, $out] = [0.0, 0.0, 0.0, []];
        for ($k = 0; $k < 300; $k++) {
            $heading += 10.0 * [0.0, 1.0 / 900.0, -1.0 / 700.0, 0.0, 1.0 / 1200.0][intdiv($k, 60)];
            $x += 10.0 * cos($heading);
            $y += 10.0 * sin($heading);
            $out[] = [$x + $noise * mt_rand(-100, 100) / 100.0, $y + $noise * mt_rand(-100, 100) / 100.0];
        }

        return $out;
    }
}
