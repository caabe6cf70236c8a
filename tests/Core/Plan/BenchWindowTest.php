<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Labour;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use IdleRidge\Core\Schedule\DueDate;
use IdleRidge\Core\Schedule\DueState;
use IdleRidge\Core\Schedule\WorkOrder;
use PHPUnit\Framework\TestCase;
use Tests\BenchPlanChecker;
use Tests\Build;

/** What must not come too late, what keeps a tool, who is first, what has to be ready by a date, and what is done in one go. */
final class BenchWindowTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

    public function test_masking_is_lifted_within_its_window(): void
    {
        $plan = $this->plan(['scenery-adhesive', 'masking-lifted'], [$this->evening(1, 1140, 1320)]);
        [$glue, $lift] = $plan->moves;
        $this->assertGreaterThanOrEqual($glue->end + 30, $lift->start);
        $this->assertLessThanOrEqual($glue->start + 90, $lift->start);
        $this->assertSame('wait', $lift->reason()->kind->value);
        $this->assertNull($plan->afterItsWindow($lift));
        $this->assertNull($plan->afterItsWindow($glue));
        // Placed by hand a minute before it is too late, and a minute after.
        foreach ([90 => null, 91 => $lift->move->recipe->window?->missed] as $after => $said) {
            $at = [$lift->move->id => [$glue->start + $after, $glue->start + $after + 5]] + $plan->at();
            $placed = BenchPlan::of($plan->work, ['status' => 'feasible', 'at' => $at, 'cold' => [], 'bound' => 0]);
            $moved = array_values(array_filter($placed->moves, fn (PlacedMove $p): bool => $p->move === $lift->move))[0];
            $this->assertSame($said, $placed->afterItsWindow($moved), "{$after} min");
        }
        $this->assertSame([], BenchPlanChecker::faults($plan));
        // A session that ends before it opens: glue that could not be freed of its masking is not begun, and it is said why.
        $short = $this->plan(['scenery-adhesive', 'masking-lifted'], [$this->evening(1, 1140, $glue->move->minutes + 1140 + 20)]);
        $this->assertSame([], BenchPlanChecker::faults($short));
        $this->assertSame(['window', 'order'], array_map(fn ($u): string => $u->kind->value, $short->unplaced));
        $this->assertContains('window-masking', $this->ids($short));
        $this->assertNotContains('window-masking', $this->ids($plan));
    }

    public function test_whoever_begins_before_the_session_stays_for_the_window(): void
    {
        $times = [$this->evening(1, 1140, 1320), $this->evening(2, 1140, 1320)];
        $first = $this->plan(['scenery-adhesive', 'masking-lifted'], $times);
        $works = $first->work->project->works;
        $anew = fn (CoatApplication $laid, int $now): BenchPlan => BenchPlan::make(
            Build::work(
                new Works($works->zones, $works->coats, [$laid], $works->rooms, $works->times),
                '@'.$now * 60,
                'UTC',
                $first->work->rules(),
            ),
        );
        $start = Build::minute('2026-10-12T14:00Z');
        $under = $anew($first->work->begin($first->moves[0]->move, Build::uid(500), $start), $start + 2);
        $this->assertSame([], $under->unplaced, 'while it runs');
        $done = $anew($first->work->begin($first->moves[0]->move, Build::uid(500), $start, $start + 25), $start + 26);
        $this->assertSame([], $done->unplaced, 'once it is done');
        $this->assertGreaterThanOrEqual($start + 25 + 30, $done->moves[0]->start);
        foreach ([$under, $done] as $plan) {
            $this->assertLessThanOrEqual($start + 90, $plan->moves[0]->start);
            $this->assertNotContains('window-masking', $this->ids($plan));
        }
        // Too late for it, it comes with the next session, and it is said that it is late.
        $late = $anew($first->work->begin($first->moves[0]->move, Build::uid(500), $start, $start + 25), $start + 91);
        $this->assertSame(Build::minute('2026-10-12T19:00Z'), $late->moves[0]->start);
        $this->assertContains('window-masking', $this->ids($late));
        $this->assertNotNull($late->afterItsWindow($late->moves[0]));
        $this->assertNull($done->afterItsWindow($done->moves[0]));
    }

    public function test_a_joint_is_cut_while_the_plaster_is_soft(): void
    {
        $plan = $this->plan(['pulp-plaster-stiff', 'joint-cut'], [$this->evening(1, 1080, 1380)]);
        $this->assertSame([], BenchPlanChecker::faults($plan));
        $this->assertSame([], $plan->unplaced);
        $wait = $plan->moves[1]->start - $plan->moves[0]->end;
        // Workable 30 min and set after 120 min, each narrowed by exp(0.8416 × 0.25) = 1.2342: 37.0 and 97.2 min.
        $this->assertGreaterThanOrEqual(37, $wait);
        $this->assertLessThanOrEqual(98, $wait);
    }

    public function test_what_goes_over_a_cut_joint_waits_for_the_plaster_under_it(): void
    {
        $plan = $this->plan(
            ['pulp-plaster-stiff', 'joint-cut', 'earth-paint'],
            [$this->evening(1, 1080, 1380), $this->evening(2, 1080, 1380)],
        );
        $this->assertSame([], BenchPlanChecker::faults($plan));
        $this->assertGreaterThan($plan->moves[0]->end + 720, $plan->moves[2]->start, 'cheese-hard is not ready for paint');
        // What contact glue asks of the piece on it, it does not ask of the paint on that.
        $glued = $this->plan(['contact-glue', 'shell-web', 'earth-paint'], [$this->evening(1, 1080, 1380), $this->evening(2, 1080, 1380)]);
        $this->assertSame([], $glued->unplaced);
        $this->assertLessThanOrEqual($glued->moves[0]->start + 40, $glued->moves[1]->start);
        $this->assertGreaterThan($glued->moves[1]->end, $glued->moves[2]->start - 1);
    }

    public function test_a_second_pour_goes_on_tacky_or_after_a_day(): void
    {
        $long = $this->plan(['pulp-plaster-stiff', 'two-part-resin'], [$this->evening(6, 480, 1320)], [1, 2]);
        $pours = array_values(array_filter($long->moves, fn (PlacedMove $p): bool => $p->move->coat->recipe->id === 'two-part-resin'));
        $gap = $pours[1]->start - $pours[0]->end;
        $this->assertTrue($gap >= 240 && $pours[1]->start - $pours[0]->start <= 480, "{$gap} min");
        $evenings = $this->plan(
            ['pulp-plaster-stiff', 'two-part-resin'],
            [$this->evening(1), $this->evening(2), $this->evening(3), $this->evening(4)],
            [1, 2],
        );
        $pours = array_values(array_filter($evenings->moves, fn (PlacedMove $p): bool => $p->move->coat->recipe->id === 'two-part-resin'));
        $this->assertGreaterThanOrEqual($pours[0]->end + 1440, $pours[1]->start);
        $this->assertContains('window-second-pour', $this->ids($evenings));
        $this->assertNotContains('window-second-pour', $this->ids($long));
        foreach ([$long, $evenings] as $plan) {
            $this->assertSame([], BenchPlanChecker::faults($plan));
        }
    }

    public function test_weights_stay_on_until_the_glue_holds(): void
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 300, 250)]),
            Build::zone(2, ['outline' => Build::square(400, 100, 600, 250)]),
        ];
        $coats = [
            new Coat(Build::uid(11), $zones[0]->uid, Build::recipe('foam-stack'), minutes: 30.0),
            new Coat(Build::uid(12), $zones[1]->uid, Build::recipe('foam-stack'), minutes: 30.0),
        ];
        $times = [$this->evening(1), $this->evening(2), $this->evening(3), $this->evening(4)];
        $one = $this->make(new Works($zones, $coats, [], [], $times), new BenchRules());
        $two = $this->make(new Works($zones, $coats, [], [], $times), new BenchRules(tools: ['clamps and weights' => 2]));
        // Next coat after 24 h × 1.4362 = 34.5 h: with one set the second stack waits for the third evening.
        $this->assertSame([Build::minute('2026-10-12T19:00Z'), Build::minute('2026-10-14T19:00Z')], array_column($one->moves, 'start'));
        $this->assertSame([Build::minute('2026-10-12T19:00Z'), Build::minute('2026-10-12T19:30Z')], array_column($two->moves, 'start'));
        $this->assertSame([], BenchPlanChecker::faults($one));
        $none = $this->make(new Works($zones, $coats, [], [], $times), new BenchRules(tools: ['clamps and weights' => 0]));
        $this->assertCount(2, $none->unplaced);
    }

    public function test_nothing_sparks_before_the_room_is_aired(): void
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 400, 300)]),
            Build::zone(2, ['outline' => Build::square(500, 100, 700, 250)]),
        ];
        $coats = [
            new Coat(Build::uid(11), $zones[0]->uid, Build::recipe('alcohol-mist'), 3.0),
            new Coat(Build::uid(12), $zones[1]->uid, Build::recipe('fibre-2mm')),
        ];
        $room = fn (float $changes): Room => Room::of(Build::uid(60), 'Den', 20.0, 20.0, 50.0, 50.0, volume: 30.0, airChanges: $changes);
        foreach ([0.5, 6.0] as $changes) {
            $plan = $this->make(new Works($zones, $coats, [], [$room($changes)], [$this->evening(6, 480, 1320)]), new BenchRules());
            [$first, $then] = $plan->moves;
            $airing = $plan->work->airing(array_values($plan->work->moves)[0]);
            // Well mixed down to 200 ppm: 60 / changes × ln(ppm / 200), half an hour at least.
            $ml = array_sum(
                array_map(
                    fn ($a): float => str_starts_with($a->material, 'alcohol') ? $a->amount : 0.0,
                    array_values($plan->work->moves)[0]->amounts,
                ),
            );
            $this->assertSame(
                max(30, (int) ceil((60.0 / $changes) * log(((($ml * 0.99 * 0.785) / 60.1) * 24.055 * 1000.0) / 30.0 / 200.0))),
                $airing,
            );
            $this->assertTrue(
                $first->move->coat->recipe->id === 'fibre-2mm' || $then->start >= $first->end + $airing,
                "{$changes} changes",
            );
            $this->assertSame([], BenchPlanChecker::faults($plan));
        }
        // Begun with the mist, the fibre waits and says why.
        $forced = $this->make(
            new Works($zones, $coats, [], [$room(6.0)], [$this->evening(6, 480, 1320)]),
            new BenchRules(first: [Build::uid(11).'.1.1', Build::uid(12).'.1.1']),
        );
        $this->assertSame([], BenchPlanChecker::faults($forced));
    }

    public function test_rooms_in_which_nothing_dries_are_said_plainly(): void
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 300, 300)]);
        $coats = [
            new Coat(Build::uid(20), $zone->uid, Build::recipe('pulp-plaster-stiff'), 20.0),
            new Coat(Build::uid(21), $zone->uid, Build::recipe('earth-paint')),
        ];
        $soaked = $this->make(
            new Works([$zone], $coats, [], [Room::of(Build::uid(60), 'Cellar', 12.0, 12.0, 100.0, 100.0)], [$this->evening(1)]),
            new BenchRules(),
        );
        $this->assertCount(1, $soaked->moves);
        $this->assertSame('wait', $soaked->unplaced[0]->kind->value);
        $this->assertStringContainsString('after the last session there is: warm or air Cellar', $soaked->unplaced[0]->text);
        $frozen = $this->make(
            new Works(
                [$zone],
                [new Coat(Build::uid(20), $zone->uid, Build::recipe('white-glue-neat'))],
                [],
                [Room::of(Build::uid(60), 'Cellar', 0.0, 0.0, 50.0, 50.0)],
                [$this->evening(1)],
            ),
            new BenchRules(),
        );
        $this->assertSame(['cold'], array_map(fn ($u): string => $u->kind->value, $frozen->unplaced));
        $this->assertStringContainsString('no film forms under 8', $frozen->unplaced[0]->text);
        $none = $this->make(new Works([$zone], $coats, [], [], []), new BenchRules());
        $this->assertSame(
            ['Nothing can be planned: add an evening.'],
            array_values(array_unique(array_map(fn ($u): string => $u->text, $none->unplaced))),
        );
        $glue = $this->plan(['scenery-adhesive', 'masking-lifted'], [$this->evening(1, 1140, 1320)])->moves[0]->minutes();
        $lift = $this->plan(['scenery-adhesive', 'masking-lifted'], [$this->evening(1, 1140, 1160 + $glue)]);
        $this->assertContains('window', array_map(fn ($u): string => $u->kind->value, $lift->unplaced));
    }

    public function test_boards_take_turns_where_that_is_asked(): void
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]),
            Build::zone(2, ['outline' => Build::square(600, 100, 1000, 350)]),
        ];
        $coats = [
            new Coat(Build::uid(11), $zones[0]->uid, Build::recipe('earth-paint')),
            new Coat(Build::uid(12), $zones[0]->uid, Build::recipe('sifted-soil')),
            new Coat(Build::uid(13), $zones[1]->uid, Build::recipe('pulp-plaster-stiff')),
            new Coat(Build::uid(14), $zones[1]->uid, Build::recipe('earth-paint')),
        ];
        $times = [
            $this->evening(1, 1140, 1200),
            $this->evening(2, 1140, 1200),
            $this->evening(3, 1140, 1200),
            $this->evening(4, 1140, 1200),
        ];
        $stages = array_map(
            fn (PlacedMove $p): int => $p->move->coat->recipe->stage->value,
            $this->make(new Works($zones, $coats, [], [], $times), new BenchRules(order: WorkOrder::Stage))->moves,
        );
        $sorted = $stages;
        sort($sorted);
        $this->assertSame($sorted, $stages, 'plaster, then paint, then soil');
        $free = $this->make(new Works($zones, $coats, [], [], $times), new BenchRules());
        $this->assertLessThanOrEqual(
            $this->make(new Works($zones, $coats, [], [], $times), new BenchRules(order: WorkOrder::Stage))->lastHandsOn(),
            $free->lastHandsOn(),
        );
    }

    public function test_a_date_comes_before_an_early_end(): void
    {
        // A later section could be first; its date turns that round.
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]),
            Build::zone(2, ['outline' => Build::square(600, 100, 1000, 350)]),
        ];
        $coats = [
            new Coat(Build::uid(11), $zones[0]->uid, Build::recipe('pulp-plaster-stiff'), minutes: 50.0),
            new Coat(Build::uid(12), $zones[1]->uid, Build::recipe('earth-paint'), minutes: 50.0),
        ];
        $times = [$this->evening(1, 1140, 1200), $this->evening(2, 1140, 1200)];
        $work = fn (array $due): BenchWork => Build::work(
            new Works($zones, $coats, [], [], $times),
            self::NOW,
            rules: new BenchRules(due: $due),
        );
        $due = fn (string $date, DueState $state): DueDate => new DueDate(Build::uid(901), $date, $state);
        // Plaster is dry through after 36 h × 1.4362 = 51.7 h: begun on Monday by Thursday, begun on Tuesday on Friday.
        $plan = BenchPlan::make($work([$due('2026-10-16', DueState::Travel)]));
        $this->assertSame($coats[0]->uid, $plan->moves[0]->move->coat->uid);
        $this->assertSame([Build::uid(901) => 0], $plan->late());
        $tight = BenchPlan::make($work([$due('2026-10-14', DueState::Travel)]));
        $this->assertGreaterThan(0, $tight->late()[Build::uid(901)]);
        $shown = BenchPlan::make($work([$due('2026-10-14', DueState::Worked)]));
        $this->assertSame([Build::uid(901) => 0], $shown->late());
    }

    public function test_one_set_up_serves_two_zones(): void
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]),
            Build::zone(2, ['outline' => Build::square(600, 100, 1000, 350)]),
        ];
        $coats = [
            new Coat(Build::uid(11), $zones[0]->uid, Build::recipe('earth-paint')),
            new Coat(Build::uid(12), $zones[1]->uid, Build::recipe('earth-paint')),
        ];
        $plan = $this->make(new Works($zones, $coats, [], [], [$this->evening(1)]), new BenchRules());
        // 5 + 10 × 0.8 = 13 min, and 8 more without setting up.
        $this->assertSame([13, 8], array_map(fn (PlacedMove $p): int => $p->minutes(), $plan->moves));
        $this->assertSame($plan->moves[0]->end, $plan->moves[1]->start);
        $this->assertSame(['pot', true], [$plan->moves[1]->reason()->kind->value, $plan->moves[1]->isJoined()]);
        $this->assertSame([], BenchPlanChecker::faults($plan));
        // What goes over the first waits for the first alone: 120 min × 1.4362 = 172.3 min after it.
        $soil = $this->make(
            new Works(
                $zones,
                [...$coats, new Coat(Build::uid(14), $zones[0]->uid, Build::recipe('sifted-soil'))],
                [],
                [],
                [$this->evening(1, 600, 1400)],
            ),
            new BenchRules(),
        );
        $this->assertSame(
            [13, 8, $soil->moves[0]->end + 173],
            [$soil->moves[0]->minutes(), $soil->moves[1]->minutes(), $soil->moves[2]->start],
        );
        // One over the other they are two jobs.
        $over = [$zones[0], Build::zone(2, ['outline' => Build::square(400, 100, 900, 350)])];
        $two = $this->make(
            new Works(
                $over,
                [$coats[0], new Coat(Build::uid(13), $over[1]->uid, Build::recipe('pulp-plaster-stiff')), $coats[1]],
                [],
                [],
                [$this->evening(1), $this->evening(2), $this->evening(3)],
            ),
            new BenchRules(),
        );
        $this->assertSame([], BenchPlanChecker::faults($two));
    }

    public function test_a_set_up_of_less_than_a_minute_is_not_worth_joining_for(): void
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]),
            Build::zone(2, ['outline' => Build::square(600, 100, 1000, 350)]),
        ];
        foreach ([[1.0, true], [0.99, false]] as [$minutes, $joined]) {
            $recipe = Build::recipe('earth-paint')->but(labour: new Labour($minutes, 0.8));
            $coats = [new Coat(Build::uid(11), $zones[0]->uid, $recipe), new Coat(Build::uid(12), $zones[1]->uid, $recipe)];
            $plan = $this->make(new Works($zones, $coats, [], [], [$this->evening(1)]), new BenchRules());
            $this->assertSame($joined, $plan->moves[1]->isJoined(), "{$minutes} min");
        }
    }

    /** What is begun ends when its minutes are over; whoever takes longer is taken to be done at the next five minutes. */
    public function test_what_is_being_laid_ends_as_planned_or_at_the_next_five_minutes(): void
    {
        $coat = new Coat(Build::uid(11), Build::uid(1), Build::recipe('earth-paint'));
        $works = new Works([Build::zone(1)], [$coat], [], [], [$this->evening(1)]);
        $from = Build::minute('2026-10-12T18:00Z');
        $ring = Build::square(100, 100, 500, 350);
        $laid = new CoatApplication(
            Build::uid(21),
            Build::uid(901),
            $coat->zone,
            $coat->uid,
            1,
            $coat->title(),
            $coat->recipe,
            $coat->mm,
            [$ring],
            1e5,
            0.0,
            30,
            [],
            $from,
            null,
        );
        foreach (['18:12' => '18:30', '18:24' => '18:30', '18:25' => '18:30', '18:30' => '18:35', '18:34' => '18:35'] as $now => $end) {
            $this->assertSame(
                Build::minute("2026-10-12T{$end}Z"),
                Build::work($works, "2026-10-12T{$now}Z")->endOf($laid),
                "at {$now}",
            );
        }
        $this->assertSame($from + 4, Build::work($works, '2026-10-12T18:30Z')->endOf($laid->but(endedAt: $from + 4)));
    }

    public function test_what_keeps_its_clamps_or_has_a_follower_in_a_window_stays_alone(): void
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 300, 350)]),
            Build::zone(2, ['outline' => Build::square(600, 100, 800, 350)]),
        ];
        $on = fn (string ...$keys): array => array_merge(
            ...array_map(
                fn (int $z): array => array_map(
                    fn (int $k): Coat => new Coat(Build::uid(11 + 10 * $z + $k), $zones[$z]->uid, Build::recipe($keys[$k])),
                    array_keys($keys),
                ),
                [0, 1],
            ),
        );
        $times = array_map(fn (int $day): BenchTime => $this->evening($day, 1080, 1380), [1, 2, 3, 4]);
        foreach ([$on('foam-stack'), $on('scenery-adhesive', 'masking-lifted')] as $coats) {
            $plan = $this->make(new Works($zones, $coats, [], [], $times), new BenchRules());
            $this->assertCount(count($coats), $plan->moves);
            $this->assertSame([], array_filter($plan->moves, fn (PlacedMove $p): bool => $p->isJoined()));
            $this->assertSame([], BenchPlanChecker::faults($plan));
        }
    }

    public function test_a_surer_builder_waits_longer(): void
    {
        $start = fn (float $certainty): int => $this->plan(
            ['earth-paint', 'sifted-soil'],
            [$this->evening(1, 600, 1400)],
            rules: new BenchRules($certainty),
        )->moves[1]->start;
        $end = Build::minute('2026-10-12T12:00Z') + 13;
        // Next coat after 120 min: × 1, × exp(0.8416 × 0.4301) and × exp(1.2816 × 0.4301).
        $this->assertSame([$end + 120, $end + 173, $end + 209], array_map($start, [0.5, 0.8, 0.9]));
    }

    public function test_hands_that_come_later_count_from_then_on(): void
    {
        $zones = array_map(
            fn (int $k): \IdleRidge\Core\Coats\Zone => Build::zone($k, [
                'outline' => Build::square(100 + 250 * $k, 100, 300 + 250 * $k, 250),
            ]),
            [0, 1, 2],
        );
        $coats = array_map(
            fn (int $k): Coat => new Coat(Build::uid(11 + $k), $zones[$k]->uid, Build::recipe('pulp-plaster-stiff'), minutes: 60.0),
            [0, 1, 2],
        );
        $times = [
            $this->evening(1, 1140, 1260),
            new BenchTime(Build::uid(99), BenchTimeKind::Single, null, '2026-10-12', 1200, 1320, 2, who: 'A friend'),
        ];
        $plan = $this->make(new Works($zones, $coats, [], [], $times), new BenchRules());
        $this->assertSame(
            [19 * 60, 20 * 60, 20 * 60],
            array_map(fn (PlacedMove $p): int => $p->start - Build::minute('2026-10-12T00:00Z'), $plan->moves),
        );
    }

    /**
     * @param  list<string>  $recipes
     * @param  list<BenchTime>  $times
     * @param  list<int>  $passes
     */
    private function plan(array $recipes, array $times, array $passes = [], ?BenchRules $rules = null): BenchPlan
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $coats = array_map(
            fn (string $id, int $k): Coat => new Coat(Build::uid(20 + $k), $zone->uid, Build::recipe($id), passes: $passes[$k] ?? 1),
            $recipes,
            array_keys($recipes),
        );

        return $this->make(new Works([$zone], $coats, [], [Room::standard(Build::uid(60))], $times), $rules ?? new BenchRules());
    }

    private function make(Works $works, BenchRules $rules): BenchPlan
    {
        return BenchPlan::make(Build::work($works, self::NOW, rules: $rules));
    }

    private function evening(int $weekday, int $from = 1140, int $to = 1260): BenchTime
    {
        return Build::weekly(80 + $weekday, $weekday, $from, $to);
    }

    /** @return list<string> */
    private function ids(BenchPlan $plan): array
    {
        return array_map(fn (Finding $f): string => $f->id, Rulebook::checkWork($plan));
    }
}
