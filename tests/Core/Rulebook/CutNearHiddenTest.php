<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Gluing;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Project\CutStudy;
use IdleRidge\Core\Project\HiddenKind;
use IdleRidge\Core\Project\HiddenMarks;
use IdleRidge\Core\Project\HiddenThing;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rulebook\Cuts\CutNearHidden;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** A board of 600 × 400 mm, 60 mm of foam on its left half in three layers, nothing on its right: the cut goes down at x = 300. */
final class CutNearHiddenTest extends TestCase
{
    public function test_a_cut_keeps_a_centimetre_from_it(): void
    {
        // A screw 4 mm wide, deep under the surface: 300 − 288 − 2 = 10 mm.
        $this->assertSame([], $this->found($this->screw(287.9, 200.0, 0.0, 30.0)));
        [$near] = $this->found($this->screw(288.1, 200.0, 0.0, 30.0));
        $this->assertSame(Severity::Care, $near->severity);
        $this->assertEqualsWithDelta(9.9, $near->figures['gap']->value, 0.002);
        [$meets] = $this->found($this->screw(298.5, 200.0, 0.0, 30.0));
        $this->assertSame([Severity::Stop, 0.0], [$meets->severity, $meets->figures['gap']->value]);
        $this->assertStringContainsString('Meets the screw', $meets->subject);
    }

    public function test_carving_keeps_as_far_from_it(): void
    {
        $this->assertSame([], $this->found($this->screw(100.0, 200.0, 0.0, 49.9)));
        [$near] = $this->found($this->screw(100.0, 200.0, 0.0, 50.1));
        $this->assertStringContainsString('the carved surface', $near->subject);
        // What lies all under the board's base is not carved at.
        $this->assertSame([], $this->found($this->screw(100.0, 200.0, -30.0, -0.1)));
    }

    public function test_the_edge_of_the_board_is_no_cut_and_what_lies_beside_it_is_not_looked_at(): void
    {
        $this->assertSame([], $this->found($this->screw(2.0, 200.0, 0.0, 30.0)));
        $this->assertSame([], $this->found($this->screw(-40.0, 200.0, 0.0, 90.0)));
    }

    public function test_a_line_is_told_where_it_is_nearest(): void
    {
        $lead = [[40.0, 100.0], [295.0, 100.0], [40.0, 300.0]];
        $wire = new HiddenThing(Build::uid(1), Build::uid(9), HiddenKind::Wire, $lead, 2.0, 6.0, 3.0, 'feed');
        [$found] = $this->found($wire);
        $this->assertEqualsWithDelta([295.0, 100.0], [$found->place->xMm, $found->place->yMm], 1e-6);
        $this->assertEqualsWithDelta(3.5, $found->figures['gap']->value, 0.002);
    }

    public function test_templates_show_what_lies_at_their_height(): void
    {
        $stack = $this->stack();
        $on = fn (HiddenThing $thing, int $layer): Template => HiddenMarks::on(
            Template::ofLayer($stack, $layer)[0],
            $stack->layers[$layer - 1],
            [$thing],
        );
        $screw = $this->screw(100.0, 200.0, 5.0, 19.9);
        $this->assertCount(2, $on($screw, 1)->lines, 'a cross');
        $this->assertContains([106.0, 206.0, 'screw'], $on($screw, 1)->words);
        $this->assertSame([], $on($screw, 2)->lines, 'it ends under the second layer');
        $this->assertCount(2, $on($this->screw(100.0, 200.0, 5.0, 20.0), 2)->lines);
        $this->assertSame([], $on($this->screw(560.0, 200.0, 5.0, 19.0), 1)->lines, 'beside the piece');
    }

    private function screw(float $x, float $y, float $bottom, float $top): HiddenThing
    {
        return new HiddenThing(Build::uid(1), Build::uid(9), HiddenKind::Screw, [[$x, $y]], $bottom, $top, 4.0);
    }

    private function stack(): FoamStack
    {
        return FoamStack::of($this->mesh(), 0.0, 20.0, CutSchool::Carved);
    }

    /** @return list<Finding> */
    private function found(HiddenThing $thing): array
    {
        $section = Section::of(Build::uid(9), 'One', 600, 400);
        [$mesh, $stack, $build] = [$this->mesh(), $this->stack(), new BoardBuild()];
        $weight = BoardWeight::of($section, $mesh, $mesh, 3.0, $stack, $build, [], 16.5);

        return (new CutNearHidden())->check(new CutStudy($section, Gluing::of($stack), $weight, $build, [$thing], $stack, $mesh));
    }

    private function mesh(): HeightMesh
    {
        $xs = [0.0, 299.999, 300.001, 600.0];
        $ys = [0.0, 200.0, 400.0];
        $z = [];
        foreach ($ys as $_) {
            foreach ($xs as $x) {
                $z[] = $x < 300.0 ? 60.0 : 0.0;
            }
        }

        return new HeightMesh($xs, $ys, $z);
    }
}
