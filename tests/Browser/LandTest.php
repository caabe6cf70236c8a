<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\Land\SaveLandFeature;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Run;
use Facebook\WebDriver\WebDriverKeys;

final class LandTest extends BrowserCase
{
    public function test_from_nothing_to_land_that_can_be_read_in_forty_actions(): void
    {
        $this->beginBare('Moss End');
        $this->assertStringContainsString('Flat as the board', $this->find('.plan-blank')->getText());

        $this->touch($this->find('[data-tool="run"]'));
        $this->touchPlan(0, 200);
        $this->touchPlan(1100, 300);
        $this->assertSame('Run 1', $this->find('.inspector h2')->getText());
        $this->touch($this->find('[data-tab="grade"]'));
        $this->type('[name="start_height"]', '40');
        $this->type('[name="grade_points[0][station]"]', '1000');
        $this->type('[name="grade_points[0][height]"]', '2.2 %');
        $this->touch($this->find('.pick-form .btn'));
        $this->assertStringContainsString('+2.2 %', $this->find('#profile')->getText());

        $this->touch($this->find('[data-tool="spot"]'));
        $this->touchPlan(700, 480);
        $this->type('#pick-height', '140');
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector(".facts .fig").textContent >= 139', 'the hill to stand');
        $this->touch($this->find('[data-tool="spot"]'));
        $this->touchPlan(300, 60);
        $this->type('#pick-height', '10');
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelectorAll("#plan .ct").length > 0', 'contours');
        $this->touch($this->find('[data-step="10"]'));
        $this->assertMatchesRegularExpression('/Formation, ground at centre\s+\d/', $this->find('.read')->getText());
        $this->assertLessThanOrEqual(40, $this->actions);
        $this->assertQuietConsole();
        $layout = Layout::query()->firstOrFail();
        $this->assertEqualsWithDelta(62.0, $layout->runs()->firstOrFail()->grade_points[0]['height_mm'], 0.01);
    }

    public function test_a_spot_is_dragged_everything_follows_and_undo_brings_it_back(): void
    {
        $section = $this->demo();
        $this->land($section, '?st=850');
        $crag = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $before = $this->find('#cross .terrain')->getAttribute('d');
        $from = $this->onScreen(885, 520);
        $to = $this->onScreen(900, 420);
        self::$bench?->pointer([['move', ...$from], ['down'], ['move', $to[0] - 30, $to[1]]]);
        $this->until('document.querySelector(".title .sub").textContent.includes("preview")', 'a preview');
        $this->assertEquals(885, $crag->fresh()?->points[0]['x_mm'], 'nothing is saved while it is held');
        $this->assertNotSame($before, $this->find('#cross .terrain')->getAttribute('d'));
        self::$bench?->pointer([['move', ...$to], ['up']]);
        $this->until('!document.querySelector(".title .sub").textContent.includes("preview")', 'the saved land');
        $this->assertEqualsWithDelta(900.0, $crag->fresh()?->points[0]['x_mm'], 2.0);
        $this->assertEqualsWithDelta(420.0, $crag->fresh()?->points[0]['y_mm'], 2.0);
        $this->touch($this->find('[data-undo]'));
        $this->assertEquals(885, $crag->fresh()?->points[0]['x_mm']);
        $this->touch($this->find('[data-redo]'));
        $this->assertEqualsWithDelta(900.0, $crag->fresh()?->points[0]['x_mm'], 2.0);
        $this->assertQuietConsole();
    }

    public function test_escape_returns_a_held_grip(): void
    {
        $section = $this->demo();
        $this->land($section);
        $from = $this->onScreen(885, 520);
        self::$bench?->pointer([['move', ...$from], ['down'], ['move', $from[0] - 60, $from[1] + 20]]);
        $this->until('document.querySelector(".title .sub").textContent.includes("preview")', 'a preview');
        $this->press(WebDriverKeys::ESCAPE);
        $this->until('!document.querySelector(".title .sub").textContent.includes("preview")', 'the land as it was');
        self::$bench?->pointer([['up']]);
        $this->settled();
        $this->assertEquals(885, LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail()->points[0]['x_mm']);
    }

    public function test_a_grade_point_is_dragged_in_the_profile(): void
    {
        $section = $this->demo();
        $run = Run::query()->where('name', 'Running line')->firstOrFail();
        $this->land($section, "?run={$run->uid}");
        $from = $this->middle('#profile [data-drag="grade"][data-index="1"] .diamond');
        self::$bench?->pointer([['move', ...$from], ['down'], ['move', $from[0], $from[1] - 10], ['move', $from[0] + 2, $from[1] - 14]]);
        $this->until('document.querySelector(".title .sub").textContent.includes("preview")', 'a preview');
        self::$bench?->pointer([['up']]);
        $this->until('!document.querySelector(".title .sub").textContent.includes("preview")', 'the saved land');
        $this->assertGreaterThan(80.0, $run->fresh()?->grade_points[1]['height_mm']);
    }

    public function test_the_cut_line_slides_by_pointer_key_and_button_in_all_views(): void
    {
        $section = $this->demo();
        $this->land($section, '?st=600');
        $this->press(']');
        $this->until('document.querySelector(".cutflag").textContent === "st 610"', 'st 610');
        $this->press('[');
        $this->press('[');
        $this->until('document.querySelector(".cutflag").textContent === "st 590"', 'st 590');
        $this->touch($this->find('[data-step="10"]'));
        $this->until('document.querySelector(".cutflag").textContent === "st 600"', 'st 600');
        $from = $this->middle('#plan .cutring');
        $to = $this->onScreen(300, 270);
        self::$bench?->pointer([['move', ...$from], ['down'], ['move', ...$to], ['move', ...$to], ['up']]);
        $this->until('Number(document.querySelector(".cutflag").textContent.slice(3)) < 330', 'the cut line at the pointer');
        $station = $this->find('.cutflag')->getText();
        foreach (['#plan', '#profile'] as $view) {
            $this->assertStringContainsString($station, $this->find($view)->getText());
        }
        $this->assertStringContainsString('st=', $this->browser->getCurrentURL(), 'the address keeps the place');
    }

    public function test_nothing_needs_the_mouse(): void
    {
        $section = $this->demo();
        $this->land($section);
        $crag = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $this->js("document.querySelector('#plan [data-uid=\"{$crag->uid}\"]').focus()");
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector("#pick-height")', 'the picked spot');
        $this->until("document.activeElement.dataset.uid === '{$crag->uid}'", 'the focus to come back');
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $this->until("document.activeElement.dataset.uid === '{$crag->uid}'", 'the focus to come back');
        $this->press(WebDriverKeys::SHIFT.WebDriverKeys::ARROW_UP.WebDriverKeys::NULL);
        $this->until("document.activeElement.dataset.uid === '{$crag->uid}'", 'the focus to come back');
        $this->press('+');
        $this->settled();
        $this->assertEquals(['x_mm' => 886, 'y_mm' => 530, 'z_mm' => 209], $crag->fresh()?->points[0]);
        $this->press('u');
        $this->assertEquals(208, $crag->fresh()?->points[0]['z_mm']);
        $this->press('s');
        $this->assertSame('true', $this->find('[data-tool="spot"]')->getAttribute('aria-pressed'));
        $this->press('?');
        $this->assertTrue($this->find('dialog.keys')->isDisplayed());
    }

    public function test_letters_do_nothing_inside_fields(): void
    {
        $section = $this->demo();
        $crag = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $this->land($section, "?pick={$crag->uid}");
        $this->type('[name="name"]', 'such');
        $this->assertSame('true', $this->find('[data-tool="pick"]')->getAttribute('aria-pressed'));
        $this->assertSame('such', $this->find('[name="name"]')->getAttribute('value'));
    }

    public function test_a_ridge_is_drawn_point_by_point(): void
    {
        $section = $this->demo();
        $this->land($section);
        $this->touch($this->find('[data-tool="ridge"]'));
        foreach ([[300, 450], [420, 480], [560, 460]] as [$x, $y]) {
            $this->touchPlan($x, $y);
        }
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector(".inspector h2").textContent === "Ridge line"', 'the ridge line');
        $this->assertCount(3, LandFeature::query()->where('kind', 'ridge')->latest('id')->firstOrFail()->points);
    }

    public function test_a_refusal_stands_beside_its_field_and_keeps_what_was_typed(): void
    {
        $section = $this->demo();
        $crag = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $this->land($section, "?pick={$crag->uid}");
        $this->type('[name="points[0][x]"]', '4000');
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector("#faults li")', 'the refusal');
        $this->assertStringContainsString('outside the board', $this->find('.inspector')->getText());
        $this->assertSame('4000', $this->find('[name="points[0][x]"]')->getAttribute('value'));
        $this->assertSame('true', $this->find('[name="points[0][x]"]')->getAttribute('aria-invalid'));
        $this->assertEquals(885, $crag->fresh()?->points[0]['x_mm']);
    }

    public function test_a_stale_form_shows_both_versions(): void
    {
        $section = $this->demo();
        $crag = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $this->land($section, "?pick={$crag->uid}");
        $crag->points = [['x_mm' => 885, 'y_mm' => 520, 'z_mm' => 180]];
        app(SaveLandFeature::class)->save(Layout::query()->findOrFail($section->layout_id), $crag, 'Spot set to 180 mm');
        $this->type('#pick-height', '150');
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector(".stale")', 'the stale form');
        $this->touch($this->button('Show what stands now'));
        $this->until('document.querySelector("#pick-height").value === "180"', 'what stands now');
        $this->assertEquals(180, $crag->fresh()?->points[0]['z_mm']);
    }

    public function test_a_figure_says_where_it_comes_from(): void
    {
        $this->land($this->demo());
        $this->js('document.querySelector(".facts .fig").focus()');
        $this->until('document.querySelector(".origin-note")', 'the note');
        $this->assertStringContainsString('Highest of the cells, the edges and the points', $this->find('.origin-note')->getText());
    }

    public function test_an_element_is_added_to_a_run_by_typing(): void
    {
        $section = $this->demo();
        $run = Run::query()->where('name', 'Yard siding')->firstOrFail();
        $this->land($section, "?pick={$run->uid}");
        $this->touch($this->button('Arc'));
        $this->press('650');
        $this->press(WebDriverKeys::ENTER);
        $this->until(
            'document.querySelectorAll("[data-rows] tr").length === 2 && !document.querySelector("[data-rows] [name*=\"1001\"]")',
            'the saved arc',
        );
        $this->assertEquals(650, $run->fresh()?->elements[1]['radius_mm']);
    }

    public function test_the_pointer_and_the_tape_say_what_they_measure(): void
    {
        $section = $this->demo();
        $this->land($section, '?tint=slope');
        $this->assertGreaterThan(3, $this->js('return document.querySelectorAll("#plan [class*=tint-slope]").length'));
        self::$bench?->pointer([['move', ...$this->onScreen(600, 500)]]);
        $this->until('document.getElementById("tool-hint").textContent.startsWith("x ")', 'the reading');
        $this->press('t');
        $this->touchPlan(200, 100);
        $this->touchPlan(700, 100);
        $this->until('document.getElementById("tool-hint").textContent.includes("along the ground")', 'the tape');
        $this->assertMatchesRegularExpression('/^(49\d|50\d)(\.\d)? mm in plan/', $this->find('#tool-hint')->getText());
        $this->assertQuietConsole();
    }
}
