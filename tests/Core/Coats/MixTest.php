<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\Consistency;
use IdleRidge\Core\Coats\Ingredient;
use IdleRidge\Core\Coats\MeasureRule;
use IdleRidge\Core\Coats\Mix;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\PackPrice;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Blends and dilutions of one's own, and what their water does to the cure. */
final class MixTest extends TestCase
{
    public function test_a_mix_is_read_as_it_is_written(): void
    {
        $read = fn (string $text): array => Mix::read($text, Build::library()->materials);
        $this->assertSame(
            [['material' => 'sifted soil', 'parts' => 3.0], ['material' => 'pale unsanded grout', 'parts' => 0.5]],
            $read('3 Sifted soil,  0.5 pale unsanded grout'),
        );
        $this->assertSame([['material' => 'fine turf', 'parts' => 1.0]], $read('fine turf'));
        $this->assertSame('alcohol 99 %', $read('1 alcohol 99 %; 2 water')[0]['material']);
        foreach (Build::library()->recipes as $recipe) {
            foreach ($recipe->parts as $part) {
                $same = array_map(fn (array $one): array => ['parts' => (float) $one['parts']] + $one, $part->of);
                $alike = array_unique(array_map(fn (array $o): string => Build::library()->materials[$o['material']]->unit, $same));
                if (count($part->of) > 1 && count($alike) === 1) {
                    $this->assertEquals($same, $read(Mix::words($part->of)), $recipe->id);
                }
            }
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function odd(): iterable
    {
        yield 'nothing' => [' , ', 'A mix is of something'];
        yield 'no such material' => ['3 sifted soil, 1 stardust', 'There is no material “stardust”'];
        yield 'grams and millilitres' => ['3 sifted soil, 1 stone ballast', 'not measured alike (ml and g)'];
    }

    #[DataProvider('odd')]
    public function test_what_is_no_mix_is_said(string $text, string $says): void
    {
        try {
            Mix::read($text, Build::library()->materials);
            $this->fail('Nothing was said.');
        } catch (InvalidValue $refusal) {
            $this->assertStringContainsString($says, $refusal->getMessage());
            $this->assertSame('of', $refusal->place);
        }
    }

    public function test_a_litre_of_a_dilution_costs_what_is_in_it_and_water_costs_nothing(): void
    {
        $prices = [new PackPrice(Build::uid(1), 'white glue', 1000.0, 1200)];
        $of = fn (string $text): array => Mix::read($text, Build::library()->materials);
        $this->assertSame(300, Mix::cost($of('1 white glue, 3 water'), $prices));
        $this->assertSame(1200, Mix::cost($of('white glue'), $prices));
        $this->assertNull(Mix::cost($of('1 white glue, 1 acrylic medium'), $prices), 'a price is missing');
    }

    public function test_thinner_dries_longer_by_its_water_and_what_was_told_by_hand_stays(): void
    {
        $materials = Build::library()->materials;
        $wash = Build::recipe('thin-wash');
        // 200 ml/m² of paint (1.2 g/ml, half of it solids) 1:9 with water, against 1:1.
        $thick = self::with($wash, 'acrylic paint', 1.0, 1.0);
        $this->assertEqualsWithDelta(200.0 * 0.1 * 0.6 + 200.0 * 0.9, Consistency::water($wash, $materials), 1e-9);
        $slower = (0.5 * 0.6 + 0.5) / (0.1 * 0.6 + 0.9);
        $cure = Consistency::cure($wash, $thick, $materials);
        $this->assertEqualsWithDelta(round(720.0 * $slower, 1), $cure->minutes['dry_through'], 1e-9);
        $this->assertEqualsWithDelta(round(40.0 * $slower, 1), $cure->minutes['touch_dry'], 1e-9);
        $this->assertSame(5.0, (float) $cure->minutes['workable_until'], 'the pot is as it was');
        $same = Consistency::cure($wash, $wash, $materials);
        $this->assertEquals($wash->cure, $same);
    }

    public function test_plaster_binds_its_share_and_the_rest_has_to_dry(): void
    {
        $materials = Build::library()->materials;
        $stiff = Build::recipe('pulp-plaster-spreading');
        [$part] = $stiff->parts;
        $wetter = $stiff->but(
            parts: [new Ingredient(MeasureRule::Plaster, 0.9, 'g', $part->of, $part->phi, $part->base, $part->bulk)],
        );
        $free = fn (float $w): float => ($w - 0.186) / ($w + 1.0 / 2.65);
        $cure = Consistency::cure($stiff, $wetter, $materials);
        $was = $stiff->cure->minutes;
        $this->assertEqualsWithDelta(round($was['dry_through'] * $free(0.9) / $free(0.75), 1), $cure->minutes['dry_through'], 0.2);
        $this->assertSame((float) $was['next_coat'], (float) $cure->minutes['next_coat'], 'it sets when it sets');
    }

    public function test_what_has_no_water_left_keeps_its_times(): void
    {
        $materials = Build::library()->materials;
        $wash = Build::recipe('earth-paint');
        [$part] = $wash->parts;
        $dry = $wash->but(parts: [new Ingredient($part->rule, $part->value, $part->unit, [['material' => 'sifted soil', 'parts' => 1.0]])]);
        $this->assertSame(0.0, Consistency::water($dry, $materials));
        $this->assertGreaterThan(0.0, Consistency::water($wash, $materials));
        $this->assertSame($wash->cure->minutes, Consistency::cure($wash, $dry, $materials)->minutes);
    }

    private static function with(Recipe $recipe, string $material, float $parts, float $water): Recipe
    {
        [$part] = $recipe->parts;

        return $recipe->but(
            parts: [
                new Ingredient($part->rule, $part->value, $part->unit, [
                    ['material' => $material, 'parts' => $parts],
                    ['material' => 'water', 'parts' => $water],
                ]),
            ],
        );
    }
}
