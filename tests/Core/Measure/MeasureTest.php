<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Fixtures;

final class MeasureTest extends TestCase
{
    public function test_prototype_lengths_scale_both_ways(): void
    {
        foreach (Fixtures::vectors('scale') as $case) {
            $scale = Scale::oneTo((float) $case['ratio']);
            $this->assertEqualsWithDelta($case['model_mm'], $scale->toModel((float) $case['prototype_mm']), 0.001);
            $this->assertEqualsWithDelta($case['prototype_mm'], $scale->toPrototype($scale->toModel((float) $case['prototype_mm'])), 1e-6);
        }
    }

    /** @return list<array{string, float}> */
    public static function lengths(): array
    {
        return [
            ['38', 38.0], ['38 mm', 38.0], ['3,8 cm', 38.0], ['2.4 m', 2400.0], ['2,4m', 2400.0], ['125 ft', 38100.0], ["6'3\"", 1905.0],
            ["6' 3 1/2\"", 1917.7], ['1 1/2"', 38.1], ['3/4 in', 19.05], ['-12 mm', -12.0], ["\u{2212}12", -12.0], ["5'", 1524.0],
            ['0.5 km', 500_000.0], ['2 yd', 1828.8], ["6\u{2019}3\u{201D}", 1905.0], ['.5 m', 500.0], ["6' 3", 1905.0],
        ];
    }

    #[DataProvider('lengths')]
    public function test_lengths_are_read_as_people_type_them(string $text, float $mm): void
    {
        $this->assertEqualsWithDelta($mm, Amount::parse($text, 'mm'), 1e-9);
    }

    public function test_a_bare_number_takes_the_layouts_unit(): void
    {
        $this->assertSame(38.0, Amount::parse('38', 'mm'));
        $this->assertEqualsWithDelta(38.1, UnitsInUse::during(Units::Imperial, fn (): float => Amount::parse('1.5', 'mm')), 1e-9);
    }

    /** @return list<array{string}> */
    public static function nonsense(): array
    {
        return [[''], ['long'], ['3 parsecs'], ['1/0"'], ['3 4 5'], ['12 mm 4 mm'], ['--3'], ['1e400'], ['NaN'], ['3" 4\'']];
    }

    #[DataProvider('nonsense')]
    public function test_what_is_not_a_length_is_refused_with_examples(string $text): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessageMatches('/length/');
        Amount::parse($text, 'mm', 'width_mm');
    }

    public function test_a_scale_below_one_is_refused(): void
    {
        $this->assertSame('1:87.1', Scale::oneTo(87.1)->label());
        $this->expectException(InvalidValue::class);
        Scale::oneTo(0.99);
    }

    public function test_a_figure_says_where_it_comes_from(): void
    {
        $figure = new Quantity(2.1999, '%', 'rise over length', ['rise' => '14.1 mm', 'length' => '640 mm'], decimals: 1);
        $this->assertSame('2.2', $figure->text());
        $this->assertSame('Rise over length. From rise 14.1 mm, length 640 mm. Computed.', $figure->origin());
    }
}
