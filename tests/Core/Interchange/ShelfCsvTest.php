<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\Csv;
use IdleRidge\Core\Interchange\ShelfCsv;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class ShelfCsvTest extends TestCase
{
    public function test_prices_come_in_as_they_went_out(): void
    {
        $prices = [
            new PackPrice('a', 'white glue', 250.0, 395, supplier: 'Quay, the "old" one', available: 3),
            new PackPrice('b', 'white glue', 1000.5, 99),
            new PackPrice('c', 'stone ballast', 500.0, 0, supplier: 'Quay'),
        ];
        $csv = new ShelfCsv(Build::library()->materials);
        $next = 'a';
        $this->assertEquals($prices, $csv->readPrices($csv->prices($prices), function () use (&$next): string {
            return $next++;
        }));
    }

    public function test_both_come_in_as_they_went_out_in_inches_and_ounces(): void
    {
        UnitsInUse::during(Units::Imperial, function (): void {
            $this->test_prices_come_in_as_they_went_out();
            $this->test_stock_comes_in_as_it_went_out();
            $csv = (new ShelfCsv(Build::library()->materials))->prices([new PackPrice('a', 'white glue', 250.0, 395)]);
            $this->assertStringContainsString('white glue,8.45351,fl oz,3.95', $csv);
        });
    }

    public function test_amounts_in_any_unit_of_their_kind_are_read(): void
    {
        $text = "material,amount,unit,price\nwhite glue,1,qt,3\nstone ballast,2,lb,3\nwhite glue,16,fl oz,3\n";
        $read = (new ShelfCsv(Build::library()->materials))->readPrices($text, fn (): string => 'x');
        $this->assertSame([946.353, 907.185, 473.176], array_column($read, 'amount'));
        $this->expectException(InvalidValues::class);
        (new ShelfCsv(Build::library()->materials))->readPrices("material,amount,unit,price\nwhite glue,1,lb,3\n", fn (): string => 'x');
    }

    public function test_stock_comes_in_as_it_went_out(): void
    {
        $lots = [
            new MaterialLot('l1', 'white glue', 'ml', 1000.0, 1450, 'Quay', 'batch; 4', '2026-09-01', 29_000_000, '2027-01-31', 540, 61.5),
            new MaterialLot('l2', 'fine turf', 'ml', recovered: true),
            new MaterialLot('l3', 'alcohol 99 %', 'ml', strength: 96.0),
        ];
        $store = new Store($lots, array_map(
            fn (MaterialLot $l): StockMovement => new StockMovement("m{$l->uid}", $l->uid, 12.25, MovementCause::Bought, null, 1),
            $lots,
        ));
        $csv = new ShelfCsv(Build::library()->materials);
        $read = $csv->readStock($csv->stock($store), $store, fn (): string => 'new');
        $this->assertEquals($lots, array_column($read, 'lot'));
        $this->assertSame([12.25, 12.25, 12.25], array_column($read, 'amount'));
    }

    public function test_it_is_read_as_a_spreadsheet_writes_it(): void
    {
        $text = "\xEF\xBB\xBFMaterial;Amount;Unit;Price;Supplier\r\n".
            "White glue;1,5;l;\"1.250,50\";\"North\nquay\"\r\n\r\n".
            "stone ballast;0,5;kg;8,95;\r\n".
            "fine turf;500;;5.60;\r\n";
        $read = (new ShelfCsv(Build::library()->materials))->readPrices($text, fn (): string => 'x');
        $this->assertSame([1500.0, 500.0, 500.0], array_column($read, 'amount'));
        $this->assertSame([125_050, 895, 560], array_column($read, 'minor'));
        $this->assertSame('white glue', $read[0]->material);
        $this->assertSame("North\nquay", $read[0]->supplier);
        // What an old spreadsheet wrote is no UTF-8.
        $old = Csv::read(mb_convert_encoding("name,what\nGrün,5 €\n", 'Windows-1252', 'UTF-8'));
        $this->assertSame([2 => ['Grün', '5 €']], $old['rows']);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function faults(): iterable
    {
        $rows = implode("\n", array_map(fn (int $k): string => "white glue,{$k},4.00", range(1, 55)));
        $short = "material,amount,price\n{$rows}\nwhite glue,300";
        yield 'a cell missing at row 57' => [$short, 'row 57', 'It has 2 cells, the first row 3.'];
        yield 'a missing column' => ["material,amount\nwhite glue,3", 'row 1', 'price has to be among them'];
        yield 'too many rows' => ["material,amount,price\n".str_repeat("white glue,1,1\n", 50_000), 'row 1', 'More than 5000 rows'];
        yield 'a price below nothing' => ["material,amount,price\nwhite glue,250,-1", 'row 2, price', 'The price is -100'];
        yield 'a pack of nothing' => ["material,amount,price\nwhite glue,0,1", 'row 2, amount', 'The amount is 0 ml'];
        yield 'another unit' => ["material,amount,unit,price\nwhite glue,2,kg,1", 'row 2, unit', 'is measured in ml, not in kg.'];
        yield 'no such material' => ["material,amount,price\nstardust,2,1", 'row 2, material', 'There is no material “stardust”.'];
        yield 'twice' => ["material,amount,price\nfine turf,2,1\nFine turf,2,3", 'row 3, material', 'stands in the table twice'];
        yield 'a word for a number' => ["material,amount,price\nfine turf,some,1", 'row 2, amount', '“some” is not a number.'];
        yield 'nothing at all' => ["material,amount,price\n", 'row 2', 'There is no row in it.'];
        yield 'after a break within quotes' => [
            "material,amount,price,supplier\nfine turf,2,1,\"a\nb\"\nfine turf,x,1,c",
            'row 4, amount',
            'not a number',
        ];
    }

    #[DataProvider('faults')]
    public function test_the_row_at_fault_is_named(string $text, string $place, string $says): void
    {
        try {
            (new ShelfCsv(Build::library()->materials))->readPrices($text, fn (): string => 'x');
            $this->fail('It was taken.');
        } catch (InvalidValues $refusals) {
            $this->assertSame([$place], array_map(fn (InvalidValue $r): string => $r->place, $refusals->all));
            $this->assertStringContainsString($says, $refusals->all[0]->getMessage());
        }
    }

    public function test_a_lot_that_is_not_there_is_not_counted(): void
    {
        $this->expectException(InvalidValues::class);
        $this->expectExceptionMessage('row 2, lot: There is no lot “gone”');
        (new ShelfCsv(Build::library()->materials))->readStock("lot,material,amount\ngone,fine turf,3", new Store(), fn (): string => 'x');
    }
}
