<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Tuples;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RuntimeException;

final class FormatTest extends TestCase
{
    private const UNITS = ['mm', 'cm', 'm', 'mm²', 'cm²', 'm²', 'ml', 'l', 'm³', 'g', 'kg', '°C'];

    protected function tearDown(): void
    {
        UnitsInUse::become(Units::Metric);
    }

    /** @return list<array{float, string, int, string, string}> value, unit, decimals, metric, imperial */
    public static function shown(): array
    {
        return [
            [1200.0, 'mm', 0, '1200 mm', '47 1/4"'], [-0.2, 'mm', 0, '0 mm', '0"'], [38.1, 'mm', 0, '38 mm', '1 1/2"'],
            [19.05, 'mm', 1, '19.1 mm', '3/4"'], [-27.0, 'mm', 0, '-27 mm', '-1 1/16"'], [0.3, 'mm', 1, '0.3 mm', '0.012"'],
            // A thirty-second is a fraction, what lies beside it is thousandths; from a sixteenth on all are fractions.
            [0.79375, 'mm', 2, '0.79 mm', '1/32"'], [1.0, 'mm', 1, '1 mm', '0.039"'], [1.5, 'mm', 1, '1.5 mm', '0.059"'],
            [1.6, 'mm', 1, '1.6 mm', '1/16"'], [0.04, 'mm', 1, '0 mm', '0"'], [0.06, 'mm', 1, '0.1 mm', '0.002"'],
            // From ten feet on, feet with decimals.
            [3047.0, 'mm', 0, '3047 mm', '119 15/16"'], [3048.0, 'mm', 0, '3048 mm', '10 ft'], [38_252.4, 'mm', 0, '38252 mm', '125.5 ft'],
            [999.0, 'ml', 0, '999 ml', '33.8 fl oz'], [1260.0, 'ml', 0, '1.26 l', '42.6 fl oz'], [1892.8, 'ml', 0, '1.89 l', '2 qt'],
            [1000.0, 'ml', 0, '1 l', '33.8 fl oz'], [259.4, 'g', 0, '259 g', '9.15 oz'], [1234.0, 'g', 0, '1.23 kg', '2.72 lb'],
            [453.0, 'g', 0, '453 g', '16 oz'], [454.0, 'g', 0, '454 g', '1 lb'], [12.4, 'kg', 1, '12.4 kg', '27.3 lb'],
            [0.2, 'kg', 1, '0.2 kg', '7.05 oz'], [999.0, 'cm²', 0, '999 cm²', '155 sq in'], [4000.0, 'cm²', 0, '0.4 m²', '4.31 sq ft'],
            [0.4, 'm²', 2, '0.4 m²', '4.31 sq ft'], [0.09, 'm²', 2, '900 cm²', '140 sq in'], [2.4, 'l', 1, '2.4 l', '146 cu in'],
            [80.0, 'l', 0, '80 l', '2.83 cu ft'], [3.4, 'm', 1, '3.4 m', '11.2 ft'], [20.0, '°C', 0, '20 °C', '68 °F'],
            [-2.5, '°C', 1, '-2.5 °C', '27.5 °F'], [40.0, 'm³', 0, '40 m³', '1413 cu ft'], [62.0, '%', 0, '62 %', '62 %'],
            [300.0, 'ml/m²', 0, '300 ml/m²', '0.9 fl oz/sq ft'],
        ];
    }

    #[DataProvider('shown')]
    public function test_quantities_are_shown_as_people_write_them(
        float $value,
        string $unit,
        int $decimals,
        string $metric,
        string $imperial,
    ): void {
        $this->assertSame($metric, Format::text($value, $unit, $decimals));
        $this->assertSame($imperial, UnitsInUse::during(Units::Imperial, fn (): string => Format::text($value, $unit, $decimals)));
        $figure = new Quantity($value, $unit, 'as given', decimals: $decimals);
        $this->assertSame([Format::parts($value, $unit, $decimals)], [[$figure->text(), $figure->unit()]]);
    }

    public function test_what_a_field_shows_means_the_same_when_it_is_read_in_either_system(): void
    {
        mt_srand(21);
        foreach (Units::cases() as $units) {
            UnitsInUse::become($units);
            foreach (self::UNITS as $unit) {
                for ($k = 0; $k < 200; $k++) {
                    $value = round((mt_rand(0, 1) === 1 ? 1.0 : 40.0) * mt_rand(0, 20_000) / 97.0, mt_rand(0, 3));
                    $shown = Format::field($value, $unit);
                    $read = Amount::parse($shown, $unit);
                    // Half of what the field can tell apart: a hundredth of the core's unit, or a 128th of an inch.
                    $half = match (true) {
                        $units === Units::Metric => 0.005,
                        $unit === 'mm' => 25.4 / 128.0,
                        default => abs(
                            Amount::convert(0.0005, Format::unit($unit), $unit) - Amount::convert(0.0, Format::unit($unit), $unit),
                        ),
                    };
                    $this->assertEqualsWithDelta($value, $read, $half * 1.0001, "{$value} {$unit} as {$shown}");
                    $this->assertSame($shown, Format::field($read, $unit), 'read and shown again it stays');
                }
            }
        }
    }

    public function test_what_is_shown_in_a_sentence_can_be_typed(): void
    {
        mt_srand(22);
        foreach (Units::cases() as $units) {
            UnitsInUse::become($units);
            foreach (self::UNITS as $unit) {
                for ($k = 0; $k < 100; $k++) {
                    $value = mt_rand(1, 200_000) / 37.0;
                    $text = Format::text($value, $unit, 2);
                    $this->assertEqualsWithDelta($value, Amount::parse($text, $unit), 0.01 * $value + 0.3, "{$value} {$unit} as {$text}");
                }
            }
        }
    }

    public function test_sheets_keep_their_nominal_size(): void
    {
        UnitsInUse::become(Units::Imperial);
        $this->assertSame(['½', '½"', '¼', '1 ½', '2', '1/8'], [
            Format::nominal(12.7), Format::sheet(12.7), Format::nominal(6.35), Format::nominal(38.1), Format::nominal(50.8),
            Format::nominal(3.175),
        ]);
        UnitsInUse::become(Units::Metric);
        $this->assertSame(['20', '20 mm', '12.7'], [Format::nominal(20.0), Format::sheet(20.0), Format::nominal(12.7)]);
    }

    public function test_several_say_their_unit_once_where_it_is_a_word(): void
    {
        $this->assertSame('1200 × 600 mm', Format::several([1200.0, 600.0], 'mm'));
        $this->assertSame('900 ml to 1.2 l', Format::several([900.0, 1200.0], 'ml', 0, ' to '));
        UnitsInUse::become(Units::Imperial);
        $this->assertSame('48" × 24"', Format::several([1219.2, 609.6], 'mm'));
        $this->assertSame('50 to 68 °F', Format::several([10.0, 20.0], '°C', 0, ' to '));
        $this->assertSame(['12 1/2"', '12 1/2"'], [Format::cell(317.5), Format::about(316.5)]);
        $this->assertEqualsWithDelta([10.0, 'yd'], Format::strip(9.144), 1e-9);
        $this->assertSame([0.5, 'in'], [Format::number(12.7, 'mm', 1), Format::unit('mm')]);
    }

    public function test_sentences_hold_quantities(): void
    {
        $this->assertSame('Never over 3 mm, nor over 130 °C.', Format::sentence('Never over {3 mm}, nor over {130 °C}.'));
        UnitsInUse::become(Units::Imperial);
        $this->assertSame('Never over 1/8", nor over 266 °F.', Format::sentence('Never over {3 mm}, nor over {130 °C}.'));
    }

    public function test_groups_are_read_as_a_field_shows_them(): void
    {
        mt_srand(23);
        foreach (Units::cases() as $units) {
            UnitsInUse::become($units);
            for ($k = 0; $k < 100; $k++) {
                $groups = array_map(
                    fn (): array => [mt_rand(-5000, 50_000) / 10.0, mt_rand(0, 50_000) / 10.0, mt_rand(1, 90) / 10.0],
                    range(1, mt_rand(1, 5)),
                );
                $text = Tuples::text($groups, ['mm', 'mm', 'm']);
                $read = Tuples::parse($text, ['mm', 'mm', 'm'], 'crowns', 'is no crown');
                $this->assertSame($text, Tuples::text($read, ['mm', 'mm', 'm']), $text);
                $this->assertCount(count($groups), $read);
                foreach ($groups as $n => $group) {
                    $this->assertEqualsWithDelta($group, $read[$n], 0.21);
                }
            }
        }
    }

    public function test_groups_are_read_as_people_type_them(): void
    {
        $read = fn (string $text): array => Tuples::parse($text, ['mm', 'm'], 'gates', 'is no gate', 1);
        $this->assertSame([[300.0, 3.6], [800.0]], $read('300 3.6; 800'));
        $this->assertSame([[300.0, 3.6], [800.0, 3.0]], $read('300 | 3.6; 800, 3 m'));
        $this->assertSame([[0.0, 0.0], [10.0, 20.0]], Tuples::parse('0,0 10,20', ['mm', 'mm'], '', ''));
        $this->assertSame([], $read(' ; '));
        foreach (['1, 2, 3', ';x', '1, 2 stones'] as $bad) {
            try {
                $read($bad);
                $this->fail($bad);
            } catch (InvalidValue $refused) {
                $this->assertSame('gates', $refused->place);
            }
        }
        $this->expectExceptionMessage('“3” is no corner');
        Tuples::parse('0,0; 3', ['mm', 'mm'], 'outline', 'is no corner');
    }

    public function test_units_in_use_come_back_whatever_happens(): void
    {
        try {
            UnitsInUse::during(Units::Imperial, fn () => throw new RuntimeException());
        } catch (RuntimeException) {
        }
        $this->assertSame(Units::Metric, UnitsInUse::current());
    }

    public function test_limits_are_told_in_the_units_in_use(): void
    {
        UnitsInUse::become(Units::Imperial);
        $this->expectExceptionMessage('The skin is 2"; it must lie between 0" and 1 3/16".');
        InvalidValue::unlessBetween(50.8, 0.0, 30.0, 'The skin', 'mm', 'skin');
    }

    public function test_units_of_two_kinds_do_not_turn_into_each_other(): void
    {
        $this->assertEqualsWithDelta(0.5, Amount::convert(12.7, 'mm', 'in'), 1e-12);
        $this->expectException(InvalidValue::class);
        Amount::convert(1.0, 'mm', 'oz');
    }
}
