<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Layout;
use Facebook\WebDriver\WebDriverKeys;

/** The first ten minutes, given only the address. */
final class BeginningTest extends BrowserCase
{
    public function test_from_nothing_to_land_that_is_cut_and_planned_in_fifteen_actions(): void
    {
        $this->visit('/');
        $this->touch($this->button('Begin a layout'));
        $this->assertSame(
            $this->js('return Intl.DateTimeFormat().resolvedOptions().timeZone'),
            $this->find('[data-browser-zone]')->getAttribute('value'),
        );
        $this->touch($this->find('#f-board-curve-through-cutting'));
        $this->touch($this->button('Begin'));
        $this->until('document.querySelector("#plan .run, #plan .tr, #profile")', 'land with its track');
        $this->assertStringContainsString('its foam is on Cuts', $this->find('.said')->getText());
        $this->assertStringContainsString('land and track agree', $this->find('main')->getText());
        $this->press('3');
        $this->until('document.querySelector("#stack .layer")', 'layers of foam');
        $this->press('4');
        $this->touch($this->find('.add-coat .btn, form .btn.quiet'));
        $this->until('document.querySelector("#cores").textContent.includes("0 of")', 'its coats');
        $this->press('5');
        $this->touch($this->find('[name="weekdays[]"][value="3"]'));
        $this->touch($this->find('[name="weekdays[]"][value="6"]'));
        $this->touch($this->find('.weekly .btn'));
        $this->until('document.querySelectorAll(".dusk-line .work").length > 0', 'moves on the line');
        $this->assertLessThanOrEqual(15, $this->actions);
        $layout = Layout::query()->firstOrFail();
        $this->assertSame('Curve through a cutting', $layout->name);
        $this->assertQuietConsole();
    }

    public function test_from_a_bare_board_it_takes_thirty_actions_at_most(): void
    {
        $this->beginBare('Bare');
        $this->touch($this->find('[data-tool="run"]'));
        $this->touchPlan(0.0, 200.0);
        $this->touchPlan(1100.0, 300.0);
        $this->touch($this->find('[data-tab="grade"]'));
        $this->type('[name="start_height"]', '40');
        $this->type('[name="grade_points[0][station]"]', '1000');
        $this->type('[name="grade_points[0][height]"]', '2.2 %');
        $this->touch($this->find('.pick-form .btn'));
        $this->until('document.querySelector("#profile").textContent.includes("+2.2 %")', 'a graded run');
        $this->touch($this->find('[data-tool="spot"]'));
        $this->touchPlan(700.0, 480.0);
        $this->type('#pick-height', '140');
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector(".facts .fig").textContent >= 139', 'the hill');
        $this->touch($this->find('[data-key="3"]'));
        $this->until('document.querySelector("#stack .layer")', 'layers of foam');
        $this->touch($this->find('[data-key="4"]'));
        $this->assertSame('The board', $this->find('.coat-sheet [name="name"]')->getAttribute('value'));
        $this->touch($this->button('Add the zone'));
        $this->until('document.querySelector(".add-coat .btn")', 'a zone to lay on');
        $this->touch($this->find('.add-coat .btn'));
        $this->until('document.querySelector("#cores").textContent.includes("0 of")', 'its coats');
        $this->touch($this->find('[data-key="5"]'));
        $this->touch($this->find('[name="weekdays[]"][value="3"]'));
        $this->touch($this->find('.weekly .btn'));
        $this->until('document.querySelectorAll(".dusk-line .work").length > 0', 'moves on the line');
        $this->assertLessThanOrEqual(30, $this->actions);
    }

    public function test_boards_follow_what_is_answered(): void
    {
        $this->visit('/begin');
        $this->assertSame('1200', $this->find('#f-width_mm')->getAttribute('value'));
        $this->touch($this->find('[name="units"][value="imperial"]'));
        $this->until('document.querySelector("#f-width_mm").value === "48\""', 'inches');
        $this->assertStringContainsString('ft', $this->find('#begin-size')->getText());
        $this->touch($this->find('[name="units"][value="metric"]'));
        $this->until('document.querySelector("#f-width_mm").value === "1200"', 'millimetres');
        $this->touch($this->button('1:22.5'));
        $this->until('document.querySelector("#begin-gauge").textContent.includes("63.8 mm")', 'its gauge');
        $this->type('#f-depth_mm', '300');
        $this->js('document.querySelector("#f-depth_mm").dispatchEvent(new Event("change", {bubbles: true}))');
        $this->until('document.querySelector("#begin-live").textContent.includes("deep at least")', 'what the scale needs');
        // What cannot be is said beside its field, and nothing that was typed is lost.
        $this->type('#f-name', 'Garden');
        $this->touch($this->button('Begin'));
        $this->until('document.querySelector("#f-depth_mm-fault")', 'the fault');
        $this->assertStringContainsString('deep at least', $this->find('#f-depth_mm-fault')->getText());
        $this->assertSame(['300', 'Garden', '22.5'], array_map(
            fn (string $id): ?string => $this->find($id)->getAttribute('value'),
            ['#f-depth_mm', '#f-name', '#f-ratio'],
        ));
        $this->assertSame(0, Layout::query()->count());
        $this->assertQuietConsole();
    }
}
