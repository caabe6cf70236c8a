<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Ledger\Ledger;
use App\Models\LandFeature;
use Illuminate\Support\Facades\DB;

final class HistoryTest extends FeatureCase
{
    public function test_undo_and_redo_walk_back_and_forth_and_an_edit_ends_the_redo(): void
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $ledger = app(Ledger::class);
        $place = fn (string $x) => $this->post($this->at($section, '/features'), [
            'kind' => 'spot',
            'points' => [['x' => $x, 'y' => '300', 'z' => '50']],
        ]);
        $xs = fn (): array => LandFeature::query()
            ->orderBy('id')
            ->get()
            ->map(fn (LandFeature $f) => $f->points[0]['x_mm'])
            ->reject(fn ($x) => in_array((float) $x, [0.0, 1200.0], true))
            ->values()
            ->all();
        $place('100');
        $place('200');
        $this->assertEquals([100, 200], $xs());
        $this->assertSame('Undone: Spot placed.', $ledger->undo($layout)?->said());
        $this->assertEquals([100], $xs());
        $ledger->undo($layout);
        $this->assertSame([], $xs());
        $ledger->redo($layout);
        $ledger->redo($layout);
        $this->assertEquals([100, 200], $xs());
        $ledger->undo($layout);
        $place('300');
        $this->assertNull($ledger->redo($layout), 'the edit ended what could be redone');
        $this->assertEquals([100, 300], $xs());
        $ledger->undo($layout);
        $ledger->undo($layout);
        $this->assertSame([], $xs());
        $this->assertSame('Board added', $ledger->next($layout)['undo']);
    }

    public function test_a_removed_record_comes_back_as_it_was(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->firstOrFail();
        $crag = $layout->features()->where('name', 'Crag')->where('kind', 'spot')->firstOrFail();
        $before = $crag->getAttributes();
        $this->delete($this->at($section, "/features/{$crag->uid}"));
        $this->assertNull($crag->fresh());
        $this->post("/layouts/{$layout->uid}/undo")->assertRedirect();
        $after = LandFeature::query()->where('uid', $crag->uid)->firstOrFail()->getAttributes();
        $this->assertSame(array_diff_key($before, ['id' => 0, 'rev' => 0]), array_diff_key($after, ['id' => 0, 'rev' => 0]));
    }

    public function test_a_step_about_a_row_that_changed_behind_its_back_is_passed_over(): void
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $this->post($this->at($section, '/features'), ['kind' => 'spot', 'points' => [['x' => '100', 'y' => '300', 'z' => '50']]]);
        DB::table('land_features')->update(['name' => 'Other']);
        $this->followingRedirects()
            ->from("/layouts/{$layout->uid}/settings")
            ->post("/layouts/{$layout->uid}/undo")
            ->assertSee('“Spot placed” was passed over');
        $this->assertSame('Other', LandFeature::query()->orderByDesc('id')->firstOrFail()->name, 'what changed behind its back stays');
        $this->assertSame('Undone: Board added.', app(Ledger::class)->undo($layout)?->said(), 'and the way back goes on');
    }

    public function test_with_nothing_to_undo_it_says_so(): void
    {
        $layout = $this->demo();
        $this->followingRedirects()
            ->from("/layouts/{$layout->uid}/settings")
            ->post("/layouts/{$layout->uid}/undo")
            ->assertSee('There is nothing to undo');
        $this->followingRedirects()
            ->from("/layouts/{$layout->uid}/settings")
            ->post("/layouts/{$layout->uid}/redo")
            ->assertSee('There is nothing to redo');
    }

    public function test_undoing_a_board_leads_away_from_its_page(): void
    {
        $section = $this->board();
        $layout = $this->layoutOf($section);
        $this->from($this->at($section, '/land'))->post("/layouts/{$layout->uid}/undo")->assertRedirect("/layouts/{$layout->uid}/settings");
    }

    public function test_history_is_told_in_the_layouts_time(): void
    {
        $layout = $this->demo();
        $section = $layout->sections()->firstOrFail();
        $this->post($this->at($section, '/features'), ['kind' => 'spot', 'points' => [['x' => '100', 'y' => '300', 'z' => '50']]]);
        $this->get("/layouts/{$layout->uid}/history")->assertSee('Wednesday 14 October 2026')->assertSee('20:30')->assertSee('Spot placed');
    }
}
