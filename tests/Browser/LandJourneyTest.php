<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Run;
use App\Models\Section;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverKeys;

/** One evening with the land: each kind of feature laid, changed by pointer and by key, looked at, and taken back. */
final class LandJourneyTest extends BrowserCase
{
    public function test_each_kind_of_feature_is_laid_and_changed(): void
    {
        $section = $this->begin();
        foreach (['ridge' => [[150, 500], [450, 540]], 'hollow' => [[800, 560], [820, 300], [700, 40]]] as $tool => $points) {
            $this->draw($tool, $points);
            $this->assertStringContainsString($tool === 'ridge' ? 'Ridge line' : 'Hollow', $this->find('.inspector h2')->getText());
        }
        foreach (
            [
                'water' => ['Water', [[900, 60], [1100, 60], [1100, 180], [900, 180]]],
                'pad' => ['Pad', [[80, 60], [260, 60], [260, 160], [80, 160]]],
                'rough' => ['Rough ground', [[950, 400], [1150, 400], [1150, 560]]],
            ] as $tool => [$words, $points]
        ) {
            $this->draw($tool, $points);
            $this->assertSame($words, $this->find('.inspector h2')->getText());
        }
        // A stream from its source alone.
        $this->draw('stream', [[803, 540]]);
        $this->assertSame('Stream', $this->find('.inspector h2')->getText());
        $this->assertStringContainsString('Falls', $this->find('.inspector')->getText());
        $this->assertGreaterThan(2, count(LandFeature::query()->where('kind', 'stream')->firstOrFail()->points), 'it found its way');
        $this->type('[name="width_mm"]', '26');
        $this->touch($this->find('.pick-form .btn'));
        $this->assertEquals(26, LandFeature::query()->where('kind', 'stream')->firstOrFail()->figures['width_mm']);

        // Between two corners of the pad a point is pulled out, moved by a key and struck.
        $pad = LandFeature::query()->where('kind', 'pad')->firstOrFail();
        $this->land($section, "?pick={$pad->uid}");
        $from = $this->onScreen(170, 160);
        $to = $this->onScreen(170, 210);
        self::$bench?->pointer([['move', ...$from], ['down'], ['move', $to[0], $to[1] + 6], ['move', ...$to], ['up']]);
        $this->until(
            'document.querySelectorAll("#plan .handle").length === 5 && '
                .'!document.querySelector(".title .sub").textContent.includes("preview")',
            'a fifth corner',
        );
        $this->assertEqualsWithDelta(210.0, $pad->fresh()?->points[3]['y_mm'], 2.0);
        $this->js('document.querySelector(\'#plan [data-drag="point"][data-index="3"]\').focus()');
        $this->press(WebDriverKeys::ARROW_UP);
        $this->assertEqualsWithDelta(211.0, $pad->fresh()?->points[3]['y_mm'], 2.0);
        $this->js('document.querySelector(\'#plan [data-drag="point"][data-index="3"]\').focus()');
        $this->press(WebDriverKeys::DELETE);
        $this->until('document.querySelectorAll("#plan .handle").length === 4', 'four corners again');
        $this->js('document.querySelector(\'#plan [data-drag="insert"][data-index="0"]\').focus()');
        $this->press(WebDriverKeys::ENTER);
        $this->until(
            'document.activeElement.dataset.drag === "point" && document.activeElement.dataset.index === "1"',
            'the new point in hand',
        );
        $this->type('[name="level"]', '33 mm');
        $this->touch($this->find('.pick-form .btn'));
        $this->assertEquals(33, $pad->fresh()?->points[0]['z_mm']);
        $this->assertQuietConsole();
    }

    public function test_tracks_leave_cross_and_lie_beside_each_other(): void
    {
        $section = $this->begin();
        $this->draw('run', [[0, 250], [1200, 250]], '');
        $this->draw('run', [[300, 252], [700, 310]], '');
        $this->assertMatchesRegularExpression('/Leaves Run 1 at station (299|30[01])/', $this->find('.inspector')->getText());
        $this->assertNotNull($this->find('#plan .toe'));
        $this->draw('road', [[900, 20], [920, 580]], '');
        $this->assertSame('Road 1', $this->find('.inspector h2')->getText());
        $this->assertStringNotContainsString('not level', $this->find('.title')->getText());

        // The end of the branch follows keys and pointer.
        $branch = Run::query()->where('name', 'Run 2')->firstOrFail();
        $this->land($section, "?pick={$branch->uid}&run={$branch->uid}");
        $before = $branch->elements[0]['angle_deg'] ?? 0.0;
        $this->js('document.querySelector(\'#plan [data-drag="end"]\').focus()');
        $this->press(WebDriverKeys::ARROW_UP);
        $this->assertGreaterThan($before, $branch->fresh()?->elements[0]['angle_deg']);
        $this->type('[name="apart"]', '60');
        $main = Run::query()->where('name', 'Run 1')->firstOrFail();
        $this->land($section, "?pick={$main->uid}&run={$main->uid}");
        $this->type('[name="apart"]', '56');
        $this->touch($this->button('Lay it right'));
        $this->assertEqualsWithDelta(194.0, Run::query()->where('name', 'Run 3')->firstOrFail()->y_mm, 1e-6);

        // A tunnel longer than its run is refused beside its field; a bridge on piers is taken.
        $this->land($section, "?pick={$main->uid}&run={$main->uid}&tab=structures");
        $this->type('[name="structures[0][from]"]', '100');
        $this->type('[name="structures[0][to]"]', '1300');
        $this->touch($this->find('.pick-form .btn'));
        $this->until('document.querySelector("#faults li")?.textContent.includes("leaves its run")', 'the refusal');
        $this->assertSame('true', $this->find('[name="structures[0][to]"]')->getAttribute('aria-invalid'));
        $this->assertSame('1300', $this->find('[name="structures[0][to]"]')->getAttribute('value'), 'what was typed stays');
        $this->js('document.querySelector(\'[name="structures[0][kind]"]\').value = "bridge"');
        $this->type('[name="structures[0][to]"]', '260');
        $this->type('[name="structures[0][more]"]', '2');
        $this->touch($this->find('.pick-form .btn'));
        $this->assertEquals(2, $main->fresh()?->structures[0]['piers']);
        $this->assertCount(2, $this->js('return [...document.querySelectorAll("#profile .pier")]'));
        $this->assertQuietConsole();
    }

    public function test_a_wall_is_placed_an_edge_fixed_and_a_candidate_taken(): void
    {
        $section = $this->demo();
        $this->land($section);
        $this->touch($this->button('Place the wall'));
        $this->until('!document.querySelector(".inspector").textContent.includes("Wall needed")', 'the finding to go');
        $this->assertNotNull($this->find('#plan .wall.placed'));
        $this->touch($this->find('.edges-table tr:nth-child(4) .link'));
        $this->until('document.querySelector(".edges-table tr:nth-child(4)").textContent.includes("fixed at")', 'the edge to be fixed');
        $this->touch($this->find('.edges-table tr:nth-child(4) .link + .link'));
        $birch = Layout::query()->firstOrFail()->sections()->where('name', 'Birch Cutting')->firstOrFail();
        $this->assertArrayHasKey('left', $birch->edges);
        $spot = LandFeature::query()->where('name', 'Birch bank')->firstOrFail();
        $this->land($section, "?pick={$spot->uid}");
        $this->find('.inspector a.link')->click();
        $this->until('document.querySelectorAll(".candidate").length === 4', 'four cards');
        $this->find('.candidate:nth-child(3) .btn')->click();
        $this->until('document.querySelector("#pick-height")?.value === "185"', 'the land with what was taken');
        $this->assertEquals(185, $spot->fresh()?->points[0]['z_mm']);
        $this->assertQuietConsole();
    }

    public function test_the_relief_turns_and_what_is_hidden_is_shown(): void
    {
        $section = $this->demo();
        $this->land($section);
        $this->touch($this->find('[data-turn]'));
        $this->until(
            'document.querySelector("#turn").dataset.drawn === "true" || document.querySelector("#turn").dataset.plain === "true"',
            'a relief, or the plain picture',
            15,
        );
        $before = (string) $this->js('return document.querySelector("#turn canvas").toDataURL()');
        $this->js('document.querySelector("#turn canvas").focus()');
        $this->press(WebDriverKeys::ARROW_LEFT);
        $this->assertNotSame('', $before);
        $this->touch($this->find('[data-turn]'));
        $this->assertFalse($this->find('#turn')->isDisplayed());
        $this->js(
            'const t = document.querySelector("[data-tint]"); t.value = "sight"; t.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        $this->until('document.querySelector(".inspector").textContent.includes("Land seen from front")', 'what is seen');
        $this->assertNotNull($this->find('#plan .tint-sight-0'));
        $this->assertQuietConsole();
    }

    public function test_a_drawing_is_brought_in_or_refused_with_its_reason(): void
    {
        $section = $this->begin();
        $file = sys_get_temp_dir().'/idle-ridge-line.dxf';
        $bring = function (string $text, string $answer) use ($file): void {
            file_put_contents($file, $text);
            $input = $this->find('#bring-file');
            $input->setFileDetector(new LocalFileDetector());
            $input->sendKeys($file);
            $this->button('Bring in')->click();
            $this->until("document.readyState === 'complete' && document.querySelector('{$answer}')", 'an answer');
        };
        $this->land($section);
        $bring("0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF\n", '#bring-fault');
        $this->assertStringContainsString('There is no polyline in the file', $this->find('#bring-fault')->getText());
        $bring(
            implode("\n", [
                '0',
                'LWPOLYLINE',
                '8',
                'Quay',
                '70',
                '0',
                '10',
                '0',
                '20',
                '150',
                '10',
                '600',
                '20',
                '150',
                '42',
                '0.1',
                '10',
                '900',
                '20',
                '220',
                '0',
                'EOF',
            ]),
            '.said',
        );
        $this->assertMatchesRegularExpression(
            '/“Quay” laid with 2 pieces; its furthest point lies 0(\.\d+)? mm off/',
            $this->find('.said')->getText(),
        );
        $this->assertSame('Quay', Run::query()->firstOrFail()->name);
        unlink($file);
        $this->assertQuietConsole();
    }

    /** A layout with one board and two hills. */
    private function begin(): Section
    {
        $this->beginBare('Moss End');
        $section = Layout::query()->firstOrFail()->sections()->firstOrFail();
        $this->draw('spot', [[300, 450]], '');
        $this->type('#pick-height', '90');
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector(".facts .fig").textContent >= 89', 'the hill to stand');

        return $section;
    }

    /** @param  list<array{float|int, float|int}>  $points */
    private function draw(string $tool, array $points, string $end = WebDriverKeys::ENTER): void
    {
        $this->touch($this->find("[data-tool=\"{$tool}\"]"));
        foreach ($points as [$x, $y]) {
            $this->touchPlan((float) $x, (float) $y);
        }
        if ($end !== '') {
            $this->press($end);
        }
    }
}
