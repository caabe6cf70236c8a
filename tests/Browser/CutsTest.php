<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Layout;

final class CutsTest extends BrowserCase
{
    public function test_a_layer_touched_is_laid_flat_and_the_school_changes_the_stack(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->land($section);
        $this->press('3');
        $this->until('document.querySelector("#stack")', 'the stack');
        $this->assertSame('Layer 1, flat', $this->find('.col + .col h2')->getText());
        self::$bench?->pointer([['move', ...$this->middle('#stack [data-layer="6"] .h')], ['down'], ['up']]);
        $this->until('document.querySelector(".col + .col h2").textContent === "Layer 6, flat"', 'layer 6');
        $foam = $this->find('.facts')->getText();
        $this->js('document.querySelector("#f-school").value = "fill"');
        $this->touch($this->button('Cut again'));
        $this->until('document.querySelector(".title .sub").textContent.includes("filled out")', 'the filled stack');
        $this->assertNotSame($foam, $this->find('.facts')->getText());
        $this->assertSame('fill', $layout->fresh()?->cuts['school']);
        $this->assertQuietConsole();
    }

    public function test_sheets_that_cannot_be_are_refused_beside_their_field(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/cuts");
        $this->type('[name="cuts[sheet_mm]"]', '-20');
        $this->touch($this->button('Cut again'));
        $this->assertStringContainsString('must lie between', $this->find('.fault')->getText());
        $this->assertSame('-20', $this->find('[name="cuts[sheet_mm]"]')->getAttribute('value'));
        $this->assertEquals(20, $layout->fresh()?->cuts['sheet_mm']);
    }

    public function test_pieces_are_laid_on_sheets_looked_at_closer_and_stopped(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/cuts?layer=4");
        $this->find('.cut-sheet .tools a:nth-child(3)')->click();
        $this->until('document.querySelectorAll(".sheets .sheet-edge").length > 4', 'sheets with pieces');
        $this->assertNotNull($this->find('.sheets .foam.on'), 'pieces of the layer that is laid flat are marked');
        $this->find('.cut-sheet button.link')->click();
        $this->until('document.querySelector("progress")?.value >= 2', 'two closer looks', 20);
        $this->find('.sheets-foot a.link')->click();
        $this->until('document.querySelector(".cut-sheet")?.textContent.includes("A first layout")', 'it to stop');
        $value = $this->js('return document.querySelector("progress").value');
        $this->assertFalse($this->js('return Boolean(document.querySelector(".cut-sheet [hx-trigger]"))'), 'nothing more is asked for');
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/cuts?on=sheets");
        $this->assertLessThanOrEqual($value + 1, $this->js('return document.querySelector("progress").value'), 'stopped is stopped');
        $this->assertQuietConsole();
    }

    public function test_every_view_of_cuts_is_walked_through_and_the_glue_up_goes_on_the_schedule(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/cuts?layer=5");
        $this->find('.cut-sheet .tools a:nth-child(2)')->click();
        $this->until(
            'document.querySelector("[data-solids]")?.dataset.drawn === "true" || '
                .'document.querySelector("[data-solids]")?.dataset.plain === "true"',
            'the stack to turn',
        );
        $this->js('const s = document.querySelector("[data-apart]"); s.value = 100; s.dispatchEvent(new Event("input", {bubbles: true}))');
        $this->find('.cut-sheet .tools a:nth-child(4)')->click();
        $this->until('document.querySelectorAll(".glue-table tbody tr").length > 9', 'what is glued onto what');
        $this->button('Put it on the schedule')->click();
        $this->until('document.querySelector(".glue-job")?.textContent.includes("On the schedule in")', 'it on the schedule');
        $this->find('.cut-sheet .tools a:nth-child(6)')->click();
        $this->until('document.querySelectorAll(".edges .foam").length === 4', 'a board an edge');
        $this->type('[name="rise"]', '30');
        $this->button('Draw')->click();
        $this->until('location.search.includes("rise=30")', 'boards that stand higher');
        $this->find('.cut-sheet .tools a:nth-child(7)')->click();
        $this->until('document.querySelector(".gravity") && document.querySelector(".carried")', 'the frame and what it weighs');
        $this->assertQuietConsole();
    }

    public function test_foam_is_counted_and_cut_up(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/cuts");
        foreach (['sheet_mm' => '20', 'sheet_width_mm' => '1250', 'sheet_depth_mm' => '600', 'count' => '3'] as $part => $text) {
            $this->type("[name=\"new[{$part}]\"]", $text);
        }
        $this->touch($this->button('Keep the count'));
        $this->until('document.querySelector(".said")?.textContent.includes("Counted")', 'it counted');
        $this->find('.cut-sheet .tools a:nth-child(3)')->click();
        $this->until('document.querySelector(".cut-now")', 'the sheets');
        $this->button('These are cut')->click();
        $this->until('document.querySelector(".said")?.textContent.includes("taken")', 'them to be taken');
        $sheet = $layout->lots()->where('data->kind', 'sheet')->firstOrFail()->uid;
        $this->assertSame(
            0,
            array_sum(
                array_map(
                    fn ($m): int => json_decode($m->data, true)['by'],
                    array_filter(
                        $layout->movements()->get()->all(),
                        fn ($m): bool => json_decode($m->data, true)['lot'] === $sheet,
                    ),
                ),
            ),
        );
        $this->assertQuietConsole();
    }

    public function test_sheets_in_store_change_the_stack_and_a_wrong_one_is_refused_beside_its_row(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/cuts");
        foreach (['sheet_mm' => '50', 'sheet_width_mm' => '1250', 'sheet_depth_mm' => '600'] as $part => $text) {
            $this->type("[name=\"cuts[more][0][{$part}]\"]", $text);
        }
        $this->button('Cut again')->click();
        $this->until('document.querySelector(".title .sub").textContent.includes("× 50")', 'a stack of two thicknesses');
        $this->type('[name="cuts[more][1][sheet_mm]"]', '900');
        $this->type('[name="cuts[more][1][sheet_width_mm]"]', '500');
        $this->type('[name="cuts[more][1][sheet_depth_mm]"]', '500');
        $this->button('Cut again')->click();
        $this->until('document.querySelector(".stock .fault")?.textContent.includes("must lie between 3 mm and 200 mm")', 'the refusal');
        $this->assertQuietConsole();
    }
}
