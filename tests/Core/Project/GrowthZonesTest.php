<?php

declare(strict_types=1);

namespace Tests\Core\Project;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowFigures;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Project\GrowthZones;
use IdleRidge\Core\Project\Works;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** The ground that goes with a row: a strip along it, as wide as it is. */
final class GrowthZonesTest extends TestCase
{
    #[TestWith([0.0])]
    #[TestWith([33.0])]
    #[TestWith([90.0])]
    #[TestWith([-141.0])]
    public function test_a_zone_along_a_row_lies_to_both_sides_of_it_whichever_way_it_goes(float $heading): void
    {
        $long = 173.0;
        [$cos, $sin] = [cos(deg2rad($heading)), sin(deg2rad($heading))];
        [$x, $y] = [600.0, 300.0];
        $points = [[$x - $cos * $long / 2.0, $y - $sin * $long / 2.0], [$x + $cos * $long / 2.0, $y + $sin * $long / 2.0]];
        // A metre and a half wide at 1:100.
        $ring = $this->strip($points, 1.5);
        $this->assertEqualsWithDelta($long * 15.0, Polygon::area($ring), 1e-6);
        // Every 10 mm to either side, the last step shorter.
        $this->assertCount(2 * 19, $ring);
        foreach ($ring as $p) {
            $this->assertEqualsWithDelta(7.5, abs(($p[1] - $y) * $cos - ($p[0] - $x) * $sin), 1e-9);
            $this->assertLessThan($long / 2.0 + 1e-9, abs(($p[0] - $x) * $cos + ($p[1] - $y) * $sin));
        }
    }

    public function test_a_row_with_no_width_has_six_millimetres_of_ground(): void
    {
        $this->assertEqualsWithDelta(100.0 * 6.0, Polygon::area($this->strip([[100.0, 100.0], [200.0, 100.0]], 0.1)), 1e-6);
    }

    public function test_a_long_strip_has_no_more_corners_than_are_needed(): void
    {
        $this->assertCount(2 * 61, $this->strip([[100.0, 100.0], [1100.0, 100.0]], 1.0));
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private function strip(array $points, float $wide): array
    {
        $row = new Row(Build::uid(1), RowKind::Fence, new RowFigures(3.0, 1.2, $wide), points: $points);
        $project = Build::project(sheet: ['ratio' => 100.0])->working(new Works(
            zones: [Build::zone(2, ['along' => $row->uid])],
            growth: new Growth([], [$row]),
        ));
        $zones = (new GrowthZones($project))->zones();

        return $zones[0]->outline ?? [];
    }
}
