<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\LandFeature;
use App\Models\Revision;
use App\Models\Run;
use App\Models\Section;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\TrackTable;
use Illuminate\Testing\TestResponse;

final class LandScreenTest extends FeatureCase
{
    private const HX = ['HX-Request' => 'true'];

    public function test_an_empty_board_says_what_to_do(): void
    {
        $section = $this->board();
        $this->get($this->at($section, '/land'))
            ->assertOk()
            ->assertSee('Flat as the board')
            ->assertSee('no run yet')
            ->assertSee('No finding');
    }

    public function test_the_demo_board_shows_plan_profile_section_and_findings(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $answer = $this->get($this->at($section, '/land'))->assertOk();
        foreach (
            [
                'Tarnhead',
                'Long profile',
                'Cross-section',
                '+2.2 %',
                'Wall needed',
                'Clearance on a curve',
                'Face too steep',
                'Birch Cutting',
                'Weir Bend',
                'Fell Halt',
            ] as $words
        ) {
            $answer->assertSee($words);
        }
        $this->assertLessThan(200_000, strlen((string) $answer->getContent()));
    }

    public function test_the_relief_stands_at_the_address_of_its_land_and_nowhere_else(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $page = (string) $this->get($this->at($section, '/land'))->getContent();
        $this->assertSame(1, preg_match('#href="([^"]+relief/[0-9a-f]{40}\.png)"#', $page, $m));
        $picture = $this->get($m[1])->assertOk();
        $this->assertStringStartsWith("\x89PNG", (string) $picture->getContent());
        $this->assertStringContainsString('immutable', (string) $picture->headers->get('Cache-Control'));
        $gone = $this->get($this->at($section, '/relief/'.str_repeat('0', 40).'.png'))->assertOk();
        $this->assertStringContainsString(
            'no-store',
            (string) $gone->headers->get('Cache-Control'),
            'what replaced a land that is gone is not taken for it again',
        );
    }

    public function test_a_spot_is_placed_changed_named_and_removed(): void
    {
        $section = $this->board();
        $this->send('post', $section, '/features', ['kind' => 'spot', 'points' => [['x' => '400', 'y' => '300']]])
            ->assertOk()
            ->assertSee('Spot height');
        $this->assertSame(5, LandFeature::query()->count(), 'the corners are held at the board top');
        $spot = LandFeature::query()->latest('id')->firstOrFail();
        $this->assertEquals(['x_mm' => 400, 'y_mm' => 300, 'z_mm' => 0], $spot->points[0]);
        $this->send('patch', $section, "/features/{$spot->uid}", [
            'points' => [['x' => '400', 'y' => '300', 'z' => '107 mm']],
            'name' => 'Crag',
        ])
            ->assertOk()
            ->assertSee('107');
        $this->send('post', $section, '/features', ['kind' => 'spot', 'points' => [['x' => '900', 'y' => '300', 'z' => '0']]]);
        $this->assertEquals(107, $spot->fresh()?->points[0]['z_mm']);
        $this->assertContains('Spot set to 107 mm', Revision::query()->pluck('sentence')->all());
        $this->send('delete', $section, "/features/{$spot->uid}")->assertOk();
        $this->assertNull($spot->fresh());
    }

    public function test_ridge_and_hollow_lines_start_above_and_below_the_ground(): void
    {
        $section = $this->board();
        $this->send('post', $section, '/features', [
            'kind' => 'ridge',
            'points' => [['x' => '100', 'y' => '400'], ['x' => '700', 'y' => '420']],
        ])
            ->assertOk()
            ->assertSee('Ridge line');
        $this->send('post', $section, '/features', [
            'kind' => 'hollow',
            'points' => [['x' => '100', 'y' => '100'], ['x' => '700', 'y' => '80']],
        ])
            ->assertOk()
            ->assertSee('Hollow');
        [$ridge, $hollow] = LandFeature::query()->where('kind', '<>', 'spot')->orderBy('id')->get()->all();
        $this->assertEquals(30, $ridge->points[0]['z_mm']);
        $this->assertLessThan(30, $hollow->points[0]['z_mm']);
    }

    public function test_spots_off_the_board_and_two_in_one_place_are_refused_and_nothing_changes(): void
    {
        $section = $this->board();
        $this->send('post', $section, '/features', ['kind' => 'spot', 'points' => [['x' => '1300', 'y' => '300']]])
            ->assertStatus(422)
            ->assertSee('outside the board')
            ->assertSee('points/0/x');
        $this->send('post', $section, '/features', ['kind' => 'spot', 'points' => [['x' => 'left', 'y' => '300']]])
            ->assertStatus(422)
            ->assertSee('is not a length');
        $this->send('post', $section, '/features', ['kind' => 'castle', 'points' => [['x' => '10', 'y' => '300']]])->assertStatus(422);
        $this->send('post', $section, '/features', ['kind' => 'spot'])->assertStatus(422);
        $this->send('post', $section, '/features', ['kind' => 'spot', 'points' => [['x' => '400', 'y' => '300', 'z' => '40']]])->assertOk();
        $this->send('post', $section, '/features', ['kind' => 'spot', 'points' => [['x' => '400', 'y' => '300', 'z' => '60']]])
            ->assertStatus(422)
            ->assertSee('Two spots at 400, 300');
        $this->assertSame(5, LandFeature::query()->count());
        $spot = LandFeature::query()->latest('id')->firstOrFail();
        $this->send('patch', $section, "/features/{$spot->uid}", ['points' => [['x' => '400', 'y' => '300', 'z' => 'high']]])
            ->assertStatus(422)
            ->assertSee('points/0/z');
    }

    public function test_a_run_is_laid_extended_graded_and_taken_up(): void
    {
        $section = $this->board();
        $this->send('post', $section, '/runs', ['x1' => '0', 'y1' => '200', 'x2' => '600', 'y2' => '200'])
            ->assertOk()
            ->assertSee('Run 1');
        $run = Run::query()->firstOrFail();
        $this->send('patch', $section, "/runs/{$run->uid}", [
            'name' => 'Main',
            'x' => '0',
            'y' => '200',
            'heading' => '5°',
            'elements' => [['kind' => 'tangent', 'length' => '600'], ['kind' => 'arc', 'radius' => '720 mm', 'angle' => '-20']],
        ])
            ->assertOk()
            ->assertSee('Main');
        $this->send('patch', $section, "/runs/{$run->uid}", [
            'start_height' => '62',
            'grade_points' => [['station' => '500', 'height' => '2.2 %'], ['station' => '', 'height' => '']],
        ])->assertOk();
        $run->refresh();
        $this->assertCount(2, $run->elements);
        $this->assertEqualsWithDelta(73.0, $run->grade_points[0]['height_mm'], 1e-9);
        $this->send('patch', $section, "/runs/{$run->uid}", [
            'profile' => ['batter_cut_left' => '0.2', 'half_width_left_mm' => '30'],
        ])->assertOk();
        $this->assertEquals(0.2, $run->fresh()?->profile['batter_cut_left']);
        $this->send('patch', $section, "/runs/{$run->uid}", [
            'structures' => [['kind' => 'tunnel', 'from' => '20', 'to' => '53 cm'], ['kind' => 'tunnel', 'from' => '', 'to' => ' ']],
        ])->assertOk();
        $this->assertEquals([['kind' => 'tunnel', 'from_mm' => 20, 'to_mm' => 530, 'lining_mm' => 0]], $run->fresh()?->structures);
        $this->get($this->at($section, "/land?run={$run->uid}&tab=structures&st=100"))
            ->assertOk()
            ->assertSee('Land over the bore')
            ->assertSee('The tunnel breaks through');
        $this->send('patch', $section, "/runs/{$run->uid}", ['elements' => [['kind' => 'tangent', 'length' => '510']]])
            ->assertStatus(422)
            ->assertSee('leaves its run');
        // A row that is emptied does not shift the places of those after it.
        $this->send('patch', $section, "/runs/{$run->uid}", [
            'structures' => [['kind' => 'tunnel', 'from' => '', 'to' => ''], ['kind' => 'bridge', 'from' => '-3', 'to' => '90']],
        ])
            ->assertStatus(422)
            ->assertSee('data-for="structures/1/from_mm', false);
        $this->send('patch', $section, "/runs/{$run->uid}", [
            'grade_points' => [['station' => '', 'height' => ''], ['station' => '9000', 'height' => '70']],
        ])
            ->assertStatus(422)
            ->assertSee('data-for="grade_points/1/station_mm', false);
        $this->send('patch', $section, "/runs/{$run->uid}", [
            'structures' => ['x' => 'y', 'z' => ['from' => ['a'], 'to' => '9']],
        ])->assertStatus(422);
        $this->send('patch', $section, "/runs/{$run->uid}", ['structures' => [['kind' => '', 'from' => '', 'to' => '']]])->assertOk();
        $this->assertSame([], $run->fresh()?->structures);
        $this->send('delete', $section, "/runs/{$run->uid}")->assertOk()->assertSee('no run yet');
        $this->assertSame(0, Run::query()->count());
    }

    public function test_land_and_track_are_taken_along_as_files(): void
    {
        $section = $this->board();
        $this->send('post', $section, '/features', ['kind' => 'spot', 'points' => [['x' => '300', 'y' => '250', 'z' => '80']]])->assertOk();
        $this->send('post', $section, '/runs', ['x1' => '0', 'y1' => '100', 'x2' => '1195', 'y2' => '100']);
        $run = Run::query()->firstOrFail();
        $this->send('patch', $section, "/runs/{$run->uid}", [
            'name' => 'Main, "up"',
            'elements' => [['kind' => 'tangent', 'length' => '600'], ['kind' => 'arc', 'radius' => '720', 'angle' => '-20']],
        ])->assertOk();
        $take = fn (string $form): string => (string) $this->get($this->at($section, "/land/take/{$form}"))
            ->assertOk()
            ->assertHeader('Content-Disposition')
            ->getContent();

        $grid = AsciiGrid::read($take('asc'));
        $this->assertSame([240, 120, 5.0], [$grid->cols, $grid->rows, $grid->cell]);
        $this->assertEqualsWithDelta(80.0, $grid->values[49 * 240 + 59], 1.0, 'the hill where it was put');
        $contours = json_decode($take('geojson'), true, flags: JSON_THROW_ON_ERROR);
        $this->assertContains(40, array_column(array_column($contours['features'], 'properties'), 'level_mm'));
        $this->assertSame([480, 240], array_slice(getimagesizefromstring($take('png')) ?: [], 0, 2));

        $lines = array_map(fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\r\n", trim($take('csv'))));
        $this->assertSame(TrackTable::columns(), array_shift($lines));
        $this->assertSame(['Main, "up"', '0.000', '0.000', '100.000'], array_slice($lines[0], 0, 4));
        $this->assertSame(['610.000', '610.000', '99.931', '-720.0'], [$lines[61][1], $lines[61][2], $lines[61][3], $lines[61][7]]);
        $this->assertSame('', $lines[10][7], 'no radius on the straight');
        $this->assertEqualsWithDelta(600.0 + (720.0 * M_PI) / 9.0, (float) end($lines)[1], 0.001);
        $this->assertEqualsWithDelta(8.8, (float) $lines[5][5] - (float) $lines[5][4], 1e-6);
        $this->get($this->at($section, '/land/take/exe'))->assertNotFound();
    }

    public function test_runs_that_cannot_be_are_refused_with_their_field(): void
    {
        $section = $this->board();
        $this->send('post', $section, '/runs', ['x1' => '5', 'y1' => '5', 'x2' => '6', 'y2' => '5'])
            ->assertStatus(422)
            ->assertSee('one place');
        $this->send('post', $section, '/runs', ['x1' => '3000', 'y1' => '5', 'x2' => '3600', 'y2' => '5'])
            ->assertStatus(422)
            ->assertSee('nowhere over the board');
        $this->send('post', $section, '/runs', ['x1' => '0', 'y1' => '200', 'x2' => '600', 'y2' => '200']);
        $run = Run::query()->firstOrFail();
        foreach (
            [
                [['elements' => [['kind' => 'arc', 'radius' => '40', 'angle' => '30']]], 'elements/0/radius_mm'],
                [['elements' => [['kind' => 'arc', 'radius' => '400', 'angle' => 'left']]], 'elements/0/angle'],
                [['elements' => [['kind' => 'tangent', 'length' => '-40']]], 'elements/0/length_mm'],
                [['elements' => [['kind' => 'nothing']]], 'elements'],
                [['grade_points' => [['station' => '900', 'height' => '70']]], 'grade_points/0/station_mm'],
                [['grade_points' => [['station' => '300', 'height' => 'up']]], 'grade_points/0/height'],
                [['name' => ''], 'name'],
                [['profile' => ['batter_cut_left' => '0']], 'profile/batter_cut_left'],
                [['x' => '4000'], 'x'],
            ] as [$input, $place]
        ) {
            $this->send('patch', $section, "/runs/{$run->uid}", $input)
                ->assertStatus(422)
                ->assertSee('data-for="'.$place, false);
        }
        $this->assertSame(1, $run->fresh()?->rev);
    }

    public function test_a_drag_previews_without_saving_and_saves_on_release(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $spot = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $grip = ['drag' => 'point', 'uid' => $spot->uid, 'index' => 0, 'x' => '700.4', 'y' => '480.2', 'pick' => $spot->uid];
        $this->send('post', $section, '/land/preview', $grip)->assertOk()->assertSee('preview on cells of 10 mm');
        $this->assertEquals(885, $spot->fresh()?->points[0]['x_mm']);
        $this->send('post', $section, '/land/grip', $grip)->assertOk()->assertDontSee('preview on');
        $this->assertEquals(['x_mm' => 700, 'y_mm' => 480, 'z_mm' => 208], $spot->fresh()?->points[0]);
        $this->send('post', $section, '/land/grip', ['drag' => 'height', 'uid' => $spot->uid, 'index' => 0, 'dz' => '-8']);
        $this->assertEquals(200, $spot->fresh()?->points[0]['z_mm']);
        $this->send('post', $section, '/land/grip', ['x' => '5000'] + $grip);
        $this->assertEquals(1200, $spot->fresh()?->points[0]['x_mm'], 'held back at the edge');
    }

    public function test_grade_points_drag_in_profile_and_plan_and_stay_in_order(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $run = Run::query()->where('name', 'Running line')->firstOrFail();
        $this->send('post', $section, '/land/grip', [
            'drag' => 'grade',
            'uid' => $run->uid,
            'index' => 1,
            'station' => '1000',
            'height' => '80',
        ])->assertOk();
        $this->assertEquals(['station_mm' => 1000, 'height_mm' => 80, 'curve_mm' => 120], $run->fresh()?->grade_points[1]);
        $this->send('post', $section, '/land/grip', [
            'drag' => 'grade',
            'uid' => $run->uid,
            'index' => 1,
            'station' => '100',
            'height' => '80',
        ]);
        $this->assertEquals(480, $run->fresh()?->grade_points[1]['station_mm'], 'never past its neighbour, half its vertical curve away');
        $this->send('post', $section, '/land/grip', ['drag' => 'level', 'uid' => $run->uid, 'index' => 0, 'height' => '70']);
        $this->assertEquals(70, $run->fresh()?->start_height_mm);
        $this->send('post', $section, '/land/grip', ['drag' => 'start', 'uid' => $run->uid, 'index' => 0, 'dx' => '10', 'dy' => '-2']);
        $this->assertEquals([10, 220], [$run->fresh()?->x_mm, $run->fresh()->y_mm]);
        $this->send('post', $section, '/land/grip', ['drag' => 'roof', 'uid' => $run->uid])->assertStatus(422);
        $this->send('post', $section, '/land/grip', ['drag' => 'point', 'uid' => 'nobody'])->assertNotFound();
    }

    public function test_the_cut_line_follows_station_pointer_and_edge(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $this->get($this->at($section, '/land?st=930'))->assertSee('st 930');
        $this->get($this->at($section, '/land?st=999999'))->assertOk()->assertSee('st 1233');
        $this->get($this->at($section, '/land?at_x=420&at_y=300'))->assertSee('st 427');
        $this->get($this->at($section, '/land?st=nonsense&run=nobody&pick=nobody&tab=x'))->assertOk();
        $empty = $this->board();
        $this->get($this->at($empty, '/land?cx=350'))->assertSee('x 350');
    }

    public function test_changing_a_record_twice_from_one_form_is_stale(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $spot = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $form = ['points' => [['x' => '885', 'y' => '520', 'z' => '190']], 'name' => 'Crag', 'seen' => '0'];
        $this->send('patch', $section, "/features/{$spot->uid}", $form)->assertOk();
        $this->send('patch', $section, "/features/{$spot->uid}", ['points' => [['x' => '885', 'y' => '520', 'z' => '150']]] + $form)
            ->assertStatus(409)
            ->assertSee('changed elsewhere')
            ->assertSee('190')
            ->assertSee('150');
        $this->assertEquals(190, $spot->fresh()?->points[0]['z_mm']);
    }

    public function test_without_the_script_forms_still_work(): void
    {
        $section = $this->board();
        $this->post($this->at($section, '/features'), [
            'kind' => 'spot',
            'points' => [['x' => '400', 'y' => '300', 'z' => '50']],
        ])->assertRedirect();
        $this->from('/somewhere')
            ->post($this->at($section, '/features'), ['kind' => 'spot', 'points' => [['x' => '4000', 'y' => '300']]])
            ->assertSessionHasErrors();
    }

    public function test_every_figure_says_where_it_comes_from(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $page = (string) $this->get($this->at($section, '/land?st=600'))->getContent();
        $this->assertGreaterThan(10, preg_match_all('/<button type="button" class="fig num" data-origin="([^"]+)"/', $page, $m));
        foreach ($m[1] as $origin) {
            $this->assertStringEndsWith('Computed.', $origin);
        }
    }

    /** @param  array<string, mixed>  $input */
    private function send(string $method, Section $section, string $rest, array $input = []): TestResponse
    {
        return $this->call(strtoupper($method), $this->at($section, $rest), $input, server: $this->transformHeadersToServerVars(self::HX));
    }

    public function test_transitions_and_vertical_curves_are_typed_and_refused_at_their_field(): void
    {
        $board = $this->board();
        $this->post($this->at($board, '/runs'), ['x1' => '10', 'y1' => '100', 'x2' => '500', 'y2' => '100'])->assertRedirect();
        $run = $this->layoutOf($board)->runs()->firstOrFail();
        $there = $this->at($board, "/runs/{$run->uid}");
        $pieces = [
            ['kind' => 'tangent', 'length' => '200'],
            ['kind' => 'transition', 'length' => '150', 'from' => '', 'to' => '720'],
            ['kind' => 'arc', 'radius' => '720', 'angle' => '20'],
            ['kind' => 'transition', 'length' => '150', 'from' => '720', 'to' => ''],
        ];
        $this->patch($there, ['elements' => $pieces])
            ->assertRedirect()
            ->assertSessionHasNoErrors();
        $this->assertEquals(
            ['kind' => 'transition', 'length_mm' => 150, 'from_radius_mm' => 0, 'to_radius_mm' => 720],
            $run->refresh()->elements[1],
        );
        $this->get($this->at($board, "/land?pick={$run->uid}&tab=line"))
            ->assertOk()
            ->assertSee('transition')
            ->assertSee('Radius at its end, left positive');
        $pieces[1]['to'] = '40';
        $this->from('/')
            ->patch($there, ['elements' => $pieces])
            ->assertSessionHasErrors('elements/1/to_radius_mm');
        $grades = [['station' => '300', 'height' => '2 %', 'curve' => '200'], ['station' => '700', 'height' => '20', 'curve' => '']];
        $this->patch($there, ['start_height' => '10', 'grade_points' => $grades])->assertSessionHasNoErrors();
        $this->assertEquals(
            [['station_mm' => 300, 'height_mm' => 16, 'curve_mm' => 200], ['station_mm' => 700, 'height_mm' => 20]],
            $run->refresh()->grade_points,
        );
        $grades[0]['curve'] = '900';
        $this->from('/')
            ->patch($there, ['grade_points' => $grades])
            ->assertSessionHasErrors('grade_points/0/curve_mm');
        $this->post($this->at($board, '/land/grip'), [
            'drag' => 'grade',
            'uid' => $run->uid,
            'index' => 0,
            'station' => '320',
            'height' => '18',
        ])->assertRedirect();
        $this->assertEquals(200, $run->refresh()->grade_points[0]['curve_mm'], 'a drag keeps the curve');
    }

    public function test_the_plan_is_tinted_by_slope_damp_and_sun(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        foreach (
            [
                'slope' => ['How steep', '45° and steeper'],
                'damp' => ['Where it is damp', 'damp'],
                'sun' => ['Which way it faces', 'north-facing'],
                'heights' => ['Findings'],
                'plaid' => ['Findings'],
            ] as $tint => $words
        ) {
            $page = $this->get($this->at($section, "/land?tint={$tint}"))->assertOk();
            foreach ($words as $word) {
                $page->assertSee($word);
            }
        }
        $sunny = fn (): string => (string) preg_replace(
            '/.*sun side<span class="num">([^<]*)<.*/s',
            '$1',
            (string) $this->get($this->at($section, '/land?tint=sun'))->getContent(),
        );
        $before = $sunny();
        $this->patch("/layouts/{$this->layoutOf($section)->uid}", ['north_deg' => '-90'])->assertSessionHasNoErrors();
        $this->assertNotSame($before, $sunny(), 'north turned round');
        $this->from('/')
            ->patch("/layouts/{$this->layoutOf($section)->uid}", ['north_deg' => '900'])
            ->assertSessionHasErrors('north_deg');
    }

    public function test_the_pointer_reads_the_land_and_the_tape_measures_it(): void
    {
        $section = $this->demo()->sections()->firstOrFail();
        $words = (string) $this->get($this->at($section, '/land/at?x=195&y=535'))->assertOk()->getContent();
        $this->assertStringContainsString('x 195, y 535 · 165 mm high', $words);
        $this->assertMatchesRegularExpression('/ · \d+° · st \d+, \d+ mm off$/', $words);
        $this->assertSame('', $this->get($this->at($section, '/land/at?x=-5&y=520'))->getContent());
        $tape = (string) $this->get($this->at($section, '/land/tape?points[0][x]=100&points[0][y]=300&points[1][x]=500&points[1][y]=600'))
            ->assertOk()
            ->getContent();
        $this->assertStringContainsString('500 mm in plan, 43.6 m real', $tape);
        $this->assertMatchesRegularExpression('/· (\d+(\.\d)?) mm along the ground/', $tape);
        $this->withHeaders(['HX-Request' => 'true'])
            ->get($this->at($section, '/land/tape?points[0][x]=1'))
            ->assertStatus(422);
    }

    public function test_water_is_laid_measured_changed_and_refused(): void
    {
        $board = $this->board();
        $corners = fn (array $at): array => array_map(fn (array $p): array => ['x' => (string) $p[0], 'y' => (string) $p[1]], $at);
        $this->post($this->at($board, '/features'), [
            'kind' => 'water',
            'points' => $corners([[300, 200], [300, 400], [500, 400], [500, 200]]),
        ])->assertSessionHasNoErrors();
        $water = $this->layoutOf($board)->features()->firstOrFail();
        $this->assertEquals(
            [-1, 12, 40],
            [$water->points[0]['z_mm'], $water->figures['depth_mm'], $water->figures['shore_mm']],
            'a millimetre below the lowest corner',
        );
        $this->assertSame(1, $this->layoutOf($board)->features()->count(), 'water pins no corners');
        $there = $this->at($board, "/features/{$water->uid}");
        $form = [
            'points' => $corners([[300, 200], [500, 200], [500, 400], [300, 400]]),
            'name' => 'Pond',
            'level' => '-2',
            'depth_mm' => '10',
            'shore_mm' => '30',
        ];
        $this->patch($there, $form)->assertSessionHasNoErrors();
        $this->assertEquals(
            ['Pond', -2, 10, 30],
            [$water->refresh()->name, $water->points[3]['z_mm'], $water->figures['depth_mm'], $water->figures['shore_mm']],
        );
        $this->get($this->at($board, "/land?pick={$water->uid}"))->assertOk()->assertSee('Reached over')->assertSee('Holds');
        $this->from('/')
            ->patch($there, ['depth_mm' => '0'] + $form)
            ->assertSessionHasErrors('depth_mm');
        $this->from('/')
            ->patch($there, ['points' => $corners([[300, 200], [500, 400], [500, 200], [300, 400]])] + $form)
            ->assertSessionHasErrors('points');
        $this->from('/')
            ->patch($there, ['points' => $corners([[300, 200], [5000, 200], [500, 400]])] + $form)
            ->assertSessionHasErrors('points/1/x');
        $this->post($this->at($board, '/land/grip'), [
            'drag' => 'point',
            'uid' => $water->uid,
            'index' => 0,
            'x' => '280',
            'y' => '200',
        ])->assertRedirect();
        $this->post($this->at($board, '/land/grip'), [
            'drag' => 'height',
            'uid' => $water->uid,
            'index' => 0,
            'dz' => '-3',
        ])->assertRedirect();
        $this->assertEquals([-5.0], array_values(array_unique(array_column($water->refresh()->points, 'z_mm'))), 'water stays level');
        $this->assertEquals(280, $water->points[0]['x_mm']);
        $this->delete($there)->assertRedirect();
        $this->assertSame(0, $this->layoutOf($board)->features()->count());
    }
}
