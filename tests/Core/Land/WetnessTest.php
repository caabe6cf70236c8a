<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Land\Wetness;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class WetnessTest extends TestCase
{
    /** A plane that falls to the right on a board that does not begin at nought: the way begins in the cell that is asked for. */
    #[TestWith([100.0, 50.0, 105.0, 55.0])]
    #[TestWith([119.9, 69.9, 115.0, 65.0])]
    #[TestWith([120.1, 70.1, 125.0, 75.0])]
    #[TestWith([-40.0, -40.0, 105.0, 55.0])]
    #[TestWith([900.0, 900.0, 295.0, 145.0])]
    public function test_water_begins_where_it_is_poured(float $x, float $y, float $fromX, float $fromY): void
    {
        $z = [];
        for ($p = 0; $p < 200; $p++) {
            $z[] = 100.0 - ($p % 20);
        }
        $way = Wetness::downhill(HeightGrid::cells(20, 10, 10.0, 100.0, 50.0, $z), $x, $y);
        $this->assertEqualsWithDelta([$fromX, $fromY], $way[0], 1e-9);
        $this->assertEqualsWithDelta([295.0, $fromY], $way[count($way) - 1], 1e-9, 'and ends at the low edge');
    }
}
