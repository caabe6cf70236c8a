<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class BoardEdgeTest extends TestCase
{
    #[TestWith([BoardEdge::Front, 1201.0, [140.0, 0.0], [140.0, -3.0]])]
    #[TestWith([BoardEdge::Back, 1201.0, [140.0, 600.0], [140.0, 603.0]])]
    #[TestWith([BoardEdge::Left, 600.0, [0.0, 140.0], [-3.0, 140.0]])]
    #[TestWith([BoardEdge::Right, 600.0, [1201.0, 140.0], [1204.0, 140.0]])]
    public function test_a_place_on_it_and_beyond_it_is_found_again(BoardEdge $edge, float $length, array $on, array $beyond): void
    {
        $this->assertSame($length, $edge->length(1201.0, 600.0));
        $this->assertEqualsWithDelta($on, $edge->place(140.0, 1201.0, 600.0), 1e-12);
        $this->assertEqualsWithDelta($beyond, $edge->place(140.0, 1201.0, 600.0, 3.0), 1e-12);
        foreach ([-25.0, 0.0, 60.5] as $inside) {
            $p = $edge->place(140.0, 1201.0, 600.0, -$inside);
            $this->assertSame(140.0, $edge->along(...$p));
            $this->assertEqualsWithDelta($inside, $edge->inside(...$p, width: 1201.0, depth: 600.0), 1e-9);
        }
    }

    #[TestWith([300.0, 0.0, BoardEdge::Front])]
    #[TestWith([0.0, 0.1, BoardEdge::Left])]
    #[TestWith([0.0, 0.0, BoardEdge::Front])]
    #[TestWith([0.1, 599.9, BoardEdge::Right])]
    #[TestWith([0.0, 600.0, BoardEdge::Back])]
    public function test_a_board_is_left_by_the_edge_that_is_reached(float $x, float $y, BoardEdge $edge): void
    {
        $this->assertSame($edge, BoardEdge::beyond($x, $y, 600.0));
    }

    public function test_words_name_edges_in_their_order(): void
    {
        $this->assertSame([BoardEdge::Front, BoardEdge::Left], BoardEdge::named(['left', 'front', 'left'], 'edges'));
        $this->assertSame([], BoardEdge::named([], 'edges'));
        try {
            BoardEdge::named(['front', 'top'], 'edges');
            $this->fail('top accepted');
        } catch (InvalidValue $refusal) {
            $this->assertSame('edges', $refusal->place);
        }
    }
}
