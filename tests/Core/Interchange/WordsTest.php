<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Interchange\TrackLine;
use IdleRidge\Core\Interchange\TrackXml;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use PHPUnit\Framework\TestCase;

/** Words from forms and files, and track files that ask for more than there is. */
final class WordsTest extends TestCase
{
    public function test_only_what_people_type_is_left(): void
    {
        foreach (
            [
                "Weir\0 Bend" => 'Weir Bend',
                "a\x01b\x1Fc\x7F" => 'abc',
                "line\r\nnext\tcell" => "line\r\nnext\tcell",
                "\u{202E}dne\u{202C}" => 'dne',
                "\u{2066}x\u{2069}" => 'x',
                "soft\u{AD}hyphen, joi\u{200D}ner" => "soft\u{AD}hyphen, joi\u{200D}ner",
                "\u{85}\u{9F}é 🌲" => 'é 🌲',
                "no\u{FFFE}t\u{FFFF}" => 'not',
                "bad\xFFbyte" => 'bad?byte',
                '' => '',
            ] as $typed => $plain
        ) {
            $this->assertSame($plain, Words::plain((string) $typed), json_encode((string) $typed, JSON_INVALID_UTF8_SUBSTITUTE) ?: '');
        }
        $this->assertSame('Fell Halt', (new Record((object) ['name' => "Fell\x0C Halt"], ''))->text('name'));
        $this->assertSame('Quay', (new TrackLine("Qu\x02ay", [[0.0, 0.0]]))->name);
    }

    public function test_a_long_curve_is_told_out_no_further_than_it_can_be_read(): void
    {
        $curves = '';
        for ($k = 0; $k < 30; $k++) {
            [$from, $to] = [$k * 10_000, ($k + 1) * 10_000];
            $curves .= "<Curve rot=\"ccw\"><Start>0 {$from}</Start><Center>0 ".($from + 5000)."</Center><End>0 {$to}</End></Curve>";
        }
        $before = memory_get_usage();
        $line = TrackXml::read(
            '<LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2"><Alignments><Alignment '
                ."name=\"Trunk\"><CoordGeom>{$curves}</CoordGeom></Alignment></Alignments></LandXML>",
        );
        // Each is told by 1000 each.
        $this->assertCount(30 * 1000 + 1, $line[0]->points);
        $this->assertLessThan(60_000_000, memory_get_usage() - $before);
    }

    public function test_places_beyond_every_map_and_too_many_of_them_are_refused(): void
    {
        $read = fn (string $geometry): array => TrackXml::read(
            '<LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2"><Alignments><Alignment>'
                ."<CoordGeom>{$geometry}</CoordGeom></Alignment></Alignments></LandXML>",
        );
        foreach (['1e400 0', '0 1e9', '-1e300 4'] as $place) {
            try {
                $read("<Line><Start>0 0</Start><End>{$place}</End></Line>");
                $this->fail("{$place} was read");
            } catch (InvalidValue $refusal) {
                $this->assertSame('The End lies beyond every map.', $refusal->getMessage());
            }
        }
        $this->assertCount(1, $read('<Line><Start>0 0</Start><End>0 9e6</End></Line>'));
        $this->expectExceptionMessage('It goes through more than 50000 points.');
        $read(
            implode(
                '',
                array_map(
                    fn (int $k): string => "<Curve rot=\"ccw\"><Start>0 {$k}</Start><Center>0 {$k}.5</Center><End>0 ".
                        ($k + 1).
                        '</End></Curve>',
                    range(0, 30_000),
                ),
            ),
        );
    }
}
