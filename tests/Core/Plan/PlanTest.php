<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\CoatState;
use IdleRidge\Core\Plan\DryingState;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\TakeOff;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\BenchPlanChecker;
use Tests\Build;

final class PlanTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

    /**
     * Worked by hand. A flat zone of 400 × 250 mm is 10 dm². Earth paint: 167 ml/m² and 8 % waste; 5 minutes to set up and
     * 0.8 a dm². Soil 1 mm: a bed of 100 ml.
     */
    public function test_take_off_and_plan_of_a_worked_example(): void
    {
        $work = Build::work($this->works(['earth-paint', 'sifted-soil'], [$this->evening(1), $this->evening(2)]), self::NOW);
        $items = array_column(TakeOff::items($work), null, 'material');
        // 167 × 0.1 m² × 1.08 = 18.036 ml
        $this->assertEqualsWithDelta(18.036, $items['earth paint']['amount'], 0.005 * 18.036);
        // 0.9 × 100 ml × 1.08 = 97.2 ml stay; with 30 % taken up again 97.2 / 0.7 = 138.857 ml have to lie ready.
        $this->assertEqualsWithDelta(97.2, $items['sifted soil']['amount'], 0.5);
        $this->assertEqualsWithDelta(138.857, $items['sifted soil']['at_hand'], 0.7);
        // Wetting 100 × 0.5 × 0.4 × 1.08 = 21.6 ml; glue (100 × 0.5 × 0.5 + 100 ml/m² × 0.1 m²) × 1.08 = 37.8 ml, one to three.
        $this->assertEqualsWithDelta(21.6, $items['wet water']['amount'], 0.11);
        $this->assertEqualsWithDelta(37.8 / 4, $items['white glue']['amount'], 0.05);
        $this->assertEqualsWithDelta((37.8 * 3) / 4, $items['water']['amount'], 0.15);

        $plan = BenchPlan::make($work);
        [$paint, $soil] = $plan->moves;
        // 5 + 10 × 0.8 = 13 min; 6 + 2 × 6 + 8 × 2 = 34 min.
        $this->assertSame([13, 34], [$paint->move->minutes, $soil->move->minutes]);
        // Monday 19:00, and the room is as the recipes' own: next coat after 120 min × 1.4362 (80 %) = 172.3, later than the
        // session's end at 21:00. So soil begins on Tuesday at 19:00.
        $this->assertSame(Build::minute('2026-10-12T19:00Z'), $paint->start);
        $this->assertSame(Build::minute('2026-10-13T19:00Z'), $soil->start);
        $this->assertSame('wait', $soil->reason()->kind->value);
        $this->assertStringContainsString('“Brush on earth paint” on Zone 1 is ready for the next coat at 22:06', $soil->reason()->text);
        // Soil is dry through 36 h after 19:34, with the same certainty 36 × 1.4362 = 51.70 h: Thursday 23:16.
        $this->assertSame(Build::minute('2026-10-15T23:17Z'), $plan->ready(0.8));
        $this->assertSame(Build::minute('2026-10-13T19:34Z'), $plan->lastHandsOn());
    }

    public function test_random_works_never_get_a_wrong_plan(): void
    {
        $ids = array_keys(Build::library()->recipes);
        for ($seed = 1; $seed <= 25; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $zones = $coats = $times = [];
            for ($k = 0; $k < $random->getInt(1, 4); $k++) {
                $x = $random->getInt(0, 700);
                $zones[] = Build::zone(10 + $k, [
                    'outline' => Build::square($x, 20.0 + 60 * $k, $x + $random->getInt(80, 450), 120.0 + 100 * $k),
                ]);
                for ($c = 0; $c < $random->getInt(1, 4); $c++) {
                    $coats[] = new Coat(
                        Build::uid(100 + 10 * $k + $c),
                        $zones[$k]->uid,
                        Build::recipe($ids[$random->getInt(0, count($ids) - 1)]),
                        passes: $random->getInt(1, 2),
                    );
                }
            }
            foreach ([1, 2, 4, 6] as $k => $weekday) {
                $from = $random->getInt(500, 1200);
                $times[] = new BenchTime(
                    Build::uid(200 + $k),
                    BenchTimeKind::Weekly,
                    $weekday,
                    null,
                    $from,
                    $from + $random->getInt(20, 200),
                    $random->getInt(1, 2),
                );
            }
            $room = Room::of(Build::uid(300), 'Room', $random->getInt(8, 22), $random->getInt(2, 16), 50.0, 70.0);
            $work = Build::work(new Works($zones, $coats, [], [$room], $times), self::NOW, 'Europe/Oslo');
            $plan = BenchPlan::make($work, new StepBudget(20));
            $this->assertSame([], BenchPlanChecker::faults($plan), "seed {$seed}");
            $this->assertCount(count($plan->work->moves), [...$plan->moves, ...$plan->unplaced], "seed {$seed}");
            foreach ($plan->unplaced as $unplaced) {
                $this->assertNotSame('', $unplaced->text);
            }
        }
    }

    public function test_coats_wait_across_zones_that_overlap(): void
    {
        $under = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $over = Build::zone(2, ['outline' => Build::square(400, 100, 600, 350)]);
        $beside = Build::zone(3, ['outline' => Build::square(700, 100, 900, 350)]);
        $coats = [
            new Coat(Build::uid(11), $under->uid, Build::recipe('pulp-plaster-spreading'), 4.0),
            new Coat(Build::uid(12), $over->uid, Build::recipe('earth-paint')),
            new Coat(Build::uid(13), $beside->uid, Build::recipe('earth-paint')),
        ];
        $plan = BenchPlan::make(
            Build::work(
                new Works([$under, $over, $beside], $coats, [], [], [$this->evening(1), $this->evening(2), $this->evening(3)]),
                self::NOW,
            ),
        );
        $at = [];
        foreach ($plan->moves as $placed) {
            $at[$placed->move->zone->name] = $placed;
        }
        $this->assertGreaterThan($at['Zone 1']->end + 700, $at['Zone 2']->start, 'it goes over the plaster of the other zone');
        $this->assertSame(
            Build::minute('2026-10-12T19:00Z') +
                ($at['Zone 1']->start === Build::minute('2026-10-12T19:00Z') ? $at['Zone 1']->move->minutes : 0),
            $at['Zone 3']->start,
        );
        $this->assertSame([], BenchPlanChecker::faults($plan));
    }

    public function test_what_is_laid_stays_and_only_the_rest_is_planned(): void
    {
        $works = $this->works(['earth-paint', 'fibre-2mm'], [$this->evening(1), $this->evening(2), $this->evening(3)]);
        $work = Build::work($works, self::NOW);
        $paint = array_values($work->moves)[0];
        $laid = $work->begin($paint, Build::uid(50), $work->now - 200, $work->now - 187);
        $later = Build::work(new Works($works->zones, $works->coats, [$laid], [], $works->times), self::NOW);
        $this->assertNotContains($paint->id, array_keys($later->moves));
        $plan = BenchPlan::make($later);
        $this->assertSame(Build::minute('2026-10-12T19:00Z'), $plan->moves[0]->start, 'dry by then: 12:00 less 187 min and 172 min more');
        $state = CoatState::of($plan, $works->coats[0]);
        $this->assertTrue($state->isWhole());
        $this->assertSame(DryingState::Ready, $state->state);
        // The zone grows: what is laid stays as it is, the new part comes as a move of its own.
        $grown = Build::zone(1, ['outline' => Build::square(100, 100, 600, 350)]);
        $more = Build::work(new Works([$grown], $works->coats, [$laid], [], $works->times), self::NOW);
        $rest = array_values(array_filter($more->moves, fn ($m): bool => $m->coat->uid === $works->coats[0]->uid));
        $this->assertCount(1, $rest);
        $this->assertEqualsWithDelta(25_000.0, $rest[0]->area, 50.0);
        $this->assertEqualsWithDelta(100_000.0, $laid->area, 50.0);
    }

    public function test_states_follow_the_clock_and_what_is_seen(): void
    {
        $works = $this->works(['earth-paint'], [$this->evening(1)]);
        $work = Build::work($works, self::NOW);
        $laid = $work->begin(array_values($work->moves)[0], Build::uid(50), $work->now - 13, $work->now);
        $state = function (string $now, array $seen = []) use ($works, $laid): DryingState {
            $one = new CoatApplication(
                $laid->uid,
                $laid->section,
                $laid->zone,
                $laid->coat,
                1,
                $laid->title,
                $laid->recipe,
                $laid->mm,
                $laid->rings,
                $laid->area,
                0.0,
                13,
                [],
                $laid->startedAt,
                $laid->endedAt,
                $seen,
            );

            return Build::work(new Works($works->zones, $works->coats, [$one], [], $works->times), $now)->state($one);
        };
        // Touch-dry 60 × 1.4362 = 86.2 min, next coat 172.3 min.
        $this->assertSame(
            [DryingState::Wet, DryingState::Setting, DryingState::Setting, DryingState::Ready],
            [$state('2026-10-12T13:26Z'), $state('2026-10-12T13:27Z'), $state('2026-10-12T14:52Z'), $state('2026-10-12T14:53Z')],
        );
        $this->assertSame(
            DryingState::Wet,
            $state('2026-10-12T14:53Z', [['at' => Build::minute('2026-10-12T14:40Z'), 'what' => 'still wet', 'of' => 'next_coat']]),
            'whoever touched it wet is believed',
        );
    }

    public function test_fibre_is_cut_into_strips_by_its_open_time(): void
    {
        // Workable 10 min, at 20 % 6.96 min: 6.96 dm² at a minute a dm². 10 dm² make two strips of 5.
        $work = Build::work($this->works(['fibre-2mm'], [$this->evening(1)]), self::NOW);
        $this->assertSame([50_000.0, 50_000.0], array_map(fn ($m): float => round($m->area, -2), array_values($work->moves)));
        [$back, $front] = array_values($work->moves);
        $this->assertGreaterThan($front->band->y1, $back->band->y1, 'from back to front');
        $plan = BenchPlan::make($work);
        $this->assertSame([1, 2], array_map(fn (PlacedMove $p): int => $p->move->strip, $plan->moves));
    }

    public function test_without_sessions_and_with_too_short_ones_it_says_so(): void
    {
        $plan = BenchPlan::make(Build::work($this->works(['earth-paint'], []), self::NOW));
        $this->assertSame('Nothing can be planned: add an evening.', $plan->unplaced[0]->text);
        $once = new BenchTime(Build::uid(60), BenchTimeKind::Single, null, '2026-10-13', 1140, 1150);
        $plan = BenchPlan::make(Build::work($this->works(['earth-paint'], [$once]), self::NOW));
        // Ten minutes hold no more than strips of 5 + 5 min: 6.25 dm² each, two strips for one session.
        $this->assertCount(1, $plan->moves);
        $this->assertStringContainsString('no room left', $plan->unplaced[0]->text);
    }

    public function test_a_room_too_cold_holds_work_back_and_names_the_night(): void
    {
        $cold = Room::of(Build::uid(70), 'Shed', 15.0, 4.0, 60.0, 80.0);
        $plan = BenchPlan::make(Build::work($this->works(['sifted-soil'], [$this->evening(1), $this->evening(2)], [$cold]), self::NOW));
        $this->assertSame([], $plan->moves);
        $this->assertSame('cold', $plan->unplaced[0]->kind->value);
        $this->assertStringContainsString('Shed falls to 4 °C', $plan->unplaced[0]->text);
        $this->assertSame(DryingState::Blocked, CoatState::of($plan, $plan->work->project->works->coats[0])->state);
        $morning = Build::weekly(61, 6, 540, 720);
        $plan = BenchPlan::make(Build::work($this->works(['sifted-soil'], [$this->evening(1), $morning], [$cold]), self::NOW));
        $this->assertSame(Build::minute('2026-10-17T09:00Z'), $plan->moves[0]->start);
        $this->assertSame('cold', $plan->moves[0]->reason()->kind->value);
    }

    /**
     * @param  list<string>  $recipes
     * @param  list<BenchTime>  $times
     * @param  list<Room>  $rooms
     */
    private function works(array $recipes, array $times, array $rooms = []): Works
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $coats = array_map(
            fn (int $k): Coat => new Coat(Build::uid(20 + $k), $zone->uid, Build::recipe($recipes[$k])),
            array_keys($recipes),
        );

        return new Works([$zone], $coats, [], $rooms, $times);
    }

    private function evening(int $weekday): BenchTime
    {
        return Build::weekly(80 + $weekday, $weekday, 1140, 1260);
    }
}
