<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use DateTimeImmutable;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\CoatState;
use IdleRidge\Core\Plan\DryingState;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\ShelfNeed;
use IdleRidge\Core\Plan\UnplacedMove;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\ReasonKind;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\ShelfRules;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;
use PHPUnit\Framework\TestCase;
use Tests\BenchPlanChecker;
use Tests\Build;

/** What is in store against what the plan takes. */
final class ShelfNeedTest extends TestCase
{
    private const FROM = '2026-10-14T12:00:00Z';

    public function test_of_what_nobody_counted_nothing_is_kept_back(): void
    {
        $plan = BenchPlan::make($this->work([]));
        $this->assertSame([], $plan->unplaced);
        $need = ShelfNeed::of($plan)['earth paint'];
        $this->assertNull($need->have);
        $this->assertTrue($need->isShort);
        $this->assertSame($need->need, $need->missing());
    }

    public function test_a_move_begins_only_with_what_is_there(): void
    {
        $paint = $this->amount('earth paint');
        foreach ([[0.0, false], [-0.1, true]] as [$less, $held]) {
            $plan = BenchPlan::make($this->work(['earth paint' => $paint + $less]));
            $titles = array_map(fn (UnplacedMove $u): string => $u->kind->value, $plan->unplaced);
            $this->assertSame($held, in_array('short', $titles, true), "{$less} ml");
            if ($held) {
                $short = array_values(array_filter($plan->unplaced, fn (UnplacedMove $u): bool => $u->kind === ReasonKind::Short));
                $this->assertSame('Short of 0.1 ml earth paint: buy it, or set the day on which you shop.', $short[0]->text);
                $state = CoatState::of($plan, $short[0]->move->coat);
                $this->assertSame(DryingState::Blocked, $state->state);
                $this->assertContains('order', $titles, 'what goes over it waits for it');
            }
        }
    }

    public function test_the_day_on_which_one_shops_comes_before_it(): void
    {
        $rules = new BenchRules(shelf: new ShelfRules('2026-10-17'));
        $plan = BenchPlan::make($this->work(['earth paint' => 1.0], $rules));
        $this->assertSame([], $plan->unplaced);
        $this->assertSame([], BenchPlanChecker::faults($plan));
        $paint = array_values(array_filter($plan->moves, fn (PlacedMove $p): bool => $p->move->recipe->id === 'earth-paint'))[0];
        $this->assertSame('2026-10-17', (new DateTimeImmutable('@'.$paint->start * 60))->format('Y-m-d'));
        $this->assertSame('short', $paint->reason()->kind->value);
        $this->assertStringContainsString('ml earth paint until you shop on Sat 17 Oct', $paint->reason()->text);
        $not = $plan->notWithin($paint->move, $plan->work->sessions[0]);
        $this->assertSame('short', $not->kind->value);
        $this->assertSame('short', ShelfNeed::of($plan)['earth paint']->first?->reason()->kind->value);
        // A day that is over brings nothing.
        $over = BenchPlan::make($this->work(['earth paint' => 1.0], new BenchRules(shelf: new ShelfRules('2026-10-13'))));
        $this->assertContains('short', array_map(fn (UnplacedMove $u): string => $u->kind->value, $over->unplaced));
    }

    public function test_what_is_taken_up_again_is_there_for_the_next(): void
    {
        $work = $this->work([]);
        $plan = BenchPlan::make($work);
        $need = ShelfNeed::of($plan)['fine turf'];
        $one = array_values(array_filter($this->amounts($work), fn (MaterialAmount $a): bool => $a->material === 'fine turf'));
        $this->assertCount(2, $one);
        $this->assertGreaterThan(0.0, $one[0]->recovered);
        $this->assertEqualsWithDelta($one[0]->amount + $one[1]->amount, $need->used, 1e-9);
        $at = array_values(array_filter(
            $plan->moves,
            fn (PlacedMove $p): bool => in_array('fine turf', array_column($p->move->amounts, 'material'), true),
        ));
        $turf = fn (Move $m): MaterialAmount => array_values(array_filter($m->amounts, fn ($a): bool => $a->material === 'fine turf'))[0];
        $this->assertEqualsWithDelta(
            max($turf($at[0]->move)->atHand(), $turf($at[0]->move)->amount + $turf($at[1]->move)->atHand()),
            $need->need,
            1e-9,
        );
        // With just that in store nothing is short, with less one of them is.
        foreach ([[0.0, false], [-0.01, true]] as [$less, $short]) {
            $found = BenchPlan::make($this->work(['fine turf' => $need->need + $less]));
            $this->assertSame($short, $found->unplaced !== []);
        }
    }

    public function test_one_that_is_short_takes_nothing_from_the_others(): void
    {
        $zones = [Build::zone(1), Build::zone(2, ['outline' => Build::square(520, 100, 560, 140)])];
        $coats = [
            new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')),
            new Coat(Build::uid(21), Build::uid(2), Build::recipe('earth-paint')),
        ];
        $of = fn (float $paint): BenchWork => Build::work(
            new Works($zones, $coats, [], [], self::evenings(), store: self::store(['earth paint' => $paint])),
            self::FROM,
        );
        $small = $of(1e6)->moves[Move::id(Build::uid(21), 1, 1)]->amounts[0]->amount;
        $this->assertSame([Move::id(Build::uid(20), 1, 1)], array_keys($of($small + 0.01)->short()));
        $this->assertCount(2, $of($small - 0.01)->short());
        $this->assertCount(1, BenchPlan::make($of($small + 0.01))->moves);
    }

    /** @param  array<string, float>  $stock */
    private function work(array $stock, BenchRules $rules = new BenchRules()): BenchWork
    {
        $zones = [Build::zone(1), Build::zone(2, ['outline' => Build::square(520, 100, 700, 260)])];
        $coats = [
            new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')),
            new Coat(Build::uid(21), Build::uid(1), Build::library()->laid('fine-turf', null)),
            new Coat(Build::uid(22), Build::uid(2), Build::library()->laid('fine-turf', null)),
        ];

        return Build::work(new Works($zones, $coats, [], [], self::evenings(), store: self::store($stock)), self::FROM, rules: $rules);
    }

    /** @return list<MaterialAmount> */
    private function amounts(BenchWork $work): array
    {
        return array_merge(...array_map(fn (Move $m): array => $m->amounts, array_values($work->moves)));
    }

    private function amount(string $material): float
    {
        return array_sum(array_map(
            fn (MaterialAmount $a): float => $a->material === $material ? $a->amount : 0.0,
            $this->amounts($this->work([])),
        ));
    }

    /** @param  array<string, float>  $stock */
    private static function store(array $stock): Store
    {
        $lots = $moves = [];
        foreach ($stock as $material => $amount) {
            $lots[] = new MaterialLot("lot {$material}", $material, 'ml');
            $moves[] = new StockMovement("move {$material}", "lot {$material}", $amount, MovementCause::Bought, null, 1);
        }

        return new Store($lots, $moves);
    }

    /** @return list<BenchTime> */
    private static function evenings(): array
    {
        return array_map(fn (int $d): BenchTime => Build::weekly(800 + $d, $d, 1080, 1320), range(1, 7));
    }
}
