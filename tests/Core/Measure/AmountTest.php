<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AmountTest extends TestCase
{
    /** @return list<array{string, string, float}> */
    public static function amounts(): array
    {
        return [
            ['250', 'g', 250.0], ['1.2 kg', 'g', 1200.0], ['0,5kg', 'g', 500.0], ['16 oz', 'g', 453.59237], ['1 lb', 'g', 453.59237],
            ['1 lb 4 oz', 'g', 566.990463], ['½ lb', 'g', 226.796185], ['2 1/2 ounces', 'g', 70.8738078], ['500 g', 'kg', 0.5],
            ['11 lbs', 'kg', 4.98951607], ['16 fl oz', 'ml', 473.176473], ['16fl.oz.', 'ml', 473.176473], ['1 qt', 'ml', 946.352946],
            ['1 qt 3 fl oz', 'ml', 1035.0735346875], ['1 gal', 'ml', 3785.411784], ['2 pints', 'ml', 946.352946],
            ['1 l 20 ml', 'ml', 1020.0],
            ['3 cl', 'ml', 30.0], ['1 l', 'm³', 0.001], ['1000 cu ft', 'm³', 28.316846592], ['2 ft3', 'ml', 56_633.693184],
            ['1 cu. in', 'ml', 16.387064], ['0.4 m²', 'cm²', 4000.0], ['60 sq in', 'cm²', 387.096], ['4 ft²', 'm²', 0.37161216],
            ['1 sq yd', 'sq ft', 9.0], ['20', '°C', 20.0], ['20°', '°C', 20.0], ['68 °F', '°C', 20.0], ['68f', '°C', 20.0],
            ['-4 °F', '°C', -20.0], ['-5,5 C', '°C', -5.5], ['20 °C', '°F', 68.0], ['68', '°F', 68.0], ['10 yd', 'm', 9.144],
            ["10' 6\"", 'm', 3.2004], ['6ft2', 'mm', 1879.6],
        ];
    }

    #[DataProvider('amounts')]
    public function test_amounts_are_read_in_any_unit(string $text, string $unit, float $value): void
    {
        $this->assertEqualsWithDelta($value, Amount::parse($text, $unit), 1e-9 * max(1.0, abs($value)));
    }

    /** @return list<array{string, string, string}> */
    public static function nonsense(): array
    {
        return [
            ['', 'g', 'A weight is missing'], ['', 'cm²', 'An area is missing'], ['16 fl oz', 'g', '“16 fl oz” is not a weight'],
            ['5 furlongs', 'mm', '“5 furlongs” is not a length'], ['1 1/0"', 'mm', 'not a length'], ["2' 30\"", 'mm', 'not a length'],
            ["2' 12\"", 'mm', 'not a length'], ['-3 °R', '°C', 'not a temperature; try 20 °C or 68 °F'],
            ['1 lb 16 oz', 'g', 'not a weight'],
            ['4 oz 1 lb', 'g', 'not a weight'], ['1 lb 4 g', 'g', 'not a weight'], ['20 °C 4 °C', '°C', 'not a temperature'],
            ['lots', 'ml', 'not a volume; try 250 ml'], ['3 m', 'm²', 'is no area'], [str_repeat('9', 400), 'g', '…” is not a weight'],
            ['3', 'pcs', 'Nothing is measured in “pcs”'], ['12 34', 'g', 'not a weight'],
        ];
    }

    #[DataProvider('nonsense')]
    public function test_what_is_not_that_kind_is_refused_with_what_is_understood(string $text, string $unit, string $said): void
    {
        try {
            Amount::parse($text, $unit, 'there');
            $this->fail('It was read.');
        } catch (InvalidValue $refusal) {
            $this->assertStringContainsString($said, $refusal->getMessage());
            $this->assertSame('there', $refusal->place);
        }
    }

    public function test_what_goes_on_after_a_unit_stays_below_it(): void
    {
        $this->assertEqualsWithDelta(2 * 304.8 + 11.99 * 25.4, Amount::parse("2' 11.99\"", 'mm'), 1e-9);
        $this->assertEqualsWithDelta(453.59237 + 15.9 * 28.349523125, Amount::parse('1 lb 15.9 oz', 'g'), 1e-9);
    }

    public function test_a_number_in_its_own_unit_is_the_number_that_was_typed(): void
    {
        mt_srand(21);
        foreach (['g', 'kg', 'ml', 'l', 'm³', 'cm²', 'sq in', 'm', 'in', '°C', '°F', 'oz', 'fl oz'] as $unit) {
            for ($k = 0; $k < 50; $k++) {
                $value = round(mt_rand() / mt_getrandmax() * 5000.0, mt_rand(0, 4));
                $this->assertSame($value, Amount::parse("{$value} {$unit}", $unit));
                $this->assertSame($value, Amount::parse((string) $value, $unit));
            }
        }
    }

    public function test_a_length_in_metric_is_not_touched_by_an_imperial_layout(): void
    {
        $this->assertSame(37.3, UnitsInUse::during(Units::Imperial, fn (): float => Amount::parse('37.3 mm', 'mm')));
        $this->assertSame(12.7, Amount::parse('½"', 'mm'));
        $this->assertTrue(Amount::knows('m²') && ! Amount::knows('pcs'));
    }
}
