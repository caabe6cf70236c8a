<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Computed\ProjectLoader;
use App\Models\Layout;

final class CoatsTest extends BrowserCase
{
    public function test_a_build_up_is_made_breaks_a_rule_and_is_mended(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $coats = "/layouts/{$layout->uid}/sections/{$section->uid}/coats";
        $this->visit("{$coats}?edit=new");
        $this->type('[name="name"]', 'Bog');
        $this->type('[name="damp"]', '10');
        $this->touch($this->button('Add the zone'));
        $this->until('document.querySelector(".zone-row[aria-current]")?.textContent.includes("Bog")', 'the new zone');
        // Fibres from long to short hang in one another.
        foreach (['fibre-6mm', 'fibre-2mm'] as $fibre) {
            $this->choose('#f-recipe', $fibre);
            $this->find('.add-coat button')->click();
            $this->until('document.querySelector(".coat-sheet h2")?.textContent.startsWith("Fibre")', $fibre);
        }
        $this->until('document.querySelector(".finding")?.textContent.includes("belongs under")', 'the order to be wrong');
        $this->button('Earlier')->click();
        $this->until(
            '! [...document.querySelectorAll(".finding")].some((f) => f.textContent.includes("belongs under"))',
            'the order to be right',
        );
        $works = app(ProjectLoader::class)->works($layout);
        $bog = array_values(array_filter($works->zones, fn ($z): bool => $z->name === 'Bog'))[0];
        $this->assertSame(['fibre-2mm', 'fibre-6mm'], array_map(fn ($c): string => $c->recipe->id, $works->coatsOf($bog->uid)));
        $this->assertQuietConsole();
    }

    public function test_a_school_is_compared_and_taken_and_a_figure_made_ones_own(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/coats");
        $this->find('.meta.links a')->click();
        $this->until('document.querySelectorAll(".school-table thead th").length >= 2', 'schools side by side');
        $this->choose('#f-question', 'grass');
        $this->button('Compare')->click();
        $this->until('document.querySelector(".school-table thead th")?.textContent.includes("Patches")', 'the schools of grass');
        $this->find('.school-table form button')->click();
        $this->until('document.querySelector(".said")?.textContent.includes("on the zone")', 'its coats on the zone');
        $this->visit("/layouts/{$layout->uid}/library?recipe=fibre-6mm");
        $rows = 'return [...document.querySelectorAll("#all-recipes [data-row]")].filter((row) => row.offsetParent !== null).length';
        $all = $this->js($rows);
        $this->type('[data-filter]', 'GLOSS medium');
        $left = '[...document.querySelectorAll("#all-recipes [data-row]:not([hidden])")]';
        $this->until("{$left}.length < {$all}", 'fewer recipes are left');
        $this->assertTrue($this->js("return {$left}.length > 0 && {$left}.every((row) => /gloss/i.test(row.textContent))"));
        $this->assertLessThan(4, $this->js('return document.querySelectorAll("#all-recipes [data-rows]:not([hidden])").length'));
        $clear = 'const f = document.querySelector("[data-filter]"); f.value = ""; '
            .'f.dispatchEvent(new Event("input", { bubbles: true }))';
        $this->js($clear);
        $this->assertSame($all, $this->js($rows));
        $this->type('[name="parts[1][value]"]', '95');
        $this->touch($this->button('Keep as yours'));
        $this->until('document.querySelector(".library-one .meta")?.textContent === "yours"', 'the figure to be ones own');
        $this->assertSame('95', $this->find('[name="parts[1][value]"]')->getAttribute('value'));
        $this->assertQuietConsole();
    }
}
