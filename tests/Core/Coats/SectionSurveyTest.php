<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Geometry\Placement;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class SectionSurveyTest extends TestCase
{
    /** Zones up to 12 mm apart lie beside one another, whichever is asked first. */
    #[TestWith([11.9, true])]
    #[TestWith([12.1, false])]
    public function test_zones_touch_up_to_twelve_millimetres_apart(float $apart, bool $touch): void
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100.0, 100.0, 500.0, 500.0)]),
            Build::zone(2, ['outline' => Build::square(500.0 + $apart, 100.0, 900.0, 500.0)]),
        ];
        $byUid = array_column(array_map(fn (Zone $z): array => [$z->uid, $z], $zones), 1, 0);
        $survey = SectionSurvey::of(Build::planeSurvey($zones), new Placement(0.0, 0.0, 0.0), $byUid, [], []);
        $this->assertSame($touch, $survey->touches(Build::uid(1), Build::uid(2)));
        $this->assertSame($touch, $survey->touches(Build::uid(2), Build::uid(1)));
    }
}
