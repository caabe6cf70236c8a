<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\LandFeature;
use App\Models\Layout;
use Facebook\WebDriver\WebDriverKeys;

/** A tarn drawn up to the edge of a board, poured in three layers, dated, and spilled by moving its bank; a mirror at a stream's end. */
final class WaterTest extends BrowserCase
{
    public function test_a_tarn_with_a_dam_three_pours_and_a_date_until_its_bank_is_moved(): void
    {
        $tarnhead = $this->demo();
        $layout = Layout::query()->findOrFail($tarnhead->layout_id);
        $section = $layout->sections()->where('name', 'Weir Bend')->firstOrFail();
        $at = "/layouts/{$layout->uid}/sections/{$section->uid}";
        $this->visit("{$at}/land");
        $this->touch($this->find('[data-tool="water"]'));
        foreach ([[580, 1], [700, 1], [690, 90], [590, 90]] as [$x, $y]) {
            $this->touchPlan((float) $x, (float) $y);
        }
        $this->press(WebDriverKeys::ENTER);
        $this->until('document.querySelector(".inspector h2")?.textContent.includes("Water")', 'the water');
        $this->type('[name="name"]', 'Lily pool');
        $this->touch($this->find('.pick-form .btn'));
        $pool = LandFeature::query()->where('name', 'Lily pool')->firstOrFail();

        $this->touch($this->button('Made of what, and when?'));
        $this->until('document.querySelector(".page.water")', 'its page');
        $words = $this->find('.col.scrolls')->getText();
        $this->assertStringContainsString('Lily pool', $words);
        $this->assertStringContainsString('front, from', $words, 'a dam where the edge cuts it off');
        $this->assertSame(3, $this->js('return [...document.querySelectorAll(".water-steps b")].filter((b) => '
            .'b.textContent.startsWith("Pour")).length'));
        $this->assertSame(3, $this->js('return document.querySelectorAll(".water-cut .pour").length'));
        $this->assertGreaterThan(0, $this->js('return document.querySelectorAll(".dam").length'));

        // A depth that cannot be is said beside its field, and what was typed stays.
        $this->type('[name="fill"]', '0.1');
        $this->touch($this->button('Plan it so'));
        $this->until('document.querySelector("#f-fill-fault")', 'a word beside the field');
        $this->assertSame('0.1', $this->find('[name="fill"]')->getAttribute('value'));
        $this->type('[name="fill"]', '');
        $this->find('[name="fill"]')->clear();
        $this->touch($this->button('Plan it so'));
        $this->touch($this->button('Put it among the work'));
        $this->until('location.pathname.endsWith("/coats")', 'its coats');
        $this->assertStringContainsString('Resin pour', $this->find('main')->getText());

        $this->visit("{$at}/water?pick={$pool->uid}");
        $this->assertStringContainsString('clear through by', $this->find('.col.scrolls')->getText(), 'a date');

        // The low side of the bank goes out onto lower ground.
        $this->visit("{$at}/land?pick={$pool->uid}");
        foreach ($pool->fresh()?->points ?? [] as $k => $point) {
            if ($point['x_mm'] - 2200.0 < 620.0 && $point['y_mm'] > 20.0) {
                $this->type("[name=\"points[{$k}][x]\"]", '440');
            }
        }
        $this->touch($this->find('.pick-form .btn'));
        $this->visit("{$at}/water?pick={$pool->uid}");
        $this->assertStringContainsString('It runs out', $this->find('.col.scrolls')->getText());
        $this->assertNotNull($this->find('.spill-way.runs'));
        $this->press('u');
        $this->until('! document.querySelector(".col.scrolls").textContent.includes("It runs out")', 'undone');
        $this->assertQuietConsole();
    }

    public function test_a_mirror_at_the_end_of_the_burn_is_turned_until_nobody_sees_himself(): void
    {
        $tarnhead = $this->demo();
        $layout = Layout::query()->findOrFail($tarnhead->layout_id);
        $section = $layout->sections()->where('name', 'Weir Bend')->firstOrFail();
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/land");
        $this->press('W');
        $this->until('document.querySelector(".page.water")', 'the water by its key');
        $mirror = $layout->mirrors()->firstOrFail()->uid;
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/water?mirror={$mirror}");
        $this->assertStringContainsString('is the scene', $this->find('.col.scrolls')->getText());
        $this->assertGreaterThan(0, $this->js('return document.querySelectorAll(".mirror-line.scene").length'));
        $this->type('[name="facing_deg"]', '100');
        $this->touch($this->button('Set it so'));
        $this->until('document.querySelector(".fault")', 'a word about the way it faces');
        $this->assertStringContainsString('faces no one', $this->find('.col.scrolls')->getText());
        $this->touch($this->find('[form="turn-mirror"]'));
        $this->until('document.querySelector(".col.scrolls").textContent.includes("is the scene")', 'the scene again');
        $this->assertQuietConsole();
    }
}
