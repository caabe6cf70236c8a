<?php

declare(strict_types=1);

namespace Tests\Core\Land;

use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\OpenBank;
use IdleRidge\Core\Project\WaterStudy;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Core\Water\Ponds;

final class OpenBankTest extends TestCase
{
    public function test_a_stretch_along_an_edge_goes_past_it(): void
    {
        $ring = [[100.0, 0.0], [300.0, 0.0], [250.0, 120.0], [150.0, 120.0]];
        $this->assertSame(
            [[100.0, 0.0], [100.0, -50.0], [300.0, -50.0], [300.0, 0.0], [250.0, 120.0], [150.0, 120.0]],
            OpenBank::past($ring, 1200.0, 600.0, 50.0),
        );
        // Three millimetres off the edge it is a bank of its own.
        $off = array_map(fn (array $p): array => [$p[0], $p[1] + 3.0], $ring);
        $this->assertSame($off, OpenBank::past($off, 1200.0, 600.0, 50.0));
        $near = array_map(fn (array $p): array => [$p[0], $p[1] + 2.9], $ring);
        $this->assertCount(6, OpenBank::past($near, 1200.0, 600.0, 50.0));
    }

    public function test_more_corners_along_an_edge_and_a_corner_of_the_board(): void
    {
        $along = [[100.0, 0.0], [200.0, 0.0], [300.0, 0.0], [200.0, 120.0]];
        $this->assertSame(
            [[100.0, 0.0], [100.0, -30.0], [200.0, -30.0], [300.0, -30.0], [300.0, 0.0], [200.0, 120.0]],
            OpenBank::past($along, 1200.0, 600.0, 30.0),
        );
        $corner = [[0.0, 0.0], [200.0, 0.0], [120.0, 120.0], [0.0, 150.0]];
        $past = OpenBank::past($corner, 1200.0, 600.0, 30.0);
        $this->assertContains([-30.0, -30.0], $past);
        $this->assertFalse(Polygon::crossesItself($past));
    }

    public function test_all_four_edges_open_outwards_and_never_inwards(): void
    {
        foreach (
            [
                [[[0.0, 100.0], [0.0, 300.0], [-80.0, 200.0]], 0],
                [[[0.0, 300.0], [0.0, 100.0], [80.0, 200.0]], 2],
                [[[1200.0, 100.0], [1200.0, 300.0], [1100.0, 200.0]], 2],
                [[[700.0, 600.0], [500.0, 600.0], [600.0, 500.0]], 2],
                // What lies on the next board ends at this one’s edge: there it is not this board that ends.
                [[[1200.0, 300.0], [1200.0, 100.0], [1300.0, 200.0]], 0],
            ] as [$ring, $more]
        ) {
            $this->assertCount(3 + $more, OpenBank::past($ring, 1200.0, 600.0, 40.0), (string) json_encode($ring));
        }
    }

    public function test_a_pond_drawn_up_to_the_edge_is_as_deep_there_as_in_its_middle(): void
    {
        $drawn = Ponds::pond([[400.0, 0.0], [600.0, 0.0], [600.0, 150.0], [400.0, 150.0]], 50.0, 12.0, 30.0);
        $study = Build::study(Build::project([], [$drawn], base: 50.0));
        $this->assertEqualsWithDelta(38.0, $study->model->heightAt(500.0, 0.0), 1e-6, 'the floor, at the very edge');
        $this->assertEqualsWithDelta(38.0, $study->model->heightAt(500.0, 60.0), 1e-6);
        $body = WaterStudy::of($study)->bodies()[0];
        $this->assertCount(1, $body->dams);
        $this->assertEqualsWithDelta(12.0, $body->dams[0]->deep(), 1e-6);
        $this->assertEqualsWithDelta(200.0 * 150.0, $body->curve->area(), 200.0);
    }
}
