<?php

declare(strict_types=1);

namespace Tests\Core\Cure;

use DateTimeZone;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Cure\LearnedFactor;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Observation;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;
use Tests\Fixtures;

/** What was seen dry or wet, and what was read of the air, and what follows from them. */
final class LearningTest extends TestCase
{
    private const START = 29_000_000;

    public function test_intervals_of_seen_cases_are_learned_from(): void
    {
        foreach (Fixtures::vectors('calibration') as $k => $of) {
            $log = fn (?float $minutes): ?float => $minutes === null ? null : log($minutes / $of['median_model_min']);
            $learned = LearnedFactor::from(
                array_map(fn (array $c): array => [$log($c['still_wet_at']), $log($c['dry_by'])], $of['cases']),
                $of['prior_log_sd'],
                $of['case_log_sd'],
            );
            $this->assertEqualsWithDelta($of['posterior_mean_log_factor'], $learned->mean, 6e-4, "case {$k}");
            $this->assertEqualsWithDelta($of['posterior_log_sd'], $learned->sd, 6e-4, "case {$k}");
            $this->assertSame(count($of['cases']), $learned->cases);
        }
        $this->assertEqualsWithDelta(CureClock::factor(0.8), LearnedFactor::nothing()->factor(0.8), 1e-12);
        $this->assertGreaterThan(LearnedFactor::nothing()->factor(0.9), LearnedFactor::nothing()->ofNewLot()->factor(0.9));
        $this->assertLessThan(LearnedFactor::nothing()->factor(0.1), LearnedFactor::nothing()->ofNewLot()->factor(0.1));
    }

    public function test_a_room_in_which_all_takes_longer_is_found_out(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(7));
        $seen = [];
        for ($k = 0; $k < 40; $k++) {
            // The truth: half as long again, scattered by a quarter; each case looked at every two hours.
            $dry =
                600.0 *
                1.5 *
                exp(0.25 * sqrt(-2.0 * log(Build::between($random, 0.001, 1.0))) * cos(2.0 * M_PI * Build::between($random, 0.0, 1.0)));
            $wet = floor($dry / 120.0) * 120.0;
            $end = (float) (self::START + 10_000 * $k);
            $seen[] = new Observation("s{$k}", self::glue(), 1.0, $end, [
                ['at' => $end + $wet, 'wet' => true, 'of' => Milestone::NextCoat],
                ['at' => $end + $wet + 120.0, 'wet' => false, 'of' => Milestone::NextCoat],
            ]);
        }
        $drying = new Drying(Room::standard(), new DateTimeZone('UTC'), self::START, seen: $seen);
        $learned = $drying->learned('glue');
        $this->assertEqualsWithDelta(log(1.5), $learned->mean, 0.1);
        $this->assertLessThan(0.08, $learned->sd);
        $later = (float) (self::START + 1_000_000);
        $this->assertEqualsWithDelta(
            600.0 * $learned->factor(0.5),
            $drying->reached(self::glue(), Milestone::NextCoat, 1.0, $later, 0.5) - $later,
            0.01,
        );
        $this->assertSame(0, $drying->learned('paint')->cases, 'another recipe is not touched');
    }

    public function test_a_case_is_bounded_by_what_was_seen_of_it_and_not_counted_twice(): void
    {
        $end = (float) self::START + 100.0;
        $own = new Observation('own', self::glue(), 1.0, $end, [
            ['at' => $end + 500.0, 'wet' => true, 'of' => Milestone::NextCoat],
            ['at' => $end + 700.0, 'wet' => false, 'of' => Milestone::NextCoat],
        ]);
        $drying = new Drying(Room::standard(), new DateTimeZone('UTC'), self::START, seen: [$own]);
        foreach ([0.05, 0.5, 0.95] as $quantile) {
            $minutes = $drying->reached(self::glue(), Milestone::NextCoat, 1.0, $end, $quantile, $own) - $end;
            $this->assertGreaterThanOrEqual(500.0 - 0.01, $minutes);
            $this->assertLessThanOrEqual(700.0 + 0.01, $minutes);
        }
        $this->assertSame(0, $drying->learned('glue', 'own')->cases);
        $this->assertSame(1, $drying->learned('glue')->cases);
        // Seen dry and later wet again: between the two.
        $odd = new Observation('odd', self::glue(), 1.0, $end, [
            ['at' => $end + 400.0, 'wet' => false, 'of' => Milestone::NextCoat],
            ['at' => $end + 900.0, 'wet' => true, 'of' => Milestone::NextCoat],
        ]);
        $this->assertEqualsWithDelta(600.0, $drying->reached(self::glue(), Milestone::NextCoat, 1.0, $end, 0.8, $odd) - $end, 0.1);
    }

    public function test_what_is_wet_against_all_odds_takes_a_while_still(): void
    {
        // Sixteen times its time and still wet: ln 16 is 6.4 spreads out, and 80 % of what is left end within √(6.4² + 3.2).
        $spread = hypot(0.35, 0.25);
        $z = log(16.0) / $spread;
        $this->assertEqualsWithDelta(
            exp($spread * sqrt($z ** 2 - 2.0 * log(0.2))),
            LearnedFactor::nothing()->factorWithin(0.8, log(16.0), null),
            1e-9,
        );
        $this->assertGreaterThan(16.5, LearnedFactor::nothing()->factorWithin(0.8, log(16.0), null));
        // Where both ways can be reckoned they agree within a few hundredths.
        $at = $spread * 3.72;
        $this->assertEqualsWithDelta(
            log(LearnedFactor::nothing()->factorWithin(0.5, $at - 1e-4, null)),
            log(LearnedFactor::nothing()->factorWithin(0.5, $at + 1e-2, null)),
            0.03,
        );
    }

    public function test_doses_run_through_what_was_read(): void
    {
        // Four hours at 20 °C, 50 %, then at 20 °C, 75 %: half the deficit, half the rate. Read every hour.
        $readings = [];
        for ($h = 0; $h <= 30; $h++) {
            $readings[] = [self::START + 60 * $h, 20.0, $h <= 4 ? 50.0 : 75.0];
        }
        $air = new RoomAir(Room::of('r', 'Room', 5.0, 5.0, 90.0, 90.0), new DateTimeZone('UTC'), AirLog::of($readings));
        // The hour between the two is the mean of both: 62.5 %, three quarters of the rate.
        $this->assertEqualsWithDelta(62.5, $air->at(self::START + 250)->humidity, 1e-9);
        $drying = new Drying(Room::of('r', 'Room', 5.0, 5.0, 90.0, 90.0), new DateTimeZone('UTC'), self::START - 1, AirLog::of($readings));
        $this->assertEqualsWithDelta(
            240.0 + 60.0 + (600.0 - 240.0 - 45.0) / 0.5,
            $drying->reached(self::glue(), Milestone::NextCoat, 1.0, (float) self::START, 0.5) - self::START,
            0.01,
        );
    }

    public function test_air_to_come_is_the_usual_air_of_the_hour(): void
    {
        $midnight = Build::minute('2026-01-05T00:00Z');
        $readings = [];
        for ($h = 0; $h < 20 * 24; $h++) {
            // Old days were warm; of the last two weeks every noon has 22 °C and every other hour 16 °C.
            $readings[] = [$midnight + 60 * $h, $h < 5 * 24 ? 30.0 : ($h % 24 === 12 ? 22.0 : 16.0), 60.0];
        }
        $air = new RoomAir(Room::of('r', 'Room', 5.0, 5.0, 90.0, 90.0), new DateTimeZone('UTC'), AirLog::of($readings));
        $day = $midnight + 1440 * 40;
        $this->assertEqualsWithDelta(
            [16.0, 22.0, 16.0],
            array_map(fn (int $hour): float => $air->at($day + 60 * $hour + 30)->temperature, [11, 12, 13]),
            1e-9,
        );
        $this->assertSame($day + 13 * 60, $air->nextChange($day + 12 * 60 + 5));
        $this->assertSame(16.0, $air->coldest());
        // Hours that were never read keep what the room is set to.
        $few = new RoomAir(
            Room::of('r', 'Room', 18.0, 9.0, 50.0, 70.0),
            new DateTimeZone('UTC'),
            AirLog::of([[$midnight + 720, 21.0, 40.0]]),
        );
        $this->assertSame(
            [21.0, 18.0, 9.0],
            [
                $few->at($midnight + 1440 + 730)->temperature,
                $few->at($midnight + 1440 + 800)->temperature,
                $few->at($midnight + 1440 + 60)->temperature,
            ],
        );
    }

    public function test_gaps_are_named_and_bridged_and_what_cannot_be_is_refused(): void
    {
        $log = AirLog::of([[0, 20.0, 50.0], [60, 20.0, 50.0], [600, 10.0, 60.0], [660, 10.0, 60.0]]);
        $this->assertSame([[1, 60, 600]], $log->gaps());
        $this->assertNull($log->at(300));
        $this->assertNotNull($log->at(30));
        $this->assertSame(600, $log->nextAfter(300));
        $this->assertNull($log->nextAfter(660));
        $this->assertSame([0, 30, 60, 600, 660], array_column($log->with(AirLog::of([[30, 19.0, 51.0], [60, 18.0, 52.0]]))->readings, 0));
        $this->assertSame(18.0, $log->with(AirLog::of([[60, 18.0, 52.0]]))->readings[1][1]);
        foreach (
            [
                'readings/1' => [[60, 20.0, 50.0], [30, 20.0, 50.0]],
                'readings/2' => [[0, 20.0, 50.0], [60, 20.0, 50.0], [60, 21.0, 50.0]],
                'readings/0' => [[0, 20.0, 140.0]],
            ] as $place => $readings
        ) {
            try {
                AirLog::of($readings);
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    public function test_waits_never_end_earlier_for_a_later_start_whatever_was_read(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $readings = [];
            $at = self::START;
            for ($k = 0; $k < 60; $k++) {
                $at += $random->getInt(5, 400);
                $readings[] = [$at, Build::between($random, 2.0, 30.0), Build::between($random, 20.0, 95.0)];
            }
            $drying = new Drying(
                Room::of('r', 'Room', 18.0, 8.0, 55.0, 75.0),
                new DateTimeZone('Europe/Oslo'),
                self::START - 10,
                AirLog::of($readings),
            );
            $before = 0.0;
            foreach (['pulp-plaster-stiff', 'white-glue-neat', 'two-part-resin'] as $id) {
                $before = 0.0;
                for ($end = self::START; $end < $at + 3000; $end += 211) {
                    $ready = $drying->reached(Build::recipe($id)->cure, Milestone::NextCoat, 3.0, (float) $end, 0.8);
                    $this->assertGreaterThanOrEqual($before - 1e-6, $ready, "seed {$seed}, {$id}");
                    $before = $ready;
                }
            }
        }
    }

    private static function glue(): CureFigures
    {
        return new CureFigures('glue', 'Glue', Mechanism::Evaporation, [
            'touch_dry' => 60.0,
            'next_coat' => 600.0,
            'dry_through' => 1440.0,
        ]);
    }
}
