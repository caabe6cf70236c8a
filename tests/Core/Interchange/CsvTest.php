<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\Csv;
use PHPUnit\Framework\TestCase;

/** Tables out and in. */
final class CsvTest extends TestCase
{
    public function test_what_is_written_is_read_again(): void
    {
        $text = Csv::write(['Name', 'mm'], [['a, "b"', 1.5], ["two\tparts", '-3.25'], ['=sum(1)', -2], ['+1 or so', 0]]);
        $this->assertStringContainsString("'=sum(1)", $text, 'no formula for another program');
        $this->assertStringContainsString("'+1 or so", $text);
        $this->assertStringContainsString(',-3.25', $text, 'a number stays one');
        $this->assertSame(3 + 2, substr_count($text, "\r\n"));
        ['head' => $head, 'rows' => $rows] = Csv::read($text);
        $this->assertSame(['name', 'mm'], $head);
        $this->assertSame([2 => ['a, "b"', '1.5'], 3 => ["two\tparts", '-3.25'], 4 => ["'=sum(1)", '-2'], 5 => ["'+1 or so", '0']], $rows);
    }

    public function test_fields_are_parted_as_the_first_line_has_it_and_lines_keep_their_numbers(): void
    {
        $this->assertSame([2 => ['1,5', '2'], 4 => ['3', '4']], Csv::read("\u{FEFF}a;b\n1,5;2\n\n3;4\n")['rows']);
        $this->assertSame(['head' => ['a', 'b'], 'rows' => [2 => ['1', '2']]], Csv::read("A\tb\r\n1\t2"));
        $this->assertSame(['head' => [''], 'rows' => []], Csv::read(''));
    }
}
