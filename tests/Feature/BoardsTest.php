<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Section as CoreSection;
use PHPUnit\Framework\Attributes\TestWith;

/** Boards placed on the Layout sheet. */
final class BoardsTest extends FeatureCase
{
    public function test_a_board_is_moved_to_an_edge_with_its_land_and_not_over_another(): void
    {
        [$layout, $first, $second] = $this->two();
        $this->post("/layouts/{$layout->uid}/sections/{$second->uid}/features", [
            'kind' => 'spot', 'points' => [['x' => '100', 'y' => '100', 'z' => '30']],
        ]);
        $spot = $layout->features()->where('kind', 'spot')->get()->firstWhere(fn ($f): bool => (float) $f->points[0]['z_mm'] === 30.0);
        $at = "/layouts/{$layout->uid}/sections/{$second->uid}/place";
        $this->patch($at, ['dx' => '400', 'dy' => '300'])->assertRedirect("/layouts/{$layout->uid}/settings?pick={$second->uid}");
        $this->assertSame([1600.0, 300.0], $this->place($second));
        $this->assertEqualsWithDelta(1700.0, (float) $spot?->fresh()?->points[0]['x_mm'], 1e-6, 'its land goes with it');
        $this->patch($at, ['dx' => '-380.5', 'dy' => '-290']);
        $this->assertSame([1200.0, 0.0], $this->place($second), 'edge to edge, and flush');
        $this->patch($at, ['dx' => '10', 'dy' => '0', 'snap' => '0']);
        $this->assertSame([1210.0, 0.0], $this->place($second), 'a step is meant as it is');
        $this->patch($at, ['dx' => '-200'])->assertSessionHasErrors(['place' => 'Second would lie over Board.']);
        $this->assertSame([1210.0, 0.0], $this->place($second));
        $fault = $this->patch($at, ['dx' => '-200'], ['HX-Request' => 'true'])->assertStatus(422)->assertSee('would lie over Board');
        $this->assertSame(['innerHTML', 'unset'], [$fault->headers->get('HX-Reswap'), $fault->headers->get('HX-Reselect')]);
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertSame([1200.0, 0.0], $this->place($second));
        $this->assertSame([0.0, 0.0], $this->place($first));
    }

    public function test_a_board_turns_about_its_middle(): void
    {
        [$layout, , $second] = $this->two();
        $at = "/layouts/{$layout->uid}/sections/{$second->uid}/place";
        $this->patch($at, ['dx' => '2000', 'dy' => '2000']);
        $this->patch($at, ['turn' => '90']);
        $row = $second->fresh();
        $there = [90.0, 3200.0 + 400.0 + 300.0, 2000.0 + 300.0 - 400.0];
        $this->assertEqualsWithDelta($there, [$row?->angle_deg, $row?->x_mm, $row?->y_mm], 1e-6);
        $this->patch($at, ['turn' => '-87']);
        $this->assertEqualsWithDelta(0.0, $second->fresh()?->angle_deg, 1e-6, 'in line with the others');
        $this->patch($at, ['turn' => '30']);
        $this->assertEqualsWithDelta(30.0, $second->fresh()?->angle_deg, 1e-6);
    }

    #[TestWith(['right', 1200.0, 0.0])]
    #[TestWith(['left', -1200.0, 0.0])]
    #[TestWith(['back', 0.0, 600.0])]
    #[TestWith(['front', 0.0, -600.0])]
    public function test_a_board_is_added_beside_another(string $edge, float $x, float $y): void
    {
        $board = $this->board();
        $layout = $this->layoutOf($board);
        $this->post("/layouts/{$layout->uid}/sections/beside", ['beside' => $board->uid, 'edge' => $edge])->assertSessionHasNoErrors();
        $new = Section::query()->where('layout_id', $layout->id)->where('uid', '<>', $board->uid)->firstOrFail();
        $this->assertSame(['Board 2', 1200.0, 600.0], [$new->name, $new->width_mm, $new->depth_mm]);
        $this->assertSame([$x, $y], $this->place($new));
        $this->from('/')->post("/layouts/{$layout->uid}/sections/beside", ['beside' => $board->uid, 'edge' => $edge])
            ->assertSessionHasErrors(['beside' => 'Board 3 would lie over Board 2.']);
    }

    public function test_nonsense_is_refused_and_typed_places_are_held_too(): void
    {
        [$layout, , $second] = $this->two();
        $sheet = "/layouts/{$layout->uid}/sections";
        foreach ([['dx' => '1e9'], ['dy' => 'far'], ['turn' => ['x']], ['dx' => 'NAN']] as $odd) {
            $this->from('/')->patch("{$sheet}/{$second->uid}/place", $odd)->assertRedirect();
        }
        $this->from('/')->post("{$sheet}/beside", ['beside' => 'nobody', 'edge' => 'right'])->assertSessionHasErrors(['beside']);
        $this->from('/')->post("{$sheet}/beside", ['beside' => $second->uid, 'edge' => 'top'])->assertSessionHasErrors(['beside']);
        $this->from('/')->patch("{$sheet}/{$second->uid}", ['x_mm' => '900'])
            ->assertSessionHasErrors(['x_mm' => 'Second would lie over Board.']);
        $this->from('/')->patch("{$sheet}/{$layout->sections()->firstOrFail()->uid}", ['width_mm' => '1300'])
            ->assertSessionHasErrors(['width_mm' => 'Board would lie over Second.']);
        $this->assertSame([1200.0, 0.0], $this->place($second));
        $this->get("/layouts/{$layout->uid}/settings?pick=nobody")->assertOk();
    }

    public function test_a_board_is_carried_into_another_room_and_a_room_with_boards_stays(): void
    {
        [$layout, $first, $second] = $this->two();
        $this->post("/layouts/{$layout->uid}/rooms", ['name' => 'Shed']);
        [$here, $shed] = $layout->rooms()->orderBy('position')->pluck('uid')->all();
        $at = "/layouts/{$layout->uid}/sections/{$second->uid}/room";
        $this->patch($at, ['room' => $shed])->assertRedirect("/layouts/{$layout->uid}/settings?pick={$second->uid}");
        $board = fn (): CoreSection => ProjectLoader::section(Section::query()->findOrFail($second->id));
        $this->assertSame($shed, $board()->room);
        $this->assertSame([$here], array_column($board()->stood, 1), 'where it stood until now is known');
        $this->patch($at, ['room' => $shed]);
        $this->assertCount(1, $board()->stood, 'it stands there already');
        $this->from('/')->patch($at, ['room' => 'nowhere'])->assertSessionHasErrors(['place' => 'That room is gone.']);
        $this->from('/')->delete("/layouts/{$layout->uid}/rooms/{$shed}")
            ->assertSessionHasErrors(['name' => 'Second stands in it: carry it into another room first.']);
        $this->from('/')->delete("/layouts/{$layout->uid}/rooms/{$here}")
            ->assertSessionHasErrors(['name' => 'Board stands in it: carry it into another room first.']);
        $this->get("/layouts/{$layout->uid}/settings")->assertSee("data-room=\"{$shed}\"", false)->assertSee('left and right carry it');
        $this->post("/layouts/{$layout->uid}/undo");
        $this->assertNull($board()->room);
        $this->delete("/layouts/{$layout->uid}/rooms/{$shed}")->assertSessionHasNoErrors();
        $this->assertSame([0.0, 0.0], $this->place($first));
    }

    public function test_an_edge_is_touched_to_be_looked_at_from(): void
    {
        [$layout, , $second] = $this->two();
        $page = $this->get("/layouts/{$layout->uid}/settings?pick={$second->uid}")->assertOk();
        $page->assertSee("id=\"edge-{$second->uid}-back\"", false)->assertDontSee("id=\"edge-{$second->uid}-left\"", false);
        $this->patch("/layouts/{$layout->uid}", ['viewing_edges' => ['', 'front', 'back'], 'pick' => $second->uid])
            ->assertRedirect("/layouts/{$layout->uid}/settings?pick={$second->uid}");
        $sheet = fn (): LayoutSheet => ProjectLoader::sheet(Layout::query()->findOrFail($layout->id));
        $this->assertSame([BoardEdge::Front, BoardEdge::Back], $sheet()->viewing->edges);
        $this->patch("/layouts/{$layout->uid}", ['eye_distance_mm' => '60 cm', 'eye_height_mm' => '200'])->assertSessionHasNoErrors();
        $this->assertSame([600.0, 200.0], [$sheet()->viewing->distance, $sheet()->viewing->height]);
        $this->assertCount(2, $sheet()->viewing->edges, 'what is not sent stays');
        $this->from('/')->patch("/layouts/{$layout->uid}", ['eye_distance_mm' => '4'])->assertSessionHasErrors(['eye_distance_mm']);
    }

    public function test_a_step_at_a_joint_is_told_where_it_is(): void
    {
        [$layout, $first] = $this->two();
        $this->post("/layouts/{$layout->uid}/sections/{$first->uid}/features", [
            'kind' => 'spot', 'points' => [['x' => '1190', 'y' => '300', 'z' => '30']],
        ]);
        $this->get("/layouts/{$layout->uid}/settings")
            ->assertSee('class="joint-step"', false)
            ->assertSee('Land steps at the joint with Second');
    }

    /** @return array{Layout, Section, Section} */
    private function two(): array
    {
        $first = $this->board();
        $layout = $this->layoutOf($first);
        $this->post("/layouts/{$layout->uid}/sections", ['name' => 'Second', 'width_mm' => '800', 'depth_mm' => '600']);

        return [$layout, $first, $layout->sections()->where('name', 'Second')->firstOrFail()];
    }

    /** @return array{float, float} */
    private function place(Section $section): array
    {
        $row = Section::query()->findOrFail($section->id);

        return [round((float) $row->x_mm, 6), round((float) $row->y_mm, 6)];
    }
}
