<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Tests\Fixtures;
use Tests\Schemas;

/** What the Cuts screen gives to print and to cut by, and pieces on sheets. */
final class CutsTakeTest extends FeatureCase
{
    public function test_every_form_comes_as_a_file_of_its_kind(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        foreach (
            [
                'pdf?layer=4&paper=a3' => ['application/pdf', '%PDF-', 'tarnhead-layer-4.pdf'],
                'pdf?of=plan' => ['application/pdf', '%PDF-', 'tarnhead-plan.pdf'],
                'pdf?of=risers' => ['application/pdf', '%PDF-', 'tarnhead-risers.pdf'],
                'pdf?of=bases' => ['application/pdf', '%PDF-', 'tarnhead-bases.pdf'],
                'dxf?of=edges&rise=40' => ['image/vnd.dxf', '  0', 'tarnhead-edges.dxf'],
                'pdf?of=nothing' => ['application/pdf', '%PDF-', 'tarnhead-layers.pdf'],
                'svg?layer=4' => ['image/svg+xml', '<?xml', 'tarnhead-layer-4.svg'],
                'dxf?layer=0' => ['image/vnd.dxf', '  0', 'tarnhead-layers.dxf'],
                'sheets' => ['image/svg+xml', '<?xml', 'tarnhead-sheets.svg'],
                'stl' => ['model/stl', 'Idle Ridge', 'tarnhead.stl'],
            ] as $path => [$type, $begins, $name]
        ) {
            $answer = $this->get($this->at($section, "/cuts/take/{$path}"))->assertOk()->assertHeader('Content-Type', $type);
            $this->assertStringStartsWith($begins, (string) $answer->getContent(), $path);
            $this->assertStringContainsString($name, (string) $answer->headers->get('Content-Disposition'));
        }
        $svg = (string) $this->get($this->at($section, '/cuts/take/svg?layer=4'))->getContent();
        $this->assertStringContainsString('id="piece-4.1"', $svg);
        $this->assertSame(
            1,
            preg_match('/width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 \1 \2"/', $svg),
            'a millimetre is a millimetre',
        );
        $this->from('/')->get($this->at($section, '/cuts/take/pdf?paper=a9'))->assertStatus(422);
        $this->get($this->at($section, '/cuts/take/gif'))->assertNotFound();
        $this->get($this->at($section, '/cuts?on=risers'))
            ->assertOk()
            ->assertSee('Running line')
            ->assertSee('stack and pack')
            ->assertSee('as slices of one block')
            ->assertSee('Plate under it');
        $this->get($this->at($this->board(), '/cuts?on=risers'))->assertOk()->assertSee('Lay a run over this board');
        $this->get($this->at($this->board(), '/cuts/take/pdf'))->assertOk();
        $this->get($this->at($this->board(), '/cuts/take/svg?layer=7'))->assertOk();
    }

    public function test_foam_that_stands_is_left_out_of_what_is_cut(): void
    {
        $section = $this->demo()->sections()->where('name', 'Tarnhead')->firstOrFail();
        $layout = $this->layoutOf($section);
        $board = $this->at($section, '/cuts?on=board');
        $this->get($board)->assertSee('None is noted')->assertSee('11 layers of');
        $this->patch($this->at($section, '/foam'), ['foam_stands' => '0, 0, 120 cm, 600, 20; 700, 300, 500, 300, 72'])
            ->assertSessionHasNoErrors();
        $this->get($board)
            ->assertSee('is layer 1 there')
            ->assertSee('is layers 1 to 3 there. Cut 12 mm off its top')
            ->assertSee('10 layers of')
            ->assertSee('value="0,0,1200,600,20 700,300,500,300,72"', false);
        $this->get($this->at($section, '/cuts?on=glue'))->assertOk()->assertSee('what stands');
        foreach ([
            '0,0,300' => 'is no block',
            '0,0,0,10,10' => 'The width of foam',
            '1200,0,9,9,9' => 'lies beside the board',
        ] as $odd => $words) {
            $fault = $this->from($board)->patch($this->at($section, '/foam'), ['form' => 'stands', 'foam_stands' => $odd]);
            $this->followRedirects($fault)->assertSee($words)->assertSee('value="'.$odd.'"', false);
        }
        $this->assertCount(2, $section->refresh()->foam_stands, 'nothing half taken');
        foreach (['width_mm' => '700', 'depth_mm' => '300'] as $field => $size) {
            $this->patch($this->at($section, ''), ['rev' => $section->rev, $field => $size])
                ->assertSessionHasErrors([$field => 'The block of foam 700 mm from the left, 300 mm from the front '
                    .'would lie beside the board: take it off first, under Cuts, “Frame, weight”.']);
            $this->assertSame([1200.0, 600.0], [$section->refresh()->width_mm, $section->depth_mm]);
        }
        $file = (string) $this->get("/layouts/{$layout->uid}/export")->getContent();
        Schemas::assertMatches('layout', $file);
        $this->assertEquals($section->foam_stands, json_decode($file, true)['sections'][0]['foam_stands']);
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame([], $section->refresh()->foam_stands);
    }

    public function test_pieces_lie_on_sheets_and_are_looked_at_closer(): void
    {
        $section = $this->demo()->sections()->where('name', 'Fell Halt')->firstOrFail();
        $this->get($this->at($section, '/cuts?on=sheets'))
            ->assertOk()
            ->assertSee('Sheet 1')
            ->assertSee('Sheets, laid out')
            ->assertSee('A first layout')
            ->assertSee('Look closer');
        $this->get($this->at($section, '/cuts?on=closer&layer=2'))
            ->assertOk()
            ->assertSee('Looking closer')
            ->assertSee('value="1"', false)
            ->assertSee('Stop');
        for ($k = 0; $k < 7; $k++) {
            $last = $this->get($this->at($section, '/cuts?on=closer'));
        }
        $last->assertSee('The best of 8 closer looks');
        $layout = $this->layoutOf($section);
        $this->patch("/layouts/{$layout->uid}", [
            'cuts' => ['sheet_width_mm' => '400', 'sheet_depth_mm' => '300', 'kerf_mm' => '3', 'margin_mm' => '5'],
        ])->assertSessionHasNoErrors();
        $this->get($this->at($section, '/cuts?on=sheets'))->assertSee('Parted with a butt joint');
        $this->patch("/layouts/{$layout->uid}", ['cuts' => ['kerf_mm' => '-1']])->assertSessionHasErrors('cuts/kerf_mm');
        $this->get($this->at($this->board(), '/cuts?on=sheets'))->assertOk()->assertSee('nothing is to be cut');
    }

    public function test_schools_are_compared_as_they_are_laid_out_and_none_looks_cheap_for_what_its_price_leaves_out(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $table = function (string $query) use ($section): array {
            $html = (string) $this->get($this->at($section, "/cuts{$query}"))->assertOk()->getContent();
            preg_match_all(
                '/<tr[^>]*>\s*<th scope="row">(carved|fill|web)<\/th>(.*?)<\/tr>/s',
                substr($html, (int) strpos($html, 'To compare')),
                $rows,
                PREG_SET_ORDER,
            );

            return array_combine(
                array_column($rows, 1),
                array_map(
                    fn (array $row): array => array_map(
                        fn (string $cell): string => trim((string) preg_replace('/\s+/', ' ', html_entity_decode(strip_tags($cell)))),
                        explode('</td>', $row[2], 6),
                    ),
                    $rows,
                ),
            );
        };
        // A kerf that nothing was laid out by yet.
        $layout = $this->layoutOf($section);
        $this->patch("/layouts/{$layout->uid}", ['cuts' => ['kerf_mm' => '2.125']])->assertSessionHasNoErrors();
        $by = $table('');
        $this->assertSame(['≥ 5', '≥ 74.50'], [$by['carved'][0], $by['carved'][4]]);
        $this->assertSame(['≥ 1', '> 14.90'], [$by['web'][0], $by['web'][4]]);
        $laid = $table('?lay=all');
        foreach (['carved' => '', 'fill' => '> ', 'web' => '> '] as $school => $before) {
            $this->assertSame(1, preg_match('/^\d+$/', $laid[$school][0]));
            $this->assertSame($before.number_format(14.9 * (int) $laid[$school][0], 2, '.', ''), $laid[$school][4]);
            $this->assertGreaterThanOrEqual((int) trim($by[$school][0], '≥ '), (int) $laid[$school][0]);
        }
        // What was laid out stands, in the table and over it.
        $this->assertSame($laid, $table(''));
        $this->get($this->at($section, '/cuts'))
            ->assertSee('Sheets, laid out')
            ->assertDontSee('Sheets, at least')
            ->assertSee('plaster cloth and');
    }

    public function test_the_command_lays_a_problem_out(): void
    {
        $file = base_path('tests/fixtures/nest/long-08.json');
        $svg = (string) tempnam(sys_get_temp_dir(), 'nest');
        $this->assertSame(0, Artisan::call('ridge:nest', ['file' => $file, '--seconds' => '0', '--svg' => $svg, '--json' => true]));
        $answer = Artisan::output();
        Schemas::assertMatches('nest', $answer);
        $this->assertSame(['p04'], json_decode($answer, true)['unplaced']);
        $this->assertStringContainsString('>p01<', (string) file_get_contents($svg));
        unlink($svg);
        file_put_contents($svg, str_replace('"kerf": 3', '"kerf": -3', Fixtures::text('nest/hill-06.json')));
        $this->assertSame(2, Artisan::call('ridge:nest', ['file' => $svg, '--json' => true]));
        unlink($svg);
    }
}
