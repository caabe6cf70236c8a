<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/**
 * A ring that is asked about many places: its edges in parts, so that those that lie too far off to say anything are passed over.
 * The answers are those of Polygon.
 */
final class Outline
{
    private const EDGES = 8;

    /** Where an edge is met may come out so far beyond its ends, mm. */
    private const ROUNDING_MM = 1e-6;

    /** Ways that differ by less than this may come out either way round. */
    private const LIKE = 1.0 + 1e-9;

    /** @var list<array{float, float, float, float, array{float, float}, list<array{float, float}>}> box of some edges, and their ends */
    private array $parts = [];

    /** The part in which the last place had its nearest edge: that of the next place is there as a rule. */
    private int $near = 0;

    /** @param  non-empty-list<array{float, float}>  $ring */
    public function __construct(array $ring)
    {
        foreach (array_chunk($ring, self::EDGES, true) as $points) {
            $from = $ring[(array_key_first($points) ?: count($ring)) - 1];
            [$x1, $y1, $x2, $y2] = Box::around([$from, ...$points]);
            $this->parts[] = [$x1, $y1, $x2, $y2, $from, array_values($points)];
        }
    }

    /** How far inside the nearest edge a point lies; negative outside, mm. */
    public function depth(float $x, float $y): float
    {
        $away = sqrt($this->square($x, $y, INF));

        return $this->holds($x, $y) ? $away : -$away;
    }

    /** The way to the nearest edge, mm; the most that is asked for where it is no shorter. */
    public function away(float $x, float $y, float $most): float
    {
        return min($most, sqrt($this->square($x, $y, $most * $most)));
    }

    /** The square of the way to the nearest edge, where that is less than so much. */
    private function square(float $x, float $y, float $most): float
    {
        $near = $this->near;
        $least = min($most, Polygon::squareAlong($this->parts[$near][4], $this->parts[$near][5], $x, $y));
        foreach ($this->parts as $k => [$x1, $y1, $x2, $y2, $from, $points]) {
            $dx = $x < $x1 ? $x1 - $x : ($x > $x2 ? $x - $x2 : 0.0);
            $dy = $y < $y1 ? $y1 - $y : ($y > $y2 ? $y - $y2 : 0.0);
            if ($dx * $dx + $dy * $dy <= $least * self::LIKE && $k !== $near) {
                $square = Polygon::squareAlong($from, $points, $x, $y);
                if ($square < $least) {
                    [$least, $this->near] = [$square, $k];
                }
            }
        }

        return $least;
    }

    public function holds(float $x, float $y): bool
    {
        $inside = false;
        foreach ($this->parts as [, $y1, $x2, $y2, $from, $points]) {
            if ($y < $y1 || $y > $y2 || $x > $x2 + self::ROUNDING_MM) {
                continue;
            }
            [$px, $py] = $from;
            foreach ($points as [$qx, $qy]) {
                if (($qy > $y) !== ($py > $y) && $x < ($px - $qx) * ($y - $qy) / ($py - $qy) + $qx) {
                    $inside = ! $inside;
                }
                [$px, $py] = [$qx, $qy];
            }
        }

        return $inside;
    }
}
