<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Geometry\BoardEdge;

/**
 * How far into a scene a place lies, from the nearest edge that it is looked at from, and what is smaller there: in forced perspective
 * things at the far side are built to `far` of the scale, those between in proportion. Section coordinates, mm.
 */
final readonly class Depth
{
    private float $deepest;

    /** @param  list<BoardEdge>  $edges */
    public function __construct(private array $edges, private float $width, private float $length, private float $far = 1.0)
    {
        // Between two edges that face each other the deepest place is in the middle; otherwise it is opposite the edge.
        $deep = [INF];
        foreach ([[BoardEdge::Front, BoardEdge::Back, $length], [BoardEdge::Left, BoardEdge::Right, $width]] as [$a, $b, $across]) {
            $seen = count(array_filter($edges, fn (BoardEdge $edge): bool => $edge === $a || $edge === $b));
            $deep[] = $seen === 0 ? INF : $across / $seen;
        }
        $this->deepest = min($deep);
    }

    /** Distance from the nearest viewing edge, mm; 0 where it is looked at from nowhere. */
    public function at(float $x, float $y): float
    {
        $away = [];
        foreach ($this->edges as $edge) {
            $away[] = $edge->inside($x, $y, $this->width, $this->length);
        }

        return $away === [] ? 0.0 : max(0.0, min($away));
    }

    /** The same as a share of the deepest place, 0 … 1. */
    public function share(float $x, float $y): float
    {
        return $this->edges === [] ? 0.5 : min(1.0, $this->at($x, $y) / $this->deepest);
    }

    /** What of the scale things are built to at a place: 1 at the viewing edge. */
    public function scale(float $x, float $y): float
    {
        return $this->edges === [] ? 1.0 : $this->scaleAt($this->share($x, $y));
    }

    /** The same at a share of the depth. */
    public function scaleAt(float $share): float
    {
        return 1.0 + ($this->far - 1.0) * $share;
    }

    public function deepest(): float
    {
        return $this->edges === [] ? 0.0 : $this->deepest;
    }
}
