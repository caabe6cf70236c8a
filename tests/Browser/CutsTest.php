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
}
