<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\TunnelBore;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Interchange\TrackTable;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Vehicle;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Tunnels on curves and on boards that are turned. */
final class BoreTest extends TestCase
{
    public function test_a_bore_on_a_curve_is_as_wide_as_the_vehicle_swings(): void
    {
        $run = $this->curve();
        $vehicle = Vehicle::from(300.0, 200.0, 34.0, 50.0);
        $bore = TunnelBore::through($run, $run->structures[0], [$vehicle], 8.0);
        // m = √(600² − 100²) = 591.608; inside 600 − (m − 17), outside √((m + 17)² + 150²) − 600.
        $this->assertEqualsWithDelta(600.0 - (591.608 - 17.0) + 8.0, $bore->left, 0.3, 'the curve turns left');
        $this->assertEqualsWithDelta(hypot(591.608 + 17.0, 150.0) - 600.0 + 8.0, $bore->right, 0.3);
        $this->assertEqualsWithDelta(8.8 + 50.0 + 8.0, $bore->rise, 1e-9);
        $this->assertEqualsWithDelta(($bore->left + $bore->right) * 66.8 * 200.0, $bore->volume(1200.0, 900.0), 1.0);
        $this->assertSame(0.0, $bore->volume(50.0, 50.0), 'nothing of it on a board it does not reach');
    }

    public function test_distances_to_its_sides_are_told_for_the_nodes_about_it(): void
    {
        $run = Build::straight(1, 300.0, 60.0, 72.0, structures: [['kind' => 'tunnel', 'from_mm' => 400.0, 'to_mm' => 600.0]]);
        $bore = TunnelBore::through($run, $run->structures[0], [Vehicle::from(280.0, 190.0, 34.0, 50.0)], 8.0);
        $xs = array_map(fn (int $i): float => 10.0 * $i, range(0, 120));
        $ys = array_map(fn (int $j): float => 10.0 * $j, range(0, 60));
        $nodes = $bore->over(new HeightMesh($xs, $ys, array_fill(0, 121 * 61, 0.0)));
        $at = fn (int $x, int $y): ?array => $nodes[intdiv($y, 10) * 121 + intdiv($x, 10)] ?? null;
        $this->assertEqualsWithDelta([-25.0, 65.0, 131.8], $at(500, 300), 1e-6);
        $this->assertEqualsWithDelta(5.0, $at(500, 330)[0] ?? NAN, 1e-6);
        $this->assertEqualsWithDelta(-5.0, $at(500, 280)[0] ?? NAN, 1e-6);
        $this->assertEqualsWithDelta(9.0, $at(390, 300)[0] ?? NAN, 1e-6, 'a millimetre past the portal');
        $this->assertNull($at(500, 350));
        $this->assertNull($at(300, 300));
    }

    public function test_a_turned_board_sees_the_same_stretch(): void
    {
        $run = $this->curve();
        $placement = new Placement(120.0, -40.0, 33.0);
        $seen = $run->seenFrom($placement);
        $this->assertEquals($run->structures, $seen->structures);
        $here = $placement->toSection($run->alignment->pointAt(250.0));
        $this->assertEqualsWithDelta(
            [$here->x, $here->y],
            [$seen->alignment->pointAt(250.0)->x, $seen->alignment->pointAt(250.0)->y],
            1e-6,
        );
    }

    public function test_stations_in_a_table_name_what_is_built_there(): void
    {
        $run = $this->curve();
        $lines = array_map(
            fn (string $line): array => explode(',', $line),
            explode("\r\n", trim(TrackTable::write([[$run, 145.0, 172.5]]))),
        );
        $this->assertSame(
            ['145.000', '150.000', '160.000', '170.000', '172.500'],
            array_column(array_slice($lines, 1), 1),
            'both ends and every ten between',
        );
        $this->assertSame(['', 'tunnel', 'tunnel', 'tunnel', 'tunnel'], array_column(array_slice($lines, 1), 9));
        $this->assertSame('600.0', $lines[2][7]);
        $this->assertEqualsWithDelta(170.0 + rad2deg(150.0 / 600.0) - 360.0, (float) $lines[2][6], 1e-4, 'headings stay within ±180°');
        $this->assertSame(
            'run,station_mm,x_mm,y_mm,z_formation_mm,z_rail_mm,heading_deg,radius_mm,grade_percent,structure',
            trim(TrackTable::write([])),
        );
    }

    private function curve(): Run
    {
        return Build::run(
            1,
            900.0,
            100.0,
            170.0,
            [['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 50.0]],
            60.0,
            [],
            Build::evenProfile(),
            [['kind' => 'tunnel', 'from_mm' => 150.0, 'to_mm' => 350.0]],
        );
    }
}
