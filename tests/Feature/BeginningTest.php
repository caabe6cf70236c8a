<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Project\StartingBoard;
use PHPUnit\Framework\Attributes\TestWith;

/** A layout begins with three questions and a board. */
final class BeginningTest extends FeatureCase
{
    #[TestWith([StartingBoard::Bare, 'metric', '87.1'])]
    #[TestWith([StartingBoard::HaltOnBank, 'imperial', '48'])]
    #[TestWith([StartingBoard::CurveThroughCutting, 'metric', '160'])]
    #[TestWith([StartingBoard::PondAtFront, 'imperial', '87.1'])]
    #[TestWith([StartingBoard::PlainWithRoad, 'metric', '76,2'])]
    public function test_each_board_is_begun_and_opens_on_its_land(StartingBoard $board, string $units, string $ratio): void
    {
        $answer = $this->post('/layouts', [
            'board' => $board->value, 'units' => $units, 'ratio' => $ratio, 'room' => 'shed', 'zone' => 'Europe/Oslo',
        ]);
        $layout = Layout::query()->firstOrFail();
        $project = app(ProjectLoader::class)->of($layout);
        $section = $project->sections[0];
        $answer->assertRedirect("/layouts/{$layout->uid}/sections/{$section->uid}/land");
        $this->assertSame([$board->title(), $units, 'Europe/Oslo'], [$layout->name, $layout->units, $layout->zone]);
        $this->assertEqualsWithDelta($units === 'imperial' ? 1219.2 : 1200.0, $section->width, 1e-6);
        $this->assertEqualsWithDelta(round(1435.0 / (float) str_replace(',', '.', $ratio), 1), $project->layout->gauge, 1e-9);
        $room = $project->works->rooms[0];
        $this->assertSame(['Shed', $room->uid, 6.0], [$room->name, $section->room, $room->night->temperature]);
        foreach (['land', 'cuts', 'coats', 'growth', 'water'] as $page) {
            $this->get("/layouts/{$layout->uid}/sections/{$section->uid}/{$page}")->assertOk();
        }
        $this->get("/layouts/{$layout->uid}/tonight")->assertOk();
    }

    public function test_what_is_typed_counts_in_the_units_that_are_chosen(): void
    {
        $this->post('/layouts', [
            'board' => 'bare', 'units' => 'imperial', 'ratio' => '48', 'width_mm' => '4 ft', 'depth_mm' => '18 1/2', 'gauge_mm' => '1 1/4',
            'name' => 'Quay',
        ])->assertRedirect();
        $layout = Layout::query()->firstOrFail();
        $section = $layout->sections()->firstOrFail();
        $this->assertSame('Quay', $layout->name);
        $this->assertEqualsWithDelta([1219.2, 469.9, 31.75], [$section->width_mm, $section->depth_mm, $layout->gauge_mm], 1e-6);
    }

    public function test_the_boards_are_shown_for_what_is_answered(): void
    {
        $this->get('/begin')->assertOk()->assertSee('value="1200"', false)->assertSee('standard gauge, 16.5 mm')->assertSee('105 m × 52 m');
        $imperial = $this->get('/begin?units=imperial&shown_in=metric&width_mm=1200&depth_mm=508&ratio=48')->assertOk();
        $imperial->assertSee('48&quot;', false)->assertSee('20&quot;', false)->assertSee('ft outdoors');
        $this->get('/begin?ratio=22.5&depth_mm=300')->assertOk()->assertSee('deep at least');
        // What cannot be read leaves what is usual.
        $odds = ['ratio=x&width_mm=wide', 'ratio=-4', 'board[]=1&units[]=2&room[]=3', 'width_mm=1e99', 'depth_mm=-5', 'ratio=1e9'];
        foreach ($odds as $odd) {
            $this->get("/begin?{$odd}")->assertOk()->assertSee('Begin from');
        }
        $this->assertSame(0, Layout::query()->count());
    }

    public function test_what_cannot_be_is_said_beside_its_field_and_nothing_is_lost(): void
    {
        $board = ['board' => 'halt-on-bank', 'units' => 'metric', 'ratio' => '87.1'];
        $typed = $board + ['width_mm' => '1200', 'depth_mm' => '600', 'name' => 'Kept'];
        foreach (
            [
                'ratio' => ['ratio' => 'big'],
                'gauge_mm' => ['gauge_mm' => '5 furlongs'],
                'width_mm' => ['width_mm' => '0'],
                'depth_mm' => ['depth_mm' => '80'],
                'name' => ['name' => str_repeat('x', 300)],
            ] as $field => $odd
        ) {
            $this->from('/begin')->post('/layouts', $odd + $typed)->assertRedirect('/begin')->assertSessionHasErrors([$field]);
        }
        $page = $this->followingRedirects()->from('/begin')->post('/layouts', ['ratio' => '22.5', 'depth_mm' => '300'] + $typed);
        $page->assertSee('Kept')->assertSee('505 mm deep at least')->assertSee('standard gauge, 63.8 mm');
        $this->assertSame(0, Layout::query()->count());
    }

    public function test_a_picture_that_is_asked_for_in_between_does_not_swallow_a_fault(): void
    {
        $this->from('/begin')->post('/layouts', ['board' => 'bare', 'ratio' => 'big', 'units' => Units::Metric->value]);
        $this->get('/begin?ratio=87.1', ['HX-Request' => 'true'])->assertOk();
        $this->get('/begin')->assertSee('is not a number');
    }
}
