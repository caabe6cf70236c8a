<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Computed\Plan\ComputedPlan;
use App\Computed\Plan\ComputedPots;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Pots\PotOffer;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\Store;

final class PotsTest extends BrowserCase
{
    public function test_a_pot_from_two_lots_on_the_scale_laid_and_taken_back(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $this->clock('2026-10-14T17:31:00Z');
        // White glue is nearly empty: the pot takes the rest of it and opens the next.
        $old = $this->store($layout)->lotsOf('white glue')[0];
        $this->visit("/layouts/{$layout->uid}/shelf?lot={$old->uid}");
        $this->type('[name="amount"]', '3');
        $this->touch($this->button('Count it'));
        $this->until('document.querySelector(".said")', 'that it was counted');
        $this->assertEqualsWithDelta(3.0, $this->store($layout)->amount($old->uid), 1e-6);

        // The scale at the bench.
        $this->visit("/layouts/{$layout->uid}/pots");
        $this->touch($this->find('#cups-sheet details:last-of-type summary'));
        $this->type('[name="scale"]', (string) self::$bench?->scale());
        $this->touch($this->find('#cups-sheet details:last-of-type .btn'));
        $this->until('document.querySelector(".said")', 'that the scale is set');
        self::$bench?->weigh(0.0);
        $offer = $this->glue($layout);
        [$glue, $water] = $offer->plan->lines();
        $this->visit("/layouts/{$layout->uid}/pots?pot={$offer->id}&cup=500");
        $this->until('document.querySelector("#weigh .reading")', 'what the scale shows');
        $this->until('document.querySelector("#weigh .nm").textContent.includes("White glue")', 'the first of it');
        self::$bench?->weigh(round((float) $glue->scale / 2.0, 1));
        $this->until('Number(document.querySelector("#weigh .there").getAttribute("width")) > 40', 'the bar half full');
        self::$bench?->weigh(round((float) $glue->scale, 1));
        $this->until('document.querySelector("#weigh .nm").textContent.includes("Water")', 'that it steps on by itself');
        self::$bench?->weigh(round((float) $water->scale, 1));
        $this->until('document.querySelector("#weigh .nm").textContent.includes("All of it is in")', 'the end of it');
        $before = $this->stock($layout);
        $this->touch($this->button('Mixed'));
        $this->until('document.querySelector("#standing")', 'the pot standing');
        $pot = $this->store($layout)->pots()[0];
        $this->assertEqualsWithDelta($before['white glue'], $this->stock($layout)['white glue'], 1e-6);
        $this->assertSame(0.0, $this->store($layout)->amount($old->uid), 'the old bottle is empty');
        $this->assertNotNull($this->store($layout)->lotsOf('white glue')[0]->openedAt, 'the new one is open');

        // The move it was for, begun and done: the pot has less, the coat knows both lots.
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->touch($this->button('Start move 1'));
        $this->until('document.querySelector("#now")', 'the move');
        $this->clock('2026-10-14T17:55:00Z');
        $laid = array_values(array_filter($this->works($layout)->laid, fn ($l): bool => $l->endedAt === null))[0];
        $this->touch($this->button('Done'));
        $this->until('! document.querySelector("#now")', 'that it is done');
        $this->assertLessThan($pot->made, $this->store($layout)->amount($pot->uid));
        $lots = array_filter($this->store($layout)->lotsIn($laid->uid), fn (MaterialLot $l): bool => $l->material === 'white glue');
        $this->assertCount(2, $lots);
        $this->visit("/layouts/{$layout->uid}/journal");
        $this->assertStringContainsString('white glue bought', $this->find('.journal-sheet')->getText());
        $this->visit("/layouts/{$layout->uid}/shelf");
        $this->assertStringContainsString('white glue', $this->find('.needs')->getText());

        // Two steps back: the move, its begin; then the pot.
        $this->press('u');
        $this->until('document.querySelector(".said")', 'that it was undone');
        $this->assertEqualsWithDelta($pot->made, $this->store($layout)->amount($pot->uid), 1e-6);
        $this->assertSame([], $this->store($layout)->lotsIn($laid->uid));
        $this->press('u');
        $this->until('! document.querySelector(".elsewhere:not([hidden])")', 'quiet');
        $this->press('u');
        $this->until('true', 'the last step');
        $this->assertEquals($before, $this->stock($layout));
        $this->assertQuietConsole();
    }

    public function test_a_phone_shows_what_to_weigh_first(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $this->window(390, 844);
        $this->visit("/layouts/{$layout->uid}/pots");
        $at = 'return document.querySelector(arguments[0]).getBoundingClientRect().top';
        $top = fn (string $css): float => (float) $this->js($at, $css);
        $this->assertLessThan($top('.pots-list'), $top('#pot'));
        $size = (float) $this->js('return parseFloat(getComputedStyle(document.querySelector(".scale")).fontSize)');
        $this->assertGreaterThan(40.0, $size);
        $button = $this->js('const r = document.querySelector(".lead").getBoundingClientRect(); return [r.height, r.bottom]');
        $this->assertGreaterThanOrEqual(56.0, $button[0]);
        $this->assertLessThanOrEqual(844.0, $button[1]);
        foreach (['pots', 'shelf', 'shelf/shopping'] as $page) {
            $this->visit("/layouts/{$layout->uid}/{$page}");
            $this->assertFalse($this->js('return document.scrollingElement.scrollWidth > innerWidth + 1'), "{$page} scrolls sideways");
        }
    }

    private function glue(Layout $layout): PotOffer
    {
        $plan = app(ComputedPlan::class)->plan($layout);
        foreach (app(ComputedPots::class)->asked($plan, ComputedPots::SESSION, 500.0) as $offer) {
            if ($offer->plan !== null && $offer->mixture->title === 'white glue 1:3 with water') {
                return $offer;
            }
        }
        $this->fail('No glue is thinned.');
    }

    private function works(Layout $layout): Works
    {
        return app(ProjectLoader::class)->works($layout->refresh());
    }

    private function store(Layout $layout): Store
    {
        return $this->works($layout)->store;
    }

    /** @return array<string, float> */
    private function stock(Layout $layout): array
    {
        return $this->store($layout)->stock(intdiv((int) strtotime('2026-10-14T17:31Z'), 60));
    }
}
