<?php

declare(strict_types=1);

namespace Tests\Core\Project;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Project\BoardPlace;
use IdleRidge\Core\Project\Section;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

final class BoardPlaceTest extends TestCase
{
    #[TestWith([1210.0, 8.0, 1200.0, 0.0])]
    #[TestWith([1224.9, 0.0, 1200.0, 0.0])]
    #[TestWith([1225.1, 0.0, 1225.1, 0.0])]
    #[TestWith([1190.0, 30.0, 1200.0, 30.0])]
    #[TestWith([1201.0, 195.0, 1200.0, 200.0])]
    #[TestWith([-990.0, -3.0, -1000.0, 0.0])]
    #[TestWith([205.0, 611.0, 200.0, 600.0])]
    #[TestWith([300.0, 611.0, 300.0, 600.0])]
    #[TestWith([2.0, -395.0, 0.0, -400.0])]
    #[TestWith([1500.0, 900.0, 1500.0, 900.0])]
    public function test_a_board_goes_to_the_edge_and_the_corner_it_nearly_meets(float $x, float $y, float $atX, float $atY): void
    {
        $tarn = Section::of(Build::uid(1), 'Tarn', 1200.0, 600.0);
        $place = BoardPlace::snapped(Section::of(Build::uid(2), 'Fell', 1000.0, 400.0, $x, $y), [$tarn]);
        $this->assertEqualsWithDelta([$atX, $atY], [$place->x, $place->y], 1e-6);
    }

    public function test_the_nearest_of_several_wins(): void
    {
        $left = Section::of(Build::uid(1), 'A', 500.0, 400.0);
        $right = Section::of(Build::uid(2), 'B', 500.0, 400.0, 1020.0, 0.0);
        $place = BoardPlace::snapped(Section::of(Build::uid(3), 'C', 500.0, 400.0, 514.0, 3.0), [$left, $right]);
        $this->assertEqualsWithDelta([520.0, 0.0], [$place->x, $place->y], 1e-6);
    }

    #[TestWith([3.9, 0.0])]
    #[TestWith([4.1, 4.1])]
    #[TestWith([-3.0, 0.0])]
    #[TestWith([92.0, 90.0])]
    #[TestWith([356.5, 0.0])]
    #[TestWith([33.0, 30.0])]
    #[TestWith([118.0, 120.0])]
    #[TestWith([-100.0, 260.0])]
    public function test_a_turn_goes_to_a_direction_of_the_others(float $turn, float $at): void
    {
        $others = [Section::of(Build::uid(1), 'A', 500.0, 400.0, 0.0, 0.0, 30.0)];
        $this->assertEqualsWithDelta($at, BoardPlace::turned(new Placement(1.0, 2.0, $turn), $others)->angleDeg, 1e-9);
    }

    #[TestWith([BoardEdge::Right])]
    #[TestWith([BoardEdge::Left])]
    #[TestWith([BoardEdge::Front])]
    #[TestWith([BoardEdge::Back])]
    public function test_boards_beside_each_other_of_any_size_and_turn_touch_and_do_not_overlap(BoardEdge $edge): void
    {
        for ($seed = 1; $seed <= 50; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $of = fn (int $low, int $high): float => $random->getInt($low * 10, $high * 10) / 10.0;
            $board = Section::of(Build::uid(1), 'A', $of(200, 1300), $of(200, 800), $of(-500, 500), $of(-500, 500), $of(0, 359));
            [$width, $depth] = [$of(200, 1300), $of(200, 800)];
            $place = BoardPlace::beside($board, $edge, $width, $depth);
            $new = Section::of(Build::uid(2), 'B', $width, $depth, $place->x, $place->y, $place->angleDeg);
            $this->assertNull(BoardPlace::over($new, [$board]), "seed {$seed}");
            $back = BoardPlace::snapped($new, [$board]);
            $this->assertEqualsWithDelta([$place->x, $place->y], [$back->x, $back->y], 1e-6, "seed {$seed}: it stays where it is");
            // Pulled off by less than it snaps by, it comes back to the edge; where it is nearly as long, to either corner.
            if (abs($edge->length($width, $depth) - $edge->length($board->width, $board->depth)) < BoardPlace::SNAP_MM) {
                continue;
            }
            $off = Section::of(Build::uid(2), 'B', $width, $depth, $place->x + $of(-10, 10), $place->y + $of(-10, 10), $place->angleDeg);
            $again = BoardPlace::snapped($off, [$board]);
            $this->assertEqualsWithDelta([$place->x, $place->y], [$again->x, $again->y], 1e-6, "seed {$seed}: brought back");
        }
    }

    public function test_a_board_turns_about_its_middle_and_goes_to_an_edge_only_where_it_may(): void
    {
        $tarn = Section::of(Build::uid(1), 'Tarn', 1200.0, 600.0);
        $fell = Section::of(Build::uid(2), 'Fell', 1000.0, 400.0, 3000.0, 1000.0);
        $middle = fn (Section $s): array => get_object_vars($s->placement->toLayout(new Point(500.0, 200.0)));
        foreach ([15.0, 90.0, -37.5, 180.0] as $turn) {
            $turned = BoardPlace::moved($fell, [$tarn], 20.0, -10.0, $turn, false);
            $this->assertEqualsWithDelta(['x' => 3520.0, 'y' => 1190.0], $middle($turned), 1e-6);
        }
        $near = fn (bool $snaps): float => BoardPlace::moved($fell, [$tarn], -1790.0, -1000.0, 0.0, $snaps)->placement->x;
        $this->assertEqualsWithDelta([1200.0, 1210.0], [$near(true), $near(false)], 1e-6);
    }

    public function test_boards_that_lie_over_each_other_are_told(): void
    {
        $tarn = Section::of(Build::uid(1), 'Tarn', 1200.0, 600.0);
        $over = fn (float $x, float $y, float $turn = 0.0): ?string => BoardPlace::over(
            Section::of(Build::uid(2), 'Fell', 1000.0, 400.0, $x, $y, $turn),
            [$tarn],
        )?->name;
        $this->assertSame('Tarn', $over(600.0, 100.0));
        $this->assertNull($over(1199.1, 0.0), 'a saw cut');
        $this->assertSame('Tarn', $over(1198.9, 0.0));
        $this->assertNull($over(1200.0, -700.0, 45.0));
        $this->assertSame('Tarn', $over(1190.0, -200.0, 45.0), 'a corner reaches in');
        $this->assertSame('Tarn', $over(100.0, 100.0, 10.0), 'within it');
    }
}
