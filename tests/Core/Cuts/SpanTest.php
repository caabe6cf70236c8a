<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cuts\Span;
use IdleRidge\Core\Cuts\SpanMaterial;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a bridged gap bends and moves. */
final class SpanTest extends TestCase
{
    public function test_a_flat_strip_is_the_beam_of_the_books(): void
    {
        // 3 kg on 400 mm of 9 mm plywood, 60 wide: I = 3645 mm⁴.
        $ply = new Span(SpanMaterial::Plywood, 400.0, 60.0, 9.0, bears: 0.0);
        $force = 3.0 * 9.81;
        $bending = $force * 400.0 ** 3 / (48.0 * 5000.0 * 3645.0);
        $shear = $force * 400.0 / (4.0 * 5.0 / 6.0 * 250.0 * 540.0);
        $this->assertEqualsWithDelta($bending + $shear, $ply->bendsByHand(), 1e-9);
        $this->assertEqualsWithDelta(2.153 + 0.026, $ply->bendsByHand(), 1e-3);
        // M = P·L/4, W = b·h²/6 = 810 mm³; its own weight comes to it.
        $own = 60.0 * 9.0 * 650e-9 * 9.81;
        $this->assertEqualsWithDelta(($force * 100.0 + $own * 400.0 ** 2 / 8.0) / 810.0 / 25.0, $ply->load(), 1e-9);
        $this->assertEqualsWithDelta(5.0 * $own * 400.0 ** 4 / (384.0 * 5000.0 * 3645.0), $ply->bendsByItself(), 1e-3);
        $this->assertSame(0.0, $ply->thrust());
    }

    /** The unit load's way through a parabolic arch on two hinges, summed in small steps. */
    #[TestWith([300.0, 60.0, 30.0])]
    #[TestWith([300.0, 100.0, 20.0])]
    #[TestWith([800.0, 40.0, 50.0])]
    public function test_an_arch_bends_as_its_summed_moments_say(float $length, float $rise, float $thick): void
    {
        $span = new Span(SpanMaterial::ExtrudedFoam, $length, 100.0, $thick, $rise, 3.0, 0.0);
        $force = 3.0 * 9.81;
        $y = fn (float $x): float => 4.0 * $rise * $x * ($length - $x) / $length ** 2;
        $beam = fn (float $x): float => min($x, $length - $x) / 2.0;
        [$n, $my, $yy, $mm] = [20_000, 0.0, 0.0, 0.0];
        $inertia = 100.0 * $thick ** 3 / 12.0;
        for ($k = 0; $k < $n; $k++) {
            $x = ($k + 0.5) * $length / $n;
            $my += $force * $beam($x) * $y($x) * $length / $n;
            $yy += $y($x) ** 2 * $length / $n;
        }
        $thrust = $my / ($yy + $inertia / (100.0 * $thick) * $length);
        for ($k = 0; $k < $n; $k++) {
            $x = ($k + 0.5) * $length / $n;
            $mm += ($force * $beam($x) - $thrust * $y($x)) * $beam($x) * $length / $n;
        }
        $shear = 5.0 / 6.0 * 4.0 * 100.0 * $thick;
        $share = 1.0 - 1.0 / (1.0 + 15.0 / 8.0 * $thick ** 2 / 12.0 / $rise ** 2);
        $expected = $mm / (12.0 * $inertia) + $force * $length / (4.0 * $shear) * $share;
        $this->assertEqualsWithDelta($expected, $span->bendsByHand(), 1e-4 * max(1.0, $expected));
        $own = 100.0 * $thick * 32e-9 * 9.81;
        $this->assertEqualsWithDelta($thrust + $own * $length ** 2 / 8.0 / $rise * (1.0 - $share), $span->thrust(), 1e-3 * $thrust);
    }

    public function test_an_arch_is_stiffer_the_higher_it_rises_and_flat_it_is_the_beam(): void
    {
        $at = fn (float $rise): Span => new Span(SpanMaterial::ExtrudedFoam, 400.0, 80.0, 30.0, $rise);
        foreach (['bendsByHand', 'bendsByItself', 'load'] as $figure) {
            $flat = $at(0.0)->{$figure}();
            $this->assertEqualsWithDelta($flat, $at(0.01)->{$figure}(), 0.01 * $flat, $figure);
            $last = $flat;
            foreach ([10.0, 30.0, 60.0, 120.0] as $rise) {
                $this->assertLessThan($last, $at($rise)->{$figure}(), "{$figure} at {$rise}");
                $last = $at($rise)->{$figure}();
                $this->assertGreaterThan(0.0, $last);
            }
        }
    }

    public function test_it_holds_up_to_its_limits_and_is_thick_enough_just_there(): void
    {
        foreach (SpanMaterial::cases() as $material) {
            foreach ([60.0, 250.0, 600.0] as $length) {
                foreach ([0.0, 20.0] as $rise) {
                    $span = new Span($material, $length, 70.0, 10.0, $rise);
                    $enough = $span->thickEnough();
                    $this->assertNotNull($enough);
                    $of = fn (float $thick): Span => new Span($material, $length, 70.0, $thick, $rise);
                    $this->assertTrue($of($enough)->holds());
                    $this->assertFalse($enough > 0.5 && $of($enough - 0.5)->holds(), "{$material->value} {$length} {$rise}");
                    $this->assertTrue($of($enough)->bendsByHand() <= $length / 250.0 && $of($enough)->load() <= 0.25);
                }
            }
        }
        $this->assertNull((new Span(SpanMaterial::BeadFoam, 5000.0, 5.0, 50.0, hand: 100.0))->thickEnough());
    }

    public function test_what_bends_by_just_the_limit_holds_and_what_bends_more_does_not(): void
    {
        $bend = fn (float $kg): Span => new Span(SpanMaterial::Plywood, 500.0, 100.0, 6.0, hand: $kg, bears: 0.0);
        $most = 500.0 / 250.0 / $bend(1.0)->bendsByHand();
        $this->assertTrue($bend(0.999 * $most)->holds());
        $this->assertFalse($bend(1.001 * $most)->holds());
        $load = fn (float $kg): Span => new Span(SpanMaterial::Plywood, 20.0, 5.0, 12.0, hand: $kg, bears: 0.0);
        [$none, $one] = [$load(0.0)->load(), $load(1.0)->load()];
        $most = (0.25 - $none) / ($one - $none);
        $this->assertLessThan(20.0 / 250.0, $load(0.99 * $most)->bendsByHand(), 'here the strength decides');
        $this->assertTrue($load(0.999 * $most)->holds());
        $this->assertFalse($load(1.001 * $most)->holds());
    }

    public function test_air_moves_wood_by_damp_and_foam_by_warmth(): void
    {
        $airs = [new Climate(18.0, 60.0), new Climate(4.0, 80.0), new Climate(15.0, 70.0)];
        $metre = fn (SpanMaterial $of): Span => new Span($of, 1000.0, 60.0, 9.0);
        $this->assertEqualsWithDelta(20.0 * 0.025 - 14.0 * 0.006, $metre(SpanMaterial::Plywood)->moves($airs), 1e-9);
        $this->assertEqualsWithDelta(14.0 * 0.07, $metre(SpanMaterial::ExtrudedFoam)->moves($airs), 1e-9);
        $this->assertSame(0.0, $metre(SpanMaterial::Plywood)->moves([]));
        $this->assertSame(0.0, $metre(SpanMaterial::Plywood)->moves([$airs[0]]));
    }

    public function test_what_cannot_grow_is_pressed_until_it_buckles(): void
    {
        $strip = new Span(SpanMaterial::Plywood, 1000.0, 60.0, 9.0);
        $buckles = M_PI ** 2 * 81.0 / 12.0 / 1000.0;
        $this->assertEqualsWithDelta(0.0666, $buckles, 1e-4);
        $this->assertSame([0.0, 0.0], [$strip->bows(0.99 * $buckles), $strip->bows(-1.0)]);
        // The length of the half sine that it takes is what it grew by more.
        $high = $strip->bows(0.5);
        $long = 0.0;
        for ($k = 0; $k < 10_000; $k++) {
            $long += hypot(0.1, $high * (sin(M_PI * ($k + 1) / 10_000) - sin(M_PI * $k / 10_000)));
        }
        $this->assertEqualsWithDelta(0.5 - $buckles, $long - 1000.0, 1e-3);
        $this->assertEqualsWithDelta(13.25, $high, 0.01);
        $this->assertEqualsWithDelta(5000.0 * 540.0 * 0.05 / 1000.0, $strip->presses(0.05), 1e-9);
        $this->assertSame(0.0, $strip->presses(-0.05));
    }

    #[TestWith([['length' => 9.9], 'span'])]
    #[TestWith([['width' => 4.0], 'wide'])]
    #[TestWith([['thick' => 0.4], 'thick'])]
    #[TestWith([['thick' => 401.0], 'thick'])]
    #[TestWith([['rise' => 151.0], 'rise'])]
    #[TestWith([['hand' => -1.0], 'hand'])]
    #[TestWith([['bears' => 201.0], 'bears'])]
    public function test_what_cannot_be_is_refused_at_its_field(array $with, string $place): void
    {
        try {
            new Span(...$with + ['material' => SpanMaterial::Plywood, 'length' => 300.0, 'width' => 60.0, 'thick' => 9.0]);
            $this->fail('taken');
        } catch (InvalidValue $invalid) {
            $this->assertSame($place, $invalid->place);
        }
    }
}
