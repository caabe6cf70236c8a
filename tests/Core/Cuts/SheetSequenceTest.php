<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\SheetSequence;
use IdleRidge\Core\Geometry\HeightMesh;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The sheets a stack is made of. */
final class SheetSequenceTest extends TestCase
{
    /** One column of cells 95 mm high on land of 5: wherever it stands, the last of them included, sheets reach it. */
    #[TestWith([0])]
    #[TestWith([7])]
    #[TestWith([18])]
    public function test_what_is_highest_is_reached_wherever_it_lies(int $column): void
    {
        $lines = array_map(fn (int $k): float => 10.0 * $k, range(0, 20));
        foreach ([true, false] as $across) {
            $z = [];
            foreach (range(0, 20) as $j) {
                foreach (range(0, 20) as $i) {
                    $at = $across ? $i : $j;
                    $z[] = $at > $column && $at < $column + 3 ? 95.0 : 5.0;
                }
            }
            $sheets = SheetSequence::of(new HeightMesh($lines, $lines, $z), 0.0, CutSettings::of(CutSchool::Carved, 20.0));
            $this->assertSame([20.0, 20.0, 20.0, 20.0, 20.0], $sheets, $across ? 'across' : 'along');
        }
    }

    public function test_land_that_stays_under_the_board_takes_no_sheet(): void
    {
        $mesh = new HeightMesh([0.0, 100.0], [0.0, 100.0], [-5.0, -1.0, -2.0, 0.0]);
        $this->assertSame([], SheetSequence::of($mesh, 0.0, CutSettings::of(CutSchool::Carved, 20.0)));
    }
}
