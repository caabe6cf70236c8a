<?php

declare(strict_types=1);

namespace Tests\Core\Planting;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Planting\Gate;
use IdleRidge\Core\Planting\GrassMix;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowFigures;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\RowLine;
use IdleRidge\Core\Planting\RowPart;
use IdleRidge\Core\Planting\RowRole;
use IdleRidge\Core\Planting\RowTemplates;
use IdleRidge\Core\Planting\RowThing;
use IdleRidge\Core\Planting\Socket;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\SpeciesSet;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Planting\StandTemplate;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Figures that growth begins with, their limits, and drawings to the tenth of a millimetre. */
final class PlantingFiguresTest extends TestCase
{
    public function test_rows_begin_with_the_sizes_that_such_things_have_outdoors(): void
    {
        $of = fn (RowKind $k): array => array_values((array) $k->figures());
        $this->assertSame([
            'fence' => [3.0, 1.2, 0.12, [0.2, 0.4, 0.65, 0.92, 1.2], 60.0],
            'poles' => [40.0, 7.5, 0.25, [6.6, 6.6, 7.2, 7.2], 0.0],
            'hedge' => [20.0, 1.5, 1.1, [], 0.0],
            'dry-wall' => [10.0, 1.3, 0.6, [], 0.0],
            'kerb' => [0.9, 0.25, 0.3, [], 0.0],
            'sleepers' => [0.65, 0.13, 0.25, [], 0.0],
            'joints' => [5.0, 0.1, 0.02, [], 0.0],
            'mile-posts' => [1000.0, 1.0, 0.25, [], 0.0],
            'grade-posts' => [1000.0, 1.1, 0.2, [], 0.0],
        ], array_combine(array_map(fn (RowKind $k): string => $k->value, RowKind::cases()), array_map($of, RowKind::cases())));
        $this->assertSame(3.6, (new Gate(100.0))->wideM);
        $wires = RowKind::Fence->figures()->wires;
        $gaps = array_map(fn (int $k): float => $wires[$k + 1] - $wires[$k], range(0, 3));
        $this->assertSame($gaps, [...$gaps], 'and closer towards the ground');
        $this->assertLessThan($gaps[3], $gaps[0]);
    }

    public function test_crowns_begin_where_their_form_has_it(): void
    {
        $this->assertSame(
            ['round' => 0.25, 'cone' => 0.1, 'spread' => 0.35, 'column' => 0.15, 'bush' => 0.0],
            array_combine(
                array_map(fn (TreeForm $f): string => $f->value, TreeForm::cases()),
                array_map(fn (TreeForm $f): float => $f->crownFrom(), TreeForm::cases()),
            ),
        );
        $species = [new Species('Apple', TreeForm::Round, 3.0, 6.0, 3.0, 6.0)];
        $this->assertSame(1.25, (new SpeciesSet('o', 'Orchard', StandPattern::Orchard, $species))->spacing());
        $this->assertSame(0.8, (new SpeciesSet('w', 'Wood', StandPattern::Wood, $species))->spacing());
        $this->assertSame(4.5, $species[0]->crownAt(4.5));
        $this->assertSame([6.0, 3.0], [$species[0]->crownAt(9.0), $species[0]->crownAt(1.0)]);
    }

    #[TestWith([0.119, 'mown'])]
    #[TestWith([0.121, 'ankle-high'])]
    #[TestWith([0.219, 'ankle-high'])]
    #[TestWith([0.221, 'shin-high'])]
    #[TestWith([0.319, 'shin-high'])]
    #[TestWith([0.321, 'knee-high'])]
    #[TestWith([0.599, 'knee-high'])]
    #[TestWith([0.601, 'waist-high'])]
    #[TestWith([1.049, 'waist-high'])]
    #[TestWith([1.051, 'breast-high'])]
    #[TestWith([1.449, 'breast-high'])]
    #[TestWith([1.451, 'over one’s head'])]
    public function test_grass_is_called_by_its_height(float $metres, string $word): void
    {
        $this->assertSame($word, GrassMix::word($metres));
    }

    public function test_shade_is_as_wide_as_a_crown_and_a_third_of_it_under_a_dead_tree(): void
    {
        $mix = [new Species('Birch', TreeForm::Round, 5.0, 14.0, 2.0, 5.0)];
        $trees = [new Tree(10.0, 20.0, 0, 90.0, 40.0), new Tree(60.0, 20.0, 0, 90.0, 40.0, true), new Tree(90.0, 20.0, 0, 9.0, 4.0, true)];
        $stand = new Stand('1', '2', 'Wood', null, $mix, new PlantingRule(), $trees);
        $this->assertEqualsWithDelta([[10.0, 20.0, 40.0], [60.0, 20.0, 12.0], [90.0, 20.0, 2.0]], $stand->crowns(), 1e-9);
        $this->assertSame(['Birch' => 1, 'dead' => 2], $stand->counts());
        $this->assertEqualsWithDelta([90.0 / 35.0, 1.0], [$trees[0]->stem(), $trees[2]->stem()], 1e-9);
    }

    #[TestWith(['y', 100_001.0, 50.0, 20.0])]
    #[TestWith(['y', -100_001.0, 50.0, 20.0])]
    #[TestWith(['height', 0.0, 0.9, 20.0])]
    #[TestWith(['height', 0.0, 1501.0, 20.0])]
    #[TestWith(['crown', 0.0, 50.0, 0.4])]
    #[TestWith(['crown', 0.0, 50.0, 601.0])]
    public function test_a_tree_has_limits(string $place, float $y, float $height, float $crown): void
    {
        $this->assertSame(600.0, (new Tree(0.0, 100_000.0, 0, 1500.0, 600.0))->crown);
        try {
            new Tree(0.0, $y, 0, $height, $crown);
            $this->fail('refused');
        } catch (InvalidValue $refusal) {
            $this->assertSame($place, $refusal->place);
        }
    }

    public function test_a_line_has_two_hundred_points_at_most_and_two_at_least(): void
    {
        $row = fn (int $n): Row => new Row(
            '1', RowKind::Hedge, RowKind::Hedge->figures(), points: array_map(fn (int $k): array => [2.0 * $k, 0.0], range(1, $n)),
        );
        $this->assertCount(200, $row(200)->points);
        foreach ([1, 201] as $n) {
            try {
                $row($n);
                $this->fail("{$n} points");
            } catch (InvalidValue $refusal) {
                $this->assertSame('points', $refusal->place);
            }
        }
    }

    public function test_a_drawn_line_is_cut_between_stations_with_its_corners(): void
    {
        $corners = [[0.0, 0.0], [100.0, 0.0], [100.0, 50.0], [200.0, 50.0]];
        $line = RowLine::along($corners, 0.0, false, 60.0, 190.0);
        $this->assertEqualsWithDelta([[60.0, 0.0], [100.0, 0.0], [100.0, 50.0], [140.0, 50.0]], $line->points, 1e-9);
        $this->assertEqualsWithDelta([40.0, 90.0], $line->bends, 1e-9);
        $this->assertEqualsWithDelta(130.0, $line->length, 1e-9);
        $this->assertEqualsWithDelta([[80.0, 0.0], [100.0, 0.0], [100.0, 30.0]], $line->between(20.0, 70.0), 1e-9);
        $this->assertEqualsWithDelta([[100.0, 0.0], [100.0, 50.0]], $line->between(40.0, 90.0), 1e-9);
        $this->assertEqualsWithDelta([100.0, 10.0, M_PI / 2.0], $line->at(50.0), 1e-9);
        // At an offset to the left its outer corner is further, its inner one nearer.
        $beside = RowLine::along($corners, 10.0);
        $this->assertEqualsWithDelta([[0.0, 10.0], [90.0, 10.0], [90.0, 60.0], [200.0, 60.0]], $beside->points, 1e-9);
        $this->expectExceptionMessage('There is no line between these stations: it is 250 mm long.');
        RowLine::along($corners, 0.0, false, 249.5, 300.0);
    }

    public function test_a_corner_that_turns_back_is_told_by_its_number(): void
    {
        $this->expectExceptionMessage('At corner 2 the line turns back on itself.');
        RowLine::along([[0.0, 0.0], [100.0, 0.0], [0.0, 0.0]], 5.0);
    }

    public function test_a_ring_closes_once_however_it_was_drawn(): void
    {
        $square = [[0.0, 0.0], [100.0, 0.0], [100.0, 100.0], [0.0, 100.0]];
        $twice = RowLine::along([...$square, [0.0, 0.0]], 0.0, true);
        $this->assertEqualsWithDelta(400.0, $twice->length, 1e-9);
        $this->assertCount(5, $twice->points);
        $this->assertEqualsWithDelta([100.0, 200.0, 300.0], $twice->bends, 1e-9);
        $within = [[10.0, 10.0], [90.0, 10.0], [90.0, 90.0], [10.0, 90.0], [10.0, 10.0]];
        $this->assertEqualsWithDelta($within, RowLine::along($square, 10.0, true)->points, 1e-9);
    }

    public function test_marks_of_a_run_lie_beside_it_on_a_curve(): void
    {
        $run = Build::run(1, 0.0, 0.0, 0.0, [['kind' => 'arc', 'radius_mm' => 500.0, 'angle_deg' => 90.0]], 0.0);
        $line = RowLine::alongRun($run, fn (float $s): float => -40.0, 100.0, 600.0, [99.0, 100.0, 333.3, 600.0, 601.0]);
        // 40 mm outside a radius of 500: so much longer.
        $this->assertEqualsWithDelta([0.0, 233.3 * 1.08, 500.0 * 1.08], $line->marks, 0.02);
        $this->assertEqualsWithDelta(540.0, $line->length, 0.02);
    }

    public function test_a_jig_has_its_slots_at_the_pitch_and_a_post_its_wires_to_either_side(): void
    {
        $figures = new RowFigures(3.0, 1.2, 0.2, [0.6, 1.2]);
        $line = RowLine::along([[0.0, 0.0], [600.0, 0.0]], 0.0);
        $row = new Row('1', RowKind::Fence, $figures, points: [[0.0, 0.0], [1.0, 0.0]]);
        $set = RowLayout::of($row, $line, [new RowPart('A', 0.0, 600.0)], Scale::oneTo(100.0), fn (): float => 1.0);
        [$stick, $jig, $post] = RowTemplates::of($set);
        $this->assertSame('Fence, stick 1: 21 posts over 600 mm', $stick->title);
        $this->assertSame('Fence, jig: 9 slots, 30 mm apart', $jig->title);
        $this->assertSame('Fence, a post: 12 mm high', $post->title);
        $xs = array_values(array_unique(array_column($jig->cut[0], 0)));
        sort($xs);
        // Ends of 6 mm, nine slots of 2.3 mm.
        $expected = [0.0];
        for ($k = 0; $k < 9; $k++) {
            array_push($expected, 6.0 + 30.0 * $k - 1.15, 6.0 + 30.0 * $k + 1.15);
        }
        $this->assertEqualsWithDelta([...$expected, 252.0], $xs, 1e-9);
        $this->assertEqualsWithDelta([0.0, 8.0, 22.0], array_values(array_unique(self::sorted(array_column($jig->cut[0], 1)))), 1e-9);
        $this->assertEqualsWithDelta([[[-7.0, 6.0], [7.0, 6.0]], [[-7.0, 12.0], [7.0, 12.0]]], $post->lines, 1e-9);
        $this->assertEqualsWithDelta([[-1.0, 0.0], [1.0, 0.0], [1.0, 12.0], [-1.0, 12.0]], $post->cut[0], 1e-9);
    }

    public function test_what_lies_end_to_end_needs_no_jig(): void
    {
        $row = new Row('1', RowKind::Kerb, new RowFigures(0.9, 0.2, 0.8), points: [[0.0, 0.0], [1.0, 0.0]]);
        $line = RowLine::along([[0.0, 0.0], [300.0, 0.0]], 0.0);
        $set = RowLayout::of($row, $line, [new RowPart('A', 0.0, 300.0)], Scale::oneTo(100.0), fn (): float => 1.0);
        $this->assertSame(['stick-1'], array_map(fn ($t): string => $t->name, RowTemplates::of($set)));
    }

    public function test_trees_are_numbered_on_their_sheet_with_a_cross_at_each_stem(): void
    {
        $mix = [new Species('Birch', TreeForm::Round, 5.0, 14.0, 2.0, 5.0)];
        $trees = [new Tree(100.0, 80.0, 0, 92.4, 40.0), new Tree(160.0, 90.0, 0, 60.0, 30.0, true)];
        $stand = new Stand('1', '2', 'Wood', null, $mix, new PlantingRule(), $trees, new Socket(2.0, 10.0));
        $sheet = StandTemplate::of($stand, $trees, 170.0, 600.0);
        $this->assertNotNull($sheet);
        $this->assertSame('Wood: 2 trees, number and height in mm', $sheet->title);
        $this->assertEqualsWithDelta([[97.5, 80.0], [102.5, 80.0]], $sheet->lines[0], 1e-9);
        $this->assertEqualsWithDelta([[100.0, 77.5], [100.0, 82.5]], $sheet->lines[1], 1e-9);
        $this->assertEquals([[101.2, 81.2, '1: 92'], [161.2, 91.2, '2: 60 dead']], $sheet->words);
        $this->assertEqualsWithDelta([[100.0, 80.0], [160.0, 90.0]], $sheet->dowels, 1e-9);
        // 8 mm round the crowns, but not over the board's edge.
        $this->assertEqualsWithDelta([[72.0, 52.0], [170.0, 52.0], [170.0, 113.0], [72.0, 113.0]], $sheet->cut[0], 0.3);
        foreach ($sheet->marked[0] as [$x, $y]) {
            $this->assertEqualsWithDelta(20.0, hypot($x - 100.0, $y - 80.0), 1e-9);
        }
        $this->assertSame([], StandTemplate::of($stand->but(socket: null), $trees, 170.0, 600.0)?->dowels);
        $this->assertNull(StandTemplate::of($stand, [], 170.0, 600.0));
    }

    public function test_a_bend_next_to_an_end_is_no_post_of_its_own(): void
    {
        $of = fn (float $first): array => array_map(
            fn (RowThing $t): RowRole => $t->role,
            RowLayout::of(
                new Row('1', RowKind::Fence, new RowFigures(30.0, 1.2, 0.1), points: [[0.0, 0.0], [1.0, 0.0]]),
                RowLine::along([[0.0, 0.0], [$first, 0.0], [$first, 100.0]], 0.0),
                [new RowPart('A', 0.0, $first + 100.0)],
                Scale::oneTo(100.0),
                fn (): float => 1.0,
            )->things,
        );
        $this->assertCount(2, $of(0.9));
        $this->assertCount(3, $of(1.1));
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function sorted(array $values): array
    {
        sort($values);

        return $values;
    }
}
