<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use IdleRidge\Core\Measure\Inches;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use PHPUnit\Framework\TestCase;

final class RoundStepsTest extends TestCase
{
    protected function tearDown(): void
    {
        UnitsInUse::become(Units::Metric);
    }

    public function test_metric_steps_are_whole_millimetres(): void
    {
        $this->assertSame([1.0, 10.0, 100.0], [RoundSteps::fine(), RoundSteps::coarse(), RoundSteps::printBar()]);
        $this->assertSame([20.0, 50.0, 100.0, 1.0, 2.0], array_map(RoundSteps::axis(...), [20.0, 20.1, 50.1, 1.0, 1.1]));
        $this->assertSame([true, false, true], array_map(RoundSteps::isHeavy(...), [50.0, 60.0, -100.0]));
        $this->assertSame([38.0, 39.0], [RoundSteps::whole(38.4), RoundSteps::whole(38.5)]);
    }

    public function test_imperial_steps_are_round_inches(): void
    {
        UnitsInUse::become(Units::Imperial);
        $this->assertSame([25.4 / 16.0, 12.7, 101.6], [RoundSteps::fine(), RoundSteps::coarse(), RoundSteps::printBar()]);
        $inches = fn (float $least): float => round(RoundSteps::axis($least * Inches::MM) / Inches::MM, 9);
        $this->assertSame([1.0, 2.0, 4.0, 6.0, 12.0, 0.0625, 24.0], array_map($inches, [1.0, 1.01, 2.5, 5.0, 6.01, 0.01, 12.5]));
        $this->assertSame([1200.0, 2400.0], array_map($inches, [1200.0, 1201.0]));
        $this->assertSame([true, false, true], array_map(RoundSteps::isHeavy(...), [50.8, 38.1, 152.4]));
        $this->assertEqualsWithDelta(38.1, RoundSteps::whole(38.4), 1e-9);
        $this->assertEqualsWithDelta(39.6875, RoundSteps::whole(39.0), 1e-9);
    }

    public function test_a_multiple_is_one_whatever_its_floats(): void
    {
        for ($k = -40; $k <= 400; $k++) {
            $this->assertTrue(RoundSteps::isMultiple($k * 12.7, 12.7), "{$k}");
            $this->assertFalse(RoundSteps::isMultiple($k * 12.7 + 0.001, 12.7), "{$k}");
        }
    }
}
