<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\GlueJoint;
use IdleRidge\Core\Cuts\Gluing;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Cuts\StandingFoam;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Foam that stands on a board already is not cut again. */
final class StandingFoamTest extends TestCase
{
    public function test_a_block_lies_on_a_board_as_long_as_any_of_it_does(): void
    {
        $block = new StandingFoam(700.0, 300.0, 500.0, 300.0, 72.0);
        foreach ([[701.0, 600.0, true], [700.0, 600.0, false], [1200.0, 301.0, true], [1200.0, 300.0, false]] as [$wide, $deep, $lies]) {
            $this->assertSame($lies, $block->liesOn($wide, $deep), "{$wide} × {$deep}");
        }
        $this->assertTrue((new StandingFoam(-9.0, -9.0, 9.5, 9.5, 9.0))->liesOn(100.0, 100.0));
        $this->assertFalse((new StandingFoam(-9.0, 0.0, 9.0, 9.0, 9.0))->liesOn(100.0, 100.0));
        $this->assertFalse((new StandingFoam(0.0, -9.0, 9.0, 9.0, 9.0))->liesOn(100.0, 100.0));
    }

    public function test_what_stands_and_what_is_cut_make_the_land_and_do_not_meet(): void
    {
        $random = new Randomizer(new Mt19937(41));
        for ($case = 0; $case < 40; $case++) {
            $school = [CutSchool::Carved, CutSchool::Fill, CutSchool::Balanced][$case % 3];
            $base = (float) $random->getInt(-30, 60);
            $shape = self::hills($random, $base);
            $blocks = array_map(fn (): StandingFoam => self::block($random), range(1, $random->getInt(1, 4)));
            $whole = FoamStack::of($shape, $base, 20.0, $school);
            $stack = FoamStack::of($shape, $base, 20.0, $school, standing: $blocks);
            foreach (['foam', 'carved', 'filler'] as $figure) {
                $this->assertEqualsWithDelta($whole->{$figure}, $stack->{$figure}, 1e-6, "{$figure} of case {$case}");
            }
            $cut = array_sum(array_map(fn (Layer $l): float => $l->volume(), $stack->layers));
            $this->assertEqualsWithDelta($whole->foam, $cut + $stack->stood, 1e-3, "case {$case}");
            foreach ($whole->layers as $layer) {
                $here = $stack->layer($layer->index);
                $bottom = $layer->bottom - $base;
                $filling = array_filter($blocks, fn (StandingFoam $b): bool => $b->fills($bottom, $bottom + 20.0));
                if ($filling === []) {
                    $this->assertEquals($layer, $here, "case {$case}, layer {$layer->index} is cut as ever");
                }
                $this->assertLessThanOrEqual($layer->area + 1.0, $here->area ?? 0.0);
                // Nothing is cut where a block stands, everything else is: looked at in places all over the board.
                for ($k = 0; $k < 60; $k++) {
                    [$x, $y] = [self::between($random, 0.0, 600.0), self::between($random, 0.0, 400.0)];
                    $away = min([INF, ...array_map(fn (StandingFoam $b): float => $b->away($x, $y), $filling)]);
                    if (abs($away) > 8.0) {
                        $this->assertSame(
                            $away > 0.0 && self::holds($layer, $x, $y),
                            $here !== null && self::holds($here, $x, $y),
                            "case {$case}, layer {$layer->index}, {$x} {$y}, {$away} from foam",
                        );
                    }
                }
            }
        }
    }

    #[TestWith([39.0, 2])]
    #[TestWith([38.99, 1])]
    #[TestWith([40.0, 2])]
    #[TestWith([18.9, 0])]
    #[TestWith([500.0, 3])]
    public function test_a_layer_is_spared_that_a_block_fills_to_a_millimetre(float $high, int $layers): void
    {
        $block = new StandingFoam(0.0, 0.0, 600.0, 400.0, $high);
        $stack = FoamStack::of(self::mesh(fn (): float => 60.0), 0.0, 20.0, CutSchool::Carved, standing: [$block]);
        $this->assertCount($layers, $stack->filledBy($block, 0.0));
        $this->assertCount(3 - $layers, $stack->layers);
        $this->assertEqualsWithDelta($layers * 20.0 * 240_000.0, $stack->stood, 1.0);
        $this->assertSame($layers === 0 ? null : 1, array_key_first($stack->stands));
        $this->assertNull($stack->layer(4));
    }

    public function test_what_lies_on_it_is_glued_to_it_and_its_clearance_kept(): void
    {
        $block = new StandingFoam(0.0, 0.0, 300.0, 400.0, 20.0);
        $stack = FoamStack::of(self::mesh(fn (): float => 40.0), 0.0, 20.0, CutSchool::Carved, standing: [$block]);
        $this->assertEqualsWithDelta(299.5 * 400.0, $stack->layers[0]->area, 1.0, 'half a millimetre of air');
        $joints = array_map(fn (GlueJoint $j): array => [$j->piece, $j->on], Gluing::of($stack)->joints);
        $this->assertSame([['1.1', 'board'], ['2.1', '1.1, what stands']], $joints);
        $this->assertNotNull(Template::ofLayer($stack, 1)[0] ?? null);
        $full = FoamStack::of(self::mesh(fn (): float => 40.0), 0.0, 20.0, CutSchool::Carved, standing: [
            new StandingFoam(-1.0, -1.0, 602.0, 402.0, 20.0),
        ]);
        $this->assertSame([['2.1', 'what stands']], array_map(fn (GlueJoint $j): array => [$j->piece, $j->on], Gluing::of($full)->joints));
    }

    public function test_it_tells_how_far_it_rises_over_the_land(): void
    {
        $shape = self::mesh(fn (float $x): float => 50.0 + $x / 10.0);
        $block = new StandingFoam(100.0, 100.0, 200.0, 100.0, 70.0);
        $this->assertEqualsWithDelta(10.0, $block->rises($shape, 0.0), 1e-9, 'at its left end, where the land is lowest');
        $this->assertEqualsWithDelta(-5.0, $block->rises($shape, -15.0), 1e-9);
    }

    public function test_a_layer_with_standing_foam_is_not_hollowed(): void
    {
        $shape = self::mesh(fn (): float => 140.0);
        $hollow = fn (array $standing): array => array_map(
            fn (Layer $l): int => count($l->pieces[0]->rings),
            FoamStack::of($shape, 0.0, 20.0, CutSchool::Carved, wall: 50.0, standing: $standing)->layers,
        );
        $this->assertContains(2, $hollow([]));
        $this->assertSame([1, 1], array_slice($hollow([new StandingFoam(0.0, 0.0, 80.0, 80.0, 40.0)]), 0, 2));
        $this->assertSame(array_slice($hollow([]), 2), array_slice($hollow([new StandingFoam(0.0, 0.0, 80.0, 80.0, 40.0)]), 2));
    }

    #[TestWith([[0.0, 0.0, 0.5, 10.0, 10.0], 'The width of foam'])]
    #[TestWith([[0.0, 0.0, 10.0, 10.0, 5001.0], 'The height of foam'])]
    #[TestWith([[-501.0, 0.0, 10.0, 10.0, 10.0], 'How far foam stands from the left'])]
    public function test_a_block_that_cannot_be_is_refused(array $block, string $words): void
    {
        try {
            StandingFoam::all([$block]);
            $this->fail('taken');
        } catch (InvalidValue $invalid) {
            $this->assertSame('foam_stands', $invalid->place);
            $this->assertStringStartsWith($words, $invalid->getMessage());
        }
    }

    public function test_a_board_has_so_many_blocks(): void
    {
        $this->assertCount(24, StandingFoam::all(array_fill(0, 24, [0.0, 0.0, 10.0, 10.0, 10.0])));
        $this->expectException(InvalidValue::class);
        StandingFoam::all(array_fill(0, 25, [0.0, 0.0, 10.0, 10.0, 10.0]));
    }

    private static function holds(Layer $layer, float $x, float $y): bool
    {
        foreach ($layer->pieces as $piece) {
            if ($piece->holds($x, $y)) {
                return true;
            }
        }

        return false;
    }

    private static function block(Randomizer $random): StandingFoam
    {
        return new StandingFoam(
            self::between($random, -50.0, 550.0),
            self::between($random, -50.0, 350.0),
            self::between($random, 20.0, 500.0),
            self::between($random, 20.0, 400.0),
            self::between($random, 5.0, 130.0),
        );
    }

    private static function between(Randomizer $random, float $from, float $to): float
    {
        return $from + ($to - $from) * $random->getInt(0, 1_000_000) / 1e6;
    }

    private static function hills(Randomizer $random, float $base): HeightMesh
    {
        [$a, $b, $c] = [self::between($random, 60.0, 200.0), self::between($random, 60.0, 200.0), self::between($random, 10.0, 60.0)];

        return self::mesh(fn (float $x, float $y): float => $base + 50.0 + $c * sin($x / $a) * cos($y / $b));
    }

    /** @param  callable(float, float): float  $z */
    private static function mesh(callable $z): HeightMesh
    {
        $values = [];
        for ($j = 0; $j <= 80; $j++) {
            for ($i = 0; $i <= 120; $i++) {
                $values[] = $z(5.0 * $i, 5.0 * $j);
            }
        }

        return new HeightMesh(range(0.0, 600.0, 5.0), range(0.0, 400.0, 5.0), $values);
    }
}
