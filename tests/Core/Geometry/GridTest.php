<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Interchange\GeoJson;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Water\Pool;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Fixtures;

final class GridTest extends TestCase
{
    /** @return list<array{string}> */
    public static function landforms(): array
    {
        return [['cone'], ['bowl']];
    }

    #[DataProvider('landforms')]
    public function test_contours_of_known_landforms(string $name): void
    {
        $expected = Fixtures::json("land/{$name}.expected.json");
        $mesh = AsciiGrid::read(Fixtures::text("land/{$name}.asc"))->mesh();
        $levels = $expected['contours']['levels'];
        foreach (Contours::of($mesh, array_map('floatval', array_column($levels, 'level'))) as $k => $contour) {
            $of = $levels[$k];
            $this->assertCount($of['lines'], $contour->lines, "lines at {$contour->level}");
            $this->assertSame($of['closed_lines'], $contour->closedLines());
            $this->assertEqualsWithDelta(
                $of['length']['board']['expect'],
                $contour->length,
                $of['length']['board']['tol'],
                "length at {$contour->level}",
            );
            $this->assertEqualsWithDelta(
                $of['area_above']['board']['expect'],
                $contour->areaAbove,
                $of['area_above']['board']['tol'],
                "area at {$contour->level}",
            );
        }
    }

    #[DataProvider('landforms')]
    public function test_volume_surface_and_slope_of_known_landforms(string $name): void
    {
        $expected = Fixtures::json("land/{$name}.expected.json");
        $grid = AsciiGrid::read(Fixtures::text("land/{$name}.asc"));
        foreach ($expected['volume_above'] as $of) {
            $this->assertEqualsWithDelta($of['board']['expect'], $grid->mesh()->volumeAbove((float) $of['level']), $of['board']['tol']);
        }
        $this->assertEqualsWithDelta(
            $expected['area_3d']['board']['expect'],
            $grid->mesh()->surface(),
            $expected['area_3d']['board']['tol'],
        );
        $this->assertGreaterThanOrEqual($expected['max_slope']['accept'][0], $grid->maxSlope());
        $this->assertLessThanOrEqual($expected['max_slope']['accept'][1], $grid->maxSlope());
    }

    public function test_water_in_the_bowl(): void
    {
        $expected = Fixtures::json('land/bowl.expected.json');
        $mesh = AsciiGrid::read(Fixtures::text('land/bowl.asc'))->mesh();
        foreach ($expected['water'] as $of) {
            $pool = Pool::fill($mesh, (float) $of['level'], ...$of['seed_xy']);
            $this->assertEqualsWithDelta($of['area']['expect'], $pool->surface, $of['area']['tol']);
            $this->assertEqualsWithDelta($of['volume']['expect'], $pool->volume, $of['volume']['tol']);
            $this->assertGreaterThanOrEqual($of['spill']['accept'][0], $pool->spill->level);
            $this->assertLessThanOrEqual($of['spill']['accept'][1], $pool->spill->level);
        }
    }

    public function test_water_over_dry_ground_or_off_the_board_is_refused(): void
    {
        $mesh = AsciiGrid::read(Fixtures::text('land/bowl.asc'))->mesh();
        $right = $mesh->xs[count($mesh->xs) - 1];
        $this->assertGreaterThan(0.0, Pool::fill($mesh, 200.0, $right, 255.0)->surface, 'at the very edge it is on the board');
        foreach ([[20.0, 390.0, 255.0, 'not below'], [34.0, $right + 0.1, 255.0, 'off the board']] as [$level, $x, $y, $words]) {
            try {
                Pool::fill($mesh, $level, $x, $y);
                $this->fail('accepted');
            } catch (InvalidValue $refusal) {
                $this->assertStringContainsString($words, $refusal->getMessage());
            }
        }
    }

    public function test_a_plateau_at_a_level_gives_no_slivers(): void
    {
        $values = [];
        for ($j = 0; $j < 40; $j++) {
            for ($i = 0; $i < 60; $i++) {
                // A flat board with rounding noise, and a pit in the middle.
                $values[] = 40.0 + 1e-9 * sin($i * 7.0 + $j) - 12.0 * max(0.0, 1.0 - hypot($i - 30, $j - 20) / 8.0);
            }
        }
        [$contour] = Contours::of(HeightGrid::cells(60, 40, 5.0, 0.0, 0.0, $values)->mesh(), [40.0]);
        $this->assertCount(1, $contour->lines);
        $this->assertCount(2, $contour->rings, 'the board and the pit');
        $this->assertEqualsWithDelta(300.0 * 200.0 - M_PI * 40.0 ** 2, $contour->areaAbove, 700.0);
    }

    public function test_open_contours_end_on_the_edge_and_rings_close_along_it(): void
    {
        $values = [];
        for ($j = 0; $j < 10; $j++) {
            for ($i = 0; $i < 20; $i++) {
                $values[] = (float) $i;
            }
        }
        [$contour] = Contours::of(HeightGrid::cells(20, 10, 10.0, 0.0, 0.0, $values)->mesh(), [9.5]);
        $this->assertCount(1, $contour->lines);
        $this->assertFalse($contour->lines[0]['closed']);
        $this->assertEqualsWithDelta(100.0, $contour->length, 1e-6);
        $this->assertEqualsWithDelta(100.0 * 100.0, $contour->areaAbove, 1e-6);
        foreach ([$contour->lines[0]['points'][0], $contour->lines[0]['points'][count($contour->lines[0]['points']) - 1]] as [$x, $y]) {
            $this->assertEqualsWithDelta(100.0, $x, 1e-6);
            $this->assertTrue($y === 0.0 || $y === 100.0);
        }
    }

    public function test_thinned_contours_do_not_cross(): void
    {
        mt_srand(11);
        $values = [];
        $bumps = array_map(fn (): array => [mt_rand(0, 60), mt_rand(0, 40), mt_rand(-40, 60), mt_rand(4, 12)], range(1, 9));
        for ($j = 0; $j < 40; $j++) {
            for ($i = 0; $i < 60; $i++) {
                $z = 50.0;
                foreach ($bumps as [$x, $y, $high, $wide]) {
                    $z += $high * exp(-(($i - $x) ** 2 + ($j - $y) ** 2) / $wide ** 2);
                }
                $values[] = $z;
            }
        }
        $mesh = HeightGrid::cells(60, 40, 5.0, 0.0, 0.0, $values)->mesh();
        $segments = [];
        foreach (Contours::of($mesh, Contours::levels($mesh, 10.0)) as $contour) {
            foreach ($contour->lines as $line) {
                $points = LineSimplifier::line(
                    $line['points'],
                    1.0,
                    $line['closed'],
                    LineSimplifier::withinBand($mesh, $contour->level, 4.5, 2.0),
                );
                $this->assertLessThanOrEqual(count($line['points']), count($points));
                for ($k = 1; $k < count($points); $k++) {
                    $segments[] = [$contour->level, $points[$k - 1], $points[$k]];
                }
            }
        }
        $this->assertGreaterThan(100, count($segments));
        foreach ($segments as $a => [$level, $p, $q]) {
            for ($b = $a + 1; $b < count($segments); $b++) {
                if ($segments[$b][0] !== $level) {
                    $this->assertFalse(self::cross($p, $q, $segments[$b][1], $segments[$b][2]), "{$level} crosses {$segments[$b][0]}");
                }
            }
        }
    }

    public function test_ascii_grids_go_out_and_come_back(): void
    {
        $grid = HeightGrid::cells(3, 2, 2.5, 10.0, 20.0, [1.0, 2.0, 3.0, 4.0, 5.0, 6.5]);
        $text = AsciiGrid::write($grid);
        $this->assertStringContainsString("4.000 5.000 6.500\n1.000 2.000 3.000", $text);
        $this->assertEquals($grid, AsciiGrid::read($text));
        $this->assertTrue(AsciiGrid::read(Fixtures::text('land/ground-01.asc'))->onNodes);
    }

    public function test_a_broken_ascii_grid_names_its_line(): void
    {
        foreach (
            [
                "ncols 2\nnrows 2\ncellsize 5\n1 2\n3 x\n" => 'line 5',
                "ncols 2\nnrows 2\ncellsize 5\n1 2\n3\n" => '3 heights',
                "nrows 2\ncellsize 5\n1 2\n" => 'no ncols',
                "ncols 2\nnrows 2\ncellsize 5\n1 2\n3 -9999\n" => 'NODATA',
                "ncols 99999\nnrows 99999\ncellsize 5\n1\n" => 'cannot be read',
                "ncols 2\nnrows two\ncellsize 5\n" => 'line 2',
                '' => 'no ncols',
            ] as $text => $words
        ) {
            try {
                AsciiGrid::read($text);
                $this->fail("accepted: {$text}");
            } catch (InvalidValue $refusal) {
                $this->assertStringContainsString($words, $refusal->place.' '.$refusal->getMessage());
            }
        }
    }

    public function test_geojson_closes_closed_contours(): void
    {
        $mesh = AsciiGrid::read(Fixtures::text('land/cone.asc'))->mesh();
        $json = json_decode(GeoJson::contours(Contours::of($mesh, [50.0])), true);
        $line = $json['features'][0]['geometry']['coordinates'][0];
        $this->assertSame($line[0], $line[count($line) - 1]);
        $this->assertEquals(50, $json['features'][0]['properties']['level_mm']);
    }

    private static function cross(array $p, array $q, array $r, array $s): bool
    {
        $side = fn (array $a, array $b, array $c): float => ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);

        return $side($p, $q, $r) * $side($p, $q, $s) < -1e-9 && $side($r, $s, $p) * $side($r, $s, $q) < -1e-9;
    }
}
