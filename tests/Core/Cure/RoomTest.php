<?php

declare(strict_types=1);

namespace Tests\Core\Cure;

use DateTimeZone;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\WhatIf;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What is set of a room holds from a moment on: what dried before has dried in the air there was. */
final class RoomTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

    public function test_what_dried_last_night_dried_in_last_nights_air(): void
    {
        $now = Build::minute(self::NOW);
        $cold = $this->room(10.0);
        $warm = $this->room(20.0)->after($cold, $now);
        $glue = new CureFigures('glue', 'Glue', Mechanism::Evaporation, ['next_coat' => 720.0], 1.0, 0.0);
        // Laid eight hours ago: so much of its 720 is gathered at the rate of 10 °C, the rest goes at that of 20 °C, which is one.
        $slow = Mechanism::Evaporation->rate(new Climate(10.0, 50.0));
        $drying = new Drying($warm, new DateTimeZone('UTC'), $now - 1440);
        $this->assertEqualsWithDelta(
            $now + 720.0 - 480.0 * $slow,
            $drying->reached($glue, Milestone::NextCoat, 1.0, $now - 480.0, 0.5),
            0.5,
        );
        $always = new Drying($this->room(20.0), new DateTimeZone('UTC'), $now - 1440);
        $this->assertEqualsWithDelta(
            $now + 240.0,
            $always->reached($glue, Milestone::NextCoat, 1.0, $now - 480.0, 0.5),
            0.5,
            'corrected, it was always so',
        );
    }

    public function test_settings_follow_each_other_and_small_corrections_leave_no_trace(): void
    {
        $zone = new DateTimeZone('UTC');
        $room = $this->room(18.0)->after($this->room(15.0)->after($this->room(12.0), 1000), 2000);
        $this->assertSame(
            [12.0, 15.0, 15.0, 18.0, 18.0],
            array_map(fn (int $m): float => $room->at($m, $zone)->temperature, [999, 1000, 1999, 2000, 90_000]),
        );
        $this->assertSame([1000, 2000], [$room->nextSetting(0), $room->nextSetting(1000)]);
        $this->assertSame(2000, $room->nextChange(1990, $zone), 'the air is another from then on');
        // Mistyped and put right in the same minute.
        $right = $this->room(17.0)->after($room, 2000);
        $this->assertSame([15.0, 17.0], [$right->at(1999, $zone)->temperature, $right->at(2000, $zone)->temperature]);
        $this->assertNull($this->room(12.0)->after($this->room(15.0)->after($this->room(12.0), 1000), 1000)->was);
        // A name is no air.
        $this->assertSame(2000, Room::of('r', 'Loft', 18.0, 18.0, 50.0, 50.0)->after($room, 5000)->since);
        // A fan does not make the readings of before say nothing.
        $this->assertSame(2000, Room::of('r', 'Room', 18.0, 18.0, 50.0, 50.0, 2.2)->after($room, 5000)->airSince());
        $many = $this->room(1.0);
        for ($k = 1; $k <= 80; $k++) {
            $many = $this->room($k % 2 === 0 ? 1.0 : 2.0)->after($many, 1000 * $k);
        }
        for ($depth = 0, $one = $many; $one->was !== null; $one = $one->was) {
            $depth++;
        }
        $this->assertSame(60, $depth);
    }

    public function test_a_heater_tried_or_kept_warms_only_from_now_on(): void
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $coat = new Coat(Build::uid(20), $zone->uid, Build::recipe('gloss-medium'));
        $works = new Works([$zone], [$coat], [], [Room::of(Build::uid(60), 'Shed', 10.0, 10.0, 60.0, 60.0)]);
        $laid = (fn (BenchWork $w) => $w->begin(array_values($w->moves)[0], Build::uid(500), $w->now - 500, $w->now - 480))(
            Build::work($works, self::NOW),
        );
        $work = Build::work($works->with(['laid' => [$laid]]), self::NOW);
        $warm = new BenchWork(WhatIf::warmer($work->project, Build::uid(60), 24.0, $work->now), $work->surveys, $work->now);
        $rate = Mechanism::Evaporation->rate(new Climate(10.0, 60.0));
        $then = Mechanism::Evaporation->rate($warm->project->works->rooms[0]->day);
        // Gloss takes 720 min to its next coat.
        $this->assertEqualsWithDelta($work->now + 720.0 / $rate - 480.0, $work->reached($laid, Milestone::NextCoat, 0.5), 1.0);
        $this->assertEqualsWithDelta($work->now + (720.0 - 480.0 * $rate) / $then, $warm->reached($laid, Milestone::NextCoat, 0.5), 1.0);
    }

    public function test_a_board_that_is_carried_has_dried_where_it_stood(): void
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $coat = new Coat(Build::uid(20), $zone->uid, Build::recipe('gloss-medium'));
        $rooms = [Room::of(Build::uid(60), 'Shed', 10.0, 10.0, 60.0, 60.0), Room::of(Build::uid(61), 'Workroom', 20.0, 20.0, 50.0, 50.0)];
        $works = new Works([$zone], [$coat], [], $rooms);
        $shed = Build::work($works, self::NOW);
        $laid = $shed->begin(array_values($shed->moves)[0], Build::uid(500), $shed->now - 500, $shed->now - 480);
        $board = Section::of(Build::uid(901), 'Board', 1200.0, 600.0)->carried(Build::uid(61), Build::uid(60), $shed->now);
        $project = Project::of(new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5), [$board], works: $works->with(['laid' => [$laid]]));
        $work = new BenchWork($project, $shed->surveys, $shed->now);
        $this->assertEqualsWithDelta(
            $work->now + 720.0 - 480.0 * Mechanism::Evaporation->rate(new Climate(10.0, 60.0)),
            $work->reached($laid, Milestone::NextCoat, 0.5),
            1.0,
        );
        $this->assertSame('Workroom', $work->drying($board)->room->name);
    }

    private function room(float $celsius): Room
    {
        return Room::of('r', 'Room', $celsius, $celsius, 50.0, 50.0);
    }
}
