<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\SvgPath;
use IdleRidge\Core\Interchange\TrackDxf;
use IdleRidge\Core\Interchange\TrackLine;
use IdleRidge\Core\Interchange\TrackSvg;
use IdleRidge\Core\Interchange\TrackTable;
use IdleRidge\Core\Interchange\TrackXml;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Track\Run;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Track out to other programs and in again. */
final class TrackFilesTest extends TestCase
{
    public function test_what_goes_out_comes_in_where_it_was(): void
    {
        $run = $this->line();
        foreach ($this->forms($run) as $form => [$text, $read]) {
            $lines = $read($text);
            $this->assertCount(1, $lines, $form);
            [$back, $fit] = $lines[0]->fitted(Build::uid(2), fn (): float => 50.0);
            $this->assertLessThanOrEqual(0.5, $fit->worst, $form);
            for ($station = 0.0; $station <= $run->alignment->length; $station += 25.0) {
                $p = $run->alignment->pointAt($station);
                $place = $back->alignment->nearest($p);
                $this->assertLessThan(0.6, abs($place['offset']), "{$form} at {$station}");
                $height = $form === 'svg' ? 50.0 : $run->grade->heightAt($station);
                $this->assertEqualsWithDelta($height, $back->grade->heightAt($place['station']), 0.4, "{$form} at {$station}");
            }
        }
    }

    public function test_names_stay_as_far_as_the_form_has_them(): void
    {
        $names = array_map(fn (array $pair): string => $pair[1]($pair[0])[0]->name, $this->forms($this->line()));
        $this->assertSame(['csv' => 'Run 1', 'dxf' => 'RUN_1', 'svg' => 'Run 1', 'xml' => 'Run 1'], $names);
    }

    public function test_tables_of_others_are_read(): void
    {
        $lines = TrackTable::read("name;x;y;z\nMain;0,5;10;60\nMain;100,5;10;61\n\nBay;0;50;58\nBay;80;50;58\n");
        $this->assertSame(['Main', 'Bay'], array_map(fn (TrackLine $l): string => $l->name, $lines));
        $this->assertSame([[0.5, 10.0], [100.5, 10.0]], $lines[0]->points);
        $this->assertSame([60.0, 61.0], $lines[0]->heights);
        [$rail] = TrackTable::read("x_mm,y_mm,z_rail_mm\n0,0,68.8\n300,0,68.8\n");
        [$run] = $rail->fitted(Build::uid(1), fn (): float => 0.0);
        $this->assertEqualsWithDelta(60.0, $run->grade->heightAt(150.0), 1e-6, 'rail tops less roadbed, sleeper and rail');
    }

    public function test_a_table_in_inches_is_the_same_line(): void
    {
        $run = $this->line();
        $metric = TrackTable::read(TrackTable::write([[$run, 0.0, $run->alignment->length]]))[0];
        $text = UnitsInUse::during(Units::Imperial, fn (): string => TrackTable::write([[$run, 0.0, $run->alignment->length]]));
        $this->assertStringStartsWith('run,station_in,x_in,y_in,z_formation_in,z_rail_in,heading_deg,radius_in,', $text);
        $inches = TrackTable::read($text)[0];
        foreach ($metric->points as $k => $point) {
            $this->assertEqualsWithDelta($point, $inches->points[$k], 0.003);
            $this->assertEqualsWithDelta($metric->heights[$k] ?? NAN, $inches->heights[$k] ?? NAN, 0.003);
        }
    }

    public function test_a_drawing_in_metres_with_bulges_and_light_polylines_is_read(): void
    {
        $text = implode("\n", [
            '0',
            'SECTION',
            '2',
            'HEADER',
            '9',
            '$INSUNITS',
            '70',
            '6',
            '0',
            'ENDSEC',
            '0',
            'SECTION',
            '2',
            'ENTITIES',
            '0',
            'LWPOLYLINE',
            '8',
            'Yard',
            '90',
            '2',
            '70',
            '0',
            '38',
            '0.05',
            '10',
            '0.0',
            '20',
            '0.0',
            '42',
            '0.41421356',
            '10',
            '1.0',
            '20',
            '1.0',
            '0',
            'ENDSEC',
            '0',
            'EOF',
        ]);
        [$line] = TrackDxf::read($text);
        $this->assertSame('Yard', $line->name);
        $this->assertEqualsWithDelta(50.0, $line->heights[0] ?? 0.0, 1e-9);
        [$run, $fit] = $line->fitted(Build::uid(1), fn (): float => 0.0);
        $this->assertEqualsWithDelta(1000.0, $run->pieces[0]['radius_mm'] ?? 0.0, 0.5, 'a quarter of a circle');
        $this->assertEqualsWithDelta(90.0, $run->pieces[0]['angle_deg'] ?? 0.0, 0.1);
        $this->assertLessThan(0.1, $fit->worst);
    }

    public function test_paths_with_every_command_transform_and_unit_are_read(): void
    {
        $this->assertEqualsWithDelta(
            [[[0.0, 0.0], [10.0, 0.0], [10.0, 5.0], [4.0, 5.0], [4.0, 9.0]]],
            SvgPath::points('m0,0h10v5H4V9'),
            1e-9,
        );
        $apart = SvgPath::points('M0 0a25 25 0 0 1 50 0a25,25 0 1,0 -50,0');
        $this->assertEquals($apart, SvgPath::points('M0 0a25 25 0 0150 0a25 25 0 10-50 0'), 'flags may touch what follows them');
        $this->assertEquals($apart, SvgPath::points('M0 0a25 25 0 01 50 0 25 25 0 1 0-50 0'));
        $arc = SvgPath::points('M0 0A10 10 0 0 1 10 10')[0];
        $this->assertEqualsWithDelta([10.0 * M_SQRT1_2, 10.0 - 10.0 * M_SQRT1_2], $arc[intdiv(count($arc) - 1, 2)], 1e-6);
        foreach (
            [
                'C0 50 50 100 100 100',
                'Q0 100 100 100',
                'c0 50 50 100 100 100',
                'q0 50 50 50t50 50',
                'S 50 100 100 100',
                'T100 100',
            ] as $curve
        ) {
            $line = SvgPath::points("M0 0{$curve}")[0];
            $this->assertEqualsWithDelta([100.0, 100.0], $line[count($line) - 1], 1e-6, $curve);
            $this->assertGreaterThan(20, count($line));
        }
        $this->assertCount(2, SvgPath::points('M0 0L5 0Zm20 0l5 0'), 'a closed part and one after it');
        $svg =
            '<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="60mm" viewBox="0 0 1200 600"><g '
                .'transform="translate(100,0)"><path id="Spur" transform="rotate(90) scale(2)" d="M0 0L50 0"/></g></svg>';
        [$line] = TrackSvg::read($svg);
        $this->assertEqualsWithDelta([10.0, 60.0], $line->points[0], 1e-6, 'a tenth of a millimetre for each unit, y upward');
        $this->assertEqualsWithDelta([10.0, 50.0], $line->points[count($line->points) - 1], 1e-6);
    }

    public function test_alignments_in_feet_with_their_profile_are_read(): void
    {
        $xml =
            '<LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2"><Units><Imperial '
                .'linearUnit="foot"/></Units><Alignments><Alignment name="A" length="4" staStart="1"><CoordGeom><Line><Start>1 '
                .'0</Start><End>1 2</End></Line><Curve rot="cw"><Start>1 2</Start><Center>-1 2</Center><End>-1 '
                .'4</End></Curve></CoordGeom><Profile><ProfAlign><PVI>1 0.2</PVI><PVI>5 '
                .'0.3</PVI></ProfAlign></Profile></Alignment></Alignments></LandXML>';
        [$line] = TrackXml::read($xml);
        [$run] = $line->fitted(Build::uid(1), fn (): float => 0.0);
        $this->assertEqualsWithDelta(609.6, $run->pieces[0]['length_mm'] ?? 0.0, 0.5);
        $this->assertEqualsWithDelta([609.6, -90.0], [$run->pieces[1]['radius_mm'] ?? 0.0, $run->pieces[1]['angle_deg'] ?? 0.0], 0.5);
        $this->assertEqualsWithDelta(60.96, $run->grade->heightAt(0.0), 0.05);
    }

    public function test_broken_files_are_refused_with_their_line(): void
    {
        foreach (
            [
                [TrackTable::read(...), "station,z\n1,2\n", 'line 1', 'x_mm'],
                [TrackTable::read(...), "x,y\n1,2\n1,far\n", 'line 3', 'far'],
                [TrackTable::read(...), "x,y\n", 'line 1', 'no line of stations'],
                [TrackDxf::read(...), "hello\nthere\n", 'line 1', 'no DXF file'],
                [
                    TrackDxf::read(...),
                    implode("\n", ['0', 'SECTION', '2', 'ENTITIES', '0', 'LINE', '8', '0', '10', '1', '20', '1', '0', 'EOF']),
                    'line 1',
                    'no polyline',
                ],
                [TrackDxf::read(...), implode("\n", ['0', 'LWPOLYLINE', '10', 'left', '20', '1']), 'line 4', 'left'],
                [TrackSvg::read(...), '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0 L5"/></svg>', 'line 1', 'wants 2 numbers'],
                [TrackSvg::read(...), '<svg xmlns="http://www.w3.org/2000/svg"><path d="L5 5"/></svg>', 'line 1', 'begins with M'],
                [TrackSvg::read(...), '<svg><rect/></svg>', 'line 1', 'no path'],
                [TrackSvg::read(...), "<svg>\n<path", 'line 2', 'no SVG drawing'],
                [TrackSvg::read(...), '<html/>', 'line 1', 'no SVG drawing'],
                [TrackXml::read(...), '', 'line 1', 'empty'],
                [TrackXml::read(...), '<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>', 'line 1', 'entities'],
                [
                    TrackXml::read(...),
                    '<LandXML><Alignments><Alignment><CoordGeom><Line><Start>1</Start><End>2 '
                        .'3</End></Line></CoordGeom></Alignment></Alignments></LandXML>',
                    'line 1',
                    'northing',
                ],
                [TrackXml::read(...), '<LandXML/>', 'line 1', 'no alignment'],
            ] as [$read, $text, $place, $words]
        ) {
            try {
                $read($text);
                $this->fail($words);
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place, $words);
                $this->assertStringContainsString($words, $refusal->getMessage());
            }
        }
    }

    private function line(): Run
    {
        return Build::run(
            1,
            30.0,
            200.0,
            10.0,
            [
                ['kind' => 'tangent', 'length_mm' => 300.0],
                ['kind' => 'transition', 'length_mm' => 120.0, 'from_radius_mm' => 0.0, 'to_radius_mm' => -720.0],
                ['kind' => 'arc', 'radius_mm' => 720.0, 'angle_deg' => -28.0],
                ['kind' => 'tangent', 'length_mm' => 300.0],
            ],
            62.0,
            [[400, 62], [900, 75]],
        );
    }

    /** @return array<string, array{string, callable(string): list<TrackLine>}> */
    private function forms(Run $run): array
    {
        return [
            'csv' => [TrackTable::write([[$run, 0.0, $run->alignment->length]]), TrackTable::read(...)],
            'dxf' => [TrackDxf::write([$run]), TrackDxf::read(...)],
            'svg' => [TrackSvg::write([$run], 1200.0, 600.0), TrackSvg::read(...)],
            'xml' => [TrackXml::write([$run], 'Board'), TrackXml::read(...)],
        ];
    }
}
