<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Clock\UlidGenerator;
use App\Computed\Plan\ComputedPots;
use App\Computed\ProjectLoader;
use App\Devices\BenchScale;
use App\Devices\HttpBenchScale;
use App\Models\Colour as ColourRow;
use App\Models\Layout;
use App\Models\Revision;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Colour;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Countdown;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Pots\ColourFamily;
use IdleRidge\Core\Pots\PotOffer;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\Store;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** Pots mixed for an evening, and what they take from the shelf. */
final class PotsTest extends FeatureCase
{
    private const EVENING = '2026-10-14T17:31Z';

    public function test_an_evening_s_pots_are_mixed_used_and_taken_back(): void
    {
        $layout = $this->evening(self::EVENING);
        $page = $this->get("/layouts/{$layout->uid}/pots")->assertOk();
        foreach ($this->offers($layout) as $offer) {
            $offer->mixture->kind->value === 'as sold' ?: $page->assertSee("pot={$offer->id}", false);
        }
        [$offer, $move] = $this->first($layout);
        $before = $this->stock($layout);
        $this->mix($layout, $offer, ['move' => $move])->assertRedirect();
        $store = $this->store($layout);
        $pot = $store->pots()[0];
        $this->assertSame($offer->mixture->total(), $store->amount($pot->uid));
        foreach ($pot->parts as $part) {
            if (isset($before[$part['material']])) {
                // What stands in the pot is still there; the lots have less.
                $this->assertEqualsWithDelta($before[$part['material']], $this->stock($layout)[$part['material']], 1e-6);
                $lots = array_sum(array_map(fn (MaterialLot $l): float => $store->amount($l->uid), $store->lotsOf($part['material'])));
                $this->assertEqualsWithDelta($before[$part['material']] - $part['amount'], $lots, 1e-6);
            }
        }
        $this->get("/layouts/{$layout->uid}/pots?move={$move}")->assertSee('Standing')->assertSee('mixed');

        // Laid, it is used up, and what stood in no pot comes from the lots themselves.
        $this->post("/layouts/{$layout->uid}/moves", ['move' => $move])->assertRedirect();
        $this->setClock('2026-10-14T17:50Z');
        $laid = $this->open($layout);
        $this->post("/layouts/{$layout->uid}/moves/{$laid->uid}/done")->assertRedirect();
        $after = $this->store($layout);
        $this->assertEqualsWithDelta(0.0, $after->amount($pot->uid), 1e-6);
        foreach ($laid->amounts as $one) {
            if (isset($before[$one->material])) {
                $left = $this->stock($layout)[$one->material];
                $this->assertEqualsWithDelta($before[$one->material] - $one->atHand(), $left, 1e-6, $one->material);
            }
        }
        $this->assertNotSame([], $after->lotsIn($laid->uid));
        $this->assertSame([], $after->faults());

        // One step back, and shelf, pot and plan are as they were; two, and nothing was mixed.
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertNotNull($this->open($layout));
        $this->assertEqualsWithDelta($pot->made, $this->store($layout)->amount($pot->uid), 1e-6);
        $this->post("/layouts/{$layout->uid}/undo");
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame([], $this->store($layout)->pots());
        $this->assertEquals($before, $this->stock($layout));
    }

    public function test_two_devices_mix_one_pot(): void
    {
        $layout = $this->evening(self::EVENING);
        [$offer, $move] = $this->first($layout);
        $seen = (string) (int) Revision::query()->max('id');
        $this->mix($layout, $offer, ['move' => $move, 'seen' => $seen])->assertRedirect();
        $this->from('/')->mix($layout, $offer, ['move' => $move, 'seen' => $seen]);
        $this->assertCount(1, $this->store($layout)->pots(), 'the second one saw it too late');
        // On a page that knows of it there is nothing left to mix.
        $this->from('/')
            ->mix($layout, $offer, ['move' => $move])
            ->assertSessionHasErrors('pot');
    }

    public function test_what_is_left_is_offered_first_stirred_and_poured_away(): void
    {
        $layout = $this->evening(self::EVENING);
        $this->mixFree($layout, 'white-glue-thinned', 'volume', '100', 'white glue');
        $pot = $this->store($layout)->pots()[0];
        $this->assertEqualsWithDelta(100.0, $pot->made, 1e-9);
        $this->assertNull($pot->workableUntil);
        $this->assertNotNull($pot->keepsUntil);
        $same = array_filter($this->offers($layout), fn (PotOffer $o): bool => $o->mixture->key === $pot->mixture);
        $this->assertNotSame([], $same);
        foreach ($same as $offer) {
            $this->assertSame([$pot->uid], array_map(fn (array $s): string => $s['pot']->uid, $offer->standing));
        }
        $this->post("/layouts/{$layout->uid}/pots/{$pot->uid}/stir")->assertRedirect();
        $this->assertCount(1, $this->store($layout)->pots()[0]->stirred);
        $this->post("/layouts/{$layout->uid}/pots/{$pot->uid}/pour")->assertRedirect();
        $this->assertSame(0.0, $this->store($layout)->amount($pot->uid));
        $entry = $this->journal($layout)[0];
        $this->assertSame(['poured away', '100 ml of white glue 1:3 with water poured away'], [$entry->kind->value, $entry->sentence]);
        $this->assertEqualsWithDelta(25.0, $entry->amounts[0]['amount'], 0.05);
        $this->from('/')
            ->post("/layouts/{$layout->uid}/pots/{$pot->uid}/pour")
            ->assertSessionHasErrors('pot');
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertEqualsWithDelta(100.0, $this->store($layout)->amount($pot->uid), 1e-9);
        $this->assertSame('undone', $this->journal($layout)[0]->kind->value);
    }

    public function test_plaster_counts_down_on_tonight_too(): void
    {
        $layout = $this->evening(self::EVENING);
        $this->mixFree($layout, 'pulp-plaster-spreading', 'area', '1', 'pulp plaster');
        $pot = $this->store($layout)->pots()[0];
        $now = intdiv((int) strtotime(self::EVENING), 60);
        $this->assertGreaterThan($now + 5, $pot->workableUntil);
        $due = array_filter(Countdown::of($this->plan($layout)->work), fn (Countdown $c): bool => $c->place === 'in the cup');
        $this->assertSame([$pot->workableUntil], array_values(array_map(fn (Countdown $c): int => $c->at, $due)));
        $this->get("/layouts/{$layout->uid}/tonight")->assertSee('What was mixed sets in the cup');
        // Once it has set it is no longer offered; an hour on it is no longer told.
        $this->setClock('@'.($pot->workableUntil + 1) * 60);
        $this->get("/layouts/{$layout->uid}/pots")->assertSee('It has set by');
        $this->setClock('@'.($pot->workableUntil + 60) * 60);
        $this->assertNotContains('in the cup', array_column(Countdown::of($this->plan($layout)->work), 'place'));
    }

    public function test_the_shelf_has_not_enough_of_it(): void
    {
        $layout = $this->evening(self::EVENING);
        $before = $this->store($layout);
        $this->from('/')
            ->mixFree($layout, 'white-glue-neat', 'volume', '5000', 'white glue')
            ->assertSessionHasErrors('lots/white glue');
        $this->assertEquals($before, $this->store($layout), 'nothing is half done');
    }

    public function test_alcohol_is_thinned_from_the_bottle_that_is_there(): void
    {
        $layout = $this->evening(self::EVENING);
        $this->get("/layouts/{$layout->uid}/pots?recipe=alcohol-mist&by=volume&value=100")->assertSee('alcohol 91 %')->assertSee('36 ml');
        $this->mixFree($layout, 'alcohol-mist', 'volume', '100', 'alcohol 91 %');
        $parts = array_column($this->store($layout)->pots()[0]->parts, 'amount', 'material');
        // 33.3 ml of 99 % in 100 are 36.3 ml of 91 %.
        $this->assertEqualsWithDelta(100.0 / 3.0 * 99.0 / 91.0, $parts['alcohol 91 %'], 1e-6);
        $this->assertEqualsWithDelta(100.0, array_sum($parts), 1e-6);
        $lot = $this->store($layout)->lotsOf('alcohol 91 %')[0];
        $this->assertEqualsWithDelta(730.0 - $parts['alcohol 91 %'], $this->store($layout)->amount($lot->uid), 1e-6);
    }

    public function test_a_colour_is_mixed_by_its_base_paints_with_its_shades_as_one_family(): void
    {
        $layout = $this->evening(self::EVENING);
        $colour = array_values(array_filter($this->works($layout)->colours, fn (Colour $c): bool => $c->name === 'Weir earth'))[0];
        $shade = Colour::shadeOf($colour, (string) app(UlidGenerator::class)->next(), 'Weir earth, pale', 'white', 2.0, '');
        (new ColourRow(['uid' => $shade->uid, 'layout_id' => $layout->id, 'rev' => 1, 'position' => 99]))
            ->keep(WorksFile::fromColour($shade))
            ->save();
        $coats = array_values(array_filter($this->works($layout)->coats, fn (Coat $c): bool => $c->colour === $colour->uid));
        $other = array_values(array_filter(
            $this->works($layout)->coats,
            fn (Coat $c): bool => $c->colour !== null && $c->colour !== $colour->uid && $this->plan($layout)->work->moves !== [],
        ));
        $row = $layout->coats()->where('uid', end($other)->uid)->firstOrFail();
        $row->keep(['colour' => $shade->uid] + (array) json_decode($row->data, true))->save();
        $plan = $this->plan($layout->refresh());
        $family = ColourFamily::of($plan->work, $colour);
        $move = array_values(array_filter($plan->work->moves, fn (Move $m): bool => $m->coat->uid === $coats[0]->uid))[0];
        $paint = array_sum(array_map(fn (MaterialAmount $a): float => $a->amount, $move->amounts));
        $this->assertEqualsWithDelta($paint, $family->own, 1e-6);
        // Ten parts of the colour and two of white: five sixths of the shade come from it.
        $this->assertEqualsWithDelta($family->shades[0]['ml'] / 6.0, $family->shades[0]['add'], 1e-9);
        $this->assertEqualsWithDelta($family->own + $family->shades[0]['ml'] * 5.0 / 6.0, $family->whole(), 1e-9);
        $bases = ColourFamily::bases($colour, 50.0);
        $ml = array_column($bases, 'ml', 'base');
        $this->assertEqualsWithDelta(['raw umber' => 30.0, 'yellow ochre' => 10.0, 'white' => 10.0], $ml, 1e-9);
        $this->get("/layouts/{$layout->uid}/pots?move={$move->id}")
            ->assertOk()
            ->assertSee('Weir earth')
            ->assertSee('raw umber')
            ->assertSee('wet and dry')
            ->assertSee('keep it as one family')
            ->assertSee('ml white for Weir earth, pale');
    }

    /** @return iterable<string, array{string, string}> */
    public static function odd(): iterable
    {
        yield 'a cup smaller than a spoon' => ['cup=4', 'it must lie between 5 ml'];
        yield 'no cup at all' => ['cup=jar', '“jar” is not a volume; try 250 ml'];
        yield 'no such recipe' => ['recipe=stardust&value=1', 'There is no such recipe.'];
        yield 'no amount' => ['recipe=earth-paint&value=', 'The area is not a number'];
        yield 'less than nothing' => ['recipe=earth-paint&value=-3', 'it must lie between 0.01 dm²'];
        yield 'left of what is not in it' => ['recipe=earth-paint&by=left&value=5&material=resin', 'There is no resin in it.'];
        yield 'a move that is gone' => ['move=nothing', 'That move is no longer in the plan.'];
        yield 'a mix of what is poured' => ['mix=1+white+glue&value=5', 'white glue is not mixed dry.'];
        yield 'a mix of nothing known' => ['mix=1+stardust&value=5', 'There is no material “stardust”.'];
        yield 'a mix of no weight' => ['mix=1+fine+turf&value=', 'The mix is not a number'];
        yield 'nothing to mix' => ['recipe=masking&value=5', 'takes nothing that is mixed or weighed'];
    }

    #[DataProvider('odd')]
    public function test_what_cannot_be_is_said_at_its_place(string $query, string $says): void
    {
        $layout = $this->evening(self::EVENING);
        $this->get("/layouts/{$layout->uid}/pots?{$query}")->assertOk()->assertSee($says);
    }

    public function test_free_pots_are_scaled_and_cards_printed(): void
    {
        $layout = $this->evening(self::EVENING);
        $offers = fn (string $by, float $value, string $material = ''): array => app(ComputedPots::class)->asked(
            $this->plan($layout),
            ['recipe' => 'white-glue-thinned', 'by' => $by, 'value' => $value, 'material' => $material] + ComputedPots::SESSION,
            null,
        );
        $isGlue = fn (PotOffer $o): bool => str_contains($o->mixture->title, 'white glue');
        $glue = fn (array $all): PotOffer => array_values(array_filter($all, $isGlue))[0];
        $this->assertEqualsWithDelta(250.0, $glue($offers('volume', 250.0))->mixture->volume(), 1e-9);
        $this->assertEqualsWithDelta(30.0, $glue($offers('left', 30.0, 'white glue'))->mixture->portions[0]->amount, 1e-9);
        $this->assertEqualsWithDelta(
            2.0 * $glue($offers('area', 5.0))->mixture->total(),
            $glue($offers('area', 10.0))->mixture->total(),
            1e-9,
        );
        $this->get("/layouts/{$layout->uid}/pots/cards?recipe=pulp-plaster-spreading&by=area&value=30&cup=500")
            ->assertOk()
            ->assertSee('pots of this')
            ->assertSee('Use it up within');
        // Two of soil to one of ballast by weight: 200 g of soil are 166.7 ml of it.
        $this->get("/layouts/{$layout->uid}/pots?mix=2+sifted+soil,+1+stone+ballast&value=300")
            ->assertSee('2 sifted soil, 1 stone ballast, by weight')
            ->assertSee('2 parts')
            ->assertSee('167 ml');
        $this->get("/layouts/{$layout->uid}/pots/cards")->assertOk()->assertSee('Pot cards');
    }

    public function test_the_scale_fills_the_bar_and_an_overshoot_is_mixed_as_it_is(): void
    {
        $layout = $this->evening(self::EVENING);
        $scale = new class implements BenchScale
        {
            public float $grams = 0.0;

            public function grams(string $address): float
            {
                return $this->grams;
            }
        };
        $this->app->instance(BenchScale::class, $scale);
        $at = "/layouts/{$layout->uid}/pots/weigh?recipe=white-glue-thinned&by=volume&value=100";
        $this->get($at)->assertSee('No scale is set.');
        $set = fn (string $address) => $this->from('/')->post("/layouts/{$layout->uid}/pots/scale", ['scale' => $address]);
        $set('http://example.org/scale')->assertSessionHasErrors('scale');
        $set('http://127.0.0.1:1/scale')->assertSessionHasNoErrors();
        $asked = ['recipe' => 'white-glue-thinned', 'by' => 'volume', 'value' => 100.0] + ComputedPots::SESSION;
        $offer = array_values(array_filter(
            app(ComputedPots::class)->asked($this->plan($layout), $asked, null),
            fn (PotOffer $o): bool => str_contains($o->mixture->title, 'white glue'),
        ))[0];
        $at .= "&pot={$offer->id}";
        // 25 ml of glue at 1.08 g/ml are 27 g, three parts of water 75.
        $scale->grams = 13.5;
        $this->get($at)->assertSee('White glue')->assertSee('14 g to go, to 27 g')->assertSee('width="50"', false);
        $scale->grams = 40.5;
        $this->get("{$at}&before=40.5")->assertSee('14 g too much')->assertSee('Leave it so')->assertDontSee('Water');
        $page = $this->get("{$at}&left=1")->assertSee('Water')->assertSee('113 g to go')->assertSee('name="factor" value="1.5"', false);
        $this->assertStringContainsString('0:40.5', html_entity_decode((string) $page->getContent()));
        $this->post("/layouts/{$layout->uid}/pots", [
            'pot' => $offer->id, 'recipe' => 'white-glue-thinned', 'by' => 'volume', 'value' => '100', 'factor' => '1.5',
        ])->assertRedirect();
        $this->assertEqualsWithDelta(150.0, $this->store($layout)->pots()[0]->made, 1e-9);
        $scale->grams = 0.0;
        $this->get("{$at}&pot=gone")->assertSee('no longer asked for');
        foreach (['  123.4 g' => 123.4, "-0,5\tg" => -0.5, 'ST,GS,+ 1.25 kg' => 1250.0, '12' => 12.0] as $line => $grams) {
            $this->assertEqualsWithDelta($grams, HttpBenchScale::read((string) $line), 1e-9);
        }
        $this->expectExceptionMessage('What the scale says cannot be read');
        HttpBenchScale::read('error');
    }

    /** @return list<PotOffer> */
    private function offers(Layout $layout): array
    {
        return app(ComputedPots::class)->asked(
            $this->plan($layout),
            ComputedPots::SESSION,
            500.0,
        );
    }

    /** @return array{PotOffer, string} a pot of the first move that takes one from the shelf */
    private function first(Layout $layout): array
    {
        $plan = $this->plan($layout);
        foreach ($plan->moves as $placed) {
            if ($plan->work->current() === null && $this->isReady($plan, $placed->move->id)) {
                $offers = app(ComputedPots::class)->asked(
                    $plan,
                    ['move' => $placed->move->id] + ComputedPots::SESSION,
                    500.0,
                );
                foreach ($offers as $offer) {
                    if ($offer->plan?->count === 1 && $this->store($layout)->knows($offer->mixture->portions[0]->material)) {
                        return [$offer, $placed->move->id];
                    }
                }
            }
        }
        $this->fail('No move takes a pot.');
    }

    private function isReady(BenchPlan $plan, string $move): bool
    {
        return $plan->work->bases[$move] === [] || array_filter(
            $plan->moves,
            fn ($p): bool => $p->move->id === $move && $p->start <= $plan->work->now + 5,
        ) !== [];
    }

    /** @param  array<string, mixed>  $more */
    private function mix(Layout $layout, PotOffer $offer, array $more): TestResponse
    {
        return $this->post("/layouts/{$layout->uid}/pots", ['pot' => $offer->id, 'cup' => '500', ...$more]);
    }

    private function mixFree(Layout $layout, string $recipe, string $by, string $value, string $with): TestResponse
    {
        $asked = ['recipe' => $recipe, 'by' => $by, 'value' => (float) $value] + ComputedPots::SESSION;
        foreach (app(ComputedPots::class)->asked($this->plan($layout), $asked, null) as $offer) {
            if (in_array($with, array_column($offer->mixture->portions, 'material'), true)) {
                return $this->post("/layouts/{$layout->uid}/pots", ['pot' => $offer->id, 'value' => $value] + array_filter($asked));
            }
        }
        $this->fail('There is no such pot.');
    }

    private function open(Layout $layout): ?CoatApplication
    {
        return array_values(array_filter($this->works($layout)->laid, fn (CoatApplication $l): bool => $l->endedAt === null))[0] ?? null;
    }

    /** @return list<JournalEntry> the latest first */
    private function journal(Layout $layout): array
    {
        return array_reverse(app(ProjectLoader::class)->complete($layout->refresh())->works->journal->entries);
    }

    private function store(Layout $layout): Store
    {
        return $this->works($layout->refresh())->store;
    }

    /** @return array<string, float> */
    private function stock(Layout $layout): array
    {
        return $this->store($layout)->stock(intdiv((int) strtotime(self::EVENING), 60));
    }
}
