<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Layout;
use App\Models\Section;
use Facebook\WebDriver\WebDriverKeys;

/** Boards on the Layout sheet: dragged to an edge, stepped and turned by keys, added beside, and taken back. */
final class LayoutSheetTest extends BrowserCase
{
    public function test_boards_are_dragged_turned_added_and_brought_back(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        $halt = $layout->sections()->where('name', 'Fell Halt')->firstOrFail();
        $this->visit("/layouts/{$layout->uid}/settings");
        $board = "[data-board=\"{$halt->uid}\"]";
        $this->touch($this->find($board));
        $this->until("document.querySelector('{$board}.on')", 'the board in hand');
        $this->assertSame('Fell Halt', $this->find('[aria-current="true"]')->getText());

        // Away from the others, where nothing holds it; and back, nearly.
        $this->drag($board, 20, -34);
        $this->until('document.querySelector(\'[name="y_mm"]\').value !== "0"', 'it moved');
        $away = $this->at($halt);
        $this->assertGreaterThan(3100.0 + 40.0, $away[0]);
        $this->assertGreaterThan(100.0, $away[1]);
        $this->drag($board, -19, 32);
        $this->until('document.querySelector(\'[name="y_mm"]\').value === "0"', 'it is flush again');
        $this->assertEqualsWithDelta([3100.0, 0.0, 0.0], $this->at($halt), 1e-6);

        // Over another it is refused, and lies where it lay.
        $this->drag($board, -90, 0);
        $this->until('document.querySelector("#faults").textContent.includes("would lie over Weir Bend")', 'the fault');
        $this->assertEqualsWithDelta([3100.0, 0.0, 0.0], $this->at($halt), 1e-6);
        $this->assertFalse((bool) $this->js('return document.querySelector(arguments[0]).hasAttribute("transform")', $board));
        $this->js('document.querySelector("#faults").replaceChildren()');
        $this->drag($board, -90, 0);
        $this->until('document.querySelector("#faults").textContent.includes("would lie over Weir Bend")', 'the fault again');

        // By keys, just as told; and turned.
        $this->js('document.querySelector(arguments[0]).focus()', $board);
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $this->until('document.querySelector(\'[name="x_mm"]\').value === "3110"', 'a step to the right');
        $this->assertSame($halt->uid, $this->js('return document.activeElement.dataset.board'));
        $this->drag($board, 30, 0);
        $this->until('Number(document.querySelector(\'[name="x_mm"]\').value) > 3200', 'room to turn in');
        $this->js('document.querySelector(arguments[0]).focus()', $board);
        $this->press('[');
        $this->until('document.querySelector(\'[name="angle_deg"]\').value === "15"', 'turned');
        $this->touch($this->find('[data-undo]'));
        $this->until('document.querySelector(\'[name="angle_deg"]\').value === "0"', 'turned back');

        // One more beside it.
        $this->touch($this->find($board));
        $this->until("document.querySelector('{$board}.on')", 'in hand again');
        $this->touch($this->find('.beside [value="right"]'));
        $this->until('document.querySelectorAll("[data-board]").length === 5', 'one more');
        [$x, $y] = $this->at($halt);
        $new = Section::query()->where('layout_id', $layout->id)->latest('id')->firstOrFail();
        $this->assertEqualsWithDelta([$x + 960.0, $y, 0.0], $this->at($new), 1e-6);
        $this->assertQuietConsole();
    }

    public function test_boards_are_carried_between_rooms_and_edges_touched(): void
    {
        $layout = Layout::query()->findOrFail($this->demo()->layout_id);
        [$workroom, $shed] = $layout->rooms()->orderBy('position')->pluck('uid')->all();
        $halt = $layout->sections()->where('name', 'Fell Halt')->firstOrFail();
        $this->visit("/layouts/{$layout->uid}/shelf");
        $this->press('L');
        $this->until('document.querySelector("#board-plan")', 'the Layout sheet by its key');
        $this->press('.');
        $this->until('document.querySelector(".page-tabs [aria-current]").textContent === "Whole layout"', 'the next page of it');
        $this->press(',');
        $this->until('document.querySelector("#board-plan")', 'and back');
        $edge = "#edge-{$halt->uid}-back";
        [$x, $y] = $this->middle($edge);
        self::$bench?->pointer([['move', $x, $y], ['down'], ['up']]);
        $this->until("document.querySelector('{$edge}').getAttribute('aria-pressed') === 'true'", 'looked at from behind too');
        $this->assertSame(['front', 'back'], $layout->refresh()->viewing_edges);
        $this->js('document.querySelector(arguments[0]).focus()', $edge);
        $this->press(WebDriverKeys::ENTER);
        $this->until("document.querySelector('{$edge}').getAttribute('aria-pressed') === 'false'", 'and not any more');

        $carry = "[data-carry=\"{$halt->uid}\"]";
        $this->js('document.querySelector(arguments[0]).scrollIntoView({ block: "center", behavior: "instant" })', $carry);
        [$fromX, $fromY] = $this->middle($carry);
        [$toX, $toY] = $this->middle("[data-room=\"{$shed}\"]");
        $this->drag($carry, $toX - $fromX, $toY - $fromY);
        $this->until("document.querySelector('[data-room=\"{$shed}\"] [data-carry=\"{$halt->uid}\"]')", 'it stands in the shed');
        $this->assertSame($shed, $halt->refresh()->room);
        $this->js('document.querySelector(arguments[0]).focus()', $carry);
        $this->press(WebDriverKeys::ARROW_LEFT);
        $this->until("document.querySelector('[data-room=\"{$workroom}\"] [data-carry=\"{$halt->uid}\"]')", 'back by a key');
        $this->assertQuietConsole();
    }

    private function drag(string $css, int $x, int $y): void
    {
        [$fromX, $fromY] = $this->middle($css);
        $halfway = ['move', $fromX + intdiv($x, 2), $fromY];
        self::$bench?->pointer([['move', $fromX, $fromY], ['down'], $halfway, ['move', $fromX + $x, $fromY + $y], ['up']]);
        $this->settled();
    }

    /** @return array{float, float, float} */
    private function at(Section $section): array
    {
        $row = Section::query()->findOrFail($section->id);

        return [(float) $row->x_mm, (float) $row->y_mm, (float) $row->angle_deg];
    }
}
