<?php

declare(strict_types=1);

namespace Tests\Core\Planting;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Planting\Depth;
use IdleRidge\Core\Planting\Obstacle;
use IdleRidge\Core\Planting\Obstacles;
use IdleRidge\Core\Planting\Planter;
use IdleRidge\Core\Planting\PlantingGround;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

final class PlanterTest extends TestCase
{
    private const SCALES = [43.5, 48.0, 76.2, 87.1, 160.0];

    public function test_trees_keep_their_distance_and_clear_of_what_passes_over_random_zones(): void
    {
        for ($seed = 1; $seed <= 200; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $of = fn (int $low, int $high): float => (float) $random->getInt($low, $high);
            [$width, $length] = [$of(300, 1600) + 0.5, $of(250, 900)];
            $ring = $this->ring($random, $width, $length);
            $obstacles = $this->line($of(0, (int) $width), 0.0, $of(0, (int) $width), $length, $of(15, 60));
            $rise = $random->getInt(0, 12) / 10.0;
            $ground = $this->ground($width, $length, $obstacles, $rise, [BoardEdge::Front, BoardEdge::Left][$seed % 2]);
            $scale = Scale::oneTo(self::SCALES[$seed % 5]);
            $pattern = [StandPattern::Wood, StandPattern::Groups, StandPattern::Orchard][$seed % 3];
            $rule = new PlantingRule(
                $pattern,
                spacing: $random->getInt(6, 15) / 10.0,
                tallBehind: $random->getInt(0, 10) / 10.0,
                dead: 0.1,
                steepestDeg: 45.0,
                clear: $of(0, 8),
                seed: $seed,
            );
            $stand = $this->stand($rule);
            try {
                $trees = (new Planter($stand, $ground, [$ring], $scale))->plant();
            } catch (InvalidValue $refusal) {
                $this->assertMatchesRegularExpression('/no room|more than 5,000/', $refusal->getMessage(), "seed {$seed}");

                continue;
            }
            $slack = INF;
            foreach ($trees as $k => $tree) {
                $this->assertTrue(PlantingGround::within([$ring], $tree->x, $tree->y), "seed {$seed}: tree {$k} in its zone");
                $this->assertNull($ground->against($tree, $rule), "seed {$seed}: tree {$k} stands free");
                foreach (array_slice($trees, $k + 1) as $other) {
                    $least = ($rule->spacing * ($tree->crown + $other->crown)) / 2.0;
                    $slack = min($slack, hypot($tree->x - $other->x, $tree->y - $other->y) - $least);
                }
            }
            $this->assertGreaterThanOrEqual(-1e-6, $slack, "seed {$seed}: no two nearer than their spacing");
            if ($pattern === StandPattern::Groups) {
                foreach ($this->sizesOfGroups($trees, $rule->spacing) as $size) {
                    $this->assertSame(1, $size % 2, "seed {$seed}: groups are odd");
                }
            }
        }
    }

    public function test_a_wood_is_full(): void
    {
        $rule = new PlantingRule(spacing: 1.0, tallBehind: 0.0, dead: 0.0);
        $stand = $this->stand($rule, [new Species('Larch', TreeForm::Cone, 10.0, 10.0, 4.0, 4.0)]);
        $crown = 4000.0 / 87.1;
        $ground = $this->ground(1000.0, 500.0, []);
        $trees = (new Planter($stand, $ground, [[[0.0, 0.0], [1000.0, 0.0], [1000.0, 500.0], [0.0, 500.0]]], Scale::oneTo(87.1)))->plant();
        // Thrown discs jam at about 0.547 of the plane (E. Hinrichsen and others, 1990); these centres may lie at the edge too.
        $share = count($trees) * M_PI * ($crown / 2.0) ** 2 / (1000.0 * 500.0);
        $this->assertGreaterThan(0.47, $share);
        $this->assertLessThan(0.62, $share);
    }

    public function test_spacing_is_kept_and_not_more_than_kept(): void
    {
        $rule = new PlantingRule(spacing: 1.0, tallBehind: 0.0, dead: 0.0);
        $stand = $this->stand($rule, [new Species('Larch', TreeForm::Cone, 10.0, 10.0, 2.0, 2.0)]);
        $square = [[0.0, 0.0], [600.0, 0.0], [600.0, 400.0], [0.0, 400.0]];
        $trees = (new Planter($stand, $this->ground(600.0, 400.0, []), [$square], Scale::oneTo(87.1)))->plant();
        $least = INF;
        foreach ($trees as $k => $tree) {
            foreach (array_slice($trees, $k + 1) as $other) {
                $least = min($least, hypot($tree->x - $other->x, $tree->y - $other->y));
            }
        }
        $this->assertGreaterThanOrEqual(2000.0 / 87.1 - 1e-6, $least);
        $this->assertLessThan(1.03 * 2000.0 / 87.1, $least);
        $this->assertLessThan(25.0, min(array_map(fn (Tree $t): float => min($t->x, $t->y, 600.0 - $t->x, 400.0 - $t->y), $trees)));
        $far = max(array_map(fn (Tree $t): float => $t->x, $trees));
        $this->assertGreaterThan(580.0, $far, 'up to the far edge');
    }

    public function test_groups_are_of_one_three_five_and_seven(): void
    {
        $rule = new PlantingRule(StandPattern::Groups, spacing: 0.8, tallBehind: 0.0, dead: 0.0);
        $stand = $this->stand($rule, [new Species('Thorn', TreeForm::Round, 4.0, 4.0, 1.2, 1.2)]);
        $square = [[0.0, 0.0], [1200.0, 0.0], [1200.0, 600.0], [0.0, 600.0]];
        $trees = (new Planter($stand, $this->ground(1200.0, 600.0, []), [$square], Scale::oneTo(87.1)))->plant();
        $sizes = array_count_values($this->sizesOfGroups($trees, 0.8));
        ksort($sizes);
        $this->assertSame([1, 3, 5, 7], array_keys($sizes));
        $all = array_sum($sizes);
        // Of ten groups two stand alone, four are of three, three of five, one of seven; where room is short a larger one is smaller.
        $this->assertEqualsWithDelta(0.4, $sizes[3] / $all, 0.12);
        $this->assertEqualsWithDelta(0.1, $sizes[7] / $all, 0.07);
    }

    public function test_an_orchard_without_end_and_a_crown_wider_than_a_board_are_held(): void
    {
        $square = [[0.0, 0.0], [1200.0, 0.0], [1200.0, 600.0], [0.0, 600.0]];
        $oak = [new Species('Oak', TreeForm::Spread, 30.0, 30.0, 30.0, 30.0)];
        $wide = $this->stand(new PlantingRule(StandPattern::Wood, 1.0, dead: 0.0), $oak);
        $trees = (new Planter($wide, $this->ground(1200.0, 600.0, []), [$square], Scale::oneTo(43.5)))->plant();
        $this->assertSame(600.0, max(array_map(fn (Tree $t): float => $t->crown, $trees)));
        $small = $this->stand(new PlantingRule(StandPattern::Orchard, 0.2), [new Species('Cress', TreeForm::Bush, 0.2, 0.2, 0.1, 0.1)]);
        $this->expectExceptionMessage('more than 5,000 trees');
        (new Planter($small, $this->ground(1200.0, 600.0, []), [$square], Scale::oneTo(160.0)))->plant();
    }

    #[TestWith([4.9, 'Line'])]
    #[TestWith([5.1, null])]
    public function test_a_stem_keeps_off_a_formation_by_half_its_thickness(float $away, ?string $met): void
    {
        // The formation 4 mm to this side, half a stem of 70 mm: 1 mm.
        $ground = $this->ground(600.0, 400.0, [new Obstacle(300.0, 200.0, 4.0, 0.0, 0.0, 0.0, 'Line')]);
        $tree = new Tree(300.0 + $away, 200.0, 0, 70.0, 20.0);
        $this->assertSame($met, $ground->against($tree, new PlantingRule())['what'] ?? null);
    }

    public function test_the_mix_is_what_was_asked_for(): void
    {
        $mix = [
            new Species('Birch', TreeForm::Round, 5.0, 14.0, 2.5, 5.5, 8.0),
            new Species('Rowan', TreeForm::Round, 4.0, 10.0, 2.5, 5.0, 1.0),
            new Species('Juniper', TreeForm::Column, 1.0, 4.0, 0.7, 1.8, 1.0),
        ];
        $square = [[0.0, 0.0], [1000.0, 0.0], [1000.0, 500.0], [0.0, 500.0]];
        $stand = $this->stand(new PlantingRule(), $mix);
        $counts = array_count_values(array_map(
            fn (Tree $t): int => $t->species,
            (new Planter($stand, $this->ground(1000.0, 500.0, []), [$square], Scale::oneTo(87.1)))->plant(),
        ));
        $all = array_sum($counts);
        $this->assertGreaterThan(100, $all);
        foreach ([0.8, 0.1, 0.1] as $k => $share) {
            $this->assertEqualsWithDelta($share * $all, $counts[$k], 1.01, 'small ones do not fill the gaps');
        }
    }

    public function test_the_same_seed_plants_the_same_wood_and_another_one_another(): void
    {
        $plant = fn (int $seed): array => (new Planter(
            $this->stand(new PlantingRule(seed: $seed)),
            $this->ground(600.0, 400.0, []),
            [[[20.0, 20.0], [580.0, 20.0], [580.0, 380.0], [20.0, 380.0]]],
            Scale::oneTo(87.1),
        ))->plant();
        $this->assertEquals($plant(7), $plant(7));
        $this->assertNotEquals($plant(7), $plant(8));
    }

    public function test_trees_are_taller_behind_and_what_is_fixed_stays(): void
    {
        $fixed = new Tree(300.0, 200.0, 0, 77.0, 40.0, fixed: true);
        $stand = $this->stand(new PlantingRule(tallBehind: 1.0, dead: 0.0))->but(trees: [$fixed, new Tree(100.0, 100.0, 0, 50.0, 30.0)]);
        $square = [[0.0, 0.0], [600.0, 0.0], [600.0, 400.0], [0.0, 400.0]];
        $trees = (new Planter($stand, $this->ground(600.0, 400.0, []), [$square], Scale::oneTo(87.1)))->plant();
        $this->assertEquals($fixed, $trees[0]);
        $this->assertNotEquals(100.0, $trees[1]->x, 'what is not fixed is planted anew');
        foreach (array_slice($trees, 1) as $tree) {
            $species = $stand->species($tree);
            [$heightM] = $species->at($tree->y / 400.0);
            $this->assertEqualsWithDelta(1000.0 * $heightM / 87.1, $tree->height, 1e-6, 'all of it by distance');
        }
    }

    public function test_an_orchard_stands_in_rows_along_its_longest_side(): void
    {
        $stand = $this->stand(
            new PlantingRule(StandPattern::Orchard, spacing: 1.2, dead: 0.0),
            [new Species('Apple', TreeForm::Round, 4.0, 4.0, 4.0, 4.0)],
        );
        [$c, $s] = [cos(0.3), sin(0.3)];
        $ring = array_map(
            fn (array $p): array => [100.0 + $c * $p[0] - $s * $p[1], 60.0 + $s * $p[0] + $c * $p[1]],
            [[0.0, 0.0], [400.0, 0.0], [400.0, 200.0], [0.0, 200.0]],
        );
        $trees = (new Planter($stand, $this->ground(700.0, 500.0, []), [$ring], Scale::oneTo(87.1)))->plant();
        $pitch = 1.2 * 4000.0 / 87.1;
        $this->assertCount((int) floor(400.0 / $pitch + 0.5) * (int) floor(200.0 / $pitch + 0.5), $trees);
        foreach (array_slice($trees, 1) as $tree) {
            $along = (($tree->x - $trees[0]->x) * $c + ($tree->y - $trees[0]->y) * $s) / $pitch;
            $this->assertEqualsWithDelta(round($along), $along, 1e-6);
        }
    }

    public function test_where_there_is_no_room_it_says_why(): void
    {
        $steep = fn () => (new Planter(
            $this->stand(new PlantingRule(steepestDeg: 30.0)),
            $this->ground(600.0, 400.0, [], 1.0),
            [[[20.0, 20.0], [580.0, 20.0], [580.0, 380.0], [20.0, 380.0]]],
            Scale::oneTo(87.1),
        ))->plant();
        try {
            $steep();
            $this->fail('45° is too steep');
        } catch (InvalidValue $refusal) {
            $words = '/^There is no room for a tree: of \d+ places tried, \d+ too steep\.$/';
            $this->assertMatchesRegularExpression($words, $refusal->getMessage());
            $this->assertSame('zone', $refusal->place);
        }
        $this->expectExceptionMessage('the zone has no land on this board');
        (new Planter($this->stand(new PlantingRule()), $this->ground(600.0, 400.0, []), [], Scale::oneTo(87.1)))->plant();
    }

    public function test_more_than_five_thousand_trees_are_refused(): void
    {
        $stand = $this->stand(new PlantingRule(spacing: 0.3), [new Species('Heather', TreeForm::Bush, 0.3, 0.4, 0.4, 0.5)]);
        $square = [[0.0, 0.0], [1200.0, 0.0], [1200.0, 600.0], [0.0, 600.0]];
        $this->expectExceptionMessage('more than 5,000 trees');
        (new Planter($stand, $this->ground(1200.0, 600.0, []), [$square], Scale::oneTo(160.0)))->plant();
    }

    public function test_the_slope_a_stem_stands_on_counts_to_the_degree(): void
    {
        $rule = new PlantingRule(steepestDeg: 45.0);
        $tree = new Tree(300.0, 200.0, 0, 80.0, 40.0);
        $this->assertNull($this->ground(600.0, 400.0, [], tan(deg2rad(44.9)))->against($tree, $rule));
        $this->assertSame('steep', $this->ground(600.0, 400.0, [], tan(deg2rad(45.1)))->against($tree, $rule)['what'] ?? null);
    }

    #[TestWith([34.9, 'Line'])]
    #[TestWith([35.1, null])]
    public function test_a_crown_keeps_clear_of_what_passes(float $away, ?string $met): void
    {
        // Room 10, half a crown 20, clear 5.
        $ground = $this->ground(600.0, 400.0, [new Obstacle(300.0, 200.0, 2.0, 10.0, 20.0, 80.0, 'Line')]);
        $tree = new Tree(300.0 + $away, 200.0, 0, 80.0, 40.0);
        $this->assertSame($met, $ground->against($tree, new PlantingRule(clear: 5.0))['what'] ?? null);
        $low = $tree->but(height: 19.9, crown: 40.0);
        $this->assertNull($ground->against($low, new PlantingRule(clear: 5.0)), 'under the rail nothing passes');
    }

    #[TestWith(['joint', 19.9, 'joint'])]
    #[TestWith(['joint', 20.1, null])]
    #[TestWith(['edge', 2.9, 'edge'])]
    #[TestWith(['edge', 3.1, null])]
    public function test_no_crown_goes_over_a_joint_and_no_stem_onto_an_edge(string $what, float $x, ?string $met): void
    {
        $ground = $this->ground(600.0, 400.0, [], 0.0, BoardEdge::Front, $what === 'joint' ? ['left'] : []);
        $this->assertSame($met, $ground->against(new Tree($x, 200.0, 0, 80.0, 40.0), new PlantingRule())['what'] ?? null);
    }

    #[TestWith([[BoardEdge::Front], 100.0, 0.25])]
    #[TestWith([[BoardEdge::Front, BoardEdge::Back], 100.0, 0.5])]
    #[TestWith([[BoardEdge::Front, BoardEdge::Back], 300.0, 0.5])]
    #[TestWith([[BoardEdge::Left], 100.0, 0.5])]
    #[TestWith([[], 100.0, 0.5])]
    public function test_depth_counts_from_the_nearest_edge_that_is_looked_at(array $edges, float $y, float $share): void
    {
        $depth = new Depth($edges, 600.0, 400.0, 0.8);
        $this->assertEqualsWithDelta($share, $depth->share(300.0, $y), 1e-9);
        $this->assertEqualsWithDelta($edges === [] ? 1.0 : 1.0 - 0.2 * $share, $depth->scale(300.0, $y), 1e-9);
    }

    /** @param  list<Species>|null  $mix */
    private function stand(PlantingRule $rule, ?array $mix = null): Stand
    {
        return new Stand(Build::uid(1), Build::uid(2), 'Wood', null, $mix ?? [
            new Species('Birch', TreeForm::Round, 4.0, 12.0, 2.5, 5.0, 3.0),
            new Species('Spruce', TreeForm::Cone, 5.0, 18.0, 3.0, 6.0, 1.0),
        ], $rule);
    }

    /**
     * @param  list<Obstacle>  $obstacles
     * @param  list<string>  $joined
     */
    private function ground(
        float $width,
        float $length,
        array $obstacles,
        float $rise = 0.0,
        BoardEdge $edge = BoardEdge::Front,
        array $joined = [],
    ): PlantingGround {
        $mesh = fn (float $low, float $high): HeightMesh => new HeightMesh([0.0, $width], [0.0, $length], [$low, $low, $high, $high]);
        $deg = rad2deg(atan($rise));

        return new PlantingGround(
            $width,
            $length,
            $mesh(0.0, $rise * $length),
            $mesh($deg, $deg),
            new Obstacles($obstacles),
            fn (float $x, float $y): bool => false,
            $joined,
            new Depth([$edge], $width, $length),
        );
    }

    /** @return list<Obstacle> */
    private function line(float $x1, float $y1, float $x2, float $y2, float $room): array
    {
        $parts = (int) ceil(hypot($x2 - $x1, $y2 - $y1) / 5.0);

        return array_map(
            fn (int $k): Obstacle => new Obstacle(
                $x1 + (($x2 - $x1) * $k) / $parts, $y1 + (($y2 - $y1) * $k) / $parts, 20.0, $room, 0.0, 60.0, 'Line',
            ),
            range(0, $parts),
        );
    }

    /** @return list<array{float, float}> a star-shaped outline on the board */
    private function ring(Randomizer $random, float $width, float $length): array
    {
        $ring = [];
        $count = $random->getInt(3, 9);
        for ($k = 0; $k < $count; $k++) {
            $far = $random->getInt(25, 50) / 100.0;
            $angle = (2.0 * M_PI * $k) / $count;
            $ring[] = [$width * (0.5 + $far * cos($angle)), $length * (0.5 + $far * sin($angle))];
        }

        return $ring;
    }

    /**
     * @param  list<Tree>  $trees
     * @return list<int> sizes of what hangs together
     */
    private function sizesOfGroups(array $trees, float $spacing): array
    {
        $limit = (Planter::WITHIN_GROUP + Planter::BETWEEN_GROUPS) / 2.0;
        $left = $trees;
        $sizes = [];
        while ($left !== []) {
            $group = [array_pop($left)];
            for ($k = 0; $k < count($group); $k++) {
                foreach ($left as $j => $other) {
                    $mean = ($spacing * ($group[$k]->crown + $other->crown)) / 2.0;
                    if (hypot($group[$k]->x - $other->x, $group[$k]->y - $other->y) <= $limit * $mean) {
                        $group[] = $other;
                        unset($left[$j]);
                    }
                }
            }
            $sizes[] = count($group);
        }

        return $sizes;
    }
}
