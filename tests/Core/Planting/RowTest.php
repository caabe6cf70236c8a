<?php

declare(strict_types=1);

namespace Tests\Core\Planting;

use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Interchange\TemplatePdf;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Planting\Gate;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowFigures;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\RowLine;
use IdleRidge\Core\Planting\RowPart;
use IdleRidge\Core\Planting\RowRole;
use IdleRidge\Core\Planting\RowTemplates;
use IdleRidge\Core\Planting\RowThing;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

final class RowTest extends TestCase
{
    private const BOARDS = ['A', 'B', 'C'];

    public function test_spans_are_even_and_no_longer_than_asked_over_random_rows(): void
    {
        for ($seed = 1; $seed <= 200; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $points = [[0.0, 0.0]];
            for ($k = 0; $k < $random->getInt(1, 5); $k++) {
                $points[] = [end($points)[0] + $random->getInt(80, 600), $random->getInt(-200, 200) / 1.0];
            }
            $line = RowLine::along($points, 0.0);
            $scale = Scale::oneTo([43.5, 87.1, 160.0][$seed % 3]);
            $figures = new RowFigures($random->getInt(20, 60) / 10.0, 1.2, 0.12, [0.5, 1.0], $random->getInt(0, 3) * 20.0);
            $gates = $line->length > 300.0 ? [new Gate($line->length * 0.4, 3.0)] : [];
            $parts = $this->parts($line->length, $random->getInt(0, 2), $random);
            try {
                $set = $this->set($this->row(RowKind::Fence, $figures, gates: $gates), $line, $scale, $parts);
            } catch (InvalidValue $refusal) {
                $this->assertStringContainsString('would stand on the joint', $refusal->getMessage(), "seed {$seed}");

                continue;
            }
            $spacing = $scale->toModel(1000.0 * $figures->spacing);
            foreach ($set->stretches() as [$from, $to]) {
                if ($to - $from < 2.0 * RowLayout::JOINT_CLEAR_MM) {
                    continue;
                }
                $within = array_values(array_filter(
                    $set->things,
                    fn (RowThing $t): bool => $t->station >= $from - 1e-3 && $t->station <= $to + 1e-3,
                ));
                $this->assertEqualsWithDelta($from, $within[0]->station, 1e-3, "seed {$seed}: a stretch begins with a post");
                $this->assertEqualsWithDelta($to, end($within)->station, 1e-3, "seed {$seed}: and ends with one");
                for ($k = 1; $k < count($within); $k++) {
                    $this->assertLessThanOrEqual($spacing + 1e-3, $within[$k]->station - $within[$k - 1]->station, "seed {$seed}");
                    $this->assertGreaterThan(0.0, $within[$k]->station - $within[$k - 1]->station, "seed {$seed}");
                }
            }
            foreach ($set->things as $thing) {
                foreach (array_slice($parts, 1) as $part) {
                    $this->assertGreaterThanOrEqual(
                        RowLayout::JOINT_CLEAR_MM - 1e-3,
                        abs($thing->station - $part->from),
                        "seed {$seed}: nothing stands on a joint",
                    );
                }
            }
            $this->assertSame($set->count(), array_sum($set->roles()));
            $this->assertSame($set->count(), array_sum(array_map($set->count(...), array_unique(array_column($parts, 'section')))));
        }
    }

    #[TestWith([RowKind::Sleepers, 0.65, 1000.0])]
    #[TestWith([RowKind::Kerb, 0.9, 777.7])]
    #[TestWith([RowKind::Joints, 5.0, 1201.0])]
    #[TestWith([RowKind::MilePosts, 40.0, 2500.0])]
    public function test_what_stands_at_a_pitch_is_counted_by_its_stations(RowKind $kind, float $metres, float $long): void
    {
        $scale = Scale::oneTo(87.1);
        $set = $this->set($this->row($kind, new RowFigures($metres, 1.0, 0.2)), RowLine::along([[0.0, 0.0], [$long, 0.0]], 0.0), $scale);
        $pitch = 1000.0 * $metres / 87.1;
        $first = ['sleepers' => 0.5, 'kerb' => 0.5, 'joints' => 1.0, 'mile-posts' => 0.0][$kind->value];
        $expected = [];
        for ($at = $first * $pitch; $at <= $long - ($first === 0.5 ? 0.49 * $pitch : 0.0) + 1e-6; $at += $pitch) {
            $expected[] = $at;
        }
        $this->assertSame(count($expected), $set->count());
        foreach ($set->things as $k => $thing) {
            $this->assertEqualsWithDelta($expected[$k], $thing->station, 1e-3);
        }
    }

    public function test_posts_strain_at_ends_bends_and_every_so_often(): void
    {
        // 3 m apart and strained every 12 m: every fourth post.
        $figures = new RowFigures(3.0, 1.2, 0.1, [0.6, 1.2], 12.0);
        $scale = Scale::oneTo(100.0);
        $set = $this->set($this->row(RowKind::Fence, $figures), RowLine::along([[0.0, 0.0], [600.0, 0.0], [600.0, 300.0]], 0.0), $scale);
        $straining = array_map(
            fn (RowThing $t): float => round($t->station),
            array_values(array_filter($set->things, fn (RowThing $t): bool => $t->role === RowRole::Straining)),
        );
        $this->assertSame([0.0, 120.0, 240.0, 360.0, 480.0, 600.0, 720.0, 840.0, 900.0], $straining);
        $this->assertSame(31, $set->count());
        $this->assertEqualsWithDelta(1800.0, $set->wire(), 1e-6, 'two wires');
    }

    #[TestWith([19.9, 2])]
    #[TestWith([20.1, 3])]
    public function test_a_bend_strains_from_twenty_degrees_on(float $deg, int $straining): void
    {
        $far = [300.0 + 300.0 * cos(deg2rad($deg)), 300.0 * sin(deg2rad($deg))];
        $figures = new RowFigures(3.0, 1.2, 0.1);
        $line = RowLine::along([[0.0, 0.0], [300.0, 0.0], $far], 0.0);
        $set = $this->set($this->row(RowKind::Fence, $figures), $line, Scale::oneTo(100.0));
        $this->assertSame($straining, $set->roles()['straining']);
    }

    #[TestWith([7.9, 2])]
    #[TestWith([8.1, 3])]
    public function test_poles_are_stayed_where_wires_pull_them_aside(float $deg, int $stayed): void
    {
        $far = [400.0 + 400.0 * cos(deg2rad($deg)), 400.0 * sin(deg2rad($deg))];
        $figures = new RowFigures(40.0, 7.0, 0.2, [6.0, 6.5]);
        $line = RowLine::along([[0.0, 0.0], [400.0, 0.0], $far], 0.0);
        $set = $this->set($this->row(RowKind::Poles, $figures), $line, Scale::oneTo(100.0));
        $this->assertSame(3, $set->count());
        $this->assertSame($stayed, $set->roles()['stayed']);
        $this->assertEqualsWithDelta(2.0 * 800.0 * (1.0 + 8.0 / 3.0 * 0.015 ** 2), $set->wire(), 1e-6);
    }

    #[TestWith([11.9, [5.95]])]
    #[TestWith([12.1, [0.0, 12.1]])]
    public function test_a_stretch_too_short_for_two_has_one(float $long, array $stations): void
    {
        $line = RowLine::along([[0.0, 0.0], [$long, 0.0]], 0.0);
        $set = $this->set($this->row(RowKind::Poles, new RowFigures(40.0, 7.0, 0.2)), $line, Scale::oneTo(87.1));
        $this->assertEqualsWithDelta($stations, array_map(fn (RowThing $t): float => $t->station, $set->things), 1e-3);
    }

    public function test_a_wall_is_bought_in_packs_with_what_is_over(): void
    {
        $row = $this->row(RowKind::DryWall, new RowFigures(10.0, 1.3, 0.6), pack: 250.0, gates: [new Gate(400.0, 4.0)]);
        $set = $this->set($row, RowLine::along([[0.0, 0.0], [1000.0, 0.0]], 0.0), Scale::oneTo(100.0));
        $this->assertEqualsWithDelta(960.0, $set->laid(), 1e-9, 'the gate is left out');
        $this->assertSame(['packs' => 4, 'left' => 40.0], array_map(fn ($v) => is_float($v) ? round($v, 6) : $v, $set->packs()));
        $this->assertSame(0, $set->count());
    }

    public function test_a_ring_goes_all_round_and_its_offset_lies_within(): void
    {
        $square = [[0.0, 0.0], [200.0, 0.0], [200.0, 100.0], [0.0, 100.0]];
        $this->assertEqualsWithDelta(600.0, RowLine::along($square, 0.0, true)->length, 1e-9);
        $this->assertEqualsWithDelta(520.0, RowLine::along($square, 10.0, true)->length, 1e-9);
        $outside = RowLine::along(array_reverse($square), -10.0, true);
        $this->assertEqualsWithDelta(680.0, $outside->length, 1e-9, 'whichever way it was drawn');
        $this->expectExceptionMessage('folds back');
        RowLine::along($square, 51.0, true);
    }

    public function test_an_offset_inside_a_curve_folds_at_its_radius(): void
    {
        $run = Build::run(1, 0.0, 0.0, 0.0, [['kind' => 'arc', 'radius_mm' => 300.0, 'angle_deg' => 60.0]], 0.0);
        $beside = fn (float $mm): RowLine => RowLine::alongRun($run, fn (float $s): float => $mm, 0.0, $run->alignment->length);
        $this->assertEqualsWithDelta(deg2rad(60.0) * 340.0, $beside(-40.0)->length, 0.05);
        $this->assertEqualsWithDelta(deg2rad(60.0) * 1.0, $beside(299.0)->length, 0.05);
        $this->expectExceptionMessage('At station 0 the curve has a radius of 300 mm: a line 301 mm inside it folds back.');
        $beside(301.0);
    }

    public function test_gates_stand_beside_one_another_at_the_nearest(): void
    {
        $line = RowLine::along([[0.0, 0.0], [600.0, 0.0]], 0.0);
        $set = fn (float ...$at): RowLayout => $this->set(
            $this->row(RowKind::Fence, new RowFigures(3.0, 1.2, 0.1), array_map(fn (float $one): Gate => new Gate($one, 3.0), $at)),
            $line,
            Scale::oneTo(100.0),
        );
        $this->assertGreaterThan(0, $set(100.0, 300.0, 330.0)->count());
        foreach ([[100.0, 300.0, 329.0], [300.0, 329.0, 500.0], [329.0, 100.0, 300.0]] as $at) {
            try {
                $set(...$at);
                $this->fail('they lie over each other');
            } catch (InvalidValue $refusal) {
                $this->assertSame('gates', $refusal->place);
            }
        }
    }

    public function test_grade_posts_stand_at_marks_and_not_on_a_joint(): void
    {
        $run = Build::run(1, 0.0, 0.0, 0.0, [['kind' => 'tangent', 'length_mm' => 1000.0]], 0.0, [[400, 5], [502, 8], [1000, 8]]);
        $line = RowLine::alongRun($run, fn (float $s): float => 30.0, 0.0, 1000.0, [400.0, 502.0]);
        $row = $this->row(RowKind::GradePosts, new RowFigures(1000.0, 1.1, 0.2), run: 'R');
        $set = $this->set($row, $line, Scale::oneTo(87.1), [new RowPart('A', 0.0, 500.0), new RowPart('B', 500.0, 1000.0)]);
        $this->assertEqualsWithDelta([400.0, 506.0], array_map(fn (RowThing $t): float => $t->station, $set->things), 1e-3);
    }

    public function test_sticks_and_jigs_are_true(): void
    {
        $figures = new RowFigures(3.0, 1.2, 0.1, [0.4, 0.8, 1.2]);
        $parts = [new RowPart('A', 0.0, 500.0), new RowPart('B', 500.0, 900.0)];
        $line = RowLine::along([[0.0, 0.0], [900.0, 0.0]], 0.0);
        $set = $this->set($this->row(RowKind::Fence, $figures), $line, Scale::oneTo(100.0), $parts);
        $templates = RowTemplates::of($set);
        $this->assertSame(['stick-1', 'stick-2', 'jig', 'profile'], array_map(fn (Template $t): string => $t->name, $templates));
        $marks = [];
        foreach ([0 => 0.0, 1 => 500.0] as $k => $from) {
            foreach ($templates[$k]->lines as [$a, $b]) {
                if ($a[0] === $b[0]) {
                    $marks[] = $from + $a[0];
                }
            }
        }
        $this->assertEqualsWithDelta(array_map(fn (RowThing $t): float => $t->station, $set->things), $marks, 1e-3);
        $this->assertSame([0.0, 0.0], $templates[0]->cut[0][0]);
        $this->assertSame(500.0, $templates[0]->cut[0][1][0]);
        $this->assertEqualsWithDelta([4.0, 8.0, 12.0], array_map(fn (array $l): float => $l[0][1], $templates[3]->lines), 1e-9);
        // In the page itself: marks of the second stick, 400 mm, in points of 1/72 inch.
        $pdf = TemplatePdf::of([$templates[1]], 'a3', 'Trial', false);
        preg_match_all('/([\d.]+) ([\d.]+) m\s+([\d.]+) ([\d.]+) l/', $pdf, $lines, PREG_SET_ORDER);
        $xs = [];
        foreach ($lines as [, $x1, $y1, $x2, $y2]) {
            $tall = abs((float) $y2 - (float) $y1) * 25.4 / 72.0;
            if ($x1 === $x2 && (abs($tall - 15.0) < 0.05 || abs($tall - 8.25) < 0.05)) {
                $xs[] = (float) $x1 * 25.4 / 72.0;
            }
        }
        sort($xs);
        $places = array_map(fn (RowThing $t): float => $t->station, $set->on('B'));
        $this->assertCount(count($places), $xs);
        foreach ($places as $k => $station) {
            $this->assertEqualsWithDelta($station - $places[0], $xs[$k] - $xs[0], 0.02, 'measured on paper');
        }
    }

    /**
     * @param  array{string, array<string, mixed>}  $of
     */
    #[TestWith(['spacing_m', ['spacing' => 0.0]])]
    #[TestWith(['spacing_m', ['spacing' => 0.001]])]
    #[TestWith(['wires_m', ['wires' => [1.3]]])]
    #[TestWith(['wires_m', ['wires' => [0.8, 0.4]]])]
    #[TestWith(['height_m', ['height' => 0.0]])]
    public function test_figures_that_cannot_be_are_refused_at_their_field(string $at, array $with): void
    {
        try {
            new RowFigures(...$with + ['spacing' => 3.0, 'height' => 1.2, 'wide' => 0.1]);
            $this->fail('refused');
        } catch (InvalidValue $refusal) {
            $this->assertSame($at, $refusal->place);
        }
    }

    public function test_too_many_things_are_refused_before_they_are_made(): void
    {
        $line = RowLine::along([[0.0, 0.0], [5000.0, 0.0]], 0.0);
        $row = fn (float $m): Row => $this->row(RowKind::Sleepers, new RowFigures($m, 0.1, 0.02));
        $this->assertSame(5000, $this->set($row(0.1), $line, Scale::oneTo(100.0))->count());
        $this->expectExceptionMessage('That is 10,000 sleepers; a row has at most 5,000. Is the spacing right?');
        $this->set($row(0.05), $line, Scale::oneTo(100.0));
    }

    /** @param  list<RowPart>|null  $parts */
    private function set(Row $row, RowLine $line, Scale $scale, ?array $parts = null): RowLayout
    {
        return RowLayout::of($row, $line, $parts ?? [new RowPart('A', 0.0, $line->length)], $scale, fn (): float => 1.0);
    }

    /** @param  list<Gate>  $gates */
    private function row(RowKind $kind, RowFigures $figures, array $gates = [], float $pack = 0.0, ?string $run = null): Row
    {
        return new Row(
            Build::uid(1), $kind, $figures, run: $run, points: $run === null ? [[0.0, 0.0], [1.0, 0.0]] : [], gates: $gates, pack: $pack,
        );
    }

    /** @return list<RowPart> */
    private function parts(float $long, int $joints, Randomizer $random): array
    {
        $at = [0.0];
        for ($k = 0; $k < $joints; $k++) {
            $at[] = end($at) + ($long - end($at)) * $random->getInt(30, 60) / 100.0;
        }
        $at[] = $long;
        $out = [];
        for ($k = 0; $k < count($at) - 1; $k++) {
            $out[] = new RowPart(self::BOARDS[$k], $at[$k], $at[$k + 1]);
        }

        return $out;
    }
}
