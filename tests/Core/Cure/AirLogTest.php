<?php

declare(strict_types=1);

namespace Tests\Core\Cure;

use DateTimeZone;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\CureSpread;
use IdleRidge\Core\Cure\LearnedFactor;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

/** Logs of air put together and asked, and what is believed after cases, for whatever comes in. */
final class AirLogTest extends TestCase
{
    private const START = 29_000_000;

    public function test_logs_that_come_in_parts_and_in_any_order_are_one(): void
    {
        for ($seed = 1; $seed <= 30; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $all = $this->log($random, 60);
            $parts = [];
            foreach ($all->readings as $reading) {
                $parts[$random->getInt(0, 3)][] = $reading;
            }
            $one = AirLog::of([]);
            foreach ($random->shuffleArray($parts) as $part) {
                $one = $one->with(AirLog::of($part));
            }
            $this->assertEquals($all->readings, $one->readings, "seed {$seed}");
            $this->assertEquals($all->readings, $one->with($one)->readings, 'what comes twice stands once');
            $newer = array_map(fn (array $r): array => [$r[0], 1.0, 1.0], array_slice($all->readings, 0, 3));
            $this->assertEquals(
                [...$newer, ...array_slice($all->readings, 3)],
                $all->with(AirLog::of($newer))->readings,
                'the newer reading counts',
            );
        }
    }

    public function test_the_air_of_every_minute_lies_between_its_readings_or_is_not_known(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $log = $this->log(new Randomizer(new Xoshiro256StarStar($seed)), 40);
            $readings = $log->readings;
            $gaps = $log->gaps();
            for ($minute = $readings[0][0] - 30; $minute <= $readings[count($readings) - 1][0] + 30; $minute += 7) {
                $next = array_values(array_filter($readings, fn (array $r): bool => $r[0] > $minute));
                $before = array_values(array_filter($readings, fn (array $r): bool => $r[0] <= $minute));
                $this->assertSame($next[0][0] ?? null, $log->nextAfter($minute), "seed {$seed}");
                $air = $log->at($minute);
                $known =
                    $next !== [] && $before !== [] && array_filter(
                        $gaps,
                        fn (array $g): bool => $minute >= $g[1] && $minute < $g[2],
                    ) === [];
                $this->assertSame($known, $air !== null, "seed {$seed}");
                if ($air !== null) {
                    $last = $before[count($before) - 1];
                    $this->assertGreaterThanOrEqual(min($last[1], $next[0][1]), $air[0]);
                    $this->assertLessThanOrEqual(max($last[1], $next[0][1]), $air[0]);
                    $this->assertSame($next[0][0], $air[2]);
                }
            }
        }
    }

    public function test_a_room_never_stands_still_and_its_air_is_always_known(): void
    {
        $zone = new DateTimeZone('Europe/Oslo');
        for ($seed = 1; $seed <= 20; $seed++) {
            $log = $this->log(new Randomizer(new Xoshiro256StarStar($seed)), 40);
            $air = new RoomAir(Room::of('r', 'Room', 19.0, 9.0, 50.0, 70.0), $zone, $log);
            for ($minute = self::START - 200; $minute < self::START + 6000; $minute = $next) {
                $next = $air->nextChange($minute);
                $this->assertGreaterThan($minute, $next, "seed {$seed}");
                $this->assertEquals($air->at($minute), $air->at($next - 1), "seed {$seed}: nothing changes up to the next change");
                $this->assertGreaterThanOrEqual(
                    $air->coldest() - 1e-9,
                    $air->at(max($minute, $log->last()[0] ?? 0))->temperature,
                    "seed {$seed}",
                );
            }
        }
    }

    public function test_readings_out_of_order_or_that_cannot_be_are_named(): void
    {
        foreach (
            [
                [[5, 20.0, 50.0], [5, 20.0, 50.0]],
                [[5, 20.0, 50.0], [4, 20.0, 50.0]],
                [[5, 20.0, 50.0], [6, 20.0, 101.0]],
                [[5, 20.0, 50.0], [6, 400.0, 50.0]],
            ] as $readings
        ) {
            try {
                AirLog::of($readings);
                $this->fail((string) json_encode($readings));
            } catch (InvalidValue $refusal) {
                $this->assertSame('readings/1', $refusal->place);
            }
        }
    }

    public function test_moments_that_were_seen_themselves_weigh_as_normal_cases_do(): void
    {
        // With all moments seen the posterior is normal: precisions add, the mean is weighed by them.
        for ($seed = 1; $seed <= 20; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $seen = array_map(fn (): float => Build::between($random, -0.5, 0.6), range(1, $random->getInt(1, 8)));
            $precision = CureSpread::PRIOR ** -2 + count($seen) * CureSpread::BETWEEN_CASES ** -2;
            $learned = LearnedFactor::from(array_map(fn (float $x): array => [$x, $x], $seen));
            $this->assertEqualsWithDelta(
                (array_sum($seen) * CureSpread::BETWEEN_CASES ** -2) / $precision,
                $learned->mean,
                1e-4,
                "seed {$seed}",
            );
            $this->assertEqualsWithDelta($precision ** -0.5, $learned->sd, 1e-4, "seed {$seed}");
        }
    }

    public function test_beliefs_do_not_depend_on_the_order_and_answers_keep_within_what_was_seen(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $cases = [];
            for ($k = 0; $k < 6; $k++) {
                $low = Build::between($random, -0.8, 0.8);
                $high = $low + Build::between($random, 0.02, 0.7);
                $cases[] = [[$low, $high], [null, $high], [$low, null]][$random->getInt(0, 2)];
            }
            $learned = LearnedFactor::from($cases);
            $this->assertEqualsWithDelta($learned->mean, LearnedFactor::from($random->shuffleArray($cases))->mean, 1e-9, "seed {$seed}");
            $this->assertLessThanOrEqual(CureSpread::PRIOR + 1e-3, $learned->sd, "seed {$seed}");
            // One more that took longer never makes it shorter.
            $this->assertGreaterThanOrEqual($learned->mean - 1e-9, LearnedFactor::from([...$cases, [1.2, null]])->mean, "seed {$seed}");
            foreach ($cases as [$low, $high]) {
                $last = 0.0;
                foreach ([0.01, 0.1, 0.5, 0.8, 0.9, 0.99] as $quantile) {
                    $factor = $learned->factorWithin($quantile, $low, $high);
                    $this->assertGreaterThanOrEqual($last, $factor, "seed {$seed}");
                    $this->assertGreaterThanOrEqual($low === null ? 0.0 : exp($low) - 1e-12, $factor, "seed {$seed}");
                    $this->assertLessThanOrEqual($high === null ? INF : exp($high) + 1e-12, $factor, "seed {$seed}");
                    $last = $factor;
                }
            }
        }
    }

    private function log(Randomizer $random, int $count): AirLog
    {
        $readings = [];
        $at = self::START;
        for ($k = 0; $k < $count; $k++) {
            // Now and then nothing comes for hours.
            $at += $random->getInt(0, 9) === 0 ? $random->getInt(100, 700) : $random->getInt(1, 60);
            $readings[] = [$at, Build::between($random, 2.0, 28.0), Build::between($random, 20.0, 95.0)];
        }

        return AirLog::of($readings);
    }
}
