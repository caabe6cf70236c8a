<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Cuts\TunnelTemplates;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Socket;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\FoamAdvice;
use IdleRidge\Core\Project\LandFeature;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class TunnelTemplatesTest extends TestCase
{
    public function test_portal_and_lining_are_as_large_as_what_passes(): void
    {
        $tunnel = [['kind' => 'tunnel', 'from_mm' => 300.0, 'to_mm' => 700.0, 'lining_mm' => 2.5, 'inside_mm' => 60.0]];
        $run = Build::run(
            1, 0.0, 300.0, 0.0, [['kind' => 'tangent', 'length_mm' => 300.0], ['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 60.0]],
            20.0, structures: $tunnel,
        );
        $project = Build::project([$run]);
        $bore = $project->bores([$run])[0];
        [$portal, $left, $right, $roof] = TunnelTemplates::of($bore, 'Trial');
        $size = fn (Template $t, int $ring = 0): array => Box::around($t->cut[$ring]);
        [$x1, , $x2, $top] = $size($portal, 1);
        $this->assertEqualsWithDelta(60.0, $x2 - $x1, 1e-9);
        $high = $bore->rise - 2.5;
        // The arch rises 0.12 of the width over what has to pass; its opening is no smaller than that anywhere.
        $this->assertEqualsWithDelta($high + 0.12 * 60.0, $top, 1e-9);
        $this->assertEqualsWithDelta(60.0 * $high + (2.0 / 3.0) * 60.0 * 0.12 * 60.0, abs(Polygon::area($portal->cut[1])), 5.0);
        $this->assertLessThan(0.0, Polygon::area($portal->cut[1]), 'a hole');
        // On the curve to the left the left side is shorter: (600 ∓ 30) / 600.
        $this->assertEqualsWithDelta(400.0 * 570.0 / 600.0, $size($left)[2], 0.05);
        $this->assertEqualsWithDelta(400.0 * 630.0 / 600.0, $size($right)[2], 0.05);
        $this->assertEqualsWithDelta($high, $size($left)[3], 1e-9);
        $this->assertEqualsWithDelta(65.0 * 400.0, abs(Polygon::area($roof->cut[0])), 20.0);
    }

    #[TestWith([0.0, 20.0, []])]
    #[TestWith([28.0, 12.0, ['planting foam, soft: 2 stems stand in it', 'dense foam: it is under Pond']])]
    #[TestWith([12.0, 16.0, ['dense foam: it is under Pond']])]
    #[TestWith([40.0, 10.0, []])]
    public function test_a_layer_is_of_the_foam_that_what_stands_in_it_asks_for(float $bottom, float $thick, array $words): void
    {
        $project = Build::project([], [
            Build::spot(2, 600.0, 20.0, 40.0),
            Build::spot(3, 600.0, 580.0, 40.0),
            new LandFeature(
                Build::uid(4),
                FeatureKind::Water,
                array_map(fn (array $p): Spot => new Spot($p[0], $p[1], 36.0), Build::square(900.0, 200.0, 1100.0, 400.0)),
                'Pond',
                figures: ['depth_mm' => 12.0],
            ),
        ]);
        $section = $project->sections[0];
        $trees = [new Tree(200.0, 200.0, 0, 60.0, 30.0), new Tree(300.0, 200.0, 0, 60.0, 30.0)];
        $mix = [new Species('Birch', TreeForm::Round, 5.0, 14.0, 2.5, 5.5)];
        $stand = new Stand(Build::uid(60), $section->uid, 'Birches', null, $mix, new PlantingRule(), $trees, new Socket(2.0, 10.0));
        $project = $project->working($project->works->with(['growth' => new Growth([$stand])]));
        $model = Build::study($project)->model;
        $this->assertSame($words, FoamAdvice::of($project, $section, $model, new Layer(1, $bottom, $thick, 1.0, [])));
    }

    public function test_walls_say_their_size_to_a_tenth(): void
    {
        $tunnel = [['kind' => 'tunnel', 'from_mm' => 300.0, 'to_mm' => 500.25, 'lining_mm' => 2.5, 'inside_mm' => 60.0]];
        $run = Build::straight(1, 200.0, 20.0, 20.0, length: 900.0)->but(structures: $tunnel);
        $bore = Build::project([$run])->bores([$run])[0];
        $walls = array_slice(TunnelTemplates::of($bore, 'Trial'), 1, 2);
        $high = round($bore->rise - 2.5, 1);
        foreach (['left', 'right'] as $k => $side) {
            $this->assertStringEndsWith("lining on the {$side}: 200.3 × {$high} mm", $walls[$k]->title);
        }
    }
}
