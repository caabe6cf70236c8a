<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Land\LandResult;
use App\Models\Run;
use App\Pages\Drawing\Labels;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Interchange\ReliefPng;
use IdleRidge\Core\Interchange\Svg;

final class DrawingTest extends FeatureCase
{
    public function test_words_and_attributes_are_escaped(): void
    {
        $svg = (new Svg(10, 10, 'A "board" <1>'))
            ->text('m', 1, 2, '<script>')
            ->rect('a', 0, 0, 5, -3, ['data-x' => '"&'])
            ->toHtml();
        $this->assertStringContainsString('aria-label="A &quot;board&quot; &lt;1&gt;"', $svg);
        $this->assertStringContainsString('&lt;script&gt;', $svg);
        $this->assertStringContainsString('data-x="&quot;&amp;"', $svg);
        $this->assertStringContainsString('height="0"', $svg);
        $this->assertNotFalse(simplexml_load_string($svg));
    }

    public function test_paths_are_short_and_skip_points_that_do_not_move(): void
    {
        $this->assertSame('M0 0L10.5 2 3 4Z', Svg::d([[0.0, -0.04], [10.46, 2.0], [10.49, 2.01], [3.0, 4.0]], true));
        $this->assertSame('', Svg::d([]));
        $this->assertSame('0', Svg::n(-0.01));
    }

    public function test_labels_never_lie_over_each_other_or_leave_the_drawing(): void
    {
        for ($seed = 1; $seed <= 100; $seed++) {
            mt_srand($seed);
            $labels = new Labels(300.0, 200.0);
            $boxes = [];
            for ($k = 0; $k < 40; $k++) {
                $word = str_repeat('x', mt_rand(1, 12));
                $place = $labels->beside($word, 6.0, 11.0, (float) mt_rand(0, 300), (float) mt_rand(0, 200), 8.0);
                if ($place !== null) {
                    $boxes[] = [$place[0], $place[1] - 9.0, $place[0] + 6.0 * strlen($word), $place[1] + 2.0];
                }
            }
            $this->assertGreaterThan(5, count($boxes));
            foreach ($boxes as $i => $a) {
                $this->assertTrue($a[0] >= 0.0 && $a[1] >= 0.0 && $a[2] <= 300.0 && $a[3] <= 200.0, "seed {$seed}");
                foreach (array_slice($boxes, $i + 1) as $b) {
                    $this->assertFalse($a[0] < $b[2] && $b[0] < $a[2] && $a[1] < $b[3] && $b[1] < $a[3], "seed {$seed}");
                }
            }
        }
    }

    public function test_a_plan_keeps_the_boards_proportions(): void
    {
        foreach ([[1200.0, 600.0], [5000.0, 300.0], [300.0, 2000.0], [50.0, 50.0]] as [$width, $depth]) {
            $frame = new PlanFrame($width, $depth, 720.0, 360.0);
            $this->assertEqualsWithDelta($frame->width / $frame->height, $width / $depth, 1e-9);
            $this->assertLessThanOrEqual(720.01, $frame->width);
            $this->assertLessThanOrEqual(360.01, $frame->height);
            $this->assertLessThan($frame->y(0.0), $frame->y($depth), 'y rises upward');
        }
    }

    public function test_relief_is_dark_away_from_the_light_bright_toward_it_and_clear_on_the_flat(): void
    {
        $heights = [];
        for ($j = 0; $j < 30; $j++) {
            for ($i = 0; $i < 60; $i++) {
                // A ridge from front to back in the left half, flat ground in the right.
                $heights[] = $i < 30 ? 40.0 - 3.0 * abs($i - 15) : 0.0;
            }
        }
        $sheet = new LandResult(
            str_repeat('a', 40),
            5.0,
            60,
            30,
            [],
            [],
            [],
            [],
            [],
            pack('g*', ...$heights),
            [],
            pack('g*', ...array_fill(0, 184, 0.0)),
        );
        $picture = imagecreatefromstring(ReliefPng::png($sheet->grid()));
        $this->assertNotFalse($picture);
        $this->assertSame([120, 60], [imagesx($picture), imagesy($picture)]);
        $at = fn (int $x): array => imagecolorsforindex($picture, (int) imagecolorat($picture, $x, 30));
        $this->assertSame(127, $at(90)['alpha'], 'flat');
        $this->assertGreaterThan(200, $at(16)['red'], 'toward the light');
        $this->assertLessThan(60, $at(44)['red'], 'away from it');
        $this->assertLessThan(110, $at(44)['alpha']);
    }

    public function test_odd_boards_are_drawn_all_the_same(): void
    {
        $layout = $this->layoutOf($this->board());
        foreach (['Strip' => ['5000', '120'], 'Tower' => ['200', '2000'], 'Crumb' => ['50', '50']] as $name => [$width, $depth]) {
            $this->post("/layouts/{$layout->uid}/sections", [
                'name' => $name,
                'width_mm' => $width,
                'depth_mm' => $depth,
            ])->assertRedirect();
            $section = $layout->sections()->where('name', $name)->firstOrFail();
            foreach (['spot' => '20', 'ridge' => '45'] as $kind => $z) {
                $this->post($this->at($section, '/features'), [
                    'kind' => $kind,
                    'points' => $kind === 'spot'
                            ? [['x' => '25', 'y' => '25', 'z' => $z]]
                            : [['x' => '5', 'y' => '10', 'z' => $z], ['x' => '40', 'y' => '40', 'z' => $z]],
                ])->assertRedirect();
            }
            $this->post($this->at($section, '/runs'), ['x1' => '0', 'y1' => '20', 'x2' => '49', 'y2' => '30'])->assertRedirect();
            foreach (['/land', '/land?st=9', '/cuts', '/cuts?layer=2'] as $page) {
                $answer = $this->get($this->at($section, $page))->assertOk();
                $this->assertStringNotContainsString('NAN', (string) $answer->getContent());
                $this->assertStringNotContainsString('INF', (string) $answer->getContent());
            }
        }
    }

    public function test_a_turned_board_shows_its_runs_and_spots_where_they_lie(): void
    {
        $layout = $this->layoutOf($this->board());
        $this->post("/layouts/{$layout->uid}/sections", [
            'name' => 'Turned',
            'width_mm' => '800',
            'depth_mm' => '400',
            'x_mm' => '3000',
            'y_mm' => '500',
            'angle_deg' => '30',
        ]);
        $section = $layout->sections()->where('name', 'Turned')->firstOrFail();
        $this->post($this->at($section, '/features'), [
            'kind' => 'spot',
            'points' => [['x' => '300', 'y' => '200', 'z' => '70']],
            'name' => 'Knoll',
        ]);
        $this->post($this->at($section, '/runs'), ['x1' => '0', 'y1' => '100', 'x2' => '800', 'y2' => '100']);
        $run = Run::query()->latest('id')->firstOrFail();
        $this->assertEqualsWithDelta(30.0, $run->heading_deg, 0.01);
        $page = $this->get($this->at($section, "/land?pick={$layout->features()->where('name', 'Knoll')->firstOrFail()->uid}"))->assertOk();
        $page->assertSee('name="points[0][x]"', false)->assertSee('value="300"', false)->assertSee('value="200"', false);
        $this->get($this->at($section, "/land?pick={$run->uid}"))->assertSee('value="100"', false)->assertSee('st 400');
    }

    public function test_a_curve_too_tight_for_the_coach_is_said_in_the_section(): void
    {
        $section = $this->board();
        $this->post($this->at($section, '/runs'), ['x1' => '300', 'y1' => '200', 'x2' => '400', 'y2' => '200']);
        $run = Run::query()->firstOrFail();
        $run->update(['elements' => [['kind' => 'arc', 'radius_mm' => 110, 'angle_deg' => 90]]]);
        $this->get($this->at($section, '/land'))->assertOk()->assertSee('too tight for the coach')->assertSee('Curve too tight');
    }
}
