<?php

declare(strict_types=1);

namespace Tests\Core\Journal;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Journal\Cases;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\JournalKind;
use IdleRidge\Core\Journal\Learned;
use IdleRidge\Core\Journal\LearnedFigures;
use IdleRidge\Core\Journal\WorkRecord;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What the journal and the shelf say of a recipe. */
final class LearnedTest extends TestCase
{
    public function test_work_along_a_line_is_told_by_the_metre(): void
    {
        $laid = [$this->laid(10, recipe: 'rails-cleaned-again')];
        $took = new WorkRecord(Build::uid(2), 'Zone', Build::uid(3), 'Rails', 'rails-cleaned-again', 1e4, 30, 20);
        $done = new JournalEntry(Build::uid(99), 1020, JournalKind::Done, Build::uid(1), $laid[0]->uid, 'Done', work: $took);
        $figures = new LearnedFigures(Learned::of([$done], $laid, new Store()), Build::recipe('rails-cleaned-again'));
        $work = $figures->all()['work'];
        $this->assertSame([5.0, 'min/m'], [$work['has'], $work['unit']], 'twelve metres an hour');
        $this->assertEqualsWithDelta(7.5, $work['yours']->median(), 1e-9);
    }

    private int $n = 500;

    public function test_work_is_told_by_its_middle_with_its_range(): void
    {
        $laid = array_map(fn (int $k): CoatApplication => $this->laid(10 + $k), range(1, 4));
        $entries = array_map(
            fn (CoatApplication $l, int $took): JournalEntry => $this->entry($l->uid, $took, 20),
            $laid,
            [22, 40, 24, 26],
        );
        $figures = new LearnedFigures(Learned::of($entries, $laid, new Store()), Build::recipe('earth-paint'));
        $yours = $figures->all()['work'];
        // Of 1.1, 1.2, 1.3 and 2.0 times 0.8 min/dm² the middle is 1.0.
        $cases = $yours['yours'];
        $this->assertEqualsWithDelta([4, 1.0, 0.88, 1.6], [$cases->count(), $cases->median(), $cases->low(), $cases->high()], 1e-9);
        $this->assertSame(['labour' => ['minutes_per_dm2' => '1']], $figures->taken('work'));
    }

    public function test_it_takes_three_cases_and_none_that_is_undone_or_absurd(): void
    {
        $laid = array_map(fn (int $k): CoatApplication => $this->laid(10 + $k), range(1, 3));
        $entries = array_map(fn (CoatApplication $l): JournalEntry => $this->entry($l->uid, 24, 20), $laid);
        $of = fn (array $entries, array $laid): LearnedFigures => new LearnedFigures(
            Learned::of($entries, $laid, new Store()),
            Build::recipe('earth-paint'),
        );
        $this->assertNotSame([], $of($entries, $laid)->taken('work'));
        $this->assertSame(Cases::ENOUGH, count($entries));
        $this->assertSame([], $of(array_slice($entries, 1), $laid)->taken('work'));
        $this->assertSame([], $of($entries, array_slice($laid, 1))->taken('work'), 'one was undone');
        foreach ([[3, false], [4, true], [100, true], [101, false]] as [$took, $counts]) {
            $one = $of([$this->entry($laid[0]->uid, $took, 20)], $laid)->all();
            $this->assertSame($counts, isset($one['work']), "{$took} of 20 min");
        }
        $this->assertSame([], $of([], [])->all());
    }

    /** A pot of 100 ml, 75 of them laid and 25 poured away: a quarter of it is waste. */
    public function test_waste_is_what_is_poured_away_of_a_pot(): void
    {
        $laid = [$this->laid(11)];
        $parts = [['material' => 'earth paint', 'amount' => 100.0, 'unit' => 'ml']];
        $pot = new Pot(Build::uid(60), 'Earth paint', 'earth-paint', 'ml', $parts, [], 0);
        $moves = [
            $this->moved($pot->uid, 100.0, MovementCause::Mixed),
            $this->moved($pot->uid, -75.0, MovementCause::Laid, $laid[0]->uid),
            $this->moved($pot->uid, -25.0, MovementCause::PouredAway),
        ];
        $waste = fn (array $moves): Cases => Learned::of([], $laid, new Store([$pot], $moves))->waste('earth-paint');
        $this->assertEqualsWithDelta(0.25, $waste($moves)->median(), 1e-9);
        $this->assertSame(0, $waste(array_slice($moves, 0, 2))->count(), 'it still stands there');
    }

    public function test_recovered_is_what_came_up_of_what_was_put_on(): void
    {
        $laid = [$this->laid(11, [new MaterialAmount('sifted soil', 70.0, 'ml', 0.3)])];
        $lot = new MaterialLot(Build::uid(61), 'sifted soil', 'ml', recovered: true);
        $store = new Store([$lot], [$this->moved($lot->uid, 25.0, MovementCause::Recovered, $laid[0]->uid)]);
        $this->assertEqualsWithDelta(0.25, Learned::of([], $laid, $store)->recovered('earth-paint')->median(), 1e-9);
    }

    /** Drawn 40 ml by the recipe, and the next count finds 8 ml less than that left: 1.2 times as much is used. */
    public function test_coverage_is_told_by_the_next_count(): void
    {
        $laid = [$this->laid(11), $this->laid(12)];
        $lot = new MaterialLot(Build::uid(62), 'earth paint', 'ml');
        $bought = $this->moved($lot->uid, 500.0, MovementCause::Bought);
        $drawn = $this->moved($lot->uid, -40.0, MovementCause::Laid, $laid[0]->uid);
        $thrown = $this->moved($lot->uid, -5.0, MovementCause::ThrownAway);
        $counted = $this->moved($lot->uid, -8.0, MovementCause::Counted);
        $of = fn (array $moves): array => Learned::of([], $laid, new Store([$lot], $moves))->used('earth-paint');
        $this->assertEqualsWithDelta(1.2, $of([$bought, $drawn, $counted])['earth paint']->median(), 1e-9);
        $figures = new LearnedFigures(
            Learned::of([], $laid, new Store([$lot], [$bought, $drawn, $counted])),
            Build::recipe('earth-paint'),
        );
        $this->assertArrayHasKey('coverage of earth paint', $figures->all());
        $this->assertSame([], $figures->taken('coverage of earth paint'), 'once is an accident');
        // Something else was taken of it too: nobody knows whose it was.
        $this->assertSame([], $of([$bought, $drawn, $thrown, $counted]));
        $three = [$bought];
        for ($k = 0; $k < 3; $k++) {
            $three[] = $this->moved($lot->uid, -40.0, MovementCause::Laid, $laid[1]->uid);
            $three[] = $this->moved($lot->uid, -8.0, MovementCause::Counted);
        }
        $figures = new LearnedFigures(Learned::of([], $laid, new Store([$lot], $three)), Build::recipe('earth-paint'));
        $this->assertEqualsWithDelta(1.2 * 167.0, (float) $figures->taken('coverage of earth paint')['parts'][0]['value'], 1e-6);
    }

    public function test_the_middle_of_an_even_number_lies_between(): void
    {
        $this->assertSame([2.0, 2.5], [Cases::of([9.0, 1.0, 2.0])->median(), Cases::of([1.0, 2.0, 3.0, 9.0])->median()]);
        $this->assertSame(0.0, Cases::of([])->median());
    }

    /** @param  list<MaterialAmount>|null  $amounts */
    private function laid(int $n, ?array $amounts = null, string $recipe = 'earth-paint'): CoatApplication
    {
        return new CoatApplication(
            Build::uid($n),
            Build::uid(1),
            Build::uid(2),
            Build::uid(3),
            1,
            'Earth paint',
            Build::recipe($recipe),
            0.2,
            [[[0.0, 0.0], [100.0, 0.0], [100.0, 100.0]]],
            1e4,
            0.0,
            20,
            $amounts ?? [new MaterialAmount('earth paint', 40.0, 'ml')],
            1000,
            1020,
        );
    }

    private function entry(string $laid, int $took, int $had): JournalEntry
    {
        $work = new WorkRecord(Build::uid(2), 'Zone', Build::uid(3), 'Earth paint', 'earth-paint', 1e4, $took, $had);

        return new JournalEntry(Build::uid(++$this->n), 1020, JournalKind::Done, Build::uid(1), $laid, 'Done', work: $work);
    }

    private function moved(string $lot, float $by, MovementCause $cause, ?string $for = null): StockMovement
    {
        return new StockMovement(Build::uid(++$this->n), $lot, $by, $cause, null, 1000 + $this->n, for: $for);
    }
}
