<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\GlueFigures;
use IdleRidge\Core\Cuts\GlueJoint;
use IdleRidge\Core\Cuts\Gluing;
use IdleRidge\Core\Geometry\HeightGrid;
use PHPUnit\Framework\TestCase;

final class GluingTest extends TestCase
{
    public function test_what_dries_within_a_day_is_told_in_hours(): void
    {
        $z = [];
        for ($j = 0; $j < 8; $j++) {
            for ($i = 0; $i < 230; $i++) {
                $z[] = $j === 3 ? 38.0 : 20.0;
            }
        }
        $stack = FoamStack::of(HeightGrid::cells(230, 8, 10.0, 0.0, 0.0, $z)->mesh(), 0.0, 20.0, CutSchool::Carved);
        $upper = array_values(array_filter(Gluing::of($stack)->joints, fn (GlueJoint $j): bool => str_starts_with($j->piece, '2.')))[0];
        $this->assertGreaterThan(0.0, $upper->days);
        $this->assertLessThan(1.0, $upper->days);
        $this->assertSame(['adhesive', 'dry between the faces in '.round(24.0 * $upper->days).' h'], [$upper->glue, $upper->why]);
    }

    /** A wide plate and two posts on it: three joints, more than one glue. */
    private static function gluing(): Gluing
    {
        $z = [];
        for ($j = 0; $j < 50; $j++) {
            for ($i = 0; $i < 80; $i++) {
                $z[] = hypot($i - 20, $j - 25) < 3.0 || hypot($i - 60, $j - 25) < 15.0 ? 38.0 : 20.0;
            }
        }

        return Gluing::of(FoamStack::of(HeightGrid::cells(80, 50, 10.0, 0.0, 0.0, $z)->mesh(), 0.0, 20.0, CutSchool::Carved));
    }

    public function test_areas_of_the_glues_make_up_the_area_of_all(): void
    {
        $gluing = self::gluing();
        $glues = array_values(array_unique(array_map(fn (GlueJoint $j): string => $j->glue, $gluing->joints)));
        $this->assertGreaterThan(1, count($glues));
        $sum = 0.0;
        foreach ($glues as $glue) {
            $area = $gluing->areaOf($glue);
            $this->assertLessThan($gluing->areaOf(), $area);
            $this->assertEqualsWithDelta($gluing->amounts()[$glue], ($area * GlueFigures::COVERAGE_ML_PER_M2[$glue]) / 1e6, 1e-9, $glue);
            $sum += $area;
        }
        $this->assertEqualsWithDelta($sum, $gluing->areaOf(), 1e-6);
        $this->assertSame(0.0, $gluing->areaOf('none of that name'));
    }
}
