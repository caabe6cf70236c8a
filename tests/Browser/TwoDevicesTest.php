<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\Land\SaveLandFeature;
use App\Actions\Plan\SaveCoatApplication;
use App\Computed\Plan\ComputedPlan;
use App\Models\LandFeature;
use App\Models\Layout;
use Facebook\WebDriver\WebDriverKeys;

/**
 * What is done on another device shows here, takes nothing out of one's hands, and is not overwritten. The other device is this process.
 */
final class TwoDevicesTest extends BrowserCase
{
    public function test_tonight_follows_what_is_begun_and_done_elsewhere(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $move = app(ComputedPlan::class)->plan($layout)->moves[0]->move;
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->find('#land')->click();
        app(SaveCoatApplication::class)->start($layout, $move->id);
        $this->until('document.querySelector(".tonight form[action$=\"/done\"]")', 'the move that was begun elsewhere');
        // Who was about to begin it here is told, and shown how it stands.
        $this->assertSame(1, $layout->applications()->whereRaw("json_extract(data, '$.ended_at') is null")->count());
        $open = $layout->applications()->whereRaw("json_extract(data, '$.ended_at') is null")->firstOrFail();
        app(SaveCoatApplication::class)->done($layout, $open);
        $this->until('!document.querySelector(".tonight form[action$=\"/done\"]")', 'that it is done');
        $this->assertFalse($this->find('#elsewhere')->isDisplayed());
        $this->assertQuietConsole();
    }

    public function test_what_is_being_typed_is_not_taken_away_and_not_overwritten_unseen(): void
    {
        $section = $this->demo();
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit("/layouts/{$layout->uid}/settings");
        $name = $this->find('[id^="section-"] [name="name"]');
        $name->clear();
        $name->sendKeys('Tarnhead East');
        $this->elsewhere($section->layout_id, 188.0);
        $this->until('!document.getElementById("elsewhere").hidden', 'that it is told');
        $this->assertStringContainsString('Done on another device: Spot set to 188 mm', $this->find('#elsewhere')->getText());
        $this->assertSame('Tarnhead East', $name->getAttribute('value'));
        $this->touch($this->button('Show it'));
        $this->until(
            'document.getElementById("elsewhere").hidden && '
                .'document.querySelector(\'[id^="section-"] [name="name"]\').value === "Tarnhead"',
            'how it stands',
        );
    }

    public function test_keys_pressed_while_a_step_is_under_way_all_count(): void
    {
        $section = $this->demo();
        $this->land($section);
        $crag = LandFeature::query()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $this->js("document.querySelector('#plan [data-uid=\"{$crag->uid}\"]').focus()");
        $z = (float) $crag->points[0]['z_mm'];
        $this->browser->getKeyboard()->sendKeys('+++++++');
        $this->elsewhere($section->layout_id, null);
        $this->browser->getKeyboard()->sendKeys('++--+');
        $this->js("document.querySelector('#plan [data-uid=\"{$crag->uid}\"]').focus()");
        $this->browser->getKeyboard()->sendKeys(WebDriverKeys::ARROW_RIGHT);
        for (
            $k = 0;
            $k < 100 && ((float) $crag->refresh()->points[0]['z_mm'] !== $z + 8.0 || (float) $crag->points[0]['x_mm'] !== 886.0);
            $k++
        ) {
            usleep(100_000);
        }
        $this->assertSame([$z + 8.0, 886.0], [(float) $crag->points[0]['z_mm'], (float) $crag->points[0]['x_mm']]);
        $this->assertQuietConsole();
    }

    /** Somebody changes the crag, or where no height is given another spot, on another device. */
    private function elsewhere(int $layout, ?float $height): void
    {
        $row = LandFeature::query()
            ->where('layout_id', $layout)
            ->where('kind', 'spot')
            ->where('name', $height === null ? '!=' : '=', 'Crag')
            ->firstOrFail();
        $points = $row->points;
        $points[0]['z_mm'] = $height ?? (float) $points[0]['z_mm'] + 1.0;
        $row->points = $points;
        app(SaveLandFeature::class)->save(Layout::query()->findOrFail($layout), $row, "Spot set to {$points[0]['z_mm']} mm");
    }
}
