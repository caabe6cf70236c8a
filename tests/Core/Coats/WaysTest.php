<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Hazard;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Step;
use IdleRidge\Core\Coats\StepKind;
use IdleRidge\Core\Coats\StepRelation;
use IdleRidge\Core\Coats\ThinnedGlue;
use IdleRidge\Core\Coats\WayRecipe;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class WaysTest extends TestCase
{
    /** @return iterable<string, array{string, string}> every loose material in every way that it is laid in, with every wetting and glue */
    public static function all(): iterable
    {
        $library = Build::library();
        foreach ($library->recipes as $recipe) {
            foreach (WayRecipe::isLoose($recipe) ? $library->ways->of($recipe->family) : [] as $order) {
                foreach ($order->wets() ? array_keys($library->ways->wettings) : [''] as $wetting) {
                    foreach ($order->takesGlue() ? array_keys($library->ways->glues) : [''] as $glue) {
                        $way = implode('+', array_filter([$order->key, $wetting, $glue]));
                        yield "{$recipe->id} {$way}" => [$recipe->id, $way];
                    }
                }
            }
        }
    }

    #[DataProvider('all')]
    public function test_what_a_coat_takes_is_what_its_steps_take_and_nothing_twice(string $id, string $way): void
    {
        $material = Build::recipe($id);
        $recipe = Build::library()->laid($id, $way);
        $whole = [];
        foreach ($recipe->turns() as $turn) {
            $sum = [];
            foreach ($turn->steps as $step) {
                foreach ($step->parts as $part) {
                    foreach ($part->amounts(1e6, 2e6, 4000.0) as $one) {
                        $sum[$one['material']] = ($sum[$one['material']] ?? 0.0) + $one['amount'] * (1.0 + $turn->waste);
                    }
                }
            }
            $amounts = array_map(fn (MaterialAmount $a): array => [$a->material, $a->amount], $turn->amounts(1e6, 2e6, 4000.0));
            $this->assertEqualsWithDelta($sum, self::summed($amounts), 1e-9);
            $whole = [...$whole, ...$amounts];
        }
        // The loose material is laid once, however it is held.
        $loose = array_filter($material->steps, fn (Step $s): bool => $s->kind === StepKind::Loose);
        foreach (array_merge(...array_map(fn (Step $s): array => $s->parts, array_values($loose))) as $part) {
            [$one] = $part->amounts(1e6, 2e6);
            $this->assertEqualsWithDelta($one['amount'] * (1.0 + $material->waste), self::summed($whole)[$one['material']], 1e-9);
        }
        // Nothing in the wet waits: what is one application has one relation, at once.
        foreach ($recipe->turns() as $k => $turn) {
            $this->assertSame($k === 0 ? $recipe->id : $recipe->id.'/'.($k + 1), $turn->id);
            $this->assertSame($recipe->id, $turn->act());
            foreach (array_slice($turn->steps, 1) as $step) {
                $this->assertContains($step->after, [StepRelation::AtOnce, StepRelation::IntoTheWet]);
            }
        }
        $this->assertSame($id, $recipe->base());
        $again = new Record(json_decode(json_encode(RecipeFile::write($recipe), JSON_THROW_ON_ERROR), false, 64, JSON_THROW_ON_ERROR), '');
        $this->assertEquals($recipe, RecipeFile::recipe($again), 'as laid work keeps it');
    }

    public function test_flooded_with_what_is_usual_is_what_a_material_says_of_itself(): void
    {
        foreach (['fine-turf', 'sifted-soil', 'stone-ballast', 'nut-shell-ballast', 'leaf-litter'] as $id) {
            $plain = Build::recipe($id);
            $laid = Build::library()->laid($id, 'flooded');
            $this->assertEquals($plain->amounts(1e5, 1e5), $laid->amounts(1e5, 1e5));
            $this->assertEqualsWithDelta($plain->cure->minutes, $laid->cure->minutes, 1e-9);
            $this->assertSame($plain->cure->referenceMm, $laid->cure->referenceMm);
        }
    }

    public function test_the_cure_what_softens_and_the_vapour_are_those_of_what_is_in_it(): void
    {
        $white = Build::library()->laid('fine-turf', 'flooded+white-1-3');
        $acrylic = Build::library()->laid('fine-turf', 'flooded+alcohol-33+acrylic-1-3');
        $lacquer = Build::library()->laid('fine-turf', 'lacquer');
        $this->assertTrue($white->is(RecipeTrait::Rewets));
        $this->assertFalse($acrylic->is(RecipeTrait::Rewets));
        $next = fn (Recipe $r): float => $r->cure->minutes['next_coat'];
        $this->assertSame([600.0, 720.0, 10.0], array_map($next, [$acrylic, $white, $lacquer]));
        $this->assertSame([[], [Hazard::Vapour], [Hazard::Vapour]], [$white->hazards, $acrylic->hazards, $lacquer->hazards]);
        $this->assertTrue($lacquer->is(RecipeTrait::Solvent) && ! $lacquer->is(RecipeTrait::Wet));
        $this->assertSame([8.0, null], [$white->cure->filmTemperature, $lacquer->cure->filmTemperature]);
        $this->assertStringContainsString('fan blowing out', implode(array_column($acrylic->cautions, 'do')));
        $this->assertSame([true, false], [Build::library()->laid('fine-turf', 'paint')->coversWhite, $white->coversWhite]);
        // Each caution stands at its step.
        $said = fn (Recipe $r): array => array_map(fn (Step $s): array => array_column($s->cautions, 'do'), $r->steps);
        $this->assertSame([[], ['Open window, fan blowing out, no flame, heater or fibre applicator.'], [], [], []], $said($acrylic));
        $this->assertSame([[], ['Organic-vapour mask, outdoors or under extraction.']], $said($lacquer));
        $this->assertSame(['Mask, or damp it first.'], $said(Build::library()->laid('sifted-soil', 'flooded'))[0]);
        $this->assertSame(['spray bottle'], $acrylic->steps[1]->tools);
        // Neat below and thinned above: worked while the neat one can be, dry when the thinned is.
        $bed = Build::library()->laid('fine-turf', 'bed-first');
        $this->assertSame([10.0, 720.0], [$bed->cure->minutes['workable_until'], $bed->cure->minutes['next_coat']]);
        foreach (['taped', 'litter'] as $way) {
            $this->assertSame(10.0, Build::library()->laid('sifted-soil', $way)->cure->minutes['workable_until'], $way);
        }
    }

    /** What is less than all water loses as much less: a ml of white glue has 1.08 × 0.47 g of it. */
    public function test_more_water_takes_longer_by_what_there_is_to_lose(): void
    {
        $of = fn (string $ratio): float => Build::library()->laid('fine-turf', "flooded+white-{$ratio}")->cure->minutes['dry_through'];
        $water = 1.08 * 0.47;
        $this->assertEqualsWithDelta(2160.0 * ((1.0 + $water) / 2.0) / ((3.0 + $water) / 4.0), $of('1-1'), 1e-6);
        $this->assertEqualsWithDelta(2160.0 * ((4.0 + $water) / 5.0) / ((3.0 + $water) / 4.0), $of('1-4'), 1e-6);
        $this->assertSame($of('1-1'), $of('2-2'));
        $this->assertSame(1.0, ThinnedGlue::slower(Build::library()->materials['white glue'], 1.0, 3.0, 3.0));
    }

    public function test_alcohol_is_thinned_from_what_is_in_store(): void
    {
        $from = fn (float $stock, string $strength): array => array_map(
            fn (MaterialAmount $a): array => [$a->material, round($a->amount, 3)],
            array_slice(
                Build::library()->preferring([], $stock)->laid('stone-ballast', "flooded+alcohol-{$strength}")->amounts(0.0, 1e6),
                1,
                2,
            ),
        );
        $all = 1000.0 * 0.42 * 0.4 * 1.08;
        $this->assertEqualsWithDelta([['alcohol 99 %', $all / 3.0], ['water', $all * 2.0 / 3.0]], $from(99.0, '33'), 1e-3);
        $this->assertEqualsWithDelta([['alcohol 70 %', $all * 5.0 / 7.0], ['water', $all * 2.0 / 7.0]], $from(70.0, '50'), 1e-3);
        $this->assertSame('alcohol 70 %', $from(70.0, '70')[0][0]);
        $this->assertSame('white glue', $from(70.0, '70')[1][0], 'no water where it is taken as it is');
        $this->expectExceptionMessage('Alcohol of 70 % does not make one of 71 %');
        $from(70.0, '71');
    }

    public function test_a_layout_prefers_a_way_and_a_coat_differs(): void
    {
        $library = Build::library()->preferring(['cover' => 'bed-only', 'fibre' => 'patches'], 99.0);
        $this->assertSame('fine-turf+bed-only+white-1-3', $library->laid('fine-turf')->id);
        $this->assertSame('fine-turf+flooded+water+white-1-3', $library->laid('fine-turf', 'flooded')->id);
        $this->assertSame('fibre-4mm+patches+basing-1-0', $library->laid('fibre-4mm')->id);
        $this->assertSame('stone-ballast', $library->laid('stone-ballast')->id, 'nothing is preferred for ballast');
        $this->assertSame('masking', $library->laid('masking')->id, 'nothing loose in it');
        $coat = new Coat(Build::uid(1), Build::uid(2), $library->laid('fine-turf', 'paint'), way: 'paint');
        $written = WorksFile::fromCoat($coat);
        $this->assertSame(['fine-turf', 'paint'], [$written['recipe'], $written['way']]);
        $record = new Record((object) array_diff_key($written, ['uid' => 1]), '');
        $this->assertEquals($coat, WorksFile::coat($record, $coat->uid, $library));
    }

    public function test_what_was_begun_goes_on_as_it_was_begun(): void
    {
        $raw = Build::library();
        $now = $raw->preferring(['cover' => 'lacquer'], 99.0);
        $coat = new Coat(Build::uid(1), Build::uid(2), $now->laid('fine-turf'));
        $begun = fn (string $coat, ?string $way, int $turn = 0): CoatApplication => new CoatApplication(
            Build::uid(50),
            Build::uid(901),
            Build::uid(2),
            $coat,
            1 + $turn,
            'Turf',
            $raw->laid('fine-turf', $way)->turns()[$turn],
            1.0,
            [],
            1.0,
            0.0,
            5,
            [],
            1,
            2,
        );
        $this->assertSame('fine-turf+lacquer', $coat->asBegun([], $now)->recipe->id);
        $this->assertSame('fine-turf+lacquer', $coat->asBegun([$begun(Build::uid(9), 'flooded')], $now)->recipe->id, 'another coat was');
        $this->assertSame('fine-turf', $coat->asBegun([$begun($coat->uid, null)], $now)->recipe->id);
        $flooded = 'fine-turf+flooded+water+white-1-3';
        $this->assertSame($flooded, $coat->asBegun([$begun($coat->uid, 'flooded')], $now)->recipe->id);
        $this->assertSame($flooded, $coat->asBegun([$begun($coat->uid, 'flooded', 1)], $now)->recipe->id, 'its vacuuming too');
        $own = $coat->but(way: 'lacquer');
        $this->assertSame($own, $own->asBegun([$begun($coat->uid, 'lacquer')], $now));
        // Filler was sanded in no move of its own once: two passes of it are two applications still.
        $filler = new Coat(Build::uid(3), Build::uid(2), $raw->recipe('light-filler'), passes: 2);
        $this->assertSame(4, $filler->applications());
        $before = $begun($filler->uid, null)->but(recipe: $filler->recipe->but(then: []));
        $this->assertSame(2, $filler->asBegun([$before], $raw)->applications());
        $this->assertSame($filler, $filler->asBegun([$before->but(recipe: $filler->recipe)], $raw));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function bad(): iterable
    {
        yield 'nothing to nothing' => ['fine-turf', 'flooded+white-0-0', 'white glue 0:0 is nothing'];
        yield 'water alone' => ['fine-turf', 'flooded+white-0-3', 'Water alone glues nothing'];
        yield 'no such order' => ['fine-turf', 'thrown', 'There is no way “thrown”'];
        yield 'no such glue' => ['fine-turf', 'flooded+honey', 'There is no wetting and no glue “honey”'];
        yield 'unread ratio' => ['fine-turf', 'flooded+white-1-x', '“white-1-x” cannot be read'];
        yield 'too many digits' => ['fine-turf', 'flooded+white-1-1000', 'cannot be read'];
        yield 'wets nothing' => ['fine-turf', 'lacquer+water', 'wets nothing'];
        yield 'takes no glue' => ['fine-turf', 'lacquer+white', 'takes no glue'];
        yield 'weak alcohol' => ['fine-turf', 'flooded+alcohol-9', 'The strength of the alcohol'];
        yield 'not loose' => ['earth-paint', 'flooded', 'is not laid loose'];
        yield 'another kind' => ['fibre-2mm', 'flooded', 'is not laid like that'];
    }

    #[DataProvider('bad')]
    public function test_what_cannot_be_is_said(string $id, string $way, string $says): void
    {
        try {
            Build::library()->laid($id, $way);
            $this->fail('Nothing was said.');
        } catch (InvalidValue $refusal) {
            $this->assertStringContainsString($says, $refusal->getMessage());
            $this->assertSame('way', $refusal->place);
        }
    }

    public function test_a_preference_that_does_not_fit_is_said_at_its_family(): void
    {
        foreach (['cover' => 'patches', 'fibre' => 'thrown', 'cloth' => 'flooded'] as $family => $way) {
            try {
                Build::library()->preferring([$family => $way], Library::USUAL_STOCK);
                $this->fail('Nothing was said.');
            } catch (InvalidValue $refusal) {
                $this->assertSame("ways/{$family}", $refusal->place);
            }
        }
    }

    public function test_sprayed_fibre_follows_as_soon_as_the_one_below_is_touch_dry_and_without_sparks(): void
    {
        $below = Build::library()->laid('fibre-2mm', 'patches');
        $sprayed = Build::library()->laid('fibre-4mm', 'sprayed');
        $this->assertSame(Milestone::DryThrough, Build::library()->laid('fibre-4mm', 'patches')->needsOf($below));
        $this->assertNotSame(Milestone::DryThrough, $sprayed->needsOf($below));
        $this->assertSame([Hazard::Vapour], $sprayed->hazards);
        $this->assertNotContains('fibre applicator', $sprayed->tools);
        $this->assertSame(Family::Fibre, $sprayed->family);
    }

    public function test_tape_is_lifted_within_its_window_and_the_loose_is_vacuumed_when_it_is_dry(): void
    {
        $taped = Build::library()->laid('sifted-soil', 'taped');
        $this->assertSame([30.0, 90.0], [$taped->then[0]->window?->opens, $taped->then[0]->window?->closes]);
        $this->assertTrue($taped->then[0]->window?->rules($taped, true, $taped->then[0]));
        $soil = Build::library()->laid('sifted-soil', 'flooded');
        $this->assertSame(Milestone::NextCoat, $soil->then[0]->needsOf($soil));
        $dressed = Build::library()->laid('stone-ballast', 'dressed');
        $this->assertSame(Milestone::DryThrough, $dressed->then[0]->needsOf($dressed));
    }

    /**
     * @param  list<array{string, float}>  $amounts
     * @return array<string, float>
     */
    private static function summed(array $amounts): array
    {
        $sum = [];
        foreach ($amounts as [$material, $amount]) {
            $sum[$material] = ($sum[$material] ?? 0.0) + $amount;
        }

        return $sum;
    }
}
