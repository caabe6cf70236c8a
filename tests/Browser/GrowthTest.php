<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section;
use Facebook\WebDriver\WebDriverKeys;
use IdleRidge\Core\Planting\Stand;

/** A stand planted, a tree dragged and stepped by keys, a fence drawn, all of it put among the work and seen in the relief. */
final class GrowthTest extends BrowserCase
{
    public function test_a_stand_a_tree_a_fence_and_the_relief_with_them(): void
    {
        $tarnhead = $this->demo();
        $layout = Layout::query()->findOrFail($tarnhead->layout_id);
        $section = $layout->sections()->where('name', 'Weir Bend')->firstOrFail();
        $at = "/layouts/{$layout->uid}/sections/{$section->uid}";
        $this->visit("{$at}/growth");
        $this->choose('[name="set"]', 'wet-valley');
        $this->touch($this->button('Plant it'));
        $this->until('document.querySelector("[data-tree]")', 'its trees');
        $stand = $this->stand($layout, $section);
        $this->assertGreaterThan(10, count($stand->trees));
        $this->assertStringContainsString(count($stand->trees).' trees', $this->find('.col.scrolls')->getText());

        // Dragged by hand, then a step by the keys.
        $before = $stand->treesOn($this->board($layout, $section)->placement)[2];
        $this->browser->action()->dragAndDropBy($this->find('[data-tree="2"]'), 40, 25)->perform();
        $this->until('document.querySelector(\'[data-tree="2"].on\')', 'the tree that was dragged');
        $scale = (float) $this->js('return document.getElementById("growth-plan").dataset.scale');
        $wide = (float) $this->js('const p = document.getElementById("growth-plan"); return p.getScreenCTM().a');
        $after = $this->stand($layout, $section)->treesOn($this->board($layout, $section)->placement)[2];
        $this->assertEqualsWithDelta(40.0 / $wide / $scale, $after->x - $before->x, 2.5);
        $this->assertEqualsWithDelta(-25.0 / $wide / $scale, $after->y - $before->y, 2.5);
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $this->until(sprintf('Math.abs(Number(document.querySelector("#f-x").value) - %F) < 0.11', $after->x + 1.0), 'a step to the right');

        // A tree set by hand, and taken out.
        $this->touch($this->find('[data-growth-tool="tree"]'));
        $this->js('const p = document.querySelector("#growth-plan .board").getBoundingClientRect();'
            .'document.querySelector("#growth-plan .board").dispatchEvent(new MouseEvent("click", {bubbles: true, '
            .'clientX: p.left + 0.1 * p.width, clientY: p.top + 0.1 * p.height}))');
        $this->until(sprintf('document.querySelectorAll("[data-tree]").length === %d', count($stand->trees) + 1), 'one more');
        $this->touch($this->button('Take it out'));
        $this->until(sprintf('document.querySelectorAll("[data-tree]").length === %d', count($stand->trees)), 'one less');

        // A fence along a line that is drawn.
        $this->visit("{$at}/growth");
        $this->touch($this->find('[data-growth-tool="line"]'));
        foreach ([[0.1, 0.9], [0.35, 0.85], [0.4, 0.7]] as [$x, $y]) {
            $this->js('const p = document.querySelector("#growth-plan .board").getBoundingClientRect();'
                .'document.querySelector("#growth-plan .board").dispatchEvent(new MouseEvent("click", {bubbles: true, '
                .'clientX: p.left + arguments[0] * p.width, clientY: p.top + arguments[1] * p.height}))', $x, $y);
        }
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector(\'[name="wires_m"]\')', 'the fence');
        $this->assertStringContainsString('posts', $this->find('.col.scrolls')->getText());
        $this->touch($this->button('Put it among the work'));
        $this->until('location.pathname.endsWith("/coats")', 'its coats');
        $this->assertStringContainsString('Poles and fences', $this->find('main')->getText());

        // Back one step each: the fence is no longer among the work, and undone.
        $this->press('u');
        $this->until('! document.querySelector("main").textContent.includes("Poles and fences")', 'undone');

        // The relief has them.
        $this->visit("{$at}/land");
        $this->touch($this->find('[data-turn]'));
        $this->until('document.querySelector("#turn")?.dataset.drawn || document.querySelector("#turn")?.dataset.plain', 'the relief');
        if ($this->js('return document.querySelector("#turn").dataset.drawn') === 'true') {
            $this->choose('[data-wears]', 'done');
            $this->until('document.querySelector("#turn").dataset.worn === "done"', 'its coats', 40);
            $this->touch($this->find('[data-eye]'));
            $this->until('document.querySelector("#turn").dataset.eye === "0"', 'eye level');
        }
        $this->assertQuietConsole();
    }

    private function board(Layout $layout, Section $section): \IdleRidge\Core\Project\Section
    {
        return app(ProjectLoader::class)->of($layout)->section($section->uid);
    }

    private function stand(Layout $layout, Section $section): Stand
    {
        return app(ProjectLoader::class)->works($layout)->growth->standsOn($section->uid)[0];
    }
}
