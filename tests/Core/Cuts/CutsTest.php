<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\FoamWork;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Cuts\Piece;
use IdleRidge\Core\Cuts\SheetSequence;
use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Track\Vehicle;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Fixtures;

final class CutsTest extends TestCase
{
    public function test_the_cone_in_four_layers(): void
    {
        $mesh = self::cone()->mesh();
        foreach (Fixtures::vectors('stack_cone') as $of) {
            $school = CutSchool::from($of['school']);
            $stack = FoamStack::of($mesh, 0.0, 25.0, $school);
            $this->assertCount($school === CutSchool::Fill ? 3 : 4, $stack->layers);
            $this->assertEqualsWithDelta($of['foam_mm3'], $stack->foam, 0.005 * $of['foam_mm3'], $of['school']);
            if ($school === CutSchool::Balanced) {
                // A cone's part of a slab under its middle level, layer by layer: rings out to the level below.
                $filler = $carved = 0.0;
                foreach ([0, 1, 2, 3] as $k) {
                    [$low, $mid, $top] = array_map(fn (float $z): float => 200.0 * (1.0 - $z / 100.0), [
                        25.0 * $k,
                        25.0 * $k + 12.5,
                        25.0 * $k + 25.0,
                    ]);
                    $under = (M_PI / 3.0) * 12.5 * ($low ** 2 + $low * $mid + $mid ** 2);
                    $over = (M_PI / 3.0) * 12.5 * ($mid ** 2 + $mid * $top + $top ** 2);
                    $filler += $under - M_PI * $mid ** 2 * 12.5;
                    $carved += M_PI * $mid ** 2 * 12.5 - $over;
                }
                $of += ['carved_mm3' => $carved, 'filler_mm3' => $filler];
            }
            $this->assertEqualsWithDelta($of['carved_mm3'] ?? 0.0, $stack->carved, 0.01 * ($of['carved_mm3'] ?? 1.0), $of['school']);
            $this->assertEqualsWithDelta($of['filler_mm3'] ?? 0.0, $stack->filler, 0.01 * ($of['filler_mm3'] ?? 1.0), $of['school']);
        }
    }

    public function test_pieces_of_a_layer_add_up_to_its_outline(): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            $mesh = self::random($seed)->mesh();
            foreach (CutSchool::foams() as $school) {
                foreach (FoamStack::of($mesh, 0.0, 15.0, $school)->layers as $layer) {
                    $this->assertEqualsWithDelta(
                        $layer->area,
                        array_sum(array_map(fn (Piece $p): float => $p->area, $layer->pieces)),
                        0.001 * $layer->area + 20.0,
                        "seed {$seed}",
                    );
                    foreach ($layer->pieces as $piece) {
                        $this->assertGreaterThan(0.0, Polygon::area($piece->rings[0]));
                        foreach (array_slice($piece->rings, 1) as $hole) {
                            $this->assertLessThan(0.0, Polygon::area($hole));
                        }
                    }
                }
            }
        }
    }

    public function test_a_carved_stack_is_never_under_the_land_and_a_filled_one_never_over_it(): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            $mesh = self::random($seed)->mesh();
            $carved = FoamStack::of($mesh, 0.0, 15.0, CutSchool::Carved)->layers;
            $fill = FoamStack::of($mesh, 0.0, 15.0, CutSchool::Fill)->layers;
            mt_srand($seed);
            for ($k = 0; $k < 40; $k++) {
                [$x, $y] = [mt_rand(10, 590) + 0.31, mt_rand(10, 390) + 0.17];
                $z = $mesh->at($x, $y);
                $this->assertGreaterThanOrEqual($z - 2.0, self::height($carved, $x, $y), "seed {$seed}");
                $this->assertLessThanOrEqual($z + 2.0, self::height($fill, $x, $y), "seed {$seed}");
            }
        }
    }

    public function test_a_hill_with_a_hollow_is_one_piece_with_a_hole(): void
    {
        $grid = self::grid(fn (float $x, float $y): float => 60.0 * exp(-(((hypot($x - 300, $y - 200) - 110) / 45) ** 2)));
        $stack = FoamStack::of($grid->mesh(), 0.0, 20.0, CutSchool::Fill);
        $this->assertCount(1, $stack->layers[0]->pieces);
        $this->assertCount(2, $stack->layers[0]->pieces[0]->rings);
    }

    public function test_the_skin_is_taken_off_square_to_the_surface(): void
    {
        $slope = self::lessSkin(self::grid(fn (float $x): float => $x), 4.0);
        $this->assertEqualsWithDelta(300.0 + 2.5 - 4.0 * M_SQRT2, $slope->values[60 + 40 * 120], 1e-6);
        $cliff = self::lessSkin(self::grid(fn (float $x): float => $x > 300 ? 200.0 : 0.0), 4.0);
        $this->assertSame([-4.0, 196.0], [min($cliff->values), max($cliff->values)], 'its foot is not dug away');
        $steep = self::lessSkin(self::grid(fn (float $x): float => 6.0 * $x), 4.0);
        $this->assertEqualsWithDelta(6.0 * 302.5 - 12.0, $steep->values[60 + 40 * 120], 1e-6, 'at most three times');
        $flat = self::grid(fn (): float => 30.0);
        $this->assertSame(27.0, self::lessSkin($flat, 3.0)->values[500]);
        $this->assertEquals($flat, self::lessSkin($flat, 0.0));
    }

    public function test_layers_are_cut_open_where_a_bore_goes_through_them(): void
    {
        // Vehicles 34 wide and 50 high, margin 8, rail top 8.8: the bore is 50 wide, from 60 to 126.8.
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
        $stack = FoamStack::of($shape, 0.0, 20.0, CutSchool::Carved, $project->bores($project->runs));
        $this->assertCount(8, $stack->layers);
        foreach ($stack->layers as $layer) {
            $open = in_array($layer->bottom, [80.0, 100.0, 120.0], true);
            $this->assertEqualsWithDelta(720_000.0 - ($open ? 1200.0 * 50.0 : 0.0), $layer->area, 60.0, "layer at {$layer->bottom}");
            $this->assertCount($open ? 2 : 1, $layer->pieces);
        }
        // Foam of eight whole layers less three gaps; the land less its bore; what is cut away by hand is between them.
        $this->assertEqualsWithDelta(720_000.0 * 160.0 - 3 * 1_200_000.0, $stack->foam, 5000.0);
        $this->assertEqualsWithDelta(1200.0 * 50.0 * 66.8 - 3 * 1_200_000.0, $stack->carved, 5000.0);
        $this->assertEqualsWithDelta(720_000.0 * 160.0, FoamStack::of($shape, 0.0, 20.0, CutSchool::Carved)->foam, 5000.0);
    }

    public function test_sheets_are_counted_by_area(): void
    {
        $stack = FoamStack::of(self::grid(fn (): float => 39.0)->mesh(), 0.0, 20.0, CutSchool::Carved);
        $this->assertCount(2, $stack->layers);
        $settings = CutSettings::of(sheetWidth: 1000.0, sheetDepth: 300.0, more: [new StockSheet(50.0, 600.0, 500.0)]);
        $this->assertSame([['thickness' => 20.0, 'count' => 2]], $stack->sheets($settings));
        $this->assertSame([], FoamStack::of(self::grid(fn (): float => 0.0)->mesh(), 0.0, 20.0, CutSchool::Carved)->sheets($settings));
        $mixed = FoamStack::of(self::grid(fn (): float => 85.0)->mesh(), 0.0, [50.0, 20.0, 20.0], CutSchool::Carved);
        $this->assertSame('1 × 50, 2 × 20 mm', $mixed->words());
        $this->assertSame([0.0, 50.0, 70.0], array_map(fn (Layer $l): float => $l->bottom, $mixed->layers));
        $this->assertSame([50.0, 20.0], array_column($mixed->sheets($settings), 'thickness'));
    }

    public function test_the_sequence_of_sheets_costs_least(): void
    {
        $hill = self::grid(fn (float $x, float $y): float => 97.0 * max(0.0, 1.0 - hypot($x - 150.0, $y - 75.0) / 160.0))->mesh();
        foreach ([CutSchool::Carved, CutSchool::Fill] as $school) {
            $cuts = CutSettings::of($school, 20.0, more: [new StockSheet(50.0, 1250.0, 600.0), new StockSheet(30.0, 1250.0, 600.0)]);
            $best = SheetSequence::of($hill, 0.0, $cuts);
            $mine = self::cost($hill, $best, $cuts);
            // Every other way to stack 20, 30 and 50 over the hill costs as much or more.
            $ways = [[]];
            while ($ways !== []) {
                $way = array_pop($ways);
                if (array_sum($way) >= 96.9) {
                    $this->assertLessThanOrEqual(self::cost($hill, $way, $cuts) * 1.0005, $mine, implode(' ', $way));
                } else {
                    array_push($ways, [...$way, 20.0], [...$way, 30.0], [...$way, 50.0]);
                }
            }
        }
        $this->assertSame([], SheetSequence::of(self::grid(fn (): float => 0.0)->mesh(), 0.0, CutSettings::of()));
    }

    public function test_what_is_in_store_limits_the_sequence_and_prices_turn_it(): void
    {
        $block = self::grid(fn (): float => 100.0)->mesh();
        $stock = fn (?int $count, ?int $price = null): CutSettings => CutSettings::of(
            thickness: 20.0,
            price: 1000,
            more: [new StockSheet(50.0, 640.0, 500.0, $count, $price)],
        );
        $this->assertSame([50.0, 50.0], SheetSequence::of($block, 0.0, $stock(null)));
        $this->assertSame(
            array_fill(0, 5, 20.0),
            SheetSequence::of($block, 0.0, $stock(1)),
            'one in store is of no use: with three of 20 it would stand over the land',
        );
        $one = SheetSequence::of(self::grid(fn (): float => 110.0)->mesh(), 0.0, $stock(1));
        sort($one);
        $this->assertSame([20.0, 20.0, 20.0, 50.0], $one, 'here it is');
        $this->assertSame(array_fill(0, 5, 20.0), SheetSequence::of($block, 0.0, $stock(0)));
        $this->assertSame(
            array_fill(0, 5, 20.0),
            SheetSequence::of($block, 0.0, $stock(null, 90_000)),
            'dear sheets are left on the shelf',
        );
        // More layers than are looked at: as many of the first kind as it takes and no more.
        $thin = fn (float $height): int => count(
            SheetSequence::of(self::grid(fn (): float => $height)->mesh(), 0.0, CutSettings::of(thickness: 3.0)),
        );
        $this->assertSame([400, 401, 402], [$thin(1200.0), $thin(1203.0), $thin(1203.5)]);
    }

    public function test_schools_differ_in_work_weight_and_dust(): void
    {
        $hill = self::grid(fn (float $x, float $y): float => 97.0 * max(0.0, 1.0 - hypot($x - 150.0, $y - 75.0) / 160.0))->mesh();
        $cuts = CutSettings::of(price: 900);
        [$carved, $filled] = array_map(fn (CutSchool $s): FoamWork => FoamWork::of(FoamStack::of($hill, 0.0, 20.0, $s), $cuts, 5e4), [
            CutSchool::Carved,
            CutSchool::Fill,
        ]);
        $this->assertGreaterThan($carved->weight, $filled->weight, 'filler is heavy');
        $this->assertEqualsWithDelta($carved->cutting + $carved->gluing + $carved->shaping, $carved->minutes(), 1e-9);
        $this->assertSame(25.0, $carved->gluing);
        $this->assertSame([40.0, 20.0], [$carved->shaping, $filled->shaping], 'eight minutes a dm² to carve, four to fill');
        $this->assertGreaterThan(25.0 + 10.0 * 2.0 * M_PI * 0.16, $carved->cutting, 'five minutes a piece, ten a metre of outline');
        $this->assertEqualsWithDelta($hill->volumeAbove(0.0) * 32e-9, $carved->weight, 1e-6, 'what stays is the hill');
        $this->assertSame(900.0, $carved->cost, 'one sheet');
        $this->assertNull(FoamWork::of(FoamStack::of($hill, 0.0, 20.0, CutSchool::Fill), CutSettings::of(), 5e4)->cost, 'no price yet');
    }

    /** @param  list<float>  $way the sum that is made least, with exact areas */
    private static function cost(HeightMesh $shape, array $way, CutSettings $cuts): float
    {
        $stack = FoamStack::of($shape, 0.0, $way, $cuts->school);
        $bottom = $sum = 0.0;
        foreach ($way as $k => $t) {
            $area = 0.0;
            foreach ($stack->layers as $layer) {
                $area = $layer->index === $k + 1 ? $layer->area : $area;
            }
            $land = $shape->volumeAbove($bottom) - $shape->volumeAbove($bottom + $t);
            [$under] = Contours::of($shape, [$bottom + 0.01]);
            $sum +=
                $area * $t +
                SheetSequence::CARVING_COST * max(0.0, $area * $t - $land) +
                SheetSequence::FILLING_COST * max(0.0, $land - $area * $t) +
                SheetSequence::LAYER_COST * $under->areaAbove;
            $bottom += $t;
        }

        return $sum;
    }

    public function test_settings_that_cannot_be_are_refused(): void
    {
        $usual = CutSettings::of()->first();
        $this->assertSame([20.0, 1250.0, 600.0], [$usual->thickness, $usual->width, $usual->depth]);
        foreach (
            [
                'cuts/sheet_mm' => ['thickness' => 0.0],
                'cuts/skin_mm' => ['skin' => -1.0],
                'cuts/sheet_width_mm' => ['sheetWidth' => 3.0],
                'cuts/kerf_mm' => ['kerf' => -1.0],
                'cuts/margin_mm' => ['margin' => 300.0],
            ] as $place => $with
        ) {
            try {
                CutSettings::of(...$with);
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    /** @param  list<Layer>  $layers */
    private static function height(array $layers, float $x, float $y): float
    {
        $top = 0.0;
        foreach ($layers as $layer) {
            foreach ($layer->pieces as $piece) {
                $inside = array_filter($piece->rings, fn (array $ring): bool => Polygon::holds($ring, $x, $y));
                if (count($inside) % 2 === 1) {
                    $top = max($top, $layer->bottom + $layer->thickness);
                }
            }
        }

        return $top;
    }

    private static function cone(): HeightGrid
    {
        return self::grid(fn (float $x, float $y): float => max(0.0, 100.0 * (1.0 - hypot($x - 300.0, $y - 200.0) / 200.0)), 2.5);
    }

    private static function random(int $seed): HeightGrid
    {
        mt_srand($seed);
        $hills = array_map(fn (): array => [mt_rand(0, 600), mt_rand(0, 400), mt_rand(-20, 60), mt_rand(60, 140)], range(1, 6));

        return self::grid(function (float $x, float $y) use ($hills): float {
            $z = 20.0;
            foreach ($hills as [$hx, $hy, $high, $wide]) {
                $z += $high * exp(-(($x - $hx) ** 2 + ($y - $hy) ** 2) / $wide ** 2);
            }

            return max(0.0, $z);
        });
    }

    private static function lessSkin(HeightGrid $land, float $skin): HeightGrid
    {
        return $land->less(FoamStack::skin($land, $skin));
    }

    private static function grid(callable $z, float $cell = 5.0): HeightGrid
    {
        $values = [];
        for ($j = 0; $j < 400 / $cell; $j++) {
            for ($i = 0; $i < 600 / $cell; $i++) {
                $values[] = (float) $z(($i + 0.5) * $cell, ($j + 0.5) * $cell);
            }
        }

        return HeightGrid::cells((int) (600 / $cell), (int) (400 / $cell), $cell, 0.0, 0.0, $values);
    }
}
