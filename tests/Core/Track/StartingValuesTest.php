<?php

declare(strict_types=1);

namespace Tests\Core\Track;

use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\StartingValues;
use IdleRidge\Core\Track\Vehicle;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

final class StartingValuesTest extends TestCase
{
    public function test_at_one_to_eighty_seven_they_are_what_is_usual_there(): void
    {
        $scale = Scale::oneTo(87.1);
        $this->assertEquals(Vehicle::coach(), StartingValues::coach($scale));
        $this->assertEquals(FormationProfile::from(), StartingValues::track($scale));
        $road = StartingValues::road($scale)->toArray();
        $this->assertSame([32.0, 32.0, 1.0], [$road['half_width_left_mm'], $road['half_width_right_mm'], $road['roadbed_mm']]);
        $this->assertSame([8.0, 50.0], [StartingValues::margin($scale), StartingValues::apart($scale)]);
        $this->assertSame((new LayoutClearance())->margin, StartingValues::margin($scale));
    }

    public function test_a_smaller_scale_has_a_shorter_coach_and_a_narrower_road(): void
    {
        $scale = Scale::oneTo(160.0);
        $coach = StartingValues::coach($scale);
        $this->assertSame([165.0, 115.0, 18.5, 25.0], [$coach->body, $coach->bogieCentres, $coach->width, $coach->height]);
        $this->assertSame(17.5, StartingValues::road($scale)->toArray()['half_width_left_mm']);
        $this->assertSame([4.4, 27.0], [StartingValues::margin($scale), StartingValues::apart($scale)]);
        $this->assertSame(5.0, StartingValues::road(Scale::oneTo(1000.0))->toArray()['half_width_left_mm'], 'no narrower than can be');
        // A hand needs room however small the scale, and no more than a hand however large.
        $this->assertSame([3.0, 20.0], [StartingValues::margin(Scale::oneTo(450.0)), StartingValues::margin(Scale::oneTo(20.0))]);
    }

    public function test_in_any_scale_they_can_be_and_are_true_to_it(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(21));
        foreach ([...Scale::PRESETS, 1.0, 1000.0] as $ratio) {
            $ratios[] = $ratio;
        }
        for ($k = 0; $k < 200; $k++) {
            $ratios[] = exp(Build::between($random, 0.0, log(1000.0)));
        }
        foreach ($ratios as $ratio) {
            $scale = Scale::oneTo($ratio);
            $coach = StartingValues::coach($scale);
            $this->assertLessThanOrEqual($coach->body, $coach->bogieCentres);
            StartingValues::track($scale);
            $this->assertGreaterThanOrEqual(2.0 * 5.0, 2.0 * StartingValues::road($scale)->toArray()['half_width_left_mm']);
            if ($ratio > 14.0 && $ratio < 220.1) {
                $this->assertEqualsWithDelta(26.4, $scale->toPrototype($coach->body) / 1000.0, 0.11, "1:{$ratio}");
                $this->assertEqualsWithDelta(2.96, $scale->toPrototype($coach->width) / 1000.0, 0.06, "1:{$ratio}");
                $road = StartingValues::road($scale)->toArray()['half_width_left_mm'];
                $this->assertEqualsWithDelta(2.787, $scale->toPrototype($road) / 1000.0, 0.06, "1:{$ratio}");
            }
        }
    }
}
