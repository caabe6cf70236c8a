<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use Closure;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Measure\Format;

/**
 * A board along an edge that follows the land's line: from so far below the board's top up to the land, or, standing in half
 * relief behind it, as much higher as is asked. Its ring runs along the edge from its left or front end and up over the
 * board's top, mm.
 */
final readonly class EdgeBoard
{
    /** @param  list<array{float, float}>  $ring */
    private function __construct(public BoardEdge $edge, public float $length, public array $ring, public float $low, public float $high)
    {
    }

    /** A line along an edge is read off so finely, mm. */
    private const STEP_MM = 1.0;

    /** @param  Closure(float, float): float  $land height of it with its skin, at any place of the board */
    public static function along(
        BoardEdge $edge,
        Closure $land,
        float $width,
        float $depth,
        float $base,
        float $drop,
        float $rise = 0.0,
    ): self {
        $length = $edge->length($width, $depth);
        $n = max(1, (int) ceil($length / self::STEP_MM));
        $line = [];
        for ($k = 0; $k <= $n; $k++) {
            $s = ($length * $k) / $n;
            [$x, $y] = $edge->place($s, $width, $depth);
            $line[] = [$s, max(-$drop + 1.0, $land($x, $y) - $base + $rise)];
        }
        $thin = LineSimplifier::line($line, 0.15);

        return new self(
            $edge,
            $length,
            [[0.0, -$drop], [$length, -$drop], ...array_reverse($thin)],
            min(array_column($line, 1)),
            max(array_column($line, 1)),
        );
    }

    public function template(): Template
    {
        return new Template(
            ucfirst($this->edge->value),
            sprintf(
                '%s edge, %s long, line from %s to %s over the board',
                ucfirst($this->edge->value),
                Format::length($this->length),
                Format::cell($this->low, 1),
                Format::cell($this->high, 1),
            ),
            [$this->ring],
            [],
            [[[0.0, 0.0], [$this->length, 0.0]]],
            [],
            [[8.0, 4.0, ucfirst($this->edge->value)]],
        );
    }
}
