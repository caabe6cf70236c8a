<?php

declare(strict_types=1);

namespace Tests\Core\Schedule;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

/** Sessions and their hands, held minute by minute to what the times say. */
final class BenchTimeTest extends TestCase
{
    private const DAYS = 12;

    public function test_every_minute_has_the_hands_that_its_times_give(): void
    {
        foreach (['UTC', 'Europe/Oslo', 'Asia/Kathmandu'] as $name) {
            $zone = new DateTimeZone($name);
            for ($seed = 1; $seed <= 12; $seed++) {
                $times = $this->random($seed);
                $from = Build::minute('2026-10-12T11:00Z');
                $sessions = BenchTime::sessions($times, $zone, $from, self::DAYS);
                $hands = $this->hands($sessions, $times, $zone);
                for ($minute = $from; $minute < $from + 1440 * (self::DAYS - 1); $minute += 5) {
                    $this->assertSame(
                        $this->given($times, $zone, $minute),
                        $hands[$minute] ?? 0,
                        "{$name}, seed {$seed}, ".date('D H:i', $minute * 60),
                    );
                }
                foreach ($sessions as $k => [$begin, $end, $most]) {
                    $this->assertGreaterThan($sessions[$k - 1][1] ?? 0, $begin, 'sessions that touch are one');
                    $this->assertSame(max(array_column(BenchTime::hands($times, $zone, [$begin, $end, $most]), 1)), $most);
                }
            }
        }
    }

    public function test_days_that_run_into_each_other_keep_their_own_hands(): void
    {
        $zone = new DateTimeZone('UTC');
        $all = array_map(fn (int $day): BenchTime => Build::weekly($day, $day, 0, 1440), range(1, 7));
        $friend = new BenchTime(Build::uid(9), BenchTimeKind::Single, null, '2026-10-17', 600, 720, 2, who: 'A friend');
        $from = Build::minute('2026-10-12T00:00Z');
        $sessions = BenchTime::sessions([...$all, $friend], $zone, $from, 7);
        $this->assertSame([[$from, $from + 7 * 1440, 2]], $sessions);
        $saturday = $from + 5 * 1440;
        $this->assertSame(
            [[$from, 1], [$saturday + 600, 2], [$saturday + 720, 1]],
            BenchTime::hands([...$all, $friend], $zone, $sessions[0]),
        );
    }

    public function test_a_session_over_changed_clocks_is_longer_or_shorter_by_an_hour(): void
    {
        $zone = new DateTimeZone('Europe/Oslo');
        $night = [
            new BenchTime(Build::uid(1), BenchTimeKind::Single, null, '2026-10-25', 60, 300),
            new BenchTime(Build::uid(2), BenchTimeKind::Single, null, '2027-03-28', 60, 300),
        ];
        [$autumn, $spring] = BenchTime::sessions($night, $zone, Build::minute('2026-10-24T12:00Z'), 160);
        $this->assertSame([300, 180], [$autumn[1] - $autumn[0], $spring[1] - $spring[0]]);
        $this->assertCount(0, BenchTime::clockChanges($night, $zone, Build::minute('2026-10-24T12:00Z'), 160));
        $within = [
            new BenchTime(Build::uid(3), BenchTimeKind::Single, null, '2027-03-28', 150, 300),
            new BenchTime(Build::uid(4), BenchTimeKind::Single, null, '2026-10-25', 150, 300),
        ];
        $said = BenchTime::clockChanges($within, $zone, Build::minute('2026-10-24T12:00Z'), 160);
        $this->assertSame(
            [
                'Sun 25 Oct, 02:30: the clocks have that hour twice; the second is taken.',
                'Sun 28 Mar, 02:30: the clocks skip that hour; 03:30 is taken.',
            ],
            $said,
        );
        // 3:30 in summer time is 1:30 by the sun of UTC; the second 2:30 in autumn too.
        $taken = BenchTime::sessions($within, $zone, Build::minute('2026-10-24T12:00Z'), 160);
        $this->assertSame([Build::minute('2026-10-25T01:30Z'), Build::minute('2027-03-28T01:30Z')], array_column($taken, 0));
    }

    public function test_times_that_cannot_be_are_refused_at_their_field(): void
    {
        $of = fn (array $with): BenchTime => new BenchTime(
            ...[
                'uid' => Build::uid(1),
                'kind' => BenchTimeKind::Single,
                'weekday' => null,
                'date' => '2026-10-14',
                'from' => 600,
                'to' => 700,
                ...$with,
            ],
        );
        $cases = [
            'weekday' => ['kind' => BenchTimeKind::Weekly, 'weekday' => 8],
            'date' => ['date' => '2026-02-30'],
            'until' => ['kind' => BenchTimeKind::Visit, 'until' => '2026-10-13'],
            'from' => ['from' => -1],
            'to' => ['to' => 600],
            'hands' => ['hands' => 0],
            'who' => ['who' => str_repeat('n', 81)],
        ];
        foreach ($cases as $field => $with) {
            try {
                $of($with);
                $this->fail("{$field} is let through");
            } catch (InvalidValue $refusal) {
                $this->assertSame($field, $refusal->place);
            }
        }
        foreach (
            [
                ['to' => 1441],
                ['kind' => BenchTimeKind::Visit, 'until' => '2027-01-14'],
                ['date' => ''],
                ['kind' => BenchTimeKind::Weekly, 'weekday' => 0],
            ] as $with
        ) {
            try {
                $of($with);
                $this->fail((string) json_encode($with));
            } catch (InvalidValue $refusal) {
                $this->assertNotSame('', $refusal->getMessage());
            }
        }
        $this->assertNull($of(['until' => '2026-10-16'])->until, 'a single session has one day');
    }

    /** @return list<BenchTime> */
    private function random(int $seed): array
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $clock = fn (): array => [5 * ($from = $random->getInt(48, 240)), min(1440, 5 * ($from + $random->getInt(6, 60)))];
        $date = fn (int $from): string => (new DateTimeImmutable('2026-10-12'))
            ->modify('+'.($from + $random->getInt(0, 8)).' days')
            ->format('Y-m-d');
        $times = [];
        for ($k = 0; $k < $random->getInt(2, 8); $k++) {
            [$from, $to] = $clock();
            $kind = BenchTimeKind::cases()[$random->getInt(0, 4)];
            $day = $date(0);
            $until =
                $random->getInt(0, 1) === 1 && $kind->lasts()
                    ? (new DateTimeImmutable($day))->modify('+2 days')->format('Y-m-d')
                    : null;
            $times[] = new BenchTime(
                Build::uid($k + 1),
                $kind,
                $kind === BenchTimeKind::Weekly ? $random->getInt(1, 7) : null,
                $kind === BenchTimeKind::Weekly ? null : $day,
                $from,
                $to,
                $random->getInt(1, 3),
                until: $until,
            );
        }

        return $times;
    }

    /**
     * @param  list<array{int, int, int}>  $sessions
     * @param  list<BenchTime>  $times
     * @return array<int, int> minute → hands
     */
    private function hands(array $sessions, array $times, DateTimeZone $zone): array
    {
        $out = [];
        foreach ($sessions as $session) {
            $steps = BenchTime::hands($times, $zone, $session);
            for ($minute = $session[0]; $minute < $session[1]; $minute++) {
                foreach ($steps as [$at, $hands]) {
                    $out[$minute] = $at <= $minute ? $hands : $out[$minute];
                }
            }
        }

        return $out;
    }

    /** @param  list<BenchTime>  $times */
    private function given(array $times, DateTimeZone $zone, int $minute): int
    {
        $at = (new DateTimeImmutable('@'.$minute * 60))->setTimezone($zone);
        $clock = 60 * (int) $at->format('G') + (int) $at->format('i');
        $date = $at->format('Y-m-d');
        $most = 0;
        foreach ($times as $time) {
            $here =
                $time->kind === BenchTimeKind::Weekly
                    ? (int) $at->format('N') === $time->weekday
                    : $date >= $time->date && $date <= ($time->until ?? $time->date);
            $within = $clock >= $time->from && $clock < $time->to;
            if ($here && ($time->kind === BenchTimeKind::Closed || ($time->kind === BenchTimeKind::Busy && $within))) {
                return 0;
            }
            $most = $here && $within ? max($most, $time->hands) : $most;
        }

        return $most;
    }
}
