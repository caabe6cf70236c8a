<?php

declare(strict_types=1);

namespace Tests\Core\Pots;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Pots\Mixture;
use IdleRidge\Core\Pots\Mixtures;
use IdleRidge\Core\Pots\PotKind;
use IdleRidge\Core\Pots\PotOffer;
use IdleRidge\Core\Pots\StockDraw;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What laying takes from pots and lots. */
final class StockDrawTest extends TestCase
{
    private const NOW = 29_000_000;

    public function test_whatever_stands_there_nothing_is_taken_twice_or_below_nothing(): void
    {
        mt_srand(6);
        for ($case = 0; $case < 200; $case++) {
            $laid = $this->laid(mt_rand(20, 300) * 1000.0);
            [$loose, $wetting, $glue] = $cups = (new Mixtures(Build::library()->materials))->of($laid->recipe, $laid->amounts);
            $lots = [];
            $moves = [];
            foreach (['stone ballast' => 'g', 'white glue' => 'ml'] as $material => $unit) {
                for ($k = mt_rand(0, 2); $k > 0; $k--) {
                    $lots[] = new MaterialLot("{$material} {$k}", $material, $unit);
                    $moves[] = $this->move("{$material} {$k}", mt_rand(1, 400));
                }
            }
            foreach ([$loose, $glue] as $cup) {
                for ($k = mt_rand(0, 2); $k > 0; $k--) {
                    $lots[] = $pot = $this->pot($cup, $cup->times(mt_rand(1, 20) / 10.0), "pot {$k} {$cup->title}");
                    $moves[] = $this->move($pot->uid, $pot->made);
                }
            }
            $store = new Store($lots, $moves);
            $taken = StockDraw::of($store, $laid, $cups);
            $gone = array_map(fn (string $l, float $by): StockMovement => $this->move($l, -$by), array_keys($taken), $taken);
            $after = new Store($lots, [...$moves, ...$gone]);
            $this->assertSame([], $after->faults(), "case {$case}");
            foreach (['stone ballast' => $loose, 'white glue' => $glue] as $material => $cup) {
                $needed = array_sum(array_map(fn ($a): float => $a->material === $material ? $a->atHand() : 0.0, $laid->amounts));
                $there = $store->stock(self::NOW)[$material] ?? null;
                if ($there !== null) {
                    $left = $after->stock(self::NOW)[$material];
                    $this->assertEqualsWithDelta(max(0.0, $there - $needed), $left, 1e-6, "case {$case}: {$material}");
                }
            }
            $this->assertSame('wet water', $wetting->title);
        }
    }

    public function test_what_is_missing_by_rounding_is_not_mixed_anew(): void
    {
        $cup = (new Mixtures(Build::library()->materials))->of($this->laid(1e5)->recipe, $this->laid(1e5)->amounts)[2];
        foreach ([[0.9951, true], [0.9949, false]] as [$share, $enough]) {
            $pot = $this->pot($cup, $cup->times($share), 'pot');
            $offer = PotOffer::of($cup, new Store([$pot], [$this->move('pot', $pot->made)]), self::NOW, null, null);
            $this->assertSame($enough, $offer->plan === null);
            $this->assertCount(1, $offer->standing);
        }
        // What it can no longer be used for it is not offered for.
        $set = $this->pot($cup, $cup, 'pot')->but(keepsUntil: self::NOW + 5);
        $store = new Store([$set], [$this->move('pot', $set->made)]);
        $this->assertCount(1, PotOffer::standing($store, $cup->key, self::NOW + 5));
        $this->assertCount(0, PotOffer::standing($store, $cup->key, self::NOW + 6));
    }

    public function test_what_keeps_keeps_a_fortnight_and_dry_for_good(): void
    {
        $this->assertSame(
            [14, null, null, null, null],
            array_map(
                fn (PotKind $k): ?int => $k->keepsDays(),
                [PotKind::Keeps, PotKind::Dry, PotKind::Sets, PotKind::TwoPart, PotKind::AsSold],
            ),
        );
        $this->assertSame([2.0, 3.0, 0.0], [
            PotKind::Sets->mixingMinutes(),
            PotKind::TwoPart->mixingMinutes(),
            PotKind::Keeps->mixingMinutes(),
        ]);
    }

    private function laid(float $area): CoatApplication
    {
        $recipe = Build::recipe('stone-ballast');
        $amounts = array_values(array_filter($recipe->amounts($area, $area * 3.0), fn (MaterialAmount $a): bool => $a->amount > 0.0));

        return new CoatApplication(
            'laid', 's', 'z', 'c', 1, 'Ballast', $recipe, 3.0, [[[0.0, 0.0], [1.0, 0.0], [1.0, 1.0]]], $area, 0.0, 20,
            $amounts, self::NOW, null,
        );
    }

    private function pot(Mixture $of, Mixture $made, string $uid): Pot
    {
        $parts = array_map(
            fn ($p): array => ['material' => $p->material, 'amount' => $p->amount, 'unit' => $p->unit],
            $made->portions,
        );

        return new Pot($uid, $of->title, $of->key, $made->unit(), $parts, [], self::NOW - 10, made: $made->total());
    }

    private function move(string $lot, float $by): StockMovement
    {
        return new StockMovement(uniqid('', true), $lot, $by, MovementCause::Counted, null, self::NOW);
    }
}
