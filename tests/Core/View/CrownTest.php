<?php

declare(strict_types=1);

namespace Tests\Core\View;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\View\Crown;
use IdleRidge\Core\View\Sight;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class CrownTest extends TestCase
{
    #[TestWith([100.0, false])]
    #[TestWith([119.9, false])]
    #[TestWith([120.1, true])]
    #[TestWith([179.9, true])]
    #[TestWith([180.1, false])]
    public function test_a_level_line_is_blocked_between_the_heights_of_a_crown(float $z, bool $blocked): void
    {
        $this->assertSame($blocked, (new Crown(0.0, 0.0, 20.0, 120.0, 180.0))->blocks(-100.0, 0.0, $z, 100.0, 0.0, $z));
    }

    #[TestWith([19.9, true])]
    #[TestWith([20.1, false])]
    public function test_it_is_as_wide_as_its_radius(float $aside, bool $blocked): void
    {
        $this->assertSame($blocked, (new Crown(0.0, 0.0, 20.0, 0.0, 50.0))->blocks(-100.0, $aside, 25.0, 100.0, $aside, 25.0));
    }

    public function test_what_is_before_it_or_looks_over_it_is_seen(): void
    {
        $crown = new Crown(0.0, 100.0, 20.0, 10.0, 50.0);
        $this->assertFalse($crown->blocks(0.0, 50.0, 20.0, 0.0, -400.0, 20.0), 'before it');
        $this->assertTrue($crown->blocks(0.0, 150.0, 20.0, 0.0, -400.0, 20.0), 'behind it');
        $this->assertFalse($crown->blocks(0.0, 150.0, 60.0, 0.0, -400.0, 60.0), 'over it');
        $this->assertTrue($crown->blocks(0.0, 100.0, 0.0, 0.0, -400.0, 300.0), 'ground under it, looked down on through it');
    }

    public function test_sight_by_directions_sees_what_every_crown_lets_through(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(5));
        $land = HeightGrid::cells(20, 20, 20.0, 0.0, 0.0, array_fill(0, 400, 0.0));
        $eyes = [[200.0, -300.0, 150.0], [-250.0, 210.0, 120.0], [200.0, 200.0, 200.0]];
        for ($n = 0; $n < 40; $n++) {
            $crowns = array_map(fn (): Crown => new Crown(
                (float) $random->getInt(0, 400), (float) $random->getInt(0, 400), (float) $random->getInt(5, 40), 20.0,
                (float) $random->getInt(40, 120),
            ), range(1, 12));
            $sight = new Sight($land, $eyes, $crowns);
            for ($k = 0; $k < 30; $k++) {
                [$x, $y] = [(float) $random->getInt(0, 400), (float) $random->getInt(0, 400)];
                $plain = array_filter($eyes, fn (array $e): bool => array_filter(
                    $crowns,
                    fn (Crown $c): bool => $c->blocks($x, $y, 1.0, ...$e),
                ) === []) !== [];
                $this->assertSame($plain, $sight->sees($x, $y, 1.0));
            }
        }
    }
}
