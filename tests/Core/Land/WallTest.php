<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Interchange\WallTemplates;
use IdleRidge\Core\Land\Wall;
use IdleRidge\Core\Land\Walls;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Build;

/** Walls to cut by: as long as their own faces, as high as the step, ends and all. */
final class WallTest extends TestCase
{
    public function test_on_a_curve_a_wall_is_as_long_as_its_face(): void
    {
        // R 350, 64 degrees: 390.95 mm of stations; the outer face at 25 mm is 64° of R 375, the inner one of R 325.
        foreach (['wall right' => 375.0, 'wall left' => 325.0] as $kind => $radius) {
            $run = Build::run(
                1,
                200.0,
                100.0,
                0.0,
                [['kind' => 'arc', 'radius_mm' => 350.0, 'angle_deg' => 64.0]],
                60.0,
                [],
                Build::evenProfile(25.0, 1.0),
                [['kind' => $kind, 'from_mm' => 0.0, 'to_mm' => 390.9]],
            );
            [$wall] = Walls::placed(Build::flatLand(40.0, [$run]));
            $this->assertEqualsWithDelta(($radius * 390.9) / 350.0, $wall->length, 0.01, $kind);
            $this->assertEqualsWithDelta([20.0, 20.0, 20.0 * $wall->length], [$wall->lowest, $wall->highest, $wall->face], 0.01);
            $this->assertEqualsWithDelta(
                [[40.0, 60.0], [40.0, 60.0]],
                array_map(fn (array $p): array => [$p['foot'], $p['top']], [$wall->profile[0], $wall->profile[count($wall->profile) - 1]]),
                0.01,
                'its ends are as high as the rest',
            );
        }
    }

    public function test_the_template_is_its_outline_at_full_size(): void
    {
        $run = Build::straight(
            1,
            300.0,
            60.0,
            72.0,
            Build::evenProfile(25.0, 1.0),
            structures: [['kind' => 'wall left', 'from_mm' => 400.0, 'to_mm' => 800.0]],
        );
        [$wall] = Walls::placed(Build::flatLand(90.0, [$run]));
        // From 64 at 400 to 68 at 800 under ground at 90.
        $svg = WallTemplates::svg([$wall], [$run]);
        $this->assertSame(1, preg_match('/<path d="M([^"]+)Z?"/', $svg, $m));
        $this->assertGreaterThan(0, preg_match_all('/(-?[\d.]+)[ ,](-?[\d.]+)/', $m[1], $points));
        [$xs, $ys] = [array_map('floatval', $points[1]), array_map('floatval', $points[2])];
        $this->assertEqualsWithDelta(400.0, max($xs) - min($xs), 0.1);
        $this->assertEqualsWithDelta(26.0, max($ys) - min($ys), 0.1);
        $this->assertStringContainsString('400 mm long, 22 to 26 mm high', $svg);
    }

    public function test_needed_walls_are_even_whatever_the_cell(): void
    {
        // Shelves 10 mm apart, 14.607 mm of step at 1 in 1.5: 7.94 mm everywhere.
        $runs = [
            Build::straight(1, 200.0, 40.0, 40.0, Build::evenProfile()),
            Build::straight(2, 260.0, 40.0 + 7.94 + 10.0 / 1.5, 40.0 + 7.94 + 10.0 / 1.5, Build::evenProfile()),
        ];
        foreach ([2.5, 3.7, 5.0, 7.0] as $cell) {
            $model = Build::flatLand(40.0, $runs);
            [$wall] = Walls::find($model, $model->terrain($cell));
            $this->assertEqualsWithDelta(
                [7.94, 7.94, 1200.0, 9528.0],
                [$wall->lowest, $wall->highest, $wall->length, $wall->face],
                0.5,
                "cells of {$cell}",
            );
            $this->assertEqualsWithDelta([7.94, 7.94], [$wall->lowest, $wall->highest], 0.005);
        }
    }

    public function test_a_wall_placed_is_the_wall_that_was_needed(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $apart = 50.0 + Build::between($random, 2.0, 20.0);
            $rise = ($apart - 50.0) / 1.5 + Build::between($random, 3.0, 25.0);
            $runs = [
                Build::straight(1, 200.0, 40.0, 44.0, Build::evenProfile()),
                Build::straight(2, 200.0 + $apart, 40.0 + $rise, 44.0 + $rise, Build::evenProfile()),
            ];
            $model = Build::flatLand(42.0, $runs);
            $needed = array_values(array_filter(Walls::find($model, $model->terrain(5.0)), fn (Wall $w): bool => $w->cause === 'between'));
            $this->assertCount(1, $needed, "seed {$seed}");
            $built = Build::flatLand(42.0, [
                $runs[0]->but(
                    structures: [['kind' => "wall {$needed[0]->side->value}", 'from_mm' => $needed[0]->from, 'to_mm' => $needed[0]->to]],
                ),
                $runs[1],
            ]);
            [$placed] = Walls::placed($built);
            $this->assertEqualsWithDelta($needed[0]->face, $placed->face, 0.005 * $needed[0]->face, "seed {$seed}");
            $this->assertEqualsWithDelta($rise - ($apart - 50.0) / 1.5, $placed->highest, 0.05, "seed {$seed}");
            $this->assertSame(
                [],
                array_filter(Walls::find($built, $built->terrain(5.0)), fn (Wall $w): bool => $w->cause === 'between'),
                "seed {$seed}",
            );
        }
    }

    public function test_a_narrow_step_between_two_formations_is_found(): void
    {
        $runs = [Build::straight(1, 200.0, 40.0, 40.0, Build::evenProfile()), Build::straight(2, 251.5, 52.0, 52.0, Build::evenProfile())];
        $model = Build::flatLand(40.0, $runs);
        $walls = Walls::find($model, $model->terrain(5.0));
        $this->assertCount(1, $walls);
        $this->assertEqualsWithDelta(11.0, $walls[0]->highest, 0.01);
    }

    public function test_what_is_too_low_or_too_short_needs_none(): void
    {
        foreach ([[0.98, 0], [1.02, 1]] as [$height, $count]) {
            $runs = [
                Build::straight(1, 200.0, 40.0, 40.0, Build::evenProfile()),
                Build::straight(2, 260.0, 40.0 + $height + 10.0 / 1.5, 40.0 + $height + 10.0 / 1.5, Build::evenProfile()),
            ];
            $model = Build::flatLand(40.0, $runs);
            $this->assertCount($count, Walls::find($model, $model->terrain(5.0)), "{$height} mm");
        }
        foreach ([[19.0, 0], [21.0, 1]] as [$length, $count]) {
            // Just met by its slope, until it rises by 3 mm over its last millimetres.
            $meets = 40.0 + 10.0 / 1.5;
            $runs = [
                Build::straight(1, 200.0, 40.0, 40.0, Build::evenProfile()),
                Build::run(
                    2,
                    0.0,
                    260.0,
                    0.0,
                    [['kind' => 'tangent', 'length_mm' => 1200.0]],
                    $meets,
                    [[1200.0 - $length, $meets], [1200.0, $meets + 3.0]],
                    Build::evenProfile(),
                ),
            ];
            $model = Build::flatLand(40.0, $runs);
            $this->assertCount($count, Walls::find($model, $model->terrain(2.5)), "{$length} mm");
        }
    }
}
