<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use IdleRidge\Core\Geometry\DepthCurve;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

final class DepthCurveTest extends TestCase
{
    /** A cone upside down, 100 mm in radius and 20 deep: area at a depth π(100(1 − d/20))², volume below a third of that times height. */
    private static function cone(): DepthCurve
    {
        $samples = [];
        for ($k = 0; $k < 20_000; $k++) {
            $r = 100.0 * sqrt(($k + 0.5) / 20_000.0);
            $samples[] = [20.0 * (1.0 - $r / 100.0), M_PI * 1e4 / 20_000.0];
        }

        return DepthCurve::of($samples);
    }

    public function test_a_cone_has_its_areas_and_volumes(): void
    {
        $curve = self::cone();
        foreach ([0.0, 1.7, 8.0, 14.3] as $depth) {
            $share = 1.0 - $depth / 20.0;
            $this->assertEqualsWithDelta(M_PI * 1e4 * $share ** 2, $curve->area($depth), 60.0, "area at {$depth}");
            $this->assertEqualsWithDelta((M_PI * 1e4 * 20.0 * $share ** 3) / 3.0, $curve->volume($depth), 100.0, "volume below {$depth}");
        }
        $this->assertSame([0.0, 0.0], [$curve->volume(20.0), $curve->volume(35.0)]);
        $this->assertTrue(DepthCurve::of([])->isEmpty());
        $this->assertSame([0.0, 0.0], [DepthCurve::of([])->area(), DepthCurve::of([])->volume()]);
        $this->assertEqualsWithDelta(2.0 * $curve->volume(3.0), $curve->times(2.0)->volume(3.0), 1e-6);
    }

    public function test_layers_and_bands_add_up_whatever_they_are_cut_at(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(7));
        for ($case = 0; $case < 200; $case++) {
            $samples = [];
            for ($k = $random->getInt(1, 400); $k > 0; $k--) {
                $samples[] = [Build::between($random, 0.01, 30.0), Build::between($random, 0.1, 25.0)];
            }
            $curve = DepthCurve::of($samples);
            $whole = array_sum(array_map(fn (array $s): float => $s[0] * $s[1], $samples));
            $this->assertEqualsWithDelta($whole, $curve->volume(), 1e-6 * $whole, 'as it was measured');
            $this->assertEqualsWithDelta(array_sum(array_column($samples, 1)), $curve->area(), 1e-6);
            $cuts = [0.0, $curve->most];
            for ($k = $random->getInt(0, 6); $k > 0; $k--) {
                $cuts[] = Build::between($random, 0.0, $curve->most);
            }
            sort($cuts);
            $layers = $bands = $areas = 0.0;
            for ($k = 1; $k < count($cuts); $k++) {
                $layer = $curve->between($cuts[$k - 1], $cuts[$k]);
                $this->assertGreaterThanOrEqual(-1e-6, $layer);
                $this->assertLessThanOrEqual(($cuts[$k] - $cuts[$k - 1]) * $curve->area() + 1e-6, $layer, 'its depth over all');
                $band = $curve->band($cuts[$k - 1], $cuts[$k]);
                $layers += $layer;
                $bands += $band['volume'];
                $areas += $band['area'];
            }
            $this->assertEqualsWithDelta($whole, $layers, 1e-6 * $whole);
            $this->assertEqualsWithDelta($whole, $bands, 1e-6 * $whole);
            $this->assertEqualsWithDelta($curve->area(), $areas, 1e-6 * $curve->area());
        }
    }
}
