<?php

declare(strict_types=1);

namespace Tests\Core\Cure;

use DateTimeZone;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\DoseTable;
use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Observation;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Fixtures;

final class DryingTest extends TestCase
{
    public function test_a_dose_runs_through_day_and_night(): void
    {
        // Five hours of 20 °C before the night of 10 °C and 70 %: the worked example, with a night that does not end.
        $of = Fixtures::json('vectors.json')['dose'];
        $room = Room::of('r', 'Room', 20.0, 10.0, 50.0, 70.0, 1.0, 0, 1440 - 60);
        $from = Build::minute('2026-01-05T00:00Z');
        $table = new DoseTable(Mechanism::Evaporation, new RoomAir($room, new DateTimeZone('UTC')), $from);
        $this->assertEqualsWithDelta(1380.0 + 60.0 * 0.31525, $table->at($from + 1440), 0.01);
        $this->assertEqualsWithDelta($from + 1410.0, $table->when(1380.0 + 30.0 * 0.31525), 0.01);
        $steps = [['minutes' => 300.0, 'air' => $room->day], ['minutes' => null, 'air' => $room->night]];
        $this->assertEqualsWithDelta($of['reached_min'], CureClock::reached($of['t_ref_min'], Mechanism::Evaporation, $steps), 0.01);
        $short = Room::of('r', 'Room', 20.0, 10.0, 50.0, 70.0, 1.0, 0, 300);
        $drying = new Drying($short, new DateTimeZone('UTC'), $from);
        // 300 by day, 1140 × 0.31525 = 359.4 by night, the rest 60.6 of the next day.
        $this->assertEqualsWithDelta($from + 1440 + 60.6, $drying->reached(self::glue(720.0), Milestone::NextCoat, 1.0, $from, 0.5), 0.1);
    }

    public function test_an_even_room_agrees_with_the_plain_clock(): void
    {
        $room = Room::of('r', 'Room', 18.5, 18.5, 62.0, 62.0, 1.6);
        $start = Build::minute('2026-10-14T18:00Z');
        $drying = new Drying($room, new DateTimeZone('Europe/Oslo'), $start - 5000);
        foreach (Build::library()->recipes as $recipe) {
            foreach (CureClock::medians($recipe->cure, new Climate(18.5, 62.0, 1.6), 2.0) as $milestone => $minutes) {
                foreach ([0.2, 0.5, 0.9] as $quantile) {
                    $this->assertEqualsWithDelta(
                        $minutes * CureClock::factor($quantile),
                        $drying->reached($recipe->cure, Milestone::from($milestone), 2.0, $start, $quantile) - $start,
                        1e-4 * $minutes + 1e-4,
                        "{$recipe->id} {$milestone}",
                    );
                }
                $this->assertLessThanOrEqual(
                    $minutes * CureClock::factor(0.8) + 1e-6,
                    $drying->least($recipe->cure, Milestone::from($milestone), 2.0, 0.8),
                );
            }
        }
    }

    public function test_later_is_never_dry_earlier(): void
    {
        $drying = new Drying(Room::of('r', 'Room', 20.0, 5.0, 50.0, 85.0), new DateTimeZone('Europe/Oslo'), 29_000_000);
        foreach (['earth-paint', 'pulp-plaster-spreading', 'sifted-soil'] as $id) {
            $before = 0.0;
            for ($end = 29_000_100; $end < 29_003_000; $end += 37) {
                $ready = $drying->reached(Build::recipe($id)->cure, Milestone::NextCoat, 3.0, $end, 0.8);
                $this->assertGreaterThanOrEqual($before, $ready);
                $this->assertGreaterThanOrEqual(
                    $drying->least(Build::recipe($id)->cure, Milestone::NextCoat, 3.0, 0.8) - 1e-6,
                    $ready - $end,
                );
                $before = $ready;
            }
        }
    }

    public function test_what_was_seen_wet_takes_longer(): void
    {
        $drying = new Drying(Room::standard(), new DateTimeZone('UTC'), 29_000_000);
        $end = 29_000_100.0;
        $plain = fn (float $quantile, ?float $wet): float => $drying->reached(
            self::glue(600.0),
            Milestone::NextCoat,
            1.0,
            $end,
            $quantile,
            $wet === null
                ? null
                : new Observation('a', self::glue(600.0), 1.0, $end, [['at' => $wet, 'wet' => true, 'of' => Milestone::NextCoat]]),
        ) - $end;
        $this->assertEqualsWithDelta(600.0, $plain(0.5, null), 1e-6);
        $this->assertEqualsWithDelta(600.0, $plain(0.5, $end + 1.0), 1.0, 'wet after a minute says nothing');
        // Seen wet at the median: half of the cases are ruled out, the new median is the old 75 %.
        $this->assertEqualsWithDelta($plain(0.75, null), $plain(0.5, $end + 600.0), 0.5);
        $this->assertEqualsWithDelta($plain(0.9, null), $plain(0.8, $end + 600.0), 0.5);
        $this->assertGreaterThanOrEqual(3000.0, $plain(0.2, $end + 3000.0));
    }

    public function test_a_film_is_spoiled_past_a_tenth_of_its_dose_in_the_cold(): void
    {
        // By day as fast as by night: 8.5 °C and 7.5 °C, film-forming at 8 °C, touch-dry after 100 at the rate there.
        $room = Room::of('r', 'Room', 8.5, 7.5, 50.0, 50.0, 1.0, 0, 1200);
        $day = Mechanism::Evaporation->rate($room->day);
        $night = Mechanism::Evaporation->rate($room->night);
        $from = Build::minute('2026-01-05T00:00Z');
        $drying = new Drying($room, new DateTimeZone('UTC'), $from);
        $glue = new CureFigures('glue', 'Glue', Mechanism::Evaporation, ['touch_dry' => 100.0], filmTemperature: 8.0);
        // Begun so that so much is gathered before the night: a case of factor f is spoilt where that is less than 90 f. At 50 % that
        // is 90, at 80 % 90 × exp(0.841621 × √(0.35² + 0.25²)) = 129.26, at 90 % 156.20.
        foreach (['0.5' => 90.0, '0.8' => 129.26, '0.9' => 156.2] as $certainty => $limit) {
            $this->assertFalse($drying->spoils($glue, 1.0, $from + 1200 - ($limit + 0.6) / $day, (float) $certainty), "{$certainty}");
            $this->assertTrue($drying->spoils($glue, 1.0, $from + 1200 - ($limit - 0.6) / $day, (float) $certainty), "{$certainty}");
        }
        $this->assertEqualsWithDelta(0.2, $drying->spoilChance($glue, 1.0, $from + 1200 - 129.26 / $day), 2e-3);
        $this->assertSame(0.0, $drying->spoilChance($glue, 1.0, (float) $from));
        $this->assertEqualsWithDelta(0.1, $drying->coldShare($glue, 1.0, $from + 1200 - 90.0 / $day), 1e-3);
        $this->assertGreaterThan(0.0, $night);
        $this->assertFalse(
            $drying->spoils(new CureFigures('wash', 'Wash', Mechanism::Evaporation, ['touch_dry' => 100.0]), 1.0, $from + 1190.0, 0.8),
            'without a film there is none to spoil',
        );
    }

    public function test_bone_dry_and_soaked_rooms_still_end(): void
    {
        foreach ([0.0, 100.0] as $humidity) {
            $drying = new Drying(Room::of('r', 'Room', 0.0, 0.0, $humidity, $humidity), new DateTimeZone('UTC'), 29_000_000);
            foreach (['can-foam', 'pulp-plaster-spreading', 'two-part-resin'] as $id) {
                $this->assertGreaterThan(
                    29_000_100.0,
                    $drying->reached(Build::recipe($id)->cure, Milestone::DryThrough, 5.0, 29_000_100.0, 0.9),
                );
            }
        }
    }

    public function test_rooms_that_cannot_be_are_refused(): void
    {
        foreach (
            [
                'day_c' => fn () => Room::of('r', 'R', -40.0, 10.0, 50.0, 50.0),
                'night_rh' => fn () => Room::of('r', 'R', 20.0, 10.0, 50.0, 120.0),
                'day_to' => fn () => Room::of('r', 'R', 20.0, 10.0, 50.0, 50.0, 1.0, 600, 600),
                'name' => fn () => Room::of('r', '', 20.0, 10.0, 50.0, 50.0),
            ] as $place => $make
        ) {
            try {
                $make();
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    public function test_sessions_stand_on_the_wall_clock_and_closed_days_have_none(): void
    {
        $oslo = new DateTimeZone('Europe/Oslo');
        $times = [
            new BenchTime('a', BenchTimeKind::Weekly, 6, null, 600, 780),
            new BenchTime('b', BenchTimeKind::Single, null, '2026-10-24', 760, 900, 2),
            new BenchTime('c', BenchTimeKind::Weekly, 7, null, 600, 780),
            new BenchTime('d', BenchTimeKind::Closed, null, '2026-10-31', 0, 0),
        ];
        $from = Build::minute('2026-10-24T06:00Z');
        $this->assertSame(
            [
                // Saturday in summer time, joined with the visit; Sunday in winter time; the next Saturday is closed.
                [Build::minute('2026-10-24T08:00Z'), Build::minute('2026-10-24T13:00Z'), 2],
                [Build::minute('2026-10-25T09:00Z'), Build::minute('2026-10-25T12:00Z'), 1],
                [Build::minute('2026-11-01T09:00Z'), Build::minute('2026-11-01T12:00Z'), 1],
            ],
            BenchTime::sessions($times, $oslo, $from, 10),
        );
        // The hour that the clocks repeat counts the second time; one that they skip begins when it is over.
        $night = [
            new BenchTime('a', BenchTimeKind::Single, null, '2026-10-25', 150, 200),
            new BenchTime('b', BenchTimeKind::Single, null, '2027-03-28', 150, 240),
        ];
        $this->assertSame(Build::minute('2026-10-25T01:30Z'), BenchTime::sessions($night, $oslo, $from, 3)[0][0]);
        $this->assertSame(
            Build::minute('2027-03-28T01:30Z'),
            BenchTime::sessions($night, $oslo, Build::minute('2027-03-27T12:00Z'), 3)[0][0],
        );
        $this->assertSame([], BenchTime::sessions($times, $oslo, Build::minute('2026-10-24T13:00Z'), 1), 'what is over is over');
    }

    public function test_visits_busy_hours_and_friends(): void
    {
        $oslo = new DateTimeZone('Europe/Oslo');
        $times = [
            new BenchTime('a', BenchTimeKind::Visit, null, '2026-10-23', 540, 720, 2, until: '2026-10-25', who: 'A friend'),
            new BenchTime('b', BenchTimeKind::Busy, null, '2026-10-24', 600, 660),
            new BenchTime('c', BenchTimeKind::Single, null, '2026-10-24', 660, 780, 1),
            new BenchTime('d', BenchTimeKind::Closed, null, '2026-10-25', 0, 0, until: '2026-10-26'),
            new BenchTime('e', BenchTimeKind::Weekly, 1, null, 540, 600),
        ];
        $from = Build::minute('2026-10-23T00:00Z');
        $sessions = BenchTime::sessions($times, $oslo, $from, 5);
        $this->assertSame(
            [
                [Build::minute('2026-10-23T07:00Z'), Build::minute('2026-10-23T10:00Z'), 2],
                [Build::minute('2026-10-24T07:00Z'), Build::minute('2026-10-24T08:00Z'), 2],
                [Build::minute('2026-10-24T09:00Z'), Build::minute('2026-10-24T11:00Z'), 2],
            ],
            $sessions,
        );
        $this->assertSame(
            [[Build::minute('2026-10-24T09:00Z'), 2], [Build::minute('2026-10-24T10:00Z'), 1]],
            BenchTime::hands($times, $oslo, $sessions[2]),
            'the friend leaves at noon',
        );
        foreach (['until' => ['2026-10-20'], 'date' => [null]] as $place => [$until]) {
            try {
                new BenchTime('x', BenchTimeKind::Visit, null, $place === 'date' ? 'soon' : '2026-10-23', 540, 720, until: $until);
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    public function test_hours_that_clocks_skip_or_repeat_are_told(): void
    {
        $oslo = new DateTimeZone('Europe/Oslo');
        $weekly = new BenchTime('a', BenchTimeKind::Weekly, 7, null, 150, 1200);
        $this->assertSame(
            ['Sun 25 Oct, 02:30: the clocks have that hour twice; the second is taken.'],
            BenchTime::clockChanges([$weekly], $oslo, Build::minute('2026-10-20T00:00Z'), 30),
        );
        $this->assertSame(
            ['Sun 28 Mar, 02:30: the clocks skip that hour; 03:30 is taken.'],
            BenchTime::clockChanges([$weekly], $oslo, Build::minute('2027-03-20T00:00Z'), 30),
        );
        $this->assertSame(
            [],
            BenchTime::clockChanges([Build::weekly(1, 7, 600, 1200)], $oslo, Build::minute('2026-10-20T00:00Z'), 30),
        );
        $this->assertSame([], BenchTime::clockChanges([$weekly], new DateTimeZone('UTC'), Build::minute('2026-10-20T00:00Z'), 30));
    }

    public function test_a_cure_runs_through_the_changed_hour_in_elapsed_minutes(): void
    {
        // A night of eight hours by the clock has nine in autumn and seven in spring: a glue of 480 min in an even room does not care.
        foreach (['2026-10-24T20:00Z', '2027-03-27T21:00Z'] as $start) {
            $end = (float) Build::minute($start);
            $drying = new Drying(Room::standard(), new DateTimeZone('Europe/Oslo'), (int) $end - 10);
            $this->assertEqualsWithDelta(480.0, $drying->reached(self::glue(480.0), Milestone::NextCoat, 1.0, $end, 0.5) - $end, 1e-6);
        }
        // Where the night is cold, the longer night counts: day from 7:00 to 22:00.
        $cold = fn (string $start): float => (new Drying(
            Room::of('r', 'R', 20.0, 10.0, 50.0, 50.0),
            new DateTimeZone('Europe/Oslo'),
            Build::minute($start) - 10,
        ))->reached(self::glue(600.0), Milestone::NextCoat, 1.0, (float) Build::minute($start), 0.5) - Build::minute($start);
        $rate = Mechanism::Evaporation->rate(Room::of('r', 'R', 20.0, 10.0, 50.0, 50.0)->night);
        $this->assertEqualsWithDelta(
            60.0 * (1.0 - $rate),
            $cold('2026-10-24T20:00Z') - $cold('2026-10-17T20:00Z'),
            0.01,
            'an hour more of night',
        );
    }

    public function test_times_of_day_are_read_as_people_type_them(): void
    {
        $this->assertSame(
            [1170, 450, 1140, 0],
            array_map(fn (string $t): int => BenchTime::minute($t, 'from'), ['19:30', '7.30', '19', '0:00']),
        );
        foreach (['25:00', 'late', '', '12:60'] as $text) {
            try {
                BenchTime::minute($text, 'from');
                $this->fail($text);
            } catch (InvalidValue $refusal) {
                $this->assertSame('from', $refusal->place);
            }
        }
        $this->expectExceptionMessage('ends before it begins');
        new BenchTime('a', BenchTimeKind::Weekly, 3, null, 1290, 1170);
    }

    private static function glue(float $minutes): CureFigures
    {
        return new CureFigures('glue', 'Glue', Mechanism::Evaporation, ['next_coat' => $minutes]);
    }
}
