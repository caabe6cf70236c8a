<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\ShelfNeed;
use IdleRidge\Core\Plan\ShoppingList;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Work\LotDiffers;
use IdleRidge\Core\Rulebook\Work\NotEnoughInStore;
use IdleRidge\Core\Rulebook\Work\PackSurplus;
use IdleRidge\Core\Rulebook\Work\PastShelfLife;
use IdleRidge\Core\Rulebook\Work\WorkRule;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\ShelfRules;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class ShelfRulesTest extends TestCase
{
    private const NOW = '2026-10-14T12:00:00Z';

    public function test_what_runs_short_is_told_once_with_its_figures(): void
    {
        $need = $this->paint();
        $this->assertSame([], $this->found(new NotEnoughInStore(), []), 'nobody counted it');
        $this->assertSame([], $this->found(new NotEnoughInStore(), [self::lot(['amount' => $need])]));
        $found = $this->found(new NotEnoughInStore(), [self::lot(['amount' => $need - 0.1])]);
        $this->assertSame(['Earth paint runs short'], array_column($found, 'subject'));
        $this->assertEqualsWithDelta($need - 0.1, $found[0]->figures['have']->value, 1e-9);
        $this->assertStringContainsString('set the day on which you shop', $found[0]->do);
        $shops = new BenchRules(shelf: new ShelfRules('2026-10-20'));
        $this->assertStringContainsString(
            'kept back until you shop',
            $this->found(new NotEnoughInStore(), [self::lot(['amount' => 1.0])], rules: $shops)[0]->do,
        );
    }

    public function test_a_lot_is_past_its_time_from_the_moment_on(): void
    {
        $moves = BenchPlan::make($this->work([]))->moves;
        $last = end($moves)->start;
        foreach ([[0, true], [1, false]] as [$later, $told]) {
            // Opened so that its one day ends as the last move begins, or a minute later.
            $lot = self::lot(['amount' => 1e4, 'openedAt' => $last - 1440 + $later, 'keepsDays' => 1, 'mark' => 'batch 7']);
            $found = $this->found(new PastShelfLife(), [$lot]);
            $this->assertSame($told, $found !== []);
            if ($told) {
                $this->assertStringContainsString('The lot “batch 7” was good until 14 Oct 2026.', $found[0]->why);
            }
        }
        // Another is used first: that this one is old matters nothing yet.
        $old = self::lot(['amount' => 1e4, 'bestBefore' => '2026-01-01', 'boughtOn' => '2026-09-01']);
        $this->assertCount(1, $this->found(new PastShelfLife(), [$old]));
        $open = self::lot(['amount' => 1e4, 'openedAt' => 5]);
        $this->assertSame([], $this->found(new PastShelfLife(), [$old, $open]));
    }

    public function test_what_lies_beside_tells_the_lot_that_is_wanted(): void
    {
        $used = self::lot(['amount' => 500.0, 'mark' => 'batch 7', 'boughtOn' => '2026-01-01']);
        $new = self::lot(['amount' => 500.0, 'mark' => 'batch 9', 'boughtOn' => '2026-08-01']);
        $laid = fn (string $from): array => [self::moved($from, -20.0, MovementCause::Laid, Build::uid(50))];
        $rule = new LotDiffers();
        $this->assertSame([], $this->found($rule, [$used, $new], $laid($used[0]->uid), laid: true), 'the old one still is used first');
        $found = $this->found($rule, [$new, self::lot(['amount' => 0.0, 'uid' => 'gone'])], $laid($new[0]->uid), laid: true);
        $this->assertSame([], $found);
        $empty = [$used[0], 20.0];
        $found = $this->found($rule, [$empty, $new], $laid($used[0]->uid), laid: true);
        $this->assertSame(['Earth paint from another lot than beside it'], array_column($found, 'subject'));
        $this->assertStringContainsString('laid from the lot batch 7; the next is batch 9', $found[0]->why);
        // By way of a pot it is the same.
        $pot = new Pot('pot', 'Earth paint', 'k', 'ml', [['material' => 'earth paint', 'amount' => 20.0, 'unit' => 'ml']], [], 1);
        $by = [
            self::moved($used[0]->uid, -20.0, MovementCause::Mixed, 'pot'),
            self::moved('pot', 20.0, MovementCause::Mixed),
            self::moved('pot', -20.0, MovementCause::Laid, Build::uid(50)),
        ];
        $this->assertCount(1, $this->found($rule, [$empty, $new, [$pot, 0.0]], $by, laid: true));
        // Far from it nobody sees the difference.
        $this->assertSame([], $this->found($rule, [$empty, $new], $laid($used[0]->uid), laid: true, far: true));
    }

    public function test_a_pack_is_too_large_from_five_times_what_is_short_on(): void
    {
        $need = $this->paint();
        $surplus = function (float $have, float $pack) use ($need): array {
            $price = new PackPrice(Build::uid(700), 'earth paint', $pack, 500);

            return $this->found(new PackSurplus(), [self::lot(['amount' => $need - $have])], prices: [$price]);
        };
        // 10 ml are short: of a pack of 60 there are 50 left over, of 61 there are 51.
        $this->assertSame([], $surplus(10.0, 60.0));
        $this->assertSame(['Most of a pack of earth paint would be left over'], array_column($surplus(10.0, 61.0), 'subject'));
    }

    public function test_the_shopping_list_is_the_cheapest_of_what_is_short(): void
    {
        $work = $this->work([self::lot(['amount' => $this->paint() - 10.2])]);
        $needs = ShelfNeed::of(BenchPlan::make($work));
        $prices = [
            new PackPrice(Build::uid(701), 'earth paint', 5.0, 100, supplier: 'near'),
            new PackPrice(Build::uid(702), 'earth paint', 250.0, 390, supplier: 'near'),
            new PackPrice(Build::uid(703), 'earth paint', 12.0, 150, supplier: 'far'),
            new PackPrice(Build::uid(704), 'resin A', 10.0, 1),
        ];
        $list = fn (ShelfRules $rules): ShoppingList => ShoppingList::of(['earth paint' => $needs['earth paint']], $prices, $rules);
        $usual = $list(new ShelfRules());
        $this->assertSame([150, 0, 'far'], [$usual->cost, $usual->carriage, $usual->buy[0]['price']->supplier]);
        // 10.2 ml are 11 whole ones: 1 is over of 12.
        $this->assertSame(['earth paint' => 1.0], $usual->over);
        $carried = $list(new ShelfRules(carriage: ['far' => 151]));
        $this->assertSame([300, 'near', 3], [$carried->cost, $carried->buy[0]['price']->supplier, $carried->buy[0]['count']]);
        $this->assertSame(['earth paint'], $list(new ShelfRules(budget: 149))->left);
        $turf = ['fine turf' => ShelfNeed::of(BenchPlan::make($this->work([], turf: true)))['fine turf']];
        $this->assertSame(['fine turf'], ShoppingList::of($turf, $prices, new ShelfRules())->unpriced);
        $against = ShoppingList::against($needs['earth paint'], $prices);
        $this->assertSame([[1, 150], [3, 300], [1, 390]], array_map(fn (array $r): array => [$r['count'], $r['minor']], $against));
        $this->assertEqualsWithDelta([1.8, 4.8, 239.8], array_column($against, 'over'), 1e-6);
        $this->assertEqualsWithDelta(1560.0, $against[2]['per'], 1e-9);
    }

    /**
     * @param  list<array{MaterialLot|Pot, float}>  $stock
     * @param  list<StockMovement>  $more
     * @param  list<PackPrice>  $prices
     * @return list<Finding>
     */
    private function found(
        WorkRule $rule,
        array $stock,
        array $more = [],
        array $prices = [],
        bool $laid = false,
        bool $far = false,
        ?BenchRules $rules = null,
    ): array {
        return $rule->check(BenchPlan::make($this->work($stock, $more, $prices, $laid, $far, $rules)));
    }

    /**
     * @param  list<array{MaterialLot|Pot, float}>  $stock
     * @param  list<StockMovement>  $more
     * @param  list<PackPrice>  $prices
     */
    private function work(
        array $stock,
        array $more = [],
        array $prices = [],
        bool $laid = false,
        bool $far = false,
        ?BenchRules $rules = null,
        bool $turf = false,
    ): BenchWork {
        $second = $far ? Build::square(900, 100, 1100, 260) : Build::square(502, 100, 700, 260);
        $zones = [Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]), Build::zone(2, ['outline' => $second])];
        $coats = [
            new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')),
            new Coat(Build::uid(21), Build::uid(2), Build::recipe('earth-paint')),
            ...$turf ? [new Coat(Build::uid(22), Build::uid(2), Build::library()->laid('fine-turf', null))] : [],
        ];
        $times = array_map(fn (int $d): BenchTime => Build::weekly(800 + $d, $d, 1080, 1320), range(1, 7));
        $moves = array_values(array_filter(array_map(
            fn (array $one): ?StockMovement => $one[1] > 0.0 ? self::moved($one[0]->uid, $one[1], MovementCause::Bought) : null,
            $stock,
        )));
        $done = new CoatApplication(
            Build::uid(50),
            Build::uid(901),
            Build::uid(1),
            Build::uid(20),
            1,
            'Earth paint',
            $coats[0]->recipe,
            $coats[0]->mm,
            [Build::square(20, 20, 501, 580)],
            100_000.0,
            0.0,
            20,
            [],
            Build::minute(self::NOW) - 9000,
            Build::minute(self::NOW) - 8980,
        );

        return Build::work(
            new Works(
                $zones,
                $coats,
                $laid ? [$done] : [],
                [],
                $times,
                store: new Store(array_column($stock, 0), [...$moves, ...$more]),
                prices: $prices,
            ),
            self::NOW,
            rules: $rules,
        );
    }

    /** What all the paint comes to, ml. */
    private function paint(): float
    {
        return array_sum(array_map(fn (Move $m): float => $m->amounts[0]->amount, $this->work([])->moves));
    }

    /**
     * @param  array<string, mixed>  $of
     * @return array{MaterialLot, float}
     */
    private static function lot(array $of): array
    {
        static $next = 0;
        $amount = $of['amount'];
        unset($of['amount']);

        return [new MaterialLot(...$of + ['uid' => 'lot'.$next++, 'material' => 'earth paint', 'unit' => 'ml']), $amount];
    }

    private static function moved(string $lot, float $by, MovementCause $cause, ?string $for = null): StockMovement
    {
        return new StockMovement(uniqid('', true), $lot, $by, $cause, null, 1, for: $for);
    }
}
