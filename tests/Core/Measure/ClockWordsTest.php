<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use DateTimeZone;
use IdleRidge\Core\Measure\ClockWords;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class ClockWordsTest extends TestCase
{
    #[TestWith([20.0, '20 min'])]
    #[TestWith([89.4, '89 min'])]
    #[TestWith([89.6, '1 h 30'])]
    #[TestWith([125.0, '2 h'])]
    #[TestWith([129.6, '2 h 10'])]
    #[TestWith([599.0, '9 h 59'])]
    #[TestWith([600.0, '10 h'])]
    #[TestWith([2879.4, '48 h'])]
    #[TestWith([2879.6, '2 d'])]
    #[TestWith([5040.0, '3.5 d'])]
    #[TestWith([14_399.0, '10 d'])]
    #[TestWith([14_500.0, '10 d'])]
    #[TestWith([17_280.0, '12 d'])]
    public function test_a_span_is_said_as_one_says_it(float $minutes, string $words): void
    {
        $this->assertSame($words, ClockWords::span($minutes));
    }

    #[TestWith([5.0, 20.0, '5–20 min'])]
    #[TestWith([20.0, 180.0, '20–180 min'])]
    #[TestWith([120.0, 300.0, '2–5 h'])]
    #[TestWith([140.0, 400.0, '2 h 20–6 h 40'])]
    #[TestWith([-50.0, 2880.0, '0–2 d'])]
    #[TestWith([180.0, 181.0, '3 h'])]
    #[TestWith([2160.0, 3744.0, '36–62 h'])]
    #[TestWith([2400.0, 3744.0, '1.7–2.6 d'])]
    #[TestWith([60.0, 3000.0, '1–50 h'])]
    #[TestWith([5.0, 599.0, '5–599 min'])]
    #[TestWith([5.0, 600.0, '0–10 h'])]
    #[TestWith([5.0, 1064.0, '0–18 h'])]
    #[TestWith([600.0, 7199.0, '10–120 h'])]
    #[TestWith([600.0, 7200.0, '0.4–5 d'])]
    public function test_both_ends_of_a_range_are_in_one_unit(float $from, float $to, string $words): void
    {
        $this->assertSame($words, ClockWords::range($from, $to));
    }

    public function test_no_range_has_two_units(): void
    {
        mt_srand(7);
        for ($k = 0; $k < 500; $k++) {
            $from = exp(mt_rand(0, 1000) / 100.0);
            $words = ClockWords::range($from, $from * (1.0 + mt_rand(0, 800) / 100.0));
            $units = array_unique(preg_match_all('/min|h|d/', $words, $found) > 0 ? $found[0] : []);
            $this->assertCount(1, $units, $words);
        }
    }

    public function test_moments_near_and_far(): void
    {
        $now = Build::minute('2026-10-14T16:00Z');
        $words = new ClockWords(new DateTimeZone('Europe/Oslo'), $now);
        $near = [$now + 120, $now + 1560, $now + 6 * 1440 - 1, $now - 5 * 1440];
        $this->assertSame(['20:00', 'Thu 20:00', 'Tue 17:59', 'Fri 18:00'], array_map($words->moment(...), $near));
        $this->assertSame(array_map($words->moment(...), $near), array_map($words->exactly(...), $near));
        $this->assertSame('Tue 20 Oct', $words->moment($now + 6 * 1440));
        $this->assertSame('Tue 20 Oct 18:00', $words->exactly($now + 6 * 1440));
        $this->assertSame('Thu 8 Oct 18:00', $words->exactly($now - 6 * 1440));
        $this->assertSame(
            ['tonight', 'today', '15 Oct', 'tonight', 'today'],
            [
                $words->shortDay($now + 60),
                $words->shortDay($now - 60),
                $words->shortDay($now + 1440),
                (new ClockWords(new DateTimeZone('UTC'), $now))->shortDay($now + 60),
                (new ClockWords(new DateTimeZone('UTC'), $now - 120))->shortDay($now + 59),
            ],
        );
    }
}
