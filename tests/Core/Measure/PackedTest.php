<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use IdleRidge\Core\Coats\AreaProfile;
use IdleRidge\Core\Coats\Standing;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Measure\Packed;
use PHPUnit\Framework\TestCase;

final class PackedTest extends TestCase
{
    public function test_figures_come_back_to_the_last_digit(): void
    {
        $floats = [0.0, -0.0, 0.1, M_PI, -1e300, 5e-324, INF, 1.0 / 3.0];
        $this->assertSame($floats, Packed::toFloats(Packed::floats($floats)));
        $this->assertSame('-0', (string) Packed::toFloats(Packed::floats([-0.0]))[0]);
        $this->assertSame([1.5, 2.5], Packed::toFloats(Packed::floats([7 => 1.5, 3 => 2.5])));
        $this->assertSame([0, 1, 4_294_967_295], Packed::toCounts(Packed::counts([0, 1, 4_294_967_295])));
        $this->assertSame([], Packed::toFloats(Packed::floats([])));
        $rings = [[[1.0, 2.0], [3.0, 4.0], [5.0, 6.5]], [], [[0.1, 0.2]]];
        $this->assertSame($rings, Packed::toRings(Packed::rings($rings)));
        $this->assertSame([], Packed::toRings(Packed::rings([])));
    }

    public function test_a_zone_that_was_kept_says_what_it_said(): void
    {
        $across = new AreaProfile([0.0, 10.0, 20.0, 35.0], [2 => 4.5, 0 => 1.25]);
        $area = new ZoneArea([[[0.0, 0.0], [35.0, 0.0], [35.0, 9.0]]], 10.0, 11.0, 3.0, [4 => 11.0], $across, $across->times(2.0),
            new AreaProfile([0.0, 1.0], []), ['run' => $across], new Standing([[1.0, 2.0]], 7.0));
        $kept = unserialize(serialize($area));
        $twice = unserialize(serialize($kept));
        foreach ([$kept, $twice] as $again) {
            $this->assertSame($area->rings, $again->rings);
            $this->assertSame([$area->plan, $area->surface, $area->height, $area->bySlope],
                [$again->plan, $again->surface, $again->height, $again->bySlope]);
            $this->assertSame(5.75, $again->acrossX->total());
            $this->assertSame($area->acrossX->between(5.0, 30.0), $again->tracks['run']->between(5.0, 30.0));
            $this->assertSame($area->acrossY->strips(3, true), $again->acrossY->strips(3, true));
            $this->assertSame($area->acrossY->times(3.0)->total(), $again->acrossY->times(3.0)->total());
            $this->assertSame($area->acrossX->cutAt(0.4, false), $again->acrossX->cutAt(0.4, false));
            $this->assertSame(0.0, $again->trackX->total());
            $this->assertEquals($area->standing, $again->standing);
        }
    }
}
