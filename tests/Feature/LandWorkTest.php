<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ProjectLoader;
use App\Models\LandFeature;
use App\Models\Run;
use App\Models\Section;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\TrackDxf;
use IdleRidge\Core\Interchange\TrackSvg;
use IdleRidge\Core\Interchange\TrackXml;
use IdleRidge\Core\Track\Crossing;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Tests\Fixtures;

/** What is done on the Land screen beside spots, lines and single runs. */
final class LandWorkTest extends FeatureCase
{
    public function test_a_track_that_begins_on_another_leaves_it_as_a_turnout(): void
    {
        $board = $this->board();
        $this->hx($board, '/runs', ['x1' => '0', 'y1' => '200', 'x2' => '1200', 'y2' => '200']);
        $main = Run::query()->firstOrFail();
        $this->hx($board, '/runs', ['x1' => '300', 'y1' => '204', 'x2' => '700', 'y2' => '260'])
            ->assertSee('Leaves Run 1')
            ->assertSee('keep clear');
        $branch = Run::query()->latest('id')->firstOrFail();
        $this->assertEqualsWithDelta(
            [300.0, 200.0, 0.0],
            [$branch->x_mm, $branch->y_mm, $branch->heading_deg],
            1e-6,
            'on the centreline, with its heading',
        );
        $this->assertSame('arc', $branch->elements[0]['kind']);
        $this->assertEquals($main->start_height_mm, $branch->start_height_mm);
        $this->get($this->at($board, "/land?pick={$main->uid}"))->assertSee('Run 2 leaves');
        // Backward it leaves the other way; with snap off it begins where it is put.
        $this->hx($board, '/runs', ['x1' => '800', 'y1' => '198', 'x2' => '500', 'y2' => '150']);
        $this->assertEqualsWithDelta(180.0, abs(Run::query()->latest('id')->firstOrFail()->heading_deg), 1e-6);
        $this->hx($board, '/runs', ['x1' => '800', 'y1' => '204', 'x2' => '900', 'y2' => '300', 'snap' => '0']);
        $this->assertEquals(204, Run::query()->latest('id')->firstOrFail()->y_mm);
        $this->hx($board, '/runs', ['x1' => '600', 'y1' => '200', 'x2' => '610', 'y2' => '300'], 422)->assertSee('lies so far aside');
    }

    public function test_a_road_takes_the_ground_and_the_rails_it_crosses(): void
    {
        $board = $this->board();
        $this->hx($board, '/runs', ['x1' => '0', 'y1' => '300', 'x2' => '1200', 'y2' => '300']);
        Run::query()
            ->firstOrFail()
            ->update(['start_height_mm' => 40.0]);
        $this->hx($board, '/runs', ['kind' => 'road', 'x1' => '600', 'y1' => '20', 'x2' => '600', 'y2' => '580'])
            ->assertSee('Road 1')
            ->assertDontSee('Level crossing is not level');
        $road = Run::query()->latest('id')->firstOrFail();
        $this->assertSame('road', $road->kind);
        $project = app(ProjectLoader::class)->of($this->layoutOf($board));
        $this->assertEqualsWithDelta(0.0, Crossing::between(...$project->runs)[0]->over(), 0.01);
        $this->assertEqualsWithDelta(
            [0.0, 0.0],
            [$project->runs[1]->grade->heightAt(0.0), $project->runs[1]->grade->heightAt(560.0)],
            1e-9,
        );
        $this->hx(
            $board,
            "/runs/{$road->uid}",
            ['pick' => $road->uid, 'tab' => 'formation', 'profile' => ['half_width_left_mm' => '40', 'roadbed_mm' => '1.5']],
            method: 'patch',
        )->assertSee('Surface');
        $this->assertEquals(1.5, $road->fresh()?->profile['roadbed_mm']);
        $this->hx($board, '/runs', ['kind' => 'canal', 'x1' => '0', 'y1' => '20', 'x2' => '600', 'y2' => '580'], 422)->assertSee(
            'none of track, road',
        );
    }

    public function test_a_second_track_lies_beside_and_shares_the_ditch(): void
    {
        $board = $this->board();
        $this->hx($board, '/runs', ['x1' => '0', 'y1' => '300', 'x2' => '1200', 'y2' => '300']);
        $run = Run::query()->firstOrFail();
        $this->hx(
            $board,
            "/runs/{$run->uid}",
            ['profile' => ['ditch_depth_mm' => '2', 'ditch_width_mm' => '6'], 'grade_points' => [['station' => '800', 'height' => '12']]],
            method: 'patch',
        );
        $this->hx($board, "/runs/{$run->uid}/beside", ['side' => 'left', 'apart' => '52'])->assertSee('Run 2');
        [$first, $second] = Run::query()->orderBy('id')->get()->all();
        $this->assertEqualsWithDelta(352.0, $second->y_mm, 1e-6);
        $this->assertEquals([29.0, 29.0], [$first->profile['half_width_left_mm'], $second->profile['half_width_right_mm']]);
        $this->assertEquals([['station_mm' => 800, 'height_mm' => 12]], $second->grade_points);
        $this->hx($board, "/runs/{$run->uid}/beside", ['side' => 'right', 'apart' => '5'], 422)->assertSee('data-for="apart', false);
        $this->assertSame(2, Run::query()->count());
        $this->post("/layouts/{$this->layoutOf($board)->uid}/undo")->assertRedirect();
        $this->assertSame(
            [1, 26.0],
            [Run::query()->count(), (float) $run->fresh()?->profile['half_width_left_mm']],
            'one step back takes both',
        );
    }

    public function test_a_wall_that_is_needed_is_placed_and_laid_flat_to_cut(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $this->get($this->at($section, '/land'))->assertSee('Place the wall');
        $run = Run::query()->where('name', 'Yard siding')->firstOrFail();
        $this->hx($section, "/runs/{$run->uid}/wall", ['side' => 'left', 'from' => '0', 'to' => '310'])->assertDontSee('Wall needed');
        $this->assertEquals([['kind' => 'wall left', 'from_mm' => 0, 'to_mm' => 310]], $run->fresh()?->structures);
        $this->hx($section, "/runs/{$run->uid}/wall", ['side' => 'left', 'from' => '100', 'to' => '200']);
        $this->assertCount(1, $run->fresh()->structures, 'walls that meet are one');
        $sheet = (string) $this->get($this->at($section, '/land/take/walls'))
            ->assertOk()
            ->assertHeader('Content-Type', 'image/svg+xml')
            ->getContent();
        $this->assertStringContainsString('Yard siding, left, 0 to 310', $sheet);
        $this->assertSame(1, preg_match('/<svg[^>]*width="([\d.]+)mm"[^>]*viewBox="0 0 \1 /', $sheet), 'a millimetre is a millimetre');
    }

    public function test_an_edge_is_fixed_copied_across_and_set_free(): void
    {
        $layout = $this->demo();
        [$tarnhead, $birch] = $layout->sections()->get()->all();
        $this->hx($tarnhead, '/land/edge', ['edge' => 'right', 'how' => 'copy'], 422)->assertSee('Fix the edge first');
        $this->hx($tarnhead, '/land/edge', ['edge' => 'right', 'how' => 'fix'])
            ->assertSee('fixed at')
            ->assertSee('Copy across');
        $profile = $tarnhead->fresh()?->edges['right'] ?? [];
        $this->assertGreaterThan(3, count($profile));
        $this->hx($tarnhead, '/land/edge', ['edge' => 'right', 'how' => 'copy']);
        $copied = $birch->fresh()?->edges['left'] ?? [];
        $this->assertEquals(
            array_values(array_filter($profile, fn (array $p): bool => $p[0] <= 500)),
            $copied,
            'as far as the shorter board goes',
        );
        $this->hx($tarnhead, '/land/edge', ['edge' => 'right', 'how' => 'free']);
        $this->assertSame([], $tarnhead->fresh()?->edges);
        $this->hx($tarnhead, '/land/edge', ['edge' => 'left', 'how' => 'copy'], 422)->assertSee('No board lies against this edge');
        $this->hx($tarnhead, '/land/edge', ['edge' => 'top', 'how' => 'fix'], 422);
        $this->hx($tarnhead, '/land/edge', ['edge' => 'left', 'how' => 'paint'], 422);
    }

    public function test_lines_take_points_between_and_give_them_up_and_ends_follow_the_hand(): void
    {
        $board = $this->board();
        $corners = fn (array $at): array => array_map(fn (array $p): array => ['x' => (string) $p[0], 'y' => (string) $p[1]], $at);
        $this->hx($board, '/features', ['kind' => 'pad', 'points' => $corners([[300, 200], [500, 200], [500, 400]])])->assertSee('Pad');
        $pad = LandFeature::query()->where('kind', 'pad')->firstOrFail();
        $grip = fn (array $more): TestResponse => $this->hx($board, '/land/grip', ['uid' => $pad->uid] + $more);
        $grip(['drag' => 'insert', 'index' => 2, 'x' => '300', 'y' => '400']);
        $this->assertEquals(
            [[300, 200], [500, 200], [500, 400], [300, 400]],
            array_map(fn (array $p): array => [$p['x_mm'], $p['y_mm']], $pad->fresh()->points ?? []),
        );
        $grip(['drag' => 'insert', 'index' => 0]);
        $this->assertEquals(400, $pad->fresh()?->points[1]['x_mm'], 'by a key, half way');
        $grip(['drag' => 'drop', 'index' => 1]);
        $grip(['drag' => 'drop', 'index' => 1]);
        $this->hx($board, '/land/grip', ['uid' => $pad->uid, 'drag' => 'drop', 'index' => 0], 422)->assertSee('three corners or more');
        $this->hx(
            $board,
            '/land/grip',
            ['uid' => $pad->uid, 'drag' => 'point', 'index' => 0, 'x' => '500', 'y' => '300', 'seen' => '1'],
            409,
        );
        $this->assertCount(3, $pad->fresh()->points ?? []);
        $this->hx($board, '/land/grip', ['uid' => $pad->uid, 'drag' => 'height', 'index' => 0, 'dz' => '7']);
        $this->assertEquals([7.0], array_values(array_unique(array_column($pad->fresh()->points ?? [], 'z_mm'))), 'a pad stays level');
        $this->hx($board, '/runs', ['x1' => '0', 'y1' => '100', 'x2' => '600', 'y2' => '100']);
        $run = Run::query()->firstOrFail();
        $this->hx($board, '/land/grip', ['uid' => $run->uid, 'drag' => 'end', 'x' => '741.4', 'y' => '130'])->assertSee('741.4');
        $this->assertEquals(741.4, $run->fresh()?->elements[0]['length_mm']);
        $this->hx($board, '/land/grip', ['uid' => $run->uid, 'drag' => 'end', 'dx' => '10']);
        $this->assertEqualsWithDelta(751.4, $run->fresh()?->elements[0]['length_mm'], 1e-6);
    }

    public function test_places_snap_to_runs_corners_and_edges_unless_told_not_to(): void
    {
        $board = $this->board();
        $this->hx($board, '/runs', ['x1' => '0', 'y1' => '300', 'x2' => '1200', 'y2' => '300']);
        $this->hx($board, '/features', ['kind' => 'ridge', 'points' => [['x' => '400', 'y' => '400'], ['x' => '600', 'y' => '400']]]);
        $ridge = LandFeature::query()->where('kind', 'ridge')->firstOrFail();
        $drag = fn (int $index, string $x, string $y, array $more = []): TestResponse => $this->hx(
            $board,
            '/land/grip',
            ['uid' => $ridge->uid, 'drag' => 'point', 'index' => $index, 'x' => $x, 'y' => $y] + $more,
        );
        foreach (
            [
                [['500', '304'], [500, 300]],
                [['1195', '4'], [1200, 0]],
                [['700', '596'], [700, 600]],
                [['500', '310'], [500, 310]],
            ] as [[$x, $y], $there]
        ) {
            $drag(0, $x, $y);
            $this->assertEquals($there, [$ridge->fresh()->points[0]['x_mm'], $ridge->fresh()->points[0]['y_mm']]);
        }
        $drag(0, '500', '304', ['snap' => '0']);
        $this->assertEquals(304, $ridge->fresh()?->points[0]['y_mm']);
        $this->hx($board, '/land/grip', ['uid' => $ridge->uid, 'drag' => 'point', 'index' => 0, 'dy' => '-1']);
        $this->assertEquals(303, $ridge->fresh()?->points[0]['y_mm'], 'keys move freely');
    }

    public function test_a_stream_from_its_source_follows_the_valley(): void
    {
        $board = $this->board();
        $this->hx($board, '/features', ['kind' => 'spot', 'points' => [['x' => '30', 'y' => '300', 'z' => '60']]]);
        LandFeature::query()
            ->get()
            ->each(fn (LandFeature $f) => $f->update(['points' => [['z_mm' => 30.0 + $f->points[0]['y_mm'] / 10.0] + $f->points[0]]]));
        $this->hx($board, '/features', [
            'kind' => 'hollow',
            'points' => [
                ['x' => '600', 'y' => '590', 'z' => '70'],
                ['x' => '620', 'y' => '300', 'z' => '40'],
                ['x' => '500', 'y' => '10', 'z' => '5'],
            ],
        ]);
        $this->hx($board, '/features', ['kind' => 'stream', 'points' => [['x' => '602', 'y' => '560']]])
            ->assertSee('Stream')
            ->assertSee('Falls');
        $stream = LandFeature::query()->where('kind', 'stream')->firstOrFail();
        $last = $stream->points[count($stream->points) - 1];
        $this->assertEqualsWithDelta([500.0, 10.0], [$last['x_mm'], $last['y_mm']], 45.0, 'down the hollow and off the board');
        $this->hx(
            $board,
            "/features/{$stream->uid}",
            [
                'name' => 'Beck',
                'width_mm' => '24',
                'depth_mm' => '4',
                'below_mm' => '1',
                'points' => array_map(fn (array $p): array => ['x' => (string) $p['x_mm'], 'y' => (string) $p['y_mm']], $stream->points),
            ],
            method: 'patch',
        )->assertSee('Beck');
        $this->assertEquals(['width_mm' => 24, 'depth_mm' => 4, 'below_mm' => 1], $stream->fresh()?->figures);
    }

    public function test_candidates_stand_side_by_side_and_one_is_taken(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $spot = LandFeature::query()->where('name', 'Birch bank')->firstOrFail();
        $page = $this->get($this->at($section, "/land/compare?pick={$spot->uid}&step=15"))->assertOk();
        foreach (
            [
                'As it stands',
                '15 mm lower',
                '15 mm higher',
                'Without it',
                'Land over the board',
                'Foam',
                'Base across',
                'Land seen',
                'Running line seen',
            ] as $words
        ) {
            $page->assertSee($words);
        }
        $this->assertEquals(165, $spot->fresh()?->points[0]['z_mm'], 'nothing is changed');
        $this->post($this->at($section, '/land/candidate'), ['pick' => $spot->uid, 'what' => 'height', 'by' => '15'])->assertRedirect();
        $this->assertEquals(180, $spot->fresh()?->points[0]['z_mm']);
        $ridge = LandFeature::query()->where('name', 'Fell')->firstOrFail();
        $this->get($this->at($section, "/land/compare?pick={$ridge->uid}&what=place"))->assertOk()->assertSee('40 mm to the left');
        $run = Run::query()->where('name', 'Running line')->firstOrFail();
        $this->get($this->at($section, "/land/compare?pick={$run->uid}"))
            ->assertOk()
            ->assertSee('Slopes steeper by 0.5')
            ->assertSee('Slopes reach out')
            ->assertDontSee('Without it');
        $this->post($this->at($section, '/land/candidate'), ['pick' => $run->uid, 'what' => 'batter', 'by' => '0.5'])->assertRedirect();
        $this->assertEqualsWithDelta(0.7, $run->fresh()?->profile['batter_cut_left'], 1e-9);
        $this->from('/')->get($this->at($section, '/land/compare?pick=gone'))->assertStatus(422);
    }

    public function test_the_relief_to_turn_comes_with_its_heights_strips_and_waters(): void
    {
        $layout = $this->demo();
        $weir = $layout->sections()->where('name', 'Weir Bend')->firstOrFail();
        $mesh = $this->getJson($this->at($weir, '/land/mesh'))->assertOk()->json();
        $points = array_chunk(array_values(unpack('g*', (string) base64_decode($mesh['points'])) ?: []), 3);
        $this->assertGreaterThan(20_000, count($points));
        foreach ($points as $k => [$x, $y]) {
            $this->assertSame($k < $mesh['edge'], min($x, $y, 900.0 - $x, 600.0 - $y) < 1e-3, "place {$k}");
        }
        $this->assertEqualsCanonicalizing(
            ['bridge', 'road', 'stream', 'track'],
            array_values(array_unique(array_column($mesh['strips'], 'kind'))),
        );
        $tarnhead = $layout->sections()->firstOrFail();
        $this->assertEquals(33.5, $this->getJson($this->at($tarnhead, '/land/mesh'))->json('waters.0.level'));
        $this->get($this->at($tarnhead, '/land?tint=sight'))->assertOk()->assertSee('Land seen from front')->assertSee('What is not seen');
    }

    public function test_track_and_heights_come_in_with_what_is_left_over(): void
    {
        $board = $this->board();
        $this->hx($board, '/runs', ['x1' => '0', 'y1' => '200', 'x2' => '900', 'y2' => '200']);
        foreach (
            ['dxf' => TrackDxf::read(...), 'svg' => TrackSvg::read(...), 'xml' => TrackXml::read(...), 'csv' => null] as $form => $read
        ) {
            $text = (string) $this->get($this->at($board, "/land/take/{$form}"))->assertOk()->getContent();
            $this->assertNotSame('', $text);
            $this->followingRedirects()
                ->bring($board, "track.{$form}", $text)
                ->assertSee('laid with 1 piece')
                ->assertSee('furthest point lies');
            $run = Run::query()->latest('id')->firstOrFail();
            $this->assertEqualsWithDelta(900.0, $run->elements[0]['length_mm'], 0.5, $form);
            $this->assertEqualsWithDelta([0.0, 200.0], [$run->x_mm, $run->y_mm], 0.5, $form);
        }
        $this->assertSame(16, Run::query()->distinct()->count('name'), 'each file held all runs there were; no name stands twice');
        $text = Fixtures::text('land/ground-01.asc');
        $grid = AsciiGrid::read($text);
        $small = Section::query()->firstOrFail();
        $small->update([
            'width_mm' => ($grid->cols - ($grid->onNodes ? 1 : 0)) * $grid->cell,
            'depth_mm' => ($grid->rows - ($grid->onNodes ? 1 : 0)) * $grid->cell,
        ]);
        $this->followingRedirects()->bring($small, 'hill.asc', $text)->assertSee('now follows the grid through')->assertSee('at worst');
        $this->assertGreaterThan(20, LandFeature::query()->count());
        $this->post("/layouts/{$this->layoutOf($board)->uid}/undo");
        $this->assertSame(0, LandFeature::query()->count());
    }

    public function test_files_that_cannot_be_brought_in_say_why_and_change_nothing(): void
    {
        $board = $this->board();
        foreach (
            [
                ['plan.pdf', '%PDF', 'Track comes as CSV'],
                ['a.dxf', "0\nSECTION\n0\nEOF\n", 'a.dxf: line 1: There is no polyline'],
                ['b.csv', "x,y\n1,2\n3,up\n", 'b.csv: line 3'],
                ['far.csv', "x,y\n9000,9000\n9500,9000\n", 'lies nowhere over the board'],
                ['c.svg', '<svg', 'no SVG drawing'],
                ['d.xml', '<LandXML/>', 'no alignment'],
                ['e.csv', "x,y\n1,1\n2,1\n", 'shorter than 10 mm'],
                ['two.csv', "run,x,y\nA,0,100\nA,500,100\nB,9000,0\nB,9500,0\n", '“B” lies nowhere'],
                ['hill.asc', "ncols 2\nnrows 2\ncellsize 5\nxllcorner 0\nyllcorner 0\n1 2\n3 4\n", 'The grid covers 10 × 10 mm'],
                ['hill.asc', 'rows 2', 'header has no ncols'],
            ] as [$name, $text, $words]
        ) {
            $this->followingRedirects()->bring($board, $name, $text)->assertSee($words);
        }
        $this->from($this->at($board, '/land'))->followingRedirects()->post($this->at($board, '/land/bring'))->assertSee('Choose a file');
        $this->assertSame([0, 0], [Run::query()->count(), LandFeature::query()->count()]);
    }

    public function test_odd_requests_are_refused_and_leave_everything_as_it_was(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $run = Run::query()->where('name', 'Running line')->firstOrFail();
        $water = LandFeature::query()->where('kind', 'water')->firstOrFail();
        $before = (string) $this->get("/layouts/{$this->layoutOf($section)->uid}/export")->getContent();
        foreach (
            [
                ['/land/grip', ['uid' => $water->uid, 'drag' => 'insert', 'index' => '99']],
                ['/land/grip', ['uid' => $water->uid, 'drag' => 'drop', 'index' => '-1']],
                ['/land/grip', ['uid' => $water->uid, 'drag' => 'tear', 'index' => '0']],
                ['/land/grip', ['uid' => $run->uid, 'drag' => 'end', 'x' => '10', 'y' => '590'], 200],
                ["/runs/{$run->uid}/wall", ['side' => 'left', 'from' => '900', 'to' => '10']],
                ["/runs/{$run->uid}/wall", ['side' => ['x'], 'from' => 'NAN', 'to' => '1e999']],
                ["/runs/{$run->uid}/beside", ['side' => ['up'], 'apart' => ['50']], 200],
                ["/runs/{$run->uid}/beside", ['apart' => 'wide']],
                ['/land/candidate', ['pick' => $run->uid, 'what' => 'colour', 'by' => '5']],
                ['/land/candidate', ['pick' => $run->uid, 'what' => 'height', 'by' => '1e9']],
                ['/land/candidate', ['pick' => ['x'], 'what' => ['y']]],
                ['/land/edge', ['edge' => ['left'], 'how' => ['fix']]],
                [
                    '/features',
                    [
                        'kind' => 'pad',
                        'points' => [
                            ['x' => '10', 'y' => '10'],
                            ['x' => '90', 'y' => '90'],
                            ['x' => '90', 'y' => '10'],
                            ['x' => '10', 'y' => '90'],
                        ],
                    ],
                ],
                ['/features', ['kind' => 'stream', 'points' => [['x' => '5000', 'y' => '10']]]],
                ['/features', ['kind' => 'rough', 'points' => 'here']],
                ['/features', ['kind' => 'pad', 'points' => [['x' => '1e400', 'y' => 'NAN']]]],
                ['/features', ['kind' => ['pad'], 'points' => [['x' => '1', 'y' => '1']]]],
            ] as $case
        ) {
            [$path, $data] = $case;
            $status = $this->call('POST', $this->at($section, $path), $data, server: ['HTTP_HX_REQUEST' => 'true'])->getStatusCode();
            $this->assertContains($status, isset($case[2]) ? [200, 422] : [404, 422], $path.' '.json_encode($data));
            if ($status === 200) {
                $this->post("/layouts/{$this->layoutOf($section)->uid}/undo");
            }
        }
        foreach (
            [
                '/land/compare',
                '/land/compare?pick[]=x&what[]=y&step[]=z',
                "/land/compare?pick={$run->uid}&what=height&step=-5",
                "/land/compare?pick={$run->uid}&what=height&step=9e99",
                '/land?tint=purple',
                '/land?tint[]=sight',
            ] as $path
        ) {
            $this->assertContains($this->from('/')->get($this->at($section, $path))->getStatusCode(), [200, 302, 422], $path);
        }
        $stripped = fn (string $json): string => (string) preg_replace('/"date": "[^"]*"/', '', $json);
        $this->assertSame(
            $stripped($before),
            $stripped((string) $this->get("/layouts/{$this->layoutOf($section)->uid}/export")->getContent()),
        );
    }

    /** @param  array<string, mixed>  $data */
    private function hx(Section $section, string $path, array $data, int $status = 200, string $method = 'post'): TestResponse
    {
        return $this->call(strtoupper($method), $this->at($section, $path), $data, server: ['HTTP_HX_REQUEST' => 'true'])->assertStatus(
            $status,
        );
    }

    private function bring(Section $section, string $name, string $text): TestResponse
    {
        return $this->from($this->at($section, '/land'))->post($this->at($section, '/land/bring'), [
            'file' => UploadedFile::fake()->createWithContent($name, $text),
        ]);
    }
}
