<?php

declare(strict_types=1);

namespace Tests\Core\Shelf;

use DateTimeZone;
use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Interchange\StockFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\Cup;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\SheetKind;
use IdleRidge\Core\Shelf\SheetLot;
use IdleRidge\Core\Shelf\ShelfRules;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StoreTest extends TestCase
{
    private const NOW = 29_000_000;

    public function test_the_thickest_and_largest_sheets_come_first(): void
    {
        $sizes = [[10.0, 600.0, 400.0], [25.0, 300.0, 400.0], [25.0, 500.0, 300.0], [25.0, 100.0, 900.0], [50.0, 100.0, 100.0]];
        $lots = array_map(fn (int $k): SheetLot => new SheetLot("s{$k}", SheetKind::Sheet, ...$sizes[$k]), array_keys($sizes));
        $bought = array_map(
            fn (SheetLot $l): StockMovement => new StockMovement("m{$l->uid}", $l->uid, 2.0, MovementCause::Bought, null, self::NOW),
            $lots,
        );
        $order = array_map(fn (array $one): string => $one['lot']->uid, (new Store($lots, $bought))->inStore());
        $this->assertSame(['s4', 's2', 's1', 's3', 's0'], $order);
        $this->assertSame(5.0, (new Cup('thimble', 5.0))->ml);
    }

    public function test_stock_is_the_sum_of_its_movements_and_is_drawn_never_below_nothing(): void
    {
        mt_srand(9);
        for ($case = 0; $case < 200; $case++) {
            $lots = $movements = $sums = [];
            for ($k = mt_rand(1, 4); $k > 0; $k--) {
                $lots[] = new MaterialLot("l{$k}", 'white glue', 'ml', openedAt: mt_rand(0, 1) ? self::NOW - $k : null);
                $sums["l{$k}"] = 0.0;
            }
            for ($step = 0; $step < 30; $step++) {
                $store = new Store($lots, $movements);
                $wanted = mt_rand(1, 900) / 7.0;
                [$drawn, $short] = $store->draw('white glue', $wanted);
                $there = array_sum(array_map(fn ($l): float => $store->amount($l->uid), $lots));
                $this->assertEqualsWithDelta(max(0.0, $wanted - $there), $short, 1e-6);
                $this->assertEqualsWithDelta($wanted - $short, array_sum(array_column($drawn, 1)), 1e-6);
                if (mt_rand(0, 2) === 0) {
                    $uid = $lots[array_rand($lots)]->uid;
                    $drawn = [[new MaterialLot($uid, 'white glue', 'ml'), -mt_rand(1, 3000) / 11.0]];
                }
                foreach ($drawn as [$lot, $amount]) {
                    $movements[] = new StockMovement("m{$step}{$lot->uid}", $lot->uid, -$amount, MovementCause::Laid, null, self::NOW);
                    $sums[$lot->uid] -= $amount;
                }
            }
            $store = new Store($lots, $movements);
            $this->assertSame([], $store->faults(), "case {$case}");
            foreach ($sums as $uid => $sum) {
                $this->assertEqualsWithDelta($sum, $store->amount($uid), 1e-6);
                $this->assertGreaterThanOrEqual(0.0, $store->amount($uid));
            }
        }
    }

    public function test_what_is_open_goes_first_the_oldest_of_it_and_what_was_taken_up_again_last(): void
    {
        $lots = [
            new MaterialLot('new', 'fine turf', 'ml', boughtOn: '2026-09-01'),
            new MaterialLot('again', 'fine turf', 'ml', openedAt: 1, recovered: true),
            new MaterialLot('late', 'fine turf', 'ml', openedAt: 20),
            new MaterialLot('old', 'fine turf', 'ml', boughtOn: '2025-09-01'),
            new MaterialLot('early', 'fine turf', 'ml', openedAt: 10),
            new MaterialLot('other', 'coarse turf', 'ml', openedAt: 1),
            new MaterialLot('empty', 'fine turf', 'ml', openedAt: 2),
        ];
        $store = new Store($lots, $this->full(['new', 'again', 'late', 'old', 'early', 'other'], 10.0));
        $this->assertSame(['early', 'late', 'old', 'new', 'again'], array_column($store->lotsOf('fine turf'), 'uid'));
        $names = fn (array $drawn): array => array_map(fn (array $d): string => "{$d[0]->uid} {$d[1]}", $drawn);
        $this->assertSame(['early 10', 'late 5'], $names($store->draw('fine turf', 15.0)[0]));
        $this->assertSame(['again 10', 'early 5'], $names($store->draw('fine turf', 15.0, ['again'])[0]));
        $this->assertSame(3.0, $store->draw('fine turf', 53.0)[1]);
        $this->assertSame(['fine turf' => 50.0, 'coarse turf' => 10.0], $store->stock(self::NOW));
        $this->assertTrue($store->knows('coarse turf'));
        $this->assertFalse($store->knows('white glue'));
    }

    public function test_what_stands_mixed_is_there_until_it_sets(): void
    {
        $pot = new Pot('pot', 'Glue', 'k', 'ml', [
            ['material' => 'white glue', 'amount' => 30.0, 'unit' => 'ml'],
            ['material' => 'water', 'amount' => 90.0, 'unit' => 'ml'],
        ], ['a.1.1'], self::NOW, self::NOW + 10);
        $store = new Store(
            [new MaterialLot('glue', 'white glue', 'ml'), $pot],
            [...$this->full(['glue'], 100.0), $this->move('pot', 120.0), $this->move('pot', -40.0)],
        );
        $this->assertSame(120.0, $pot->made);
        $this->assertSame(['white glue' => 120.0], $store->stock(self::NOW + 10));
        $this->assertSame(['white glue' => 100.0], $store->stock(self::NOW + 11));
        $planned = $store->planned(self::NOW);
        $this->assertSame($store->stock(self::NOW), $planned->stock(self::NOW));
        $this->assertSame([], $planned->faults());
    }

    public function test_lots_that_went_into_something_are_told_by_way_of_its_pots_and_not_what_came_back(): void
    {
        $pot = new Pot('pot', 'Glue', 'k', 'ml', [['material' => 'white glue', 'amount' => 30.0, 'unit' => 'ml']], [], self::NOW);
        $moved = fn (string $lot, float $by, string $for): StockMovement => new StockMovement(
            uniqid('', true),
            $lot,
            $by,
            MovementCause::Laid,
            null,
            self::NOW,
            for: $for,
        );
        $store = new Store(
            [
                new MaterialLot('glue', 'white glue', 'ml'),
                new MaterialLot('turf', 'fine turf', 'ml'),
                new MaterialLot('back', 'fine turf', 'ml'),
                $pot,
            ],
            [
                ...$this->full(['glue', 'turf', 'pot'], 50.0),
                $moved('glue', -30.0, 'pot'),
                $moved('pot', -20.0, 'laid'),
                $moved('turf', -5.0, 'laid'),
                $moved('back', 3.0, 'laid'),
                $moved('turf', -5.0, 'other'),
            ],
        );
        $this->assertSame(['glue', 'turf'], array_column($store->lotsIn('laid'), 'uid'));
        $this->assertSame(['turf'], array_column($store->lotsIn('other'), 'uid'));
        $this->assertSame([], $store->lotsIn('nothing'));
    }

    public function test_what_does_not_fit_together_is_said(): void
    {
        $sheet = new SheetLot('sheet', SheetKind::Sheet, 30.0, 1250.0, 600.0);
        $faults = (new Store(
            [$sheet, new MaterialLot('glue', 'white glue', 'ml'), new MaterialLot('more', 'white glue', 'g')],
            [$this->move('sheet', 1.5), $this->move('gone', 1.0), $this->move('glue', 2.0), $this->move('glue', -2.1)],
        ))->faults();
        $this->assertSame(
            ['/movements/0/by', '/movements/1/lot', '/movements/3/by', '/lots/2/unit'],
            array_map(fn (InvalidValue $f): string => $f->place, $faults),
        );
        $this->assertSame([], (new Store([$sheet], [$this->move('sheet', 500.0), $this->move('sheet', 500.0)]))->faults());
        $this->assertCount(1, (new Store([$sheet], [$this->move('sheet', 501.0)]))->faults(), 'more than 500 at once');
        $this->assertSame(500, (new Store([$sheet], [$this->move('sheet', 500.0), $this->move('sheet', 40.0)]))->sheets()[0]->count);
    }

    public function test_it_is_good_until_its_day_ends_or_so_long_after_it_was_opened(): void
    {
        $zone = new DateTimeZone('Europe/Oslo');
        $of = fn (?string $before, ?int $opened, ?int $days): ?int => (new MaterialLot(
            'a',
            'b',
            'g',
            bestBefore: $before,
            openedAt: $opened,
            keepsDays: $days,
        ))->goodUntil($zone);
        $end = intdiv((int) strtotime('2026-10-14T22:00Z'), 60);
        $this->assertSame($end, $of('2026-10-14', null, 5));
        $this->assertSame($end - 10, $of('2026-10-14', $end - 10 - 1440, 1));
        $this->assertNull($of(null, 5, null));
    }

    /** @return iterable<string, array{callable(): mixed, string}> */
    public static function odd(): iterable
    {
        yield 'a price below nothing' => [fn () => new MaterialLot('a', 'b', 'g', minor: -1), 'price'];
        yield 'an empty pack' => [fn () => new MaterialLot('a', 'b', 'g', 0.0), 'pack'];
        yield 'stronger than it can be' => [fn () => new MaterialLot('a', 'b', 'ml', strength: 140.0), 'strength'];
        yield 'a unit nobody knows' => [fn () => new MaterialLot('a', 'b', 'pint'), 'unit'];
        yield 'a day that is none' => [fn () => new MaterialLot('a', 'b', 'g', boughtOn: '2026-02-30'), 'bought_on'];
        yield 'a cup smaller than a spoon' => [fn () => new Cup('thimble', 4.9), 'ml'];
        yield 'two cups of a name' => [fn () => new ShelfRules(cups: [new Cup('a', 50), new Cup('a', 60)]), 'cups/1/name'];
        yield 'carriage below nothing' => [fn () => new ShelfRules(carriage: ['north' => -1]), 'carriage/north'];
        yield 'a pot of nothing' => [
            fn () => new Pot('a', 'b', 'c', 'ml', [['material' => 'x', 'amount' => 0.0, 'unit' => 'ml']], [], 1),
            'parts',
        ];
        yield 'stirred before it was mixed' => [
            fn () => new Pot('a', 'b', 'c', 'ml', [['material' => 'x', 'amount' => 1.0, 'unit' => 'ml']], [], 5, stirred: [4]),
            'mixed_at',
        ];
        yield 'a movement of nothing' => [fn () => new StockMovement('a', 'b', 0.0, MovementCause::Mixed, null, 1), 'by'];
        yield 'fewer than none to be had' => [fn () => new PackPrice('a', 'b', 1.0, 1, available: -1), 'available'];
    }

    #[DataProvider('odd')]
    public function test_nonsense_is_refused_at_its_field(callable $make, string $place): void
    {
        try {
            $make();
            $this->fail('It was taken.');
        } catch (InvalidValue $refusal) {
            $this->assertSame($place, $refusal->place);
        }
    }

    public function test_lots_movements_and_rules_are_read_as_they_were_written(): void
    {
        $read = fn (array $values): Record => new Record(
            json_decode((string) json_encode((object) array_diff_key($values, ['uid' => true]))),
            '',
        );
        $lots = [
            new MaterialLot('m', 'white glue', 'ml', 1000.0, 1450, 'North', 'batch 4', '2026-09-01', self::NOW, '2027-01-31', 540, 61.5),
            new MaterialLot('r', 'alcohol 99 %', 'ml', strength: 96.0, recovered: true),
            new Pot('p', 'Glue 1:3', 'k', 'ml', [['material' => 'water', 'amount' => 3.5, 'unit' => 'ml']], ['a.1.1'], 5, 10, 20, [6, 7]),
            new SheetLot('s', SheetKind::Offcut, 30.0, 500.0, 200.0),
        ];
        foreach ($lots as $lot) {
            $this->assertEquals($lot, StockFile::lot($read(StockFile::fromLot($lot)), $lot->uid));
        }
        $move = new StockMovement('x', 'm', -2.5, MovementCause::Mixed, null, 5, for: 'p');
        $this->assertEquals($move, StockFile::movement($read(StockFile::fromMovement($move)), 'x'));
        $price = new PackPrice('x', 'white glue', 250.0, 395, supplier: 'North', available: 3);
        $this->assertEquals($price, StockFile::price($read(StockFile::fromPrice($price)), 'x'));
        $rules = new ShelfRules('2026-10-17', 5000, ['North' => 590], [new Cup('jar', 250.0, 112.0), new Cup('bowl', 900.0)]);
        $this->assertEquals($rules, StockFile::rules($read(StockFile::fromRules($rules)['shelf'])));
        $this->assertSame([], StockFile::fromRules(new ShelfRules()));
        $this->assertEquals(
            new ShelfRules('2026-10-17', 7, ['North' => 590], $rules->cups),
            $rules->but(budget: 7),
        );
    }

    public function test_one_shops_all_day_long_and_not_on_the_day_after(): void
    {
        $zone = new DateTimeZone('Europe/Oslo');
        $begin = intdiv((int) strtotime('2026-10-16T22:00Z'), 60);
        $rules = new ShelfRules('2026-10-17');
        $this->assertSame($begin, $rules->shopsAt($zone, $begin - 5000));
        $this->assertSame($begin, $rules->shopsAt($zone, $begin + 1439));
        $this->assertNull($rules->shopsAt($zone, $begin + 1440));
    }

    public function test_the_cheapest_pack_by_amount_tells_what_amounts_cost(): void
    {
        $prices = [new PackPrice('a', 'glue', 250.0, 500), new PackPrice('b', 'glue', 1000.0, 1600), new PackPrice('c', 'soil', 10.0, 3)];
        $this->assertSame('b', PackPrice::cheapest($prices)['glue']->uid);
        $this->assertSame([160, ['wire']], PackPrice::cost(['glue' => 100.0, 'wire' => 1.0, 'water' => 5.0], $prices));
    }

    /**
     * @param  list<string>  $lots
     * @return list<StockMovement>
     */
    private function full(array $lots, float $amount): array
    {
        return array_map(fn (string $lot): StockMovement => $this->move($lot, $amount), $lots);
    }

    private function move(string $lot, float $by): StockMovement
    {
        return new StockMovement(uniqid('', true), $lot, $by, MovementCause::Counted, null, self::NOW);
    }
}
