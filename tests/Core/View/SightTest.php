<?php

declare(strict_types=1);

namespace Tests\Core\View;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\AsciiGrid;
use IdleRidge\Core\Land\Snap;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Land\SurveyFit;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\SightStudy;
use IdleRidge\Core\Project\Viewing;
use IdleRidge\Core\View\Sight;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Fixtures;

/** What is seen from the edge; land taken in from a grid; places that are meant. */
final class SightTest extends TestCase
{
    public function test_flat_land_is_seen_whole_and_a_bank_hides_by_similar_triangles(): void
    {
        $this->assertSame(1.0, (new Sight($this->wall(0.0), [[300.0, -400.0, 300.0]]))->share());
        // A bank 60 high at y 200–210, an eye 300 over the land and 400 before its edge: behind it the shadow is
        // (400 + 210) · 60 / (300 − 60) = 152.5 long.
        $seen = (new Sight($this->wall(60.0), [[300.0, -400.0, 300.0]]))->cells();
        $column = fn (int $i): array => array_map(fn (int $j): bool => $seen[$j * 60 + $i], range(0, 39));
        $hidden = array_keys(array_filter($column(30), fn (bool $s): bool => ! $s));
        $this->assertEqualsWithDelta(152.5, count($hidden) * 10.0, 12.0);
        $this->assertSame(range(21, 21 + count($hidden) - 1), $hidden, 'all of it just behind the bank');
        $this->assertTrue($column(30)[20], 'the bank itself is seen');
    }

    public function test_a_second_eye_sees_what_the_first_does_not(): void
    {
        $front = (new Sight($this->wall(60.0), [[300.0, -400.0, 300.0]]))->share();
        $this->assertLessThan(1.0, $front);
        $this->assertSame(1.0, (new Sight($this->wall(60.0), [[300.0, -400.0, 300.0], [300.0, 800.0, 900.0]]))->share());
    }

    public function test_runs_are_seen_by_what_stands_on_them_and_never_in_tunnels(): void
    {
        $sight = new Sight($this->wall(60.0), [[300.0, -400.0, 300.0]]);
        $before = Build::straight(1, 100.0, 0.0, 0.0, length: 600.0);
        $behind = Build::straight(2, 230.0, 0.0, 0.0, length: 600.0);
        $this->assertSame(1.0, $sight->shareOfRun($before, 0.0, 600.0));
        $this->assertLessThan(0.05, $sight->shareOfRun($behind, 0.0, 600.0));
        $this->assertEqualsWithDelta(
            0.5,
            $sight->shareOfRun($before->but(structures: [['kind' => 'tunnel', 'from_mm' => 0.0, 'to_mm' => 300.0]]), 0.0, 600.0),
            0.02,
        );
    }

    public function test_eyes_stand_along_every_viewing_edge_and_over_the_board(): void
    {
        $board = Section::of('s', 'S', 1200.0, 600.0, base: 50.0);
        $this->assertSame(
            [
                [200.0, -Viewing::DISTANCE_MM, 50.0 + Viewing::HEIGHT_MM],
                [600.0, -Viewing::DISTANCE_MM, 50.0 + Viewing::HEIGHT_MM],
                [1000.0, -Viewing::DISTANCE_MM, 50.0 + Viewing::HEIGHT_MM],
            ],
            (new Viewing([BoardEdge::Front]))->before($board),
        );
        $this->assertCount(5, (new Viewing([BoardEdge::Front, BoardEdge::Left]))->before($board));
        $study = Build::study(Build::project([Build::straight(1, 300.0, 20.0, 20.0)], [Build::spot(1, 600, 200, 150)]));
        $sight = SightStudy::of($study->project->layout->viewing, $study->section, $study->model);
        $this->assertNotNull($sight);
        $this->assertLessThan(100.0, $sight->land->value);
        $this->assertSame('Run 1', $sight->runs[Build::uid(1)][0]);
        $this->assertLessThan(100.0, $sight->runs[Build::uid(1)][1]->value, 'the hill stands before it');
        $hidden = array_sum(array_map(fn ($class): float => $class->area, $sight->hidden)) / (1200.0 * 600.0);
        $this->assertGreaterThan(0.5 * (1.0 - $sight->land->value / 100.0), $hidden, 'what is not seen is outlined');
        $blind = Build::project(sheet: ['viewing' => new Viewing([])]);
        $this->assertNull(SightStudy::of($blind->layout->viewing, $blind->sections[0], Build::study($blind)->model));
    }

    public function test_spots_follow_a_grid_and_the_rest_is_told(): void
    {
        $grid = AsciiGrid::read(Fixtures::text('land/ground-01.asc'));
        $fit = SurveyFit::of($grid);
        $relief = max($grid->values) - min($grid->values);
        $this->assertLessThanOrEqual(0.02 * $relief, $fit->mean);
        $this->assertGreaterThan($fit->mean, $fit->worst);
        $this->assertLessThan(200, count($fit->spots));
        $flat = SurveyFit::of(HeightGrid::cells(60, 40, 10.0, 0.0, 0.0, array_fill(0, 2400, 30.0)));
        $this->assertLessThan(0.01, $flat->worst);
        $this->assertLessThan(12, count($flat->spots), 'flat land needs few');
    }

    public function test_the_place_that_is_meant_is_a_corner_an_end_a_spot_a_run_or_an_edge(): void
    {
        $runs = [Build::straight(1, 200.0, 60.0, 60.0, length: 900.0)];
        $near = fn (float $x, float $y): Snap => Snap::near(new Point($x, $y), 1200.0, 600.0, $runs, [new Point(500.0, 400.0)]);
        foreach (
            [
                [1196.0, 597.0, 'corner', 1200.0, 600.0],
                [903.0, 197.0, 'end', 900.0, 200.0],
                [504.0, 396.0, 'spot', 500.0, 400.0],
                [430.0, 206.0, 'run', 430.0, 200.0],
                [700.0, 4.0, 'edge', 700.0, 0.0],
                [700.0, 300.0, null, 700.0, 300.0],
                [430.0, 207.5, null, 430.0, 207.5],
            ] as [$x, $y, $to, $atX, $atY]
        ) {
            $snap = $near($x, $y);
            $this->assertSame($to, $snap->to, "{$x}, {$y}");
            $this->assertEqualsWithDelta([$atX, $atY], [$snap->at->x, $snap->at->y], 1e-9);
        }
        $this->assertEqualsWithDelta(430.0, $near(430.0, 204.0)->station, 1e-9);
    }

    public function test_the_corners_of_a_grid_are_always_followed(): void
    {
        $z = [];
        for ($j = 0; $j < 40; $j++) {
            for ($i = 0; $i < 60; $i++) {
                $z[] = 20.0 + 0.4 * $i + 0.7 * $j;
            }
        }
        $fit = SurveyFit::of(HeightGrid::cells(60, 40, 10.0, 0.0, 0.0, $z));
        foreach ([[0.0, 0.0], [600.0, 0.0], [600.0, 400.0], [0.0, 400.0]] as [$x, $y]) {
            $near = array_filter($fit->spots, fn (Spot $s): bool => hypot($s->x - $x, $s->y - $y) < 15.0);
            $this->assertNotSame([], $near, "{$x}, {$y}");
        }
    }

    /** 600 × 400 mm on cells of 10, flat but for a bank across it. */
    private function wall(float $height): HeightGrid
    {
        $z = [];
        for ($j = 0; $j < 40; $j++) {
            array_push($z, ...array_fill(0, 60, $j === 20 ? $height : 0.0));
        }

        return HeightGrid::cells(60, 40, 10.0, 0.0, 0.0, $z);
    }
}
