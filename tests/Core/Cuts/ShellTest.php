<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\Rib;
use IdleRidge\Core\Cuts\Shell;
use IdleRidge\Core\Cuts\ShellBuild;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Track\Vehicle;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Ribs, strips and cloth against closed forms. */
final class ShellTest extends TestCase
{
    public function test_a_plane_that_climbs_is_measured_along_its_slope(): void
    {
        // 600 × 400, rising 0.75 along the depth: 1.25 times as long that way.
        $shape = self::plane(0.75);
        $shell = Shell::over($shape, 0.0, CutSchool::Web, new ShellBuild(ribGap: 150.0, stripGap: 50.0, overlap: 0.5, layers: 2));
        $this->assertCount(5, $shell->ribs);
        $this->assertSame([0.0, 150.0, 300.0, 450.0, 600.0], array_map(fn (Rib $r): float => $r->x, $shell->ribs));
        $this->assertEqualsWithDelta(600.0 * 400.0 * 1.25, $shell->surface, 1.0);
        $this->assertEqualsWithDelta(2.0 * 2.0 * $shell->surface, $shell->cover(), 1.0, 'two layers, half of each on its neighbour');
        // Eight along the board with 20 mm for each of five ribs, twelve up the slope with 20 mm at both ends.
        $this->assertEqualsWithDelta(8 * (600.0 + 100.0) + 12 * (500.0 + 40.0), $shell->strips, 0.5);
        $this->assertSame(20, $shell->stripCount);
        foreach ($shell->bays as $bay) {
            $this->assertEqualsWithDelta(150.0 * 500.0, $bay['surface'], 0.5);
            $this->assertEqualsWithDelta(75_000.0 / (150.0 * 250.0 * 0.5), $bay['pieces'], 0.01);
        }
        $this->assertSame(2 * 4 * 4, $shell->pieces());
        foreach ($shell->ribs as $rib) {
            $this->assertEqualsWithDelta(0.5 * 400.0 * 300.0, $rib->area(), 60.0, 'a triangle');
            $this->assertEqualsWithDelta(300.0, $rib->highest, 1e-9);
        }
        $this->assertEqualsWithDelta(
            (0.6 * $shell->cover()) / 1e6 + (((0.5 * 25.0) / 50.0) * $shell->surface) / 1e6,
            $shell->weight(),
            1e-9,
        );
        $towel = Shell::over($shape, 0.0, CutSchool::Towel, new ShellBuild(stripGap: 50.0, layers: 3));
        $this->assertEqualsWithDelta(
            ((1.3 * 3.0 * $towel->surface) / 1e6) * 1.6 + (0.25 * $towel->surface) / 1e6,
            $towel->weight(true),
            1e-9,
        );
        $more = Shell::over($shape, 0.0, CutSchool::Web, new ShellBuild(ribGap: 150.0, stripGap: 50.0, overlap: 0.5, layers: 3));
        $this->assertEqualsWithDelta((3.0 * $shell->surface) / 1e4, $more->minutes() - $shell->minutes(), 1e-6, 'three minutes a dm² more');
    }

    public function test_a_rib_is_open_where_a_bore_goes_through_it(): void
    {
        $vehicle = Vehicle::from(280.0, 190.0, 34.0, 50.0);
        $project = Build::project(
            [
                Build::straight(
                    1,
                    301.0,
                    60.0,
                    60.0,
                    Build::evenProfile(),
                    structures: [['kind' => 'tunnel', 'from_mm' => 0.0, 'to_mm' => 1200.0]],
                ),
            ],
            sheet: ['clearance' => new LayoutClearance([$vehicle])],
            base: 160.0,
        );
        $shape = Build::study($project)->terrain->mesh();
        $rib = Rib::at('R3', 600.0, $shape, 0.0, $project->bores($project->runs));
        $this->assertCount(2, $rib->rings);
        // 50 wide and 66.8 high, told on a raster of 2.5 mm.
        $this->assertEqualsWithDelta(-50.0 * 66.8, Polygon::area($rib->rings[1]), 2.6 * 66.8);
        $this->assertCount(1, $rib->pieces());
        $this->assertCount(2, $rib->pieces()[0]->rings);
        $this->assertSame(2, count($rib->template()->cut));
    }

    public function test_a_rib_over_flat_board_falls_into_pieces(): void
    {
        $xs = [0.0, 100.0];
        $ys = array_map(fn (int $k): float => 10.0 * $k, range(0, 40));
        $high = array_map(fn (float $y): float => abs($y - 100.0) < 50.0 || abs($y - 300.0) < 50.0 ? 40.0 : 0.0, $ys);
        $z = [];
        foreach ($high as $h) {
            array_push($z, $h, $h);
        }
        $rib = Rib::at('R1', 50.0, new HeightMesh($xs, $ys, $z), 0.0);
        $this->assertSame(['R1a', 'R1b'], array_map(fn ($piece): string => $piece->id, $rib->pieces()));
        $this->assertSame([], Rib::at('R2', 50.0, new HeightMesh($xs, $ys, array_fill(0, count($z), 0.0)), 0.0)->pieces());
    }

    public function test_a_shell_that_cannot_be_is_refused(): void
    {
        foreach (
            [
                'cuts/shell/rib_gap_mm' => ['ribGap' => 5.0],
                'cuts/shell/strip_mm' => ['strip' => 80.0],
                'cuts/shell/overlap' => ['overlap' => 1.0],
                'cuts/shell/layers' => ['layers' => 0],
                'cuts/shell/cloth_width_mm' => ['clothWidth' => 0.0],
            ] as $place => $with
        ) {
            try {
                new ShellBuild(...$with);
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    private static function plane(float $rise): HeightMesh
    {
        $xs = array_map(fn (int $k): float => 10.0 * $k, range(0, 60));
        $ys = array_map(fn (int $k): float => 10.0 * $k, range(0, 40));
        $z = [];
        foreach ($ys as $y) {
            foreach ($xs as $x) {
                $z[] = $rise * $y;
            }
        }

        return new HeightMesh($xs, $ys, $z);
    }
}
