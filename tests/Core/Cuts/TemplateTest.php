<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\Dowels;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\LayerPieces;
use IdleRidge\Core\Cuts\Piece;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Cuts\TemplatePages;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Interchange\DxfDrawing;
use IdleRidge\Core\Interchange\Stl;
use IdleRidge\Core\Interchange\TemplatePdf;
use IdleRidge\Core\Interchange\TrackDxf;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\BoardPlan;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** From pieces to paper: pages that cover every line, at full size; dowels inside; land as a closed solid. */
final class TemplateTest extends TestCase
{
    public function test_pages_cover_every_line_and_share_a_strip_with_their_neighbours(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            mt_srand($seed);
            $ring = [];
            for ($k = 0; $k < 24; $k++) {
                $away = mt_rand(100, 600);
                $ring[] = [900.0 + $away * cos(($k * M_PI) / 12), 300.0 + $away * sin(($k * M_PI) / 12)];
            }
            $paper = array_keys(TemplatePages::PAPERS)[$seed % 3];
            $tiling = TemplatePages::of([$ring], $paper);
            foreach ($ring as $k => $a) {
                $b = $ring[($k + 1) % 24];
                for ($t = 0.0; $t < 1.0; $t += 0.05) {
                    [$x, $y] = [$a[0] + $t * ($b[0] - $a[0]), $a[1] + $t * ($b[1] - $a[1])];
                    $on = array_filter($tiling->pages, function (array $page) use ($tiling, $x, $y): bool {
                        [$x1, $y1, $x2, $y2] = $tiling->part(...$page);

                        return $x >= $x1 && $x <= $x2 && $y >= $y1 && $y <= $y2;
                    });
                    $this->assertNotSame([], $on, "seed {$seed}: {$x}, {$y}");
                }
            }
            [, , $right] = $tiling->part(0, 0);
            [$left] = $tiling->part(1, 0);
            $this->assertEqualsWithDelta(TemplatePages::PAGE_OVERLAP_MM, $right - $left, 1e-9);
            $this->assertEqualsWithDelta(
                TemplatePages::PAPERS[$paper],
                [min($tiling->width, $tiling->height), max($tiling->width, $tiling->height)],
                1e-9,
            );
        }
        $this->assertSame(['A1', 'Z3', 'AA1'], array_map(fn (array $p): string => $tiling->name(...$p), [[0, 0], [25, 2], [26, 0]]));
        $this->assertSame([[0, 0]], TemplatePages::of([Build::square(0, 0, 100, 80)], 'a4')->pages, 'what fits a page is on one');
        $this->assertNotContains(
            [1, 1],
            TemplatePages::of([Build::square(0, 0, 700, 700)], 'a4')->pages,
            'a page without a line is not printed',
        );
        $this->expectException(InvalidValue::class);
        TemplatePages::of([Build::square(0, 0, 9, 9)], 'a7');
    }

    public function test_a_printed_page_measured_by_another_program_is_true_to_a_tenth(): void
    {
        $template = new Template('1.1', '1.1, 20 mm thick', [Build::square(30, 40, 180, 140)]);
        $file = (string) tempnam(sys_get_temp_dir(), 'page');
        foreach (['a4' => [210.0, 297.0], 'letter' => [215.9, 279.4]] as $paper => $size) {
            file_put_contents($file, TemplatePdf::of([$template], $paper, 'Trial'));
            // 508 dots an inch: twenty a millimetre.
            exec(sprintf('pdftoppm -gray -png -r 508 -singlefile %s %s 2>&1', escapeshellarg($file), escapeshellarg($file)), $said, $code);
            $this->assertSame(0, $code, implode("\n", $said));
            $page = imagecreatefrompng($file.'.png');
            $this->assertNotFalse($page);
            [$w, $h] = [imagesx($page), imagesy($page)];
            $this->assertEqualsWithDelta([min($size), max($size)], [min($w, $h) / 20.0, max($w, $h) / 20.0], 0.1);
            $runs = [];
            for ($y = 0; $y < $h; $y++) {
                for ($x = 0, $begin = null; $x <= $w; $x++) {
                    $dark = $x < $w && (imagecolorat($page, $x, $y) & 0xFF) < 110;
                    if ($dark) {
                        $begin ??= $x;
                    } elseif ($begin !== null) {
                        $length = ($x - $begin) / 20.0;
                        if ($length > 60.0) {
                            $runs[(string) round($length)][] = $length;
                        }
                        $begin = null;
                    }
                }
            }
            // A stroke's width comes on top: half of it at each end, of the bar's ticks as of the piece's sides.
            $this->assertEqualsWithDelta(100.3, max($runs['100']), 0.1, "{$paper}: the check bar");
            $this->assertEqualsWithDelta(150.35, max($runs['150']), 0.1, "{$paper}: the piece");
            unlink($file.'.png');
        }
        unlink($file);
    }

    public function test_a_millimetre_on_paper_is_a_millimetre(): void
    {
        $template = new Template('1.1', '1.1, 20 mm thick', [Build::square(30, 40, 180, 140)]);
        $pdf = TemplatePdf::of([$template], 'a4', 'Trial', false);
        preg_match_all('/([\d.]+) ([\d.]+) m\n([\d.]+) ([\d.]+) l\n([\d.]+) ([\d.]+) l/', $pdf, $ways, PREG_SET_ORDER);
        $sides = array_map(
            fn (array $w): array => [
                (hypot($w[3] - $w[1], $w[4] - $w[2]) * 25.4) / 72.0,
                (hypot($w[5] - $w[3], $w[6] - $w[4]) * 25.4) / 72.0,
            ],
            $ways,
        );
        $this->assertEqualsWithDelta([150.0, 100.0], $sides[0], 0.01, 'the piece itself');
        preg_match_all('/([\d.]+) ([\d.]+) m ([\d.]+) ([\d.]+) l S/', $pdf, $strokes, PREG_SET_ORDER);
        $lengths = array_map(fn (array $s): float => round((hypot($s[3] - $s[1], $s[4] - $s[2]) * 25.4) / 72.0, 1), $strokes);
        $this->assertContains(100.0, $lengths, 'the bar to check the printer by');
        $this->assertNotContains(101.6, $lengths);
        $inches = UnitsInUse::during(Units::Imperial, fn (): string => TemplatePdf::of([$template], 'letter', 'Trial', false));
        preg_match_all('/([\d.]+) ([\d.]+) m ([\d.]+) ([\d.]+) l S/', $inches, $strokes, PREG_SET_ORDER);
        $lengths = array_map(fn (array $s): float => round((hypot($s[3] - $s[1], $s[4] - $s[2]) * 25.4) / 72.0, 1), $strokes);
        $this->assertContains(101.6, $lengths, 'four inches');
        $this->assertStringContainsString('4": measure it', $inches);
        $this->assertStringContainsString('20 mm thick', $pdf);
        $this->assertSame(1, substr_count($pdf, '/Type /Page'."\n"));
        $large = TemplatePdf::of([new Template('big', 'big', [Build::square(0, 0, 900, 500)])], 'a3', 'Trial', false);
        $this->assertSame(
            count(TemplatePages::of([Build::square(0, 0, 900, 500)], 'a3')->pages) + 1,
            substr_count($large, '/Type /Page'."\n"),
            'its pages, and a map of them',
        );
        $this->assertStringContainsString('There is nothing to cut', TemplatePdf::of([], 'a4', 'Trial', false));
    }

    public function test_templates_name_the_piece_show_what_goes_on_it_and_dowels_through_both(): void
    {
        $stack = $this->cone();
        foreach ($stack->layers as $k => $layer) {
            [$template] = Template::ofLayer($stack, $layer->index);
            $this->assertSame("{$layer->index}.1", $template->name);
            $next = $stack->layers[$k + 1] ?? null;
            $this->assertCount($next === null ? 0 : 1, $template->marked);
            foreach ($template->dowels as $p) {
                $this->assertTrue($layer->pieces[0]->holds(...$p), 'inside its piece');
            }
            if ($next !== null) {
                $through = Dowels::between($layer->pieces[0], $next);
                $this->assertCount(2, $through);
                $this->assertGreaterThan(60.0, hypot($through[1][0] - $through[0][0], $through[1][1] - $through[0][1]), 'far apart');
                [$upper] = Template::ofLayer($stack, $next->index);
                foreach ($through as $p) {
                    $this->assertContains($p, $upper->dowels, 'the same hole in both');
                    $this->assertGreaterThanOrEqual(12.0, Polygon::depth($next->pieces[0]->rings[0], ...$p));
                }
            }
        }
        $this->assertSame([], Dowels::between(new Piece('a', [Build::square(0, 0, 18, 18)], 324.0), $stack->layers[0]), 'too little room');
    }

    public function test_pieces_too_long_for_a_sheet_are_parted_and_specks_left_to_filler(): void
    {
        $flat = FoamStack::of($this->plain(1200.0, 600.0, 18.0), 0.0, 20.0, CutSchool::Carved);
        $parts = LayerPieces::of($flat, CutSettings::of(sheetWidth: 500.0, sheetDepth: 600.0));
        $this->assertSame(['1.1'], $parts->parted);
        $this->assertCount(3, $parts->pieces['20']);
        $this->assertEqualsWithDelta(1200.0 * 600.0, array_sum(array_column($parts->pieces['20'], 'area')), 1.0);
        $this->assertSame('1.1a', $parts->pieces['20'][0]->id);
        $whole = LayerPieces::of($flat, CutSettings::of());
        $this->assertSame([[], 1], [$whole->parted, count($whole->pieces['20'])]);
        $speck = FoamStack::of($this->plain(20.0, 15.0, 18.0), 0.0, 20.0, CutSchool::Carved);
        $this->assertSame(
            [[], ['1.1']],
            [LayerPieces::of($speck, CutSettings::of())->pieces, LayerPieces::of($speck, CutSettings::of())->filler],
        );
    }

    public function test_the_solid_stands_on_the_boards_top(): void
    {
        foreach ([[10.0, 10.0], [10.0, 25.0]] as [$base, $lowest]) {
            $study = Build::study(
                Build::project(
                    [],
                    [
                        Build::spot(1, 400.0, 300.0, 60.0),
                        Build::spot(2, 0.0, 0.0, $lowest),
                        Build::spot(3, 1200.0, 0.0, $lowest),
                        Build::spot(4, 0.0, 600.0, $lowest),
                        Build::spot(5, 1200.0, 600.0, $lowest),
                    ],
                    base: $base,
                ),
                20.0,
            );
            $stl = Stl::ofLand($study->terrain->mesh(), $base);
            $heights = [];
            for ($k = 0; $k < (unpack('V', substr($stl, 80, 4))[1] ?? 0); $k++) {
                $v = array_values(unpack('g12', substr($stl, 84 + 50 * $k, 48)) ?: []);
                array_push($heights, $v[5], $v[8], $v[11]);
            }
            $below = min($study->terrain->mesh()->z) < $base;
            $this->assertEqualsWithDelta($below ? min($study->terrain->mesh()->z) - 1.0 : $base, min($heights), 1e-3);
        }
    }

    public function test_the_solid_is_closed_and_as_large_as_the_land(): void
    {
        $study = Build::study(Build::project([Build::straight(1, 300.0, 60.0, 66.0)], [Build::spot(1, 400, 450, 90)]), 20.0);
        $mesh = $study->terrain->mesh();
        $floor = min($mesh->z) - 10.0;
        $stl = Stl::solid($mesh, $floor);
        $count = unpack('V', substr($stl, 80, 4))[1] ?? 0;
        $this->assertSame(84 + 50 * $count, strlen($stl));
        $edges = [];
        $volume = 0.0;
        for ($k = 0; $k < $count; $k++) {
            $v = array_values(unpack('g12', substr($stl, 84 + 50 * $k, 48)) ?: []);
            $corners = array_map(fn (int $n): array => array_slice($v, 3 * $n, 3), [1, 2, 3]);
            foreach ([[0, 1], [1, 2], [2, 0]] as [$a, $b]) {
                $edges[implode(',', $corners[$a]).'>'.implode(',', $corners[$b])] =
                    ($edges[implode(',', $corners[$a]).'>'.implode(',', $corners[$b])] ?? 0) + 1;
            }
            [[$ax, $ay, $az], [$bx, $by, $bz], [$cx, $cy, $cz]] = $corners;
            $volume += ($ax * ($by * $cz - $bz * $cy) - $ay * ($bx * $cz - $bz * $cx) + $az * ($bx * $cy - $by * $cx)) / 6.0;
        }
        foreach ($edges as $edge => $times) {
            $this->assertSame(1, $times);
            $this->assertArrayHasKey(implode('>', array_reverse(explode('>', $edge))), $edges, 'every edge is shared, once each way');
        }
        $this->assertEqualsWithDelta($mesh->volumeAbove($floor), $volume, 0.002 * $volume);
    }

    public function test_the_boards_plan_marks_tracks_sleepers_and_offsets_of_curves(): void
    {
        $run = Build::run(
            1,
            100.0,
            200.0,
            0.0,
            [['kind' => 'tangent', 'length_mm' => 200.0], ['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 30.0]],
            60.0,
        );
        $study = Build::study(Build::project([$run]), 20.0);
        $plan = BoardPlan::of($study->project, $study->section, $study->model);
        $this->assertSame([Build::square(0, 0, 1200, 600)], $plan->cut);
        $length = 200.0 + (600.0 * M_PI) / 6.0;
        $this->assertEqualsWithDelta(
            3 + 2 * ($length / (650.0 / 87.1)) + 1,
            count($plan->lines),
            4.0,
            'centre, edges, a stroke at each sleeper’s ends, a chord',
        );
        $words = array_column($plan->words, 2);
        $this->assertContains('Run 1', $words);
        $chord = 2.0 * 600.0 * sin(M_PI / 12.0);
        $this->assertContains(sprintf('R 600, chord %.1f', $chord), $words);
        $this->assertContains(sprintf('%.1f', 600.0 - sqrt(600.0 ** 2 - $chord ** 2 / 4.0)), $words, 'the curve’s rise over its chord');
    }

    public function test_drawings_for_cutters_read_back(): void
    {
        $dxf = (string) (new DxfDrawing())
            ->polyline('CUT 1.1', Build::square(5, 5, 305, 105), true)
            ->point('DOWEL', 9.0, 9.0)
            ->text('NAME', 1.0, 2.0, 'Größe 1.1');
        $lines = TrackDxf::read($dxf);
        $this->assertSame('CUT_1_1', $lines[0]->name);
        $this->assertEqualsWithDelta([5.0, 5.0], $lines[0]->points[0], 1e-6);
        $this->assertEqualsWithDelta($lines[0]->points[0], $lines[0]->points[count($lines[0]->points) - 1], 1e-6, 'closed');
        $this->assertSame(1, preg_match('/^[\x00-\x7F]*$/', $dxf), 'plain letters only');
    }

    private function cone(): FoamStack
    {
        $xs = array_map(fn (int $i): float => 10.0 * $i, range(0, 60));
        $z = [];
        foreach ($xs as $y) {
            foreach ($xs as $x) {
                $z[] = max(0.0, 100.0 * (1.0 - hypot($x - 300.0, $y - 300.0) / 250.0));
            }
        }

        return FoamStack::of(new HeightMesh($xs, $xs, $z), 0.0, 25.0, CutSchool::Carved);
    }

    private function plain(float $width, float $depth, float $height): HeightMesh
    {
        return new HeightMesh([0.0, $width], [0.0, $depth], [$height, $height, $height, $height]);
    }
}
