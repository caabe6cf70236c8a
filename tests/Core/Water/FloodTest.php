<?php

declare(strict_types=1);

namespace Tests\Core\Water;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Water\Flood;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

final class FloodTest extends TestCase
{
    /** A plain at 50 that falls to the right, with a bowl 20 deep round (200, 150), and a notch in its rim to the right. */
    private static function bowl(float $notch = 0.0): HeightMesh
    {
        $values = [];
        for ($j = 0; $j < 60; $j++) {
            for ($i = 0; $i < 120; $i++) {
                [$x, $y] = [5.0 * $i + 2.5, 5.0 * $j + 2.5];
                $r = hypot($x - 200.0, $y - 150.0);
                $z = $r < 80.0 ? 50.0 - 20.0 * (1.0 - ($r / 80.0) ** 2) : 50.0 - max(0.0, $x - 280.0) / 20.0;
                $inNotch = $x > 200.0 && abs($y - 150.0) < 6.0;
                $values[] = $inNotch ? min($z, 50.0 - $notch - max(0.0, $x - 280.0) / 20.0) : $z;
            }
        }

        return HeightGrid::cells(120, 60, 5.0, 0.0, 0.0, $values)->mesh();
    }

    public function test_what_is_wet_hangs_together_and_lies_below(): void
    {
        $mesh = self::bowl();
        $flood = new Flood($mesh);
        $seed = $flood->node(200.0, 150.0);
        $wet = $flood->wet($seed, 45.0);
        $this->assertSame([], $flood->wet($seed, $mesh->z[$seed]), 'a seed at the level is dry');
        $rim = 80.0 * sqrt(1.0 - 5.0 / 20.0);
        $this->assertEqualsWithDelta(M_PI * $rim ** 2 / 25.0, count($wet), 25.0);
        foreach (array_keys($wet) as $node) {
            $this->assertLessThan(45.0, $mesh->z[$node]);
            $this->assertLessThan($rim, hypot($flood->place($node)[0] - 200.0, $flood->place($node)[1] - 150.0));
        }
    }

    public function test_it_leaves_by_the_lowest_place_and_runs_down_from_there(): void
    {
        foreach ([0.0, 3.0, 7.5] as $notch) {
            $mesh = self::bowl($notch);
            $flood = new Flood($mesh);
            $spill = $flood->spill($flood->node(200.0, 150.0));
            $this->assertNotNull($spill);
            $this->assertEqualsWithDelta(50.0 - $notch, $spill->level, 0.3, "notch {$notch}");
            if ($notch > 0.0) {
                $this->assertEqualsWithDelta(150.0, $spill->at()[1], 6.0, 'over the notch');
                $this->assertEqualsWithDelta(600.0, $spill->path[count($spill->path) - 1][0], 1e-6, 'off by the right');
                $last = INF;
                foreach ($spill->path as $place) {
                    $height = $mesh->at(...$place);
                    $this->assertLessThanOrEqual($last + 1e-9, $height, 'never up');
                    $last = $height;
                }
            }
        }
    }

    public function test_dams_close_edges_and_outlets_open_them(): void
    {
        $mesh = self::bowl(3.0);
        $flood = new Flood($mesh);
        $seed = $flood->node(200.0, 150.0);
        $edges = [];
        foreach ($mesh->ys as $y) {
            $edges[$flood->node(600.0, $y)] = true;
        }
        $dammed = $flood->spill($seed, $edges);
        $this->assertNotNull($dammed);
        $this->assertNotEqualsWithDelta(600.0, $dammed->path[count($dammed->path) - 1][0], 1.0, 'the right is closed');
        foreach ([...$mesh->xs] as $x) {
            $edges[$flood->node($x, 0.0)] = $edges[$flood->node($x, 300.0)] = true;
        }
        foreach ($mesh->ys as $y) {
            $edges[$flood->node(0.0, $y)] = true;
        }
        $this->assertNull($flood->spill($seed, $edges), 'dams all round');
        $hole = $flood->spill($seed, $edges, [$flood->node(400.0, 150.0) => true]);
        $this->assertNotNull($hole);
        $this->assertEqualsWithDelta([402.5, 147.5], $hole->path[count($hole->path) - 1], 5.1);
    }

    public function test_a_hollow_on_its_way_is_filled_first(): void
    {
        $values = [];
        for ($i = 0; $i < 40; $i++) {
            // Walls at 90, a pool, a lip at 60, a second pool, a lip at 55, then down to the right.
            $values[] = [90.0, 20.0, 20.0, 60.0, 30.0, 30.0, 55.0, 10.0][min(7, intdiv($i, 5))];
        }
        $mesh = HeightGrid::cells(40, 3, 5.0, 0.0, 0.0, [...array_fill(0, 40, 90.0), ...$values, ...array_fill(0, 40, 90.0)])->mesh();
        $flood = new Flood($mesh);
        $spill = $flood->spill($flood->node(40.0, 7.5));
        $this->assertSame(60.0, $spill?->level);
        $this->assertEqualsWithDelta(200.0, $spill->path[count($spill->path) - 1][0], 1e-6);
    }

    /** The spill level is the least over all ways of the highest place on each: held against plain relaxation. */
    public function test_the_spill_is_the_lowest_of_all_ways_out(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20));
        for ($case = 0; $case < 60; $case++) {
            [$n, $m] = [$random->getInt(4, 14), $random->getInt(4, 14)];
            $values = [];
            for ($k = 0; $k < $n * $m; $k++) {
                $values[] = round(Build::between($random, 0.0, 30.0), 1);
            }
            $mesh = HeightGrid::cells($n, $m, 5.0, 0.0, 0.0, $values)->mesh();
            $flood = new Flood($mesh);
            $seed = $flood->node(Build::between($random, 2.0, $n * 5.0 - 2.0), Build::between($random, 2.0, $m * 5.0 - 2.0));
            $this->assertSame(self::lowestWay($mesh, $seed), $flood->spill($seed)?->level, "case {$case}");
        }
    }

    private static function lowestWay(HeightMesh $mesh, int $seed): float
    {
        [$n, $m] = [count($mesh->xs), count($mesh->ys)];
        $over = array_fill(0, $n * $m, INF);
        $over[$seed] = $mesh->z[$seed];
        for ($changed = true; $changed;) {
            $changed = false;
            foreach ($over as $p => $height) {
                foreach ([$p % $n > 0 ? $p - 1 : null, $p % $n < $n - 1 ? $p + 1 : null, $p - $n, $p + $n] as $q) {
                    if ($height < INF && $q !== null && isset($over[$q]) && max($height, $mesh->z[$q]) < $over[$q]) {
                        $over[$q] = max($height, $mesh->z[$q]);
                        $changed = true;
                    }
                }
            }
        }
        $edge = fn (int $p): bool => $p % $n === 0 || $p % $n === $n - 1 || $p < $n || $p >= $n * ($m - 1);

        return min(array_filter($over, $edge, ARRAY_FILTER_USE_KEY));
    }
}
