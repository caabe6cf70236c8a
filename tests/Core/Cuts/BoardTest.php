<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\EdgeBoard;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Frame;
use IdleRidge\Core\Cuts\Gluing;
use IdleRidge\Core\Cuts\SheetPacking;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Project\CutStudy;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;

/** What is under the land: frame, packing, glue, hollows, weight, the boards along the edges. */
final class BoardTest extends TestCase
{
    public function test_packing_comes_as_near_under_a_height_as_any_with_the_fewest_pieces(): void
    {
        mt_srand(5);
        for ($seed = 0; $seed < 60; $seed++) {
            $kinds = array_map(fn (): float => mt_rand(8, 220) / 10.0, range(1, mt_rand(1, 4)));
            $height = mt_rand(10, 700) / 10.0;
            $packing = SheetPacking::to($height, $kinds);
            $sum = array_sum(array_map(fn (array $s): float => $s['thickness'] * $s['count'], $packing->sheets));
            $this->assertEqualsWithDelta($height, $sum + $packing->rest, 1e-9);
            [$rest, $count] = self::tried((int) round(10 * $height), array_map(fn (float $k): int => (int) round(10 * $k), $kinds));
            $this->assertEqualsWithDelta($rest / 10.0, $packing->rest, 1e-6, "seed {$seed}");
            $this->assertSame($count, array_sum(array_column($packing->sheets, 'count')), "seed {$seed}");
        }
        $this->assertSame('3 × 20 + 5 + 3', SheetPacking::to(68.4, [20.0, 5.0, 3.0, 1.0])->words());
        $this->assertSame('', SheetPacking::to(0.5, [1.0])->words());
    }

    public function test_sheets_in_inches_are_packed_to_a_sixty_fourth_and_called_by_their_size(): void
    {
        $inch = fn (float $n): float => $n * 25.4;
        $kinds = array_map($inch, [0.5, 0.25, 0.125, 0.0625]);
        for ($parts = 4; $parts <= 400; $parts += 3) {
            $height = $inch($parts / 64.0);
            $packing = SheetPacking::to($height, $kinds);
            $stands = array_sum(array_map(fn (array $s): float => $s['thickness'] * $s['count'], $packing->sheets));
            $this->assertEqualsWithDelta(4 * intdiv($parts, 4), $stands / $inch(1.0 / 64.0), 1e-9, "{$parts}/64");
            $this->assertEqualsWithDelta($height, $stands + $packing->rest, 1e-9);
            foreach ($packing->sheets as $sheet) {
                $this->assertContains($sheet['thickness'], $kinds);
            }
        }
        $words = fn (float $inches): string => UnitsInUse::during(
            Units::Imperial,
            fn (): string => SheetPacking::to($inch($inches), $kinds)->words(),
        );
        $this->assertSame(['10 × ½ + ¼', '4 × ½ + 1/16'], [$words(5.25), $words(2.0625)]);
        // Of both kinds, to a hundredth of a millimetre.
        $this->assertEqualsWithDelta(0.0, SheetPacking::to(12.7 + 3.0, [12.7, 3.0])->rest, 1e-9);
        $this->assertEqualsWithDelta(0.02, SheetPacking::to(12.7 + 3.02, [12.7, 3.0])->rest, 1e-9);
    }

    public function test_imperial_layouts_begin_with_sizes_in_inches(): void
    {
        $cuts = CutSettings::starting(Units::Imperial);
        foreach ([$cuts->first()->thickness, $cuts->first()->width, $cuts->skin, $cuts->riserGap, ...$cuts->board->packing] as $mm) {
            $this->assertEqualsWithDelta(0.0, fmod(round($mm / 25.4 * 64.0, 9), 1.0), 1e-9);
        }
        $this->assertEquals(CutSettings::of(), CutSettings::starting(Units::Metric));
    }

    /**
     * @param  list<int>  $kinds
     * @return array{int, int} the least rest, and the fewest pieces for it
     */
    private static function tried(int $left, array $kinds, int $from = 0): array
    {
        $best = [$left, 0];
        for ($k = $from; $k < count($kinds); $k++) {
            if ($kinds[$k] <= $left) {
                [$rest, $count] = self::tried($left - $kinds[$k], $kinds, $k);
                $best = min($best, [$rest, $count + 1]);
            }
        }

        return $best;
    }

    public function test_a_frame_holds_its_board_and_comes_out_of_stock_lengths(): void
    {
        $build = new BoardBuild(timber: 18.0, gap: 400.0, stock: 2400.0);
        $frame = Frame::under(1200.0, 600.0, $build);
        $this->assertSame(
            [['name' => 'long side', 'length' => 1200.0, 'count' => 2], ['name' => 'cross piece', 'length' => 564.0, 'count' => 4]],
            $frame->parts,
        );
        // Between four cross pieces of 18 in 1200 are three gaps of 376.
        $this->assertLessThanOrEqual(400.0, (1200.0 - 4 * 18.0) / 3);
        $this->assertEqualsWithDelta(2 * 1200.0 + 4 * 564.0, $frame->length, 1e-9);
        foreach ($frame->bars as $bar) {
            $this->assertLessThanOrEqual(2400.0, array_sum(array_column($bar, 'length')) + 2.0 * (count($bar) - 1));
        }
        $this->assertSame(6, array_sum(array_map('count', $frame->bars)));
        $this->assertSame(
            [[1200.0, 564.0, 564.0], [1200.0, 564.0, 564.0]],
            array_map(fn (array $bar): array => array_column($bar, 'length'), $frame->bars),
            'two of 1200 and a saw cut do not come out of 2400',
        );
        $this->assertSame([], $frame->spliced);
        $long = Frame::under(3000.0, 500.0, $build);
        $this->assertSame(['long side'], $long->spliced);
        $this->assertEqualsWithDelta($frame->length * 18.0 * 70.0 * 480e-9, $frame->weight($build), 1e-12);
    }

    public function test_glue_goes_by_the_size_of_the_joint_and_how_it_can_dry(): void
    {
        $stack = FoamStack::of(
            self::mesh(600, 400, fn (float $x, float $y): float => $x < 150 && $y < 150 ? 58.0 : ($x > 540 ? 38.0 : 18.0)),
            0.0,
            20.0,
            CutSchool::Carved,
        );
        $joints = [];
        foreach (Gluing::of($stack)->joints as $joint) {
            $joints[$joint->piece] = $joint;
        }
        $this->assertSame(['board', 'adhesive'], [$joints['1.1']->on, $joints['1.1']->glue], 'wood lets it dry');
        $this->assertSame('1.1', $joints['2.1']->on);
        // A strip 60 wide and 400 long: half-width about 30, so 3 d · 1.2² = 4.3 d; hot melt would gel.
        $strip = array_values(array_filter($joints, fn ($j): bool => abs($j->half - 30.0) < 4.0 && $j->area < 3e4))[0];
        $this->assertSame($strip->area <= 36_000.0 ? 'hot melt' : 'contact', $strip->glue);
        $this->assertEqualsWithDelta(min(3.0 * ($strip->half / 25.0) ** 2, (6.0 * 20.0) / 25.0), $strip->days, 1e-9);
        $thick = Gluing::of(FoamStack::of(self::mesh(600, 400, fn (): float => 98.0), 0.0, 50.0, CutSchool::Carved))->joints;
        $this->assertSame('contact', $thick[1]->glue);
        $this->assertEqualsWithDelta(12.0, $thick[1]->days, 1e-9, 'six days for 25 mm of the thinner sheet');
        $this->assertEqualsWithDelta(250.0 * 0.24, $thick[0]->ml, 0.1);
        $this->assertEqualsWithDelta(
            240.0 * 0.24,
            Gluing::of(FoamStack::of(self::mesh(600, 400, fn (): float => 98.0), 0.0, 50.0, CutSchool::Carved))->amounts()['contact'],
            0.1,
        );
    }

    public function test_hollows_stay_a_wall_away_from_every_surface(): void
    {
        $shape = self::mesh(600, 400, fn (float $x, float $y): float => 150.0 + 20.0 * sin($x / 80.0));
        $full = FoamStack::of($shape, 0.0, 20.0, CutSchool::Carved);
        $stack = FoamStack::of($shape, 0.0, 20.0, CutSchool::Carved, [], 60.0);
        $this->assertGreaterThan(5e6, $stack->hollowed);
        $this->assertEqualsWithDelta($full->foam, $stack->foam + $stack->hollowed, 1e-3 * $full->foam);
        $this->assertEqualsWithDelta($full->carved, $stack->carved, 2e-3 * $full->foam, 'what is cut away by hand is as much');
        $holes = 0;
        foreach ($stack->layers as $layer) {
            $top = $layer->bottom + $layer->thickness;
            foreach ($layer->pieces as $piece) {
                foreach (array_slice($piece->rings, 1) as $ring) {
                    $holes++;
                    foreach ($ring as [$x, $y]) {
                        $this->assertGreaterThanOrEqual(59.0, min($x, $y, 600.0 - $x, 400.0 - $y));
                        for ($a = 0.0; $a < 6.28; $a += 0.4) {
                            for ($r = 0.0; $r <= 60.0; $r += 10.0) {
                                $over = $shape->at($x + $r * cos($a), $y + $r * sin($a)) - $top;
                                $this->assertGreaterThan(58.5, hypot($r, $over), 'nothing of the surface is nearer');
                            }
                        }
                    }
                }
            }
        }
        $this->assertGreaterThan(2, $holes);
        $this->assertSame(
            0.0,
            FoamStack::of(self::mesh(600, 400, fn (): float => 55.0), 0.0, 20.0, CutSchool::Carved, [], 60.0)->hollowed,
            'too low for any',
        );
    }

    public function test_a_board_weighs_the_sum_of_its_parts_and_balances_where_they_do(): void
    {
        $section = Section::of('00000000000000000000000001', 'One', 600, 400);
        $land = self::mesh(600, 400, fn (float $x): float => $x < 300.0 ? 60.0 : 0.0);
        $shape = self::mesh(600, 400, fn (float $x): float => $x < 300.0 ? 57.0 : 0.0);
        $stack = FoamStack::of($shape, 0.0, 20.0, CutSchool::Carved);
        $build = new BoardBuild(top: 10.0, timber: 20.0, timberHigh: 50.0, lift: 3.0, opening: [200.0, 580.0]);
        $weight = BoardWeight::of($section, $land, $shape, 3.0, $stack, $build, [], 16.5);
        $parts = array_column($weight->parts, 'dry', 'part');
        $this->assertEqualsWithDelta(0.6 * 0.4 * 0.01 * 650.0, $parts['board’s top'], 1e-9);
        $this->assertEqualsWithDelta(0.3 * 0.4 * 0.057 * 32.0, $parts['foam'], 0.01);
        $this->assertEqualsWithDelta($land->surface() * 3.0 * 1100e-9, $parts['skin'], 1e-9);
        $this->assertEqualsWithDelta(array_sum($parts), $weight->dry(), 1e-9);
        $this->assertEqualsWithDelta($weight->dry() + 0.6 * $parts['skin'], $weight->wet(), 1e-9);
        $foam = $parts['foam'] * 150.0 + ($parts['board’s top'] + $parts['frame'] + $parts['skin']) * 300.0;
        $this->assertEqualsWithDelta($foam / $weight->dry(), $weight->centre[0], 3.0);
        $this->assertEqualsWithDelta(200.0, $weight->centre[1], 0.5);
        $this->assertLessThan(0.0, $weight->centre[2], 'most of it is the frame');
        $this->assertSame([600.0, 400.0, 120.0], $weight->box);
        $this->assertSame(['fits' => true, 'short' => 0.0], $weight->passes($build), 'on its edge: 120 and 400');
        $this->assertSame(
            ['fits' => false, 'short' => 20.0],
            $weight->passes(new BoardBuild(top: 10.0, timberHigh: 50.0, opening: [100.0, 580.0])),
        );
        $this->assertNull($weight->passes(new BoardBuild()));
        $this->assertSame((int) ceil($weight->wet() / 3.0), $weight->people($build));
    }

    public function test_what_would_never_dry_and_what_nobody_lifts_is_told(): void
    {
        $ids = function (float $sheet, float $lift): array {
            $section = Section::of('00000000000000000000000001', 'One', 600, 400);
            $shape = self::mesh(600, 400, fn (): float => 2.0 * $sheet - 2.0);
            $stack = FoamStack::of($shape, 0.0, $sheet, CutSchool::Carved);
            $build = new BoardBuild(lift: $lift);
            $weight = BoardWeight::of($section, $shape, $shape, 3.0, $stack, $build, [], 16.5);

            return [
                array_map(
                    fn (Finding $f): string => $f->id,
                    Rulebook::checkCuts(new CutStudy($section, Gluing::of($stack), $weight, $build)),
                ),
                $weight->wet(),
            ];
        };
        // Between wide sheets it goes through the thinner one: 6 d for 25 mm, 14 d for 58.3.
        $this->assertSame([], $ids(58.2, 50.0)[0]);
        $this->assertSame(['glue-confined-between-foam'], $ids(58.5, 50.0)[0]);
        $wet = $ids(20.0, 50.0)[1];
        $this->assertSame([], $ids(20.0, $wet + 0.01)[0]);
        $this->assertSame(['weight-over-limit'], $ids(20.0, $wet - 0.01)[0]);
    }

    public function test_a_board_along_an_edge_follows_the_land(): void
    {
        $land = self::mesh(600, 400, fn (float $x, float $y): float => 20.0 + $x / 20.0 + $y / 10.0);
        [$width, $depth] = [600.0, 400.0];
        foreach (
            [
                'front' => [20.0, 50.0, 600.0],
                'back' => [60.0, 90.0, 600.0],
                'left' => [20.0, 60.0, 400.0],
                'right' => [50.0, 90.0, 400.0],
            ] as $edge => [$from, $to, $length]
        ) {
            $board = EdgeBoard::along(BoardEdge::from($edge), $land->at(...), $width, $depth, 0.0, 70.0);
            $this->assertEqualsWithDelta([$from, $to, $length], [$board->low, $board->high, $board->length], 1e-6, $edge);
            $this->assertEqualsWithDelta($length * (70.0 + ($from + $to) / 2.0), Polygon::area($board->ring), 1.0);
        }
        $this->assertEqualsWithDelta(
            130.0,
            EdgeBoard::along(BoardEdge::Back, $land->at(...), $width, $depth, 0.0, 70.0, 40.0)
                ->high,
            1e-6,
            'in half relief behind it',
        );
    }

    public function test_a_build_that_cannot_be_is_refused(): void
    {
        foreach (
            [
                'top_mm' => ['top' => -1.0],
                'timber_mm' => ['timber' => 0.0],
                'gap_mm' => ['gap' => 0.0],
                'stock_mm' => ['stock' => 10.0],
                'lift_kg' => ['lift' => 0.0],
                'opening_height_mm' => ['opening' => [700.0, 0.0]],
                'packing_mm' => ['packing' => [0.0]],
            ] as $key => $with
        ) {
            try {
                new BoardBuild(...$with);
                $this->fail("{$key} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame("cuts/board/{$key}", $refusal->place);
            }
        }
    }

    /** @param  callable(float, float): float  $z */
    private static function mesh(int $width, int $depth, callable $z): HeightMesh
    {
        $xs = array_map(fn (int $k): float => 5.0 * $k, range(0, intdiv($width, 5)));
        $ys = array_map(fn (int $k): float => 5.0 * $k, range(0, intdiv($depth, 5)));
        $out = [];
        foreach ($ys as $y) {
            foreach ($xs as $x) {
                $out[] = (float) $z($x, $y);
            }
        }

        return new HeightMesh($xs, $ys, $out);
    }
}
