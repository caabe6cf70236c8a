<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\School;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Countdown;
use IdleRidge\Core\Plan\IdleTime;
use IdleRidge\Core\Plan\PackingList;
use IdleRidge\Core\Plan\PartialPlan;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\ReadyBy;
use IdleRidge\Core\Plan\WhatIf;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\BenchPlanChecker;
use Tests\Build;

/** The layout with one thing changed, and what a plan says besides its moves. */
final class WhatIfTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

    public function test_a_heater_warms_the_air_and_leaves_its_water(): void
    {
        $project = $this->project([Room::of(Build::uid(60), 'Shed', 15.0, 4.0, 70.0, 82.0)]);
        $room = WhatIf::warmer($project, Build::uid(60), 18.0, Build::minute(self::NOW))->works->rooms[0];
        $this->assertSame([18.0, 18.0], [$room->day->temperature, $room->night->temperature]);
        foreach ([[$project->works->rooms[0]->day, $room->day], [$project->works->rooms[0]->night, $room->night]] as [$before, $after]) {
            $this->assertEqualsWithDelta(
                $before->saturation() * $before->humidity,
                $after->saturation() * $after->humidity,
                1e-9,
                'the same vapour pressure',
            );
            $this->assertLessThan($before->humidity, $after->humidity);
        }
        $warm = WhatIf::warmer($project, Build::uid(60), 10.0, Build::minute(self::NOW))->works->rooms[0];
        $this->assertSame(
            [15.0, 70.0, 10.0],
            [$warm->day->temperature, round($warm->day->humidity, 9), $warm->night->temperature],
            'nobody cools it',
        );
        foreach (
            [fn () => WhatIf::warmer($project, Build::uid(60), 60.0, 0), fn () => WhatIf::warmer($project, Build::uid(61), 18.0, 0)] as $odd
        ) {
            try {
                $odd();
                $this->fail('accepted');
            } catch (InvalidValue $refusal) {
                $this->assertContains($refusal->place, ['heater', 'room']);
            }
        }
    }

    public function test_where_the_air_is_read_a_heater_starts_from_that(): void
    {
        $from = Build::minute('2026-10-05T00:00Z');
        $readings = array_map(fn (int $h): array => [$from + 60 * $h, $h % 24 >= 8 && $h % 24 < 22 ? 14.0 : 6.0, 80.0], range(0, 24 * 7));
        $project = $this->project(
            [Room::of(Build::uid(60), 'Shed', 20.0, 20.0, 50.0, 50.0, 1.0, 480, 1320)],
            logs: [Build::uid(60) => AirLog::of($readings)],
        );
        $changed = WhatIf::warmer($project, Build::uid(60), 12.0, Build::minute(self::NOW));
        $this->assertEqualsWithDelta(
            [14.0, 12.0],
            [$changed->works->rooms[0]->day->temperature, $changed->works->rooms[0]->night->temperature],
            1e-9,
        );
        $work = Build::work($changed->works, self::NOW);
        $this->assertEqualsWithDelta(
            12.0,
            $work->drying($work->project->sections[0])->air->at($work->now + 1440 * 3 - 600)->temperature,
            1e-9,
            'what was read says no longer what is to come',
        );
        $this->assertEqualsWithDelta(
            6.0,
            $work->drying($work->project->sections[0])->air->at($from + 1440 + 90)->temperature,
            1e-9,
            'but still what was',
        );
        $fan = WhatIf::airflow($project, Build::uid(60), 2.2, Build::minute(self::NOW));
        $this->assertEqualsWithDelta(
            [6.0, 2.2],
            [
                Build::work($fan->works, self::NOW)
                    ->drying($work->project->sections[0])
                    ->air->at($work->now + 1440 * 3 - 600)->temperature,
                $fan->works->rooms[0]->day->airflow,
            ],
            1e-9,
            'a fan does not warm',
        );
    }

    public function test_sessions_hands_schools_and_fewer_coats(): void
    {
        $closed = new BenchTime(Build::uid(70), BenchTimeKind::Closed, null, '2026-10-20', 0, 0);
        $project = $this->project([Room::standard(Build::uid(60))], [$this->evening(1), $this->evening(3, 2), $closed]);
        $this->assertSame([3, 3, 1], array_map(fn (BenchTime $t): int => $t->hands, WhatIf::hands($project, 3)->works->times));
        $this->assertSame(
            [2, 2, 1],
            array_map(fn (BenchTime $t): int => $t->hands, WhatIf::hands($project, 2)->works->times),
            'nobody is sent away',
        );
        $this->assertCount(4, WhatIf::session($project, $this->evening(5))->works->times);

        $school = new School(
            'trial',
            'trial',
            'Trial',
            'trials',
            [],
            [['recipe' => Build::recipe('thin-wash'), 'way' => null, 'mm' => null, 'passes' => 2, 'share' => 1.0]],
        );
        $number = 80;
        $uid = function () use (&$number): string {
            return Build::uid($number++);
        };
        $other = WhatIf::school($project, Build::uid(1), $school, $uid, Build::library());
        $this->assertSame(['thin-wash'], array_map(fn (Coat $c): string => $c->recipe->id, $other->works->coats));
        $begun = $project->working($project->works->with(['laid' => [$this->laid($project)]]));
        $this->assertSame(
            ['earth-paint', 'thin-wash'],
            array_map(
                fn (Coat $c): string => $c->recipe->id,
                WhatIf::school($begun, Build::uid(1), $school, $uid, Build::library())->works->coats,
            ),
            'what was begun stays',
        );

        $this->assertSame(
            [1, 2],
            array_map(fn (Coat $c): int => $c->passes, WhatIf::fewer($project, Build::uid(21))->works->coats),
            'one pass of three',
        );
        $this->assertSame(
            ['sifted-soil'],
            array_map(fn (Coat $c): string => $c->recipe->id, WhatIf::fewer($project, Build::uid(20))->works->coats),
            'the only one goes',
        );
        $held = $project->works->with([
            'coats' => array_map(fn (Coat $c): Coat => $c->but(way: 'flooded', name: 'Held'), $project->works->coats),
        ]);
        $fewer = WhatIf::fewer($project->working($held), Build::uid(21))->works->coats[1];
        $this->assertSame(['flooded', 'Held', 2], [$fewer->way, $fewer->name, $fewer->passes], 'all else stays');
        $this->expectExceptionMessage('is laid already');
        WhatIf::fewer($begun, Build::uid(20));
    }

    public function test_what_can_be_finished_by_then_and_how_it_is_left(): void
    {
        $ids = ['earth-paint', 'sifted-soil', 'fibre-2mm', 'pulp-plaster-stiff', 'gloss-medium', 'thin-wash'];
        for ($seed = 1; $seed <= 20; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $zones = $coats = [];
            for ($k = 1; $k <= 3; $k++) {
                $zones[] = Build::zone($k, [
                    'outline' => Build::square(300.0 * $k - 250.0, 50, 300.0 * $k - 50.0, 50.0 + $random->getInt(80, 400)),
                ]);
                for ($c = 0; $c < $random->getInt(1, 3); $c++) {
                    $coats[] = new Coat(
                        Build::uid(10 * $k + 20 + $c),
                        $zones[$k - 1]->uid,
                        Build::recipe($ids[$random->getInt(0, count($ids) - 1)]),
                    );
                }
            }
            $work = Build::work(
                new Works(
                    $zones,
                    $coats,
                    [],
                    [Room::of(Build::uid(90), 'Room', 19.0, 14.0, 55.0, 65.0)],
                    [$this->evening(1), $this->evening(2), $this->evening(4), $this->evening(6)],
                ),
                self::NOW,
            );
            $until = Build::minute('2026-10-17T00:00Z');
            $by = ReadyBy::of($work, $until);
            $through = [];
            foreach ($by->moves as ['placed' => $placed, 'state' => $state, 'ready' => $ready]) {
                $this->assertLessThanOrEqual($until, $placed->end, "seed {$seed}");
                $this->assertSame($ready <= $until, $state === 'dry through', "seed {$seed}");
                $through[] = $state;
            }
            $this->assertSame(array_diff($through, ['dry through']) === [], $by->isDry());
            $at = array_column(
                array_map(fn (array $m): array => [$m['placed']->move->id, [$m['placed']->start, $m['placed']->end]], $by->moves),
                1,
                0,
            );
            $this->assertSame([], PartialPlan::leftOpen($work, $at), "seed {$seed}");
            $plan = BenchPlan::of($work, ['status' => 'feasible', 'at' => $at, 'cold' => [], 'bound' => 0]);
            $this->assertSame([], BenchPlanChecker::faults($plan), "seed {$seed}");
            // What a plan of everything has done by then is no more work than what is done for that alone.
            $minutes = fn (array $placed): int => array_sum(array_map(fn (PlacedMove $p): int => $p->minutes(), $placed));
            $all = array_filter(BenchPlan::make($work, new StepBudget(10))->moves, fn (PlacedMove $p): bool => $p->end <= $until);
            $this->assertGreaterThanOrEqual(0.6 * $minutes($all), $minutes(array_column($by->moves, 'placed')), "seed {$seed}");
        }
    }

    public function test_idle_stretches_are_what_no_move_takes(): void
    {
        $project = $this->project([Room::standard(Build::uid(60))], [$this->evening(1), $this->evening(2)]);
        $plan = BenchPlan::make(Build::work($project->works, self::NOW));
        $idle = IdleTime::of($plan);
        $sessions = array_values(array_filter($plan->work->sessions, fn (array $s): bool => $s[0] <= $plan->lastHandsOn()));
        $free =
            array_sum(array_map(fn (array $s): int => $s[1] - $s[0], $sessions)) -
            array_sum(array_map(fn (PlacedMove $p): int => $p->minutes(), $plan->moves));
        $this->assertEqualsWithDelta(
            $free,
            array_sum(array_map(fn (IdleTime $i): int => $i->minutes(), $idle)),
            15 * 2 * count($sessions),
            'less what is under a quarter of an hour',
        );
        foreach ($idle as $stretch) {
            foreach ($plan->moves as $placed) {
                $this->assertTrue($placed->end <= $stretch->from || $placed->start >= $stretch->to);
            }
            foreach ($stretch->fillers as $filler) {
                $this->assertMatchesRegularExpression('/min$|ready only at/', $filler);
            }
        }
        $this->assertSame([], IdleTime::of(BenchPlan::make(Build::work(new Works(), self::NOW))));
    }

    public function test_a_kit_sums_what_goes_in_and_names_each_tool_once(): void
    {
        $project = $this->project([Room::standard(Build::uid(60))], [$this->evening(1), $this->evening(2), $this->evening(3)]);
        $plan = BenchPlan::make(Build::work($project->works, self::NOW));
        $kit = PackingList::of($plan->moves);
        $sum = fn (string $material): float => array_sum(
            array_map(
                fn (PlacedMove $p): float => array_sum(
                    array_map(fn ($a): float => $a->material === $material ? $a->amount : 0.0, $p->move->amounts),
                ),
                $plan->moves,
            ),
        );
        foreach ($kit->materials as $amount) {
            $this->assertEqualsWithDelta(
                $sum($amount->material),
                array_sum(array_map(fn ($a): float => $a->material === $amount->material ? $a->amount : 0.0, $kit->materials)),
                1e-9,
                $amount->material,
            );
        }
        $this->assertContains('damp cloth, water', $kit->beside);
        $this->assertTrue(PackingList::of([])->isEmpty());
        $names = array_map(fn ($a): string => $a->material, $kit->materials);
        $sorted = $names;
        sort($sorted);
        $this->assertSame($sorted, $names);
    }

    public function test_what_is_soon_over_is_counted_down_and_what_is_far_is_not(): void
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $coats = [
            new Coat(Build::uid(20), $zone->uid, Build::recipe('scenery-adhesive')),
            new Coat(Build::uid(21), $zone->uid, Build::recipe('masking-lifted')),
        ];
        $start = Build::minute('2026-10-12T18:00Z');
        $glue = fn (?int $end): CoatApplication => new CoatApplication(
            Build::uid(50),
            Build::uid(901),
            $zone->uid,
            Build::uid(20),
            1,
            'Adhesive',
            Build::recipe('scenery-adhesive'),
            1.0,
            [Build::square(100, 100, 500, 350)],
            100_000.0,
            0.0,
            20,
            [],
            $start,
            $end,
        );
        $look = fn (string $now, ?int $end): array => array_map(
            fn (Countdown $c): array => [$c->kind, $c->at - $start],
            Countdown::of(
                Build::work(new Works([$zone], $coats, [$glue($end)], [Room::standard(Build::uid(60))], [$this->evening(1)]), $now),
            ),
        );
        // Workable for 15 min, one time in five shorter than / 1.4362: 10.4.
        $this->assertSame([['workable', 10]], $look('2026-10-12T18:05Z', null));
        $this->assertSame([['opens', 50]], $look('2026-10-12T18:25Z', $start + 20), 'half an hour after its end');
        $this->assertSame([['closes', 90]], $look('2026-10-12T19:00Z', $start + 20), 'an hour and a half after its start');
        $this->assertSame([], $look('2026-10-12T19:31Z', $start + 20), 'over');
    }

    /**
     * @param  list<Room>  $rooms
     * @param  list<BenchTime>  $times
     * @param  array<string, AirLog>  $logs
     */
    private function project(array $rooms, array $times = [], array $logs = []): Project
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $coats = [
            new Coat(Build::uid(20), $zone->uid, Build::recipe('earth-paint')),
            new Coat(Build::uid(21), $zone->uid, Build::recipe('sifted-soil'), passes: 3),
        ];

        return Project::of(
            new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5),
            [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
            works: new Works([$zone], $coats, [], $rooms, $times, logs: $logs),
        );
    }

    private function laid(Project $project): CoatApplication
    {
        return new CoatApplication(
            Build::uid(50),
            Build::uid(901),
            Build::uid(1),
            Build::uid(20),
            1,
            'Paint',
            $project->works->coats[0]->recipe,
            0.2,
            [Build::square(100, 100, 500, 350)],
            100_000.0,
            0.0,
            20,
            [],
            29_000_000,
            29_000_020,
        );
    }

    private function evening(int $weekday, int $hands = 1): BenchTime
    {
        return new BenchTime(Build::uid(80 + $weekday), BenchTimeKind::Weekly, $weekday, null, 1140, 1260, $hands);
    }
}
