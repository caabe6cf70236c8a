<?php

declare(strict_types=1);

namespace Tests\Core\View;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\View\Crown;
use IdleRidge\Core\View\MirrorSight;
use IdleRidge\Core\Water\Mirror;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class MirrorSightTest extends TestCase
{
    private static function flat(float $height = 0.0): HeightGrid
    {
        return HeightGrid::cells(120, 60, 10.0, 0.0, 0.0, array_fill(0, 7200, $height));
    }

    private static function mirror(float $x, float $y, float $facing, float $high = 60.0, float $wide = 40.0): Mirror
    {
        return new Mirror(Build::uid(1), Build::uid(2), 'Glass', $x, $y, $wide, $high, $facing);
    }

    /** Looked at square on from the height of the glass, one sees himself; the angle in is the angle out. */
    public function test_square_on_and_level_one_sees_himself(): void
    {
        $sight = new MirrorSight(self::flat(), 1200.0, 600.0, [[600.0, -450.0, 40.0]]);
        $view = $sight->shows(self::mirror(600.0, 500.0, -90.0), 0.0);
        $this->assertSame([1, 10], [$view->faced, $view->viewer]);
        // From 40 down to the lowest places, 10 up, the line meets the board before its edge.
        $this->assertSame([5, 0], [$view->scene, $view->beyond]);
        $this->assertFalse($view->isGood());
    }

    /** From 350 over the board the line goes down again as steeply as it came and meets the board before its edge. */
    public function test_from_above_the_board_lies_in_the_way(): void
    {
        $view = (new MirrorSight(self::flat(), 1200.0, 600.0, [[600.0, -450.0, 350.0]]))->shows(self::mirror(600.0, 500.0, -90.0), 0.0);
        $this->assertTrue($view->isGood(), 'all of it is the board');
        // A line at height z on the glass falls (350 − z)/950 for each mm: it passes the edge 500 off above the board from 120.7 up.
        foreach (['115' => true, '150' => false] as $high => $good) {
            $view = (new MirrorSight(self::flat(), 1200.0, 600.0, [[600.0, -450.0, 350.0]]))
                ->shows(self::mirror(600.0, 500.0, -90.0, (float) $high * 1.2), 0.0);
            $this->assertSame($good, $view->isGood(), "places up to {$high}");
        }
    }

    public function test_turned_aside_it_shows_what_lies_beyond_or_a_backdrop(): void
    {
        $eyes = [[600.0, -450.0, 40.0]];
        // Facing 45° to the right of the eye: what comes straight in goes out along the x axis, to the right.
        $mirror = self::mirror(600.0, 300.0, -45.0);
        $view = (new MirrorSight(self::flat(), 1200.0, 600.0, $eyes))->shows($mirror, 0.0);
        $this->assertSame([10, 'right'], [$view->beyond, $view->edge]);
        $backed = (new MirrorSight(self::flat(), 1200.0, 600.0, $eyes, [], ['right' => 200.0]))->shows($mirror, 0.0);
        $this->assertTrue($backed->isGood());
        $low = (new MirrorSight(self::flat(), 1200.0, 600.0, $eyes, [], ['right' => 20.0]))->shows($mirror, 0.0);
        $this->assertFalse($low->isGood(), 'it is seen over a backdrop that is too low');
        $trees = (new MirrorSight(self::flat(), 1200.0, 600.0, $eyes, [new Crown(900.0, 300.0, 150.0, 0.0, 200.0)]))->shows($mirror, 0.0);
        $this->assertTrue($trees->isGood(), 'trees stand in it');
    }

    public function test_a_mirror_that_looks_away_or_is_hidden_faces_no_one(): void
    {
        $away = (new MirrorSight(self::flat(), 1200.0, 600.0, [[600.0, -450.0, 350.0]]))->shows(self::mirror(600.0, 500.0, 90.0), 0.0);
        $this->assertSame([0, 0, false], [$away->faced, $away->seen(), $away->isGood()]);
        $wall = self::flat();
        $values = $wall->values;
        for ($i = 0; $i < 120; $i++) {
            $values[30 * 120 + $i] = 400.0;
        }
        $hidden = (new MirrorSight($wall->with($values), 1200.0, 600.0, [[600.0, -450.0, 350.0]]))
            ->shows(self::mirror(600.0, 500.0, -90.0), 0.0);
        $this->assertSame([1, 0], [$hidden->faced, $hidden->seen()]);
    }

    public function test_the_better_angle_is_the_nearest_that_shows_the_scene_alone(): void
    {
        $sight = new MirrorSight(self::flat(), 1200.0, 600.0, [[600.0, -450.0, 40.0]], [], ['right' => 200.0]);
        $mirror = self::mirror(600.0, 500.0, -90.0);
        $better = $sight->better($mirror, 0.0);
        $this->assertNotNull($better);
        $this->assertTrue($sight->shows($mirror->but(facingDeg: $better), 0.0)->isGood());
        $this->assertGreaterThan($mirror->facingDeg, $better, 'towards the backdrop on the right');
        for ($turn = 5.0; $turn < abs($better - $mirror->facingDeg) - 1e-6; $turn += 5.0) {
            foreach ([-1.0, 1.0] as $side) {
                $this->assertFalse($sight->shows($mirror->but(facingDeg: -90.0 + $side * $turn), 0.0)->isGood(), "{$turn}° do not do");
            }
        }
        $good = self::mirror(600.0, 500.0, $better);
        $this->assertSame($better, $sight->better($good, 0.0), 'a good one stays');
        $this->assertNull(
            (new MirrorSight(self::flat(400.0), 1200.0, 600.0, [[600.0, -450.0, 40.0]]))->better($mirror, 0.0),
            'nobody sees it whichever way it is turned',
        );
    }

    public function test_a_mirror_goes_with_its_board(): void
    {
        $placed = self::mirror(150.0, 20.0, 30.0)->seenFrom(new Placement(100.0, 0.0, 90.0));
        $this->assertEqualsWithDelta([20.0, -50.0, -60.0], [$placed->x, $placed->y, $placed->facingDeg], 1e-9);
        [$a, $b] = self::mirror(0.0, 0.0, 0.0)->ends();
        $this->assertEqualsWithDelta([[0.0, -20.0], [0.0, 20.0]], [$a, $b], 1e-9);
    }
}
