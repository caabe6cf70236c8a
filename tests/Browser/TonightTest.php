<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Computed\ProjectLoader;
use App\Models\JsonRecord;
use App\Models\Layout;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Journal\JournalEntry;
use Illuminate\Database\Eloquent\Relations\HasMany;

final class TonightTest extends BrowserCase
{
    public function test_from_nothing_to_a_finished_move_and_back_after_a_restart(): void
    {
        $this->beginBare('Trial shelf');
        // Land: track, its grade, a hill.
        $this->touch($this->button('Run'));
        $this->touchPlan(20, 150);
        $this->touchPlan(1180, 150);
        $this->touch($this->button('Grade'));
        $this->type('[name="start_height"]', '30');
        $this->touch($this->find('.inspector .btn'));
        $this->touch($this->button('Spot'));
        $this->touchPlan(600, 450);
        $this->type('#pick-height', '110');
        $this->press("\u{E007}");
        $this->until('document.querySelector("#pick-height").value.startsWith("110")', 'the hill');
        // Cuts, and what they come to.
        $this->press("\u{E00C}");
        $this->browser->executeScript('document.activeElement.blur()');
        $this->press('3');
        $this->until('document.querySelector("#stack .layer")', 'layers of foam');
        // Coats: one zone beside the track by rule, with a build-up.
        $this->press('4');
        $this->type('#f-name', 'Hillside');
        $this->pick('#f-near', 'any');
        $this->type('#f-near_from', '26');
        $this->type('#f-near_to', '400');
        $this->pick('#f-build_up', 'meadow');
        $this->touch($this->button('Add the zone'));
        $this->until('document.querySelector("#cores")', 'a core sample');
        $this->assertStringContainsString('0 of 5 laid', $this->find('#cores')->getText());
        // When there are hands: Wednesday and Saturday.
        $this->press('5');
        $this->assertStringContainsString('Nothing can be planned: add an evening', $this->find('main')->getText());
        $this->touch($this->find('[name="weekdays[]"][value="3"]'));
        $this->touch($this->find('[name="weekdays[]"][value="6"]'));
        $this->touch($this->find('.weekly .btn'));
        $this->until('document.querySelectorAll(".dusk-line .work").length > 0', 'moves on the line');
        // Tonight: begin, finish.
        $this->press('1');
        $this->until('document.querySelector("#window")', 'the lit window');
        $this->clock('2026-10-14T17:31:00Z');
        $this->touch($this->button('Start move 1'));
        $this->until('document.querySelector("#now")', 'the current move');
        $this->clock('2026-10-14T19:20:00Z');
        $this->touch($this->find('.title .lead .btn'));
        $this->until('document.querySelector(".said")', 'that it is done');
        $this->assertStringContainsString('wet', $this->find('.dr-list')->getText());
        $this->assertLessThanOrEqual(80, $this->actions, 'actions of a new user');
        $this->assertSame(30, $this->actions, 'the guide says how many it takes');
        $this->assertQuietConsole();

        self::$bench?->restart();
        $layout = Layout::query()->firstOrFail();
        $this->visit("/layouts/{$layout->uid}/tonight");
        $works = app(ProjectLoader::class)->complete($layout)->works;
        $this->assertSame(['done'], array_map(fn (JournalEntry $e): string => $e->kind->value, $works->journal->entries));
        $this->assertNotNull($works->laid[0]->endedAt);
        $this->assertStringContainsString('wet', $this->find('.dr-list')->getText());
        // And back: undone after the restart, with an entry against it.
        $this->press('u');
        $this->until('document.querySelector("#now")', 'the move open again');
        $this->assertSame(
            ['done', 'undone'],
            array_map(
                fn (JournalEntry $e): string => $e->kind->value,
                app(ProjectLoader::class)->complete($layout->refresh())->works->journal->entries,
            ),
        );
    }

    public function test_an_evening_with_a_pause_a_stop_and_something_still_wet(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->assertStringContainsString('Wednesday 14 October', $this->find('.title')->getText());
        $minutes = (int) $this->find('.mv .mn')->getText();
        $this->assertGreaterThan(10, $minutes);
        $this->clock('2026-10-14T17:30:00Z');
        $this->touch($this->button('Start move 1'));
        $this->clock('2026-10-14T17:40:00Z');
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->assertStringContainsString('about '.($minutes - 10).' min left', $this->find('#now')->getText());
        $this->touch($this->button('Stop here'));
        $this->until('document.querySelector(".said").textContent.trim().startsWith("Stopped")', 'the stop');
        $works = app(ProjectLoader::class)->works($layout);
        $part = array_values(
            array_filter($works->laid, fn (CoatApplication $l): bool => $l->startedAt === intdiv(strtotime('2026-10-14T17:30Z'), 60)),
        )[0];
        $this->assertSame(10, $part->endedAt - $part->startedAt);
        $this->touch($this->button('Start move 2'));
        $zone = $this->js('return document.querySelector("#now").dataset.zone');
        $this->touch($this->button('Still wet'));
        $this->until('document.querySelector(".said").textContent.includes("still wet")', 'what was seen');
        $this->assertStringNotContainsString($zone, $this->find('.mv-list')->getText(), 'that zone waits');
        $this->assertQuietConsole();
    }

    public function test_an_evening_with_something_that_must_not_be_missed(): void
    {
        // Soft plaster over a joint: laid, left until it can be cut, cut in time; then what was laid before is found dry.
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $section = $layout->sections()->where('name', 'Birch Cutting')->firstOrFail();
        $zone = $this->row($layout->zones(), 'Cutting sides');
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/coats?zone={$zone}");
        $this->pick('.add-coat select', 'joint-cut');
        $this->touch($this->find('.add-coat .btn'));
        $this->until('document.body.textContent.includes("Joint cut")', 'the new coat');
        $this->clock('2026-10-17T08:00:00Z');
        // The board has to be worked soon: its plaster comes first.
        $this->visit("/layouts/{$layout->uid}/bench");
        $this->type('[name="due[1][date]"]', '18 Oct');
        $this->pick('[name="due[1][milestone]"]', 'worked');
        $this->touch($this->button('Plan by this'));
        $this->until('document.querySelector(".said")', 'that it is planned anew');
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->assertStringContainsString('To have at hand', $this->find('.kit-sheet')->getText());
        $this->begin('Spread pulp plaster');
        $this->until('document.querySelector("#now")', 'the current move');
        $this->assertStringContainsString('hat was mixed first', $this->find('.due-sheet')->getText());
        $left = $this->find('.due [data-left]')->getText();
        $this->assertMatchesRegularExpression('/^\d+ min$/', $left);
        $this->clock('2026-10-17T08:40:00Z');
        $this->touch($this->find('.title .lead .btn'));
        $this->until('document.querySelector(".said")', 'that it is done');
        $this->assertStringContainsString('Cut the joint', $this->find('.due-sheet')->getText());
        $opens = $this->js('return Number(document.querySelector(".due.opens").dataset.at)');
        $this->touch($this->button('Say it aloud'));
        $this->until('document.querySelector("[data-notices]").disabled', 'that it will be said aloud');
        $set = 'return document.querySelector("[x-on\\\\:change=turnSound]").checked';
        $this->assertTrue($this->js($set), 'it is set for this device');
        $this->clock(gmdate('Y-m-d\\TH:i:00\\Z', 60 * $opens + 120));
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->assertTrue($this->js($set), 'and stays so');
        $closes = $this->js('return Number(document.querySelector(".due.closes").dataset.at)');
        $this->assertGreaterThan($opens, $closes);
        $this->begin('Cut the joint');
        $this->until('document.querySelector("#now")', 'the cut begun');
        $this->clock(gmdate('Y-m-d\\TH:i:00\\Z', 60 * $opens + 480));
        $this->touch($this->find('.title .lead .btn'));
        $this->until('document.querySelector(".said")', 'that it is cut');
        $cut = array_values(
            array_filter(app(ProjectLoader::class)->works($layout)->laid, fn (CoatApplication $l): bool => $l->recipe->id === 'joint-cut'),
        )[0];
        $this->assertLessThanOrEqual($closes, $cut->startedAt);
        $this->assertStringNotContainsString('Cut the joint', $this->js('return document.querySelector(".due-sheet")?.textContent ?? ""'));
        // In the evening the plaster is touched and found dry; the room learns from it.
        $this->clock('2026-10-17T19:00:00Z');
        $this->visit("/layouts/{$layout->uid}/tonight");
        $this->touch($this->find('[aria-label="Pulp plaster is dry"]'));
        $this->until('document.querySelector(".said").textContent.includes("dry")', 'what was seen');
        $room = $this->row($layout->rooms(), 'Workroom');
        $this->visit("/layouts/{$layout->uid}/rooms/{$room}");
        $this->assertStringContainsString('Pulp plaster takes', $this->find('.learned-row')->getText());
        $this->assertQuietConsole();
    }

    public function test_a_pane_touched_on_the_drying_line_says_why_not_sooner(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $this->visit("/layouts/{$layout->uid}/drying");
        $this->js(
            'document.querySelector("#dusk a[aria-label^=\'Sift on soil\'][aria-label*=\'on Birch bank,\']").setAttribute("id", "wanted")',
        );
        self::$bench?->pointer([['move', ...$this->middle('#wanted .work')], ['down'], ['up']]);
        $this->until('document.querySelector(".mv-now .why")', 'the reason');
        $this->assertStringContainsString('Hands are with “Dark rock base” on Crag', $this->find('.why')->getText());
        $this->touch($this->button('All moves'));
        $this->until('document.querySelector(".nt p").textContent.includes("no film forms under 8 °C")', 'what finds no session, and why');
        // A session that ends before it begins stays in its fields, with the reason beside it.
        $this->touch($this->find('[name="weekdays[]"][value="5"]'));
        $this->type('#w-from', '21:30');
        $this->type('#w-to', '20:00');
        $this->touch($this->find('.weekly .btn'));
        $this->assertStringContainsString('ends before it begins', $this->find('#w-to-fault')->getText());
        $this->assertSame('21:30', $this->find('#w-from')->getAttribute('value'));
        $this->type('#w-from', '19:00');
        $this->touch($this->find('.weekly .btn'));
        $this->assertStringContainsString('Fri, 19:00–20:00', $this->find('.times')->getText());
        $this->assertQuietConsole();
    }

    public function test_the_end_moves_before_anything_is_kept(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $this->visit("/layouts/{$layout->uid}/drying");
        $last = fn (): string => $this->js(
            'return [...document.querySelectorAll(".facts > div")].find((d) => '
                .'d.textContent.includes("Last hands-on")).textContent.replace(/\\s+/g, " ")',
        );
        $before = $last();
        $this->touch($this->button('What if …?'));
        $this->pick('[name="airflow"]', 'fan');
        $this->type('[name="date"]', 'whenever');
        $this->touch($this->button('Try it'));
        $this->assertStringContainsString('is not a date', $this->find('main')->getText());
        $this->assertSame('whenever', $this->find('[name="date"]')->getAttribute('value'), 'what was typed stays');
        $this->type('[name="date"]', '18 Oct');
        $this->touch($this->button('Try it'));
        $this->until('document.querySelector(".what-if .good")', 'that it ends sooner');
        $this->assertStringContainsString('A fan in Workroom, one more session on Sun 18 Oct', $this->find('main')->getText());
        $this->visit("/layouts/{$layout->uid}/drying");
        $this->assertSame($before, $last(), 'nothing was kept');
        $this->visit("/layouts/{$layout->uid}/what-if?airflow=fan&date=18+Oct&from=10:00&to=13:00");
        $this->touch($this->button('Keep it'));
        $this->until('document.querySelector(".said").textContent.trim().startsWith("Kept")', 'that it is kept');
        $this->assertNotSame($before, $last());
        $this->press('u');
        $this->until(
            'document.querySelector(".said") === null || ! document.querySelector(".said").textContent.trim().startsWith("Kept")',
            'that it is undone',
        );
        $this->visit("/layouts/{$layout->uid}/drying");
        $this->assertSame($before, $last(), 'one step takes it back');
        $this->assertQuietConsole();
    }

    public function test_a_zone_is_drawn_on_land_and_gets_its_coats(): void
    {
        $section = $this->demo();
        $this->land($section);
        $this->press('z');
        foreach ([[900, 60], [1100, 60], [1100, 180], [900, 180]] as [$x, $y]) {
            $this->touchPlan($x, $y);
        }
        $this->press("\u{E007}");
        $this->until('location.pathname.endsWith("/coats") && document.querySelector("#f-name")', 'the drawn zone');
        $this->type('#f-name', 'Corner');
        $this->pick('#f-build_up', 'shell');
        $this->touch($this->button('Set the zone'));
        $this->assertStringContainsString('Corner', $this->find('.zone-list')->getText());
        $zone = array_values(
            array_filter(
                app(ProjectLoader::class)->works(Layout::query()->findOrFail($section->layout_id))->zones,
                fn ($z): bool => $z->name === 'Corner',
            ),
        )[0];
        $this->assertEqualsWithDelta([[900, 60], [1100, 60], [1100, 180], [900, 180]], $zone->outline, 2.0);
        $this->touch(
            $this->browser->findElement(
                \Facebook\WebDriver\WebDriverBy::xpath('//*[@id="cores"]//*[name()="a"][contains(., "Plaster cloth")]'),
            ),
        );
        $this->assertSame('Plaster cloth', $this->find('.coat-sheet h2')->getText());
        $this->assertQuietConsole();
    }

    private function pick(string $css, string $value): void
    {
        $this->actions++;
        $this->js(
            'const s = document.querySelector(arguments[0]); s.value = arguments[1]; '
                .'s.dispatchEvent(new Event("change", { bubbles: true }));',
            $css,
            $value,
        );
    }

    /** Starts the move whose words are these. */
    private function begin(string $words): void
    {
        $this->js(
            'const move = [...document.querySelectorAll(".mv")].find((m) => m.textContent.includes(arguments[0])); '
                .'(move.querySelector("button") ?? document.querySelector(".title .lead .btn")).id = "begin"',
            $words,
        );
        $this->touch($this->find('#begin'));
    }

    /**
     * The uid of a row whose values have a name.
     *
     * @param HasMany<covariant JsonRecord, Layout> $rows
     */
    private function row(HasMany $rows, string $name): string
    {
        return (string) $rows->get()->first(fn (JsonRecord $row): bool => ($row->values()->name ?? '') === $name)?->uid;
    }
}
