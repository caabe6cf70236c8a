<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Files\LayoutFiles;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Plan\ShelfNeed;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Store;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Fixtures;
use Tests\Schemas;

/** Lots, counted and bought, and the tables they come in by. */
final class ShelfTest extends FeatureCase
{
    private const EVENING = '2026-10-14T17:31Z';

    public function test_a_lot_is_put_there_weighed_described_and_thrown_away(): void
    {
        $layout = $this->evening(self::EVENING);
        $this->post("/layouts/{$layout->uid}/shelf/lots", [
            'material' => 'acrylic medium', 'pack' => '500', 'count' => '2', 'price' => '12,90', 'supplier' => 'Quayside', 'mark' => 'matt',
        ])->assertRedirect();
        $lot = $this->lot($layout, 'acrylic medium');
        $this->assertSame(
            [1000.0, 500.0, 1290, 'matt', 730],
            [$this->store($layout)->amount($lot->uid), $lot->pack, $lot->minor, $lot->mark, $lot->keepsDays],
        );
        // 480 g with the bottle of 60: 400 ml at 1.05 g/ml.
        $this->counted($layout, $lot, ['gross' => '480', 'tare_g' => '60', 'shown' => '1000'])->assertRedirect();
        $this->assertEqualsWithDelta(400.0, $this->store($layout)->amount($lot->uid), 1e-9);
        $this->counted($layout, $lot, ['share' => '1 1/2'])->assertRedirect();
        $this->assertEqualsWithDelta(750.0, $this->store($layout)->amount($lot->uid), 1e-9);
        $this->counted($layout, $lot, ['share' => '75 %'])->assertRedirect();
        $this->assertEqualsWithDelta(375.0, $this->store($layout)->amount($lot->uid), 1e-9);
        // A pound and a half on the scale with the empty bottle of two ounces.
        $this->counted($layout, $lot, ['gross' => '1 lb 8 oz', 'tare_g' => '2 oz'])->assertRedirect();
        $this->assertEqualsWithDelta(22.0 * 28.349523125 / 1.05, $this->store($layout)->amount($lot->uid), 1e-9);
        $this->counted($layout, $lot, ['amount' => '½ qt'])->assertRedirect();
        $this->assertEqualsWithDelta(473.176473, $this->store($layout)->amount($lot->uid), 1e-9);
        $this->counted($layout, $lot, ['share' => '75 %'])->assertRedirect();
        $moves = array_filter($this->store($layout)->movements, fn ($m): bool => $m->lot === $lot->uid);
        $causes = array_values(array_map(fn ($m): string => $m->cause->value, $moves));
        $this->assertSame(['bought', ...array_fill(0, 6, 'counted')], $causes);
        // Somebody took some meanwhile.
        $this->from('/')->counted($layout, $lot, ['amount' => '300', 'shown' => '400'])->assertStatus(409);
        $this->assertEqualsWithDelta(375.0, $this->store($layout)->amount($lot->uid), 1e-9);

        $this->patch("/layouts/{$layout->uid}/shelf/lots/{$lot->uid}", [
            'mark' => 'gloss', 'opened' => '1 Oct 2026', 'best_before' => '2026-12-24', 'keeps_days' => '30', 'tare_g' => '60',
        ])->assertRedirect();
        $changed = $this->lot($layout, 'acrylic medium');
        $this->assertSame(['gloss', '2026-12-24', 30, 60.0], [$changed->mark, $changed->bestBefore, $changed->keepsDays, $changed->tare]);
        $this->assertSame('2026-10-01', gmdate('Y-m-d', (int) $changed->openedAt * 60));
        $this->get("/layouts/{$layout->uid}/shelf?lot={$lot->uid}")->assertOk()->assertSee('good until 31 Oct 2026')->assertSee('gloss');
        $this->delete("/layouts/{$layout->uid}/shelf/lots/{$lot->uid}")->assertRedirect();
        $this->assertSame(0.0, $this->store($layout)->amount($lot->uid));
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertEqualsWithDelta(375.0, $this->store($layout)->amount($lot->uid), 1e-9);
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function odd(): iterable
    {
        yield 'a weight for a bottle' => [['material' => 'acrylic medium', 'pack' => '1 lb'], 'pack'];
        yield 'no material' => [['material' => '', 'pack' => '5'], 'material'];
        yield 'no such material' => [['material' => 'stardust', 'pack' => '5'], 'material'];
        yield 'a pack of nothing' => [['material' => 'fine turf', 'pack' => '0'], 'pack'];
        yield 'nothing at all' => [['material' => 'fine turf'], 'pack'];
        yield 'half a pack bought' => [['material' => 'fine turf', 'pack' => '5', 'count' => '0.5'], 'count'];
        yield 'a price below nothing' => [['material' => 'fine turf', 'pack' => '5', 'price' => '-1'], 'price'];
        yield 'alcohol too strong to be' => [['material' => 'alcohol 99 %', 'pack' => '5', 'strength' => '140'], 'strength'];
        yield 'a day that is none' => [['material' => 'fine turf', 'pack' => '5', 'best_before' => '2026-02-30'], 'best_before'];
        yield 'no share' => [['material' => 'fine turf', 'pack' => '5', 'share' => '1/0'], 'share'];
        yield 'lighter than its bottle' => [['material' => 'fine turf', 'gross' => '5', 'tare_g' => '6'], 'gross'];
        yield 'tufts on a scale' => [['material' => 'tufts', 'gross' => '5'], 'gross'];
    }

    /** @param  array<string, string>  $input */
    #[DataProvider('odd')]
    public function test_what_cannot_stand_there_is_said_at_its_field(array $input, string $field): void
    {
        $layout = $this->evening(self::EVENING);
        $before = $this->store($layout);
        $this->from("/layouts/{$layout->uid}/shelf")
            ->post("/layouts/{$layout->uid}/shelf/lots", ['form' => 'new', ...$input])
            ->assertSessionHasErrors($field);
        $this->assertEquals($before, $this->store($layout));
    }

    public function test_need_stands_against_have_and_what_is_short_is_bought(): void
    {
        $layout = $this->evening(self::EVENING);
        $short = array_filter(ShelfNeed::of($this->plan($layout)), fn (ShelfNeed $n): bool => $n->isShort && $n->have !== null);
        $this->assertEqualsCanonicalizing(['fibre 4 mm', 'gloss medium'], array_keys($short));
        $this->get("/layouts/{$layout->uid}/shelf")->assertOk()->assertSee('fibre 4 mm')->assertSee('Past its time');
        $page = $this->get("/layouts/{$layout->uid}/shelf/shopping")->assertOk()->assertSee('Quayside')->assertSee('first for');
        $row = '/name="price" value="([0-9A-Z]+)">\s*<input type="hidden" name="count" value="(\d+)"/';
        preg_match_all($row, (string) $page->getContent(), $rows);
        $this->assertCount(2, $rows[1]);
        foreach ($rows[1] as $k => $uid) {
            $this->post("/layouts/{$layout->uid}/shelf/shopping", ['price' => $uid, 'count' => $rows[2][$k]])->assertRedirect();
        }
        foreach (ShelfNeed::of($this->plan($layout->refresh())) as $need) {
            $this->assertFalse($need->isShort && $need->have !== null, $need->material);
        }
        $this->get("/layouts/{$layout->uid}/shelf/shopping")->assertDontSee('Quayside</h2>', false);
        $csv = (string) $this->get("/layouts/{$layout->uid}/shelf/shopping.csv")->assertOk()->getContent();
        $this->assertStringStartsWith('supplier,material,pack,unit,count,price,together', $csv);
        $bought = array_filter($this->store($layout)->materials(), fn (MaterialLot $l): bool => $l->boughtOn === '2026-10-14');
        $this->assertCount(2, $bought);
        $this->from('/')
            ->post("/layouts/{$layout->uid}/shelf/shopping", ['price' => 'gone', 'count' => '1'])
            ->assertSessionHasErrors('price');
    }

    public function test_when_one_shops_and_what_may_be_spent(): void
    {
        $layout = $this->evening(self::EVENING);
        $set = fn (array $input) => $this->from('/')->patch("/layouts/{$layout->uid}/shelf/shopping", $input);
        $carriage = [['supplier' => 'Quayside', 'minor' => '1,50']];
        $set(['budget' => '2', 'shop_on' => '20 Oct', 'carriage' => $carriage])->assertSessionHasNoErrors();
        $shelf = $this->plan($layout->refresh())->work->rules()->shelf;
        $this->assertSame(['2026-10-20', 200, ['Quayside' => 150]], [$shelf->shopOn, $shelf->budget, $shelf->carriage]);
        $this->assertCount(2, $shelf->cups, 'what the form does not have stays');
        $this->get("/layouts/{$layout->uid}/shelf/shopping")->assertSee('beyond what may be spent');
        $set(['cups' => [['name' => 'thimble', 'ml' => '3']]])->assertSessionHasErrors('cups/0/ml');
        $set(['cups' => [['name' => 'jar', 'ml' => '250', 'tare_g' => '80'], ['name' => '', 'ml' => '']]])->assertSessionHasNoErrors();
        $this->assertSame(['jar'], array_column($this->plan($layout->refresh())->work->rules()->shelf->cups, 'name'));
        $set(['shop_on' => 'someday'])->assertSessionHasErrors('shop_on');
    }

    public function test_what_was_taken_up_again_is_a_lot_of_its_own(): void
    {
        $layout = $this->evening(self::EVENING);
        $laid = null;
        foreach ($this->works($layout)->laid as $one) {
            $laid = array_filter($one->amounts, fn ($a): bool => $a->recovered > 0.0) === [] ? $laid : $one;
        }
        $this->assertNotNull($laid);
        $soil = array_values(array_filter($laid->amounts, fn ($a): bool => $a->recovered > 0.0))[0];
        $book = fn (string $amount) => $this->from('/')->post("/layouts/{$layout->uid}/shelf/again", [
            'laid' => $laid->uid, 'material' => $soil->material, 'amount' => $amount,
        ]);
        $book((string) ($soil->atHand() + 1.0))->assertSessionHasErrors('amount');
        $before = $this->again($layout, $soil->material);
        $book('12,5')->assertSessionHasNoErrors();
        $this->assertEqualsWithDelta($before + 12.5, $this->again($layout, $soil->material), 1e-9);
        $last = $this->store($layout)->movements;
        $this->assertSame([MovementCause::Recovered, $laid->uid], [end($last)->cause, end($last)->for]);
    }

    public function test_tables_go_out_and_come_in_whole_or_not_at_all(): void
    {
        $layout = $this->evening(self::EVENING);
        $stock = (string) $this->get("/layouts/{$layout->uid}/shelf/stock.csv")->assertOk()->getContent();
        $before = $this->store($layout);
        $this->import($layout, 'stock', $stock)->assertSessionHasNoErrors();
        $this->assertCount(count($before->movements), $this->store($layout)->movements, 'what was not changed is not counted');
        $this->import($layout, 'stock', str_replace('fine turf,350', 'fine turf,360', $stock))->assertSessionHasNoErrors();
        $this->assertEqualsWithDelta(360.0, $this->store($layout)->amount($this->lot($layout, 'fine turf')->uid), 1e-6);
        $now = $this->store($layout);
        $broken = $stock."\r\n,stardust,5,,,,,,,,,,,,";
        $this->import($layout, 'stock', $broken)->assertSessionHasErrors('row '.(substr_count($stock, "\r\n") + 2).', material');
        $this->assertEquals($now, $this->store($layout), 'nothing is half taken');

        $prices = (string) $this->get("/layouts/{$layout->uid}/shelf/prices.csv")->assertOk()->getContent();
        $this->import($layout, 'prices', $prices."cinders,500,g,4.20,Quayside,\r\n")->assertSessionHasNoErrors();
        $has = fn (): array => array_map(fn (PackPrice $p): string => $p->key(), $this->works($layout->refresh())->prices);
        $this->assertContains('cinders|500|quayside', $has());
        $this->assertSame(count($has()), count(array_unique($has())));
        // In the form a row without a price goes, a new one comes.
        $rows = array_map(
            fn (PackPrice $p): array => ['uid' => $p->uid, 'material' => $p->material, 'amount' => (string) $p->amount, 'price' => '1.00'],
            $this->works($layout)->prices,
        );
        $rows[0]['price'] = $rows[0]['amount'] = '';
        $rows[] = ['uid' => '', 'material' => 'primer', 'amount' => '100', 'price' => '5'];
        $rows[] = ['uid' => '', 'material' => '', 'amount' => '', 'price' => ''];
        $form = fn (array $prices) => $this->from('/')->patch("/layouts/{$layout->uid}/shelf/prices", ['prices' => $prices]);
        $form([['uid' => '', 'material' => 'stardust', 'amount' => '1', 'price' => '1']])->assertSessionHasErrors('prices/0/material');
        $before = count($has());
        $form([$rows[0], ['uid' => '', 'material' => 'primer', 'amount' => '100', 'price' => '5']])->assertSessionHasNoErrors();
        $this->assertCount($before, $has());
        $this->assertContains('primer|100|', $has());
    }

    public function test_the_shelf_goes_with_its_layout_s_file(): void
    {
        $layout = $this->evening(self::EVENING);
        $page = (string) $this->get("/layouts/{$layout->uid}/pots")->getContent();
        $this->post("/layouts/{$layout->uid}/pots", [
            'pot' => (string) preg_replace('/.*?pot=([0-9a-f]{12}).*/s', '$1', $page),
            'cup' => '500',
        ]);
        $project = app(ProjectLoader::class)->of($layout->refresh());
        $this->assertNotSame([], $project->works->store->pots());
        $json = app(LayoutFiles::class)->export($layout->refresh());
        Schemas::assertMatches('layout', $json);
        $copy = app(LayoutFiles::class)->import($json);
        $this->assertEquals($project->works->store, $this->works($copy)->store);
        $this->assertEquals($project->layout->bench->shelf, app(ProjectLoader::class)->of($copy)->layout->bench->shelf);
    }

    public function test_the_command_line_buys_as_cheaply_as_can_be(): void
    {
        foreach (['buy-01' => 8199, 'buy-02' => 6140, 'buy-03' => 14627] as $file => $cost) {
            $this->assertSame(0, Artisan::call('ridge:buy', ['file' => base_path("tests/fixtures/buy/{$file}.json"), '--json' => true]));
            $answer = Artisan::output();
            Schemas::assertMatches('buy', $answer);
            $this->assertSame($cost, json_decode($answer, true)['cost']);
        }
        $broken = (string) tempnam(sys_get_temp_dir(), 'buy');
        file_put_contents($broken, str_replace('"price": 395', '"price": -1', Fixtures::text('buy/buy-01.json')));
        $this->assertSame(2, Artisan::call('ridge:buy', ['file' => $broken, '--json' => true]));
        unlink($broken);
    }

    public function test_an_empty_shelf_says_what_it_is_for(): void
    {
        $this->setClock(self::EVENING);
        $layout = $this->demo();
        $layout->lots()->delete();
        $layout->movements()->delete();
        $layout->prices()->delete();
        $this->get("/layouts/{$layout->uid}/shelf")->assertOk()->assertSee('Nothing stands on the shelf yet')->assertSee('not counted');
        $this->get("/layouts/{$layout->uid}/shelf/shopping")->assertOk()->assertSee('has no price');
        $this->get("/layouts/{$layout->uid}/pots")->assertOk();
        $this->get("/layouts/{$layout->uid}/shelf/prices")->assertOk();
    }

    /** @param  array<string, string>  $input */
    private function counted(Layout $layout, MaterialLot $lot, array $input): TestResponse
    {
        return $this->post("/layouts/{$layout->uid}/shelf/lots/{$lot->uid}/count", $input);
    }

    private function import(Layout $layout, string $table, string $csv): TestResponse
    {
        return $this->from("/layouts/{$layout->uid}/shelf")->post("/layouts/{$layout->uid}/shelf/{$table}.csv", [
            'file' => UploadedFile::fake()->createWithContent("{$table}.csv", $csv),
        ]);
    }

    private function lot(Layout $layout, string $material): MaterialLot
    {
        return array_values(array_filter($this->store($layout)->materials(), fn (MaterialLot $l): bool => $l->material === $material))[0];
    }

    private function again(Layout $layout, string $material): float
    {
        $store = $this->store($layout);
        $lots = array_filter($store->materials(), fn (MaterialLot $l): bool => $l->recovered && $l->material === $material);

        return array_sum(array_map(fn (MaterialLot $l): float => $store->amount($l->uid), $lots));
    }

    private function store(Layout $layout): Store
    {
        return $this->works($layout->refresh())->store;
    }
}
