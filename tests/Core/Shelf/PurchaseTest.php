<?php

declare(strict_types=1);

namespace Tests\Core\Shelf;

use IdleRidge\Core\Interchange\BuyFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\PackPick;
use IdleRidge\Core\Shelf\Purchase;
use IdleRidge\Core\Shelf\PurchaseNeed;
use IdleRidge\Core\Shelf\PurchasePack;
use IdleRidge\Core\Shelf\PurchaseProblem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Fixtures;

final class PurchaseTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (['buy-01', 'buy-02', 'buy-03'] as $file) {
            yield $file => [$file];
        }
    }

    #[DataProvider('files')]
    public function test_it_costs_as_little_as_the_best_that_is_known(string $file): void
    {
        $found = BuyFile::answer(Purchase::best(BuyFile::read(Fixtures::text("buy/{$file}.json"))));
        $known = Fixtures::json("buy/{$file}.answer.json");
        $this->assertSame($known['cost'], $found['cost']);
        $this->assertEquals($known['surplus'], (array) $found['surplus']);
        $this->assertEquals($known['short'], (array) $found['short']);
        $count = fn (array $buy): int => (int) array_sum(array_column($buy, 'count'));
        $this->assertSame($count($known['buy']), $count($found['buy']));
    }

    public function test_it_is_the_best_of_all_there_are(): void
    {
        mt_srand(17);
        for ($case = 0; $case < 200; $case++) {
            $packs = [];
            for ($k = mt_rand(1, 4); $k > 0; $k--) {
                $few = mt_rand(0, 2) === 0 ? mt_rand(0, 3) : null;
                $packs[] = new PurchasePack("p{$k}", 'a', mt_rand(1, 9), mt_rand(0, 12), $few);
            }
            $open = mt_rand(0, 24);
            $found = PackPick::cover($open, $packs);
            [$best, $all] = [null, $this->allOf($open, $packs)];
            foreach ($all as $counts) {
                $got = array_sum(array_map(fn ($p): int => $counts[$p->id] * $p->amount, $packs));
                $cost = array_sum(array_map(fn ($p): int => $counts[$p->id] * $p->price, $packs));
                if ($got >= $open) {
                    $rank = [$cost, $got - $open, array_sum($counts)];
                    $best = $best === null || $rank < $best ? $rank : $best;
                }
            }
            if ($best === null) {
                $this->assertGreaterThan(0, $found->short, "case {$case}");
                $this->assertSame(array_sum(array_map(fn ($p): int => $p->amount * $p->available, $packs)), $open - $found->short);
            } else {
                $this->assertSame($best, [$found->cost, $found->over, (int) array_sum($found->counts)], "case {$case}");
            }
        }
    }

    public function test_of_what_is_wanted_in_bulk_it_is_as_exact(): void
    {
        mt_srand(5);
        for ($case = 0; $case < 60; $case++) {
            $packs = [];
            for ($k = 3; $k > 0; $k--) {
                $packs[] = new PurchasePack("p{$k}", 'a', mt_rand(2, 12), mt_rand(3, 20));
            }
            $open = mt_rand(300, 700);
            $found = PackPick::cover($open, $packs);
            $best = null;
            $pick = fn (int $k, float $most): array => range(0, (int) ceil($most / $packs[$k]->amount));
            foreach ($pick(0, $open) as $a) {
                $left = max(0, $open - $a * $packs[0]->amount);
                foreach ($pick(1, $left) as $b) {
                    $c = (int) ceil(max(0, $left - $b * $packs[1]->amount) / $packs[2]->amount);
                    $got = $a * $packs[0]->amount + $b * $packs[1]->amount + $c * $packs[2]->amount;
                    $cost = $a * $packs[0]->price + $b * $packs[1]->price + $c * $packs[2]->price;
                    $rank = [$cost, $got - $open, $a + $b + $c];
                    $best = $best === null || $rank < $best ? $rank : $best;
                }
            }
            $this->assertSame($best, [$found->cost, $found->over, (int) array_sum($found->counts)], "case {$case}");
        }
    }

    public function test_of_more_sums_than_can_be_tried_it_is_said(): void
    {
        $one = PackPick::cover(9_999_991, [new PurchasePack('a', 'a', 1_000_003, 5)]);
        $this->assertSame(10, array_sum($one->counts), 'one pack is no riddle');
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage('take them in larger units');
        PackPick::cover(9_999_991, [new PurchasePack('a', 'a', 3_000_017, 5), new PurchasePack('b', 'a', 2_999_999, 4)]);
    }

    public function test_carriage_is_weighed_against_prices(): void
    {
        $needs = [new PurchaseNeed('glue', 1000), new PurchaseNeed('soil', 500)];
        $packs = [
            new PurchasePack('glue-near', 'glue', 500, 900, null, 'near'),
            new PurchasePack('glue-far', 'glue', 500, 600, null, 'far'),
            new PurchasePack('soil-near', 'soil', 500, 700, null, 'near'),
        ];
        $of = fn (int $carriage): Purchase => Purchase::best(new PurchaseProblem($needs, $packs, ['near' => 100, 'far' => $carriage]));
        // 300 less for each of two bottles: worth it up to 599 of carriage, and at 600 one shop will do.
        $this->assertSame([1900 + 599 + 100, 699], [$of(599)->cost, $of(599)->carriage]);
        $this->assertSame([2500 + 100, 100], [$of(600)->cost, $of(600)->carriage]);
        $this->assertSame(['near'], array_unique(array_map(fn (array $b): string => $b['pack']->supplier, $of(601)->buy)));
    }

    public function test_a_budget_goes_to_what_presses_most(): void
    {
        $needs = [new PurchaseNeed('glue', 400, 200), new PurchaseNeed('resin', 100), new PurchaseNeed('soil', 10, 10)];
        $packs = [new PurchasePack('g', 'glue', 250, 395), new PurchasePack('r', 'resin', 150, 2100)];
        $of = fn (?int $budget): Purchase => Purchase::best(new PurchaseProblem($needs, $packs, [], $budget));
        $this->assertSame([[], 2495], [$of(2495)->left, $of(2495)->cost]);
        $this->assertSame([['resin'], 395], [$of(2494)->left, $of(2494)->cost]);
        $this->assertSame([['glue', 'resin'], 0], [$of(394)->left, $of(394)->cost]);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function faults(): iterable
    {
        yield 'a price below nothing' => ['"price": 395', '"price": -1', '/packs/2/price'];
        yield 'an empty pack' => ['"amount": 250', '"amount": 0', '/packs/2/amount'];
        yield 'half a gram' => ['"amount": 250', '"amount": 0.5', '/packs/2/amount'];
        yield 'two of a name' => ['"id": "track-rust"', '"id": "white-glue"', '/needs/1/id'];
        yield 'another format' => ['idle-ridge/buy', 'idle-ridge/sell', '/format'];
        yield 'a shop that is not there' => ['"price": 395', '"supplier": "north", "price": 395', '/packs/2/supplier'];
        yield 'a key nobody knows' => ['"price": 395', '"prize": 1, "price": 395', '/packs/2/prize'];
    }

    #[DataProvider('faults')]
    public function test_a_fault_is_said_at_its_place(string $old, string $new, string $place): void
    {
        try {
            BuyFile::read(str_replace($old, $new, Fixtures::text('buy/buy-01.json')));
            $this->fail('It was taken.');
        } catch (InvalidValue $refusal) {
            $this->assertSame($place, $refusal->place, $refusal->getMessage());
        }
    }

    /**
     * @param  list<PurchasePack>  $packs
     * @return list<array<string, int>>
     */
    private function allOf(int $open, array $packs): array
    {
        $all = [[]];
        foreach ($packs as $pack) {
            $next = [];
            foreach ($all as $counts) {
                for ($k = 0; $k <= min($pack->available ?? PHP_INT_MAX, intdiv($open, $pack->amount) + 1); $k++) {
                    $next[] = $counts + [$pack->id => $k];
                }
            }
            $all = $next;
        }

        return $all;
    }
}
