<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Plan\BenchPlan;
use Tests\Drawn;

/** From a picture of one board to another that matches it, and from a check that fails to the card that goes with the board. */
final class JournalTest extends BrowserCase
{
    public function test_a_picture_a_note_a_colour_for_another_board_and_a_check_that_fails(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $this->clock('2026-10-14T17:31:00Z');

        // A picture beside what it tells of, with a note and a judgement.
        $this->visit("/layouts/{$layout->uid}/journal?words=Earth+paint+on+Birch");
        $this->touch($this->find('.entry .what'));
        $this->until('document.querySelector("#entry")', 'the entry');
        $this->find('#f-picture')->sendKeys(Drawn::jpeg(1600, 1200, '#6e583e'));
        $this->type('.taking [name="caption"]', 'Bank in lamplight');
        $this->touch($this->button('Put it in the journal'));
        $this->until('document.querySelector(".photo-page .touch img")?.complete', 'the picture');
        // Its colour: the ground, then the card.
        $this->js('document.querySelector(".touch").dispatchEvent(new MouseEvent("click", {bubbles: true, clientX: 500, clientY: 520}))');
        $this->until('document.querySelector(".mixes")', 'what mixes to it');
        $photo = $this->journal($layout)->photos[count($this->journal($layout)->photos) - 1];
        $this->assertSame('Bank in lamplight', $photo->caption);
        $this->assertNotNull($photo->patch);
        $this->js('document.querySelector(\'[name="what"][value="white"]\').checked = true');
        $this->js(
            'const b = document.querySelector(".touch img").getBoundingClientRect();'
                .'document.querySelector(".touch").dispatchEvent('
                .'new MouseEvent("click", {bubbles: true, clientX: b.left + b.width * 0.06, clientY: b.top + b.height * 0.06}))',
        );
        $this->until('document.querySelector("#colour").textContent.includes("balanced by the white card")', 'the balance');
        $this->touch($this->button('To the palette'));
        $this->until('location.pathname.endsWith("/palette")', 'the palette');
        $this->assertStringContainsString('Bank in lamplight', $this->find('main')->getText());
        $this->visit("/layouts/{$layout->uid}/journal?entry={$photo->entry}");
        $this->type('#f-note', 'A second thin coat, and it is even.');
        $this->touch($this->find('[name="verdict"][value="would do again"]'));
        $this->touch($this->button('Write it down'));
        $this->until('document.querySelector(".entry-sheet .note")', 'the note');
        $this->assertStringContainsString('would do again', $this->find('.entry-sheet')->getText());

        // The same on another board.
        $this->touch($this->find('.more-ways a'));
        $this->until('document.querySelector(".matching")', 'what is matched');
        $meadow = array_column(app(ProjectLoader::class)->works($layout)->zones, 'uid', 'name')['Meadow'];
        $this->choose('[name="to"]', $meadow);
        $this->touch($this->button('Hold them together'));
        $this->until('document.querySelector(".match-shots")', 'both pictures');
        $this->assertStringContainsString('ΔE', $this->find('.match-shots')->getText());

        // A check fails: the plan holds back, a job stands on Tonight; it is put right, and the plan goes on.
        $this->visit("/layouts/{$layout->uid}/rounds");
        $before = $this->plan($layout);
        $asks = $this->find('.asked h2')->getText();
        $this->touch($this->find('.answers summary'));
        $this->type('.wrong-fields [name="note"]', 'The lead is broken');
        $this->type('.wrong-fields [name="minutes"]', '25');
        $this->touch($this->button('It is not right'));
        $this->until('document.querySelector(".mends")', 'what is to be put right');
        $held = $this->plan($layout);
        $this->assertCount(1, $held->mends);
        $this->assertNotSame([], $held->work->mending->heldBack);
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->assertStringContainsString($asks, $this->find('.mends')->getText());
        $this->assertStringContainsString('25 min', $this->find('.mends')->getText());
        $this->touch($this->button('Right now'));
        $this->until('! document.querySelector(".mends")', 'that it is right');
        $this->assertEquals($before->at(), $this->plan($layout)->at());

        // The card that goes with the board.
        $board = $layout->sections()->where('name', 'Tarnhead')->firstOrFail();
        $this->visit("/layouts/{$layout->uid}/rounds/sections/{$board->uid}");
        $this->js('window.print = () => { document.body.dataset.printed = "yes"; }');
        $this->touch($this->button('Print'));
        $this->assertSame('yes', $this->js('return document.body.dataset.printed'));
        $this->assertStringContainsString('Gloss medium on Tarn', $this->find('.card-a5')->getText());
        $this->visit("/layouts/{$layout->uid}/journal/sections/{$board->uid}");
        $this->assertStringContainsString('A second thin coat', $this->find('.history')->getText());

        // Anything is a stroke away.
        $this->press('/');
        $this->until('document.querySelector(".finder[open]")', 'the search');
        $this->type('.finder input', 'crag');
        $this->until('document.querySelector("#found a")', 'what was found');
        $this->touch($this->find('#found a'));
        $this->until('! document.querySelector(".history")', 'where it leads');
        $this->assertQuietConsole();
    }

    public function test_rounds_are_walked_with_one_thumb(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $this->window(390, 844);
        $this->visit("/layouts/{$layout->uid}/rounds");
        $asks = $this->find('.asked h2')->getText();
        $right = $this->js('const r = document.querySelector(".answers .btn").getBoundingClientRect(); return [r.height, r.bottom]');
        $this->assertGreaterThanOrEqual(56.0, $right[0]);
        $this->assertLessThanOrEqual(844.0, $right[1]);
        $this->touch($this->button('Right'));
        $this->until('document.querySelector(".asked h2") && document.querySelector(".said")', 'the next');
        $this->assertNotSame($asks, $this->find('.asked h2')->getText().$this->find('.asked .where')->getText());
        $board = $layout->sections()->firstOrFail();
        foreach (['rounds', 'journal', 'trials', "rounds/sections/{$board->uid}", "journal/sections/{$board->uid}"] as $page) {
            $this->visit("/layouts/{$layout->uid}/{$page}");
            $this->assertFalse($this->js('return document.scrollingElement.scrollWidth > innerWidth + 1'), "{$page} scrolls sideways");
        }
        $this->assertQuietConsole();
    }

    private function journal(Layout $layout): Journal
    {
        return app(ProjectLoader::class)->complete($layout->refresh())->works->journal;
    }

    private function plan(Layout $layout): BenchPlan
    {
        return app(ComputedPlan::class)->plan($layout->refresh());
    }
}
