<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * A ridge line, a hollow or an edge profile: a polyline along which the ground has given heights, straight between its
 * points. Layout coordinates, mm.
 */
final readonly class HeightLine
{
    /** @param  non-empty-list<Spot>  $points */
    private function __construct(public array $points)
    {
    }

    /**
     * @param  list<Spot>  $points
     *
     * @throws InvalidValue with fewer than two points, or two in one place
     */
    public static function through(array $points): self
    {
        if (count($points) < 2) {
            throw new InvalidValue('A line needs at least two points.', 'points');
        }
        for ($i = 1; $i < count($points); $i++) {
            if (hypot($points[$i]->x - $points[$i - 1]->x, $points[$i]->y - $points[$i - 1]->y) < 0.5) {
                throw new InvalidValue(sprintf('Points %d and %d of the line lie in one place.', $i, $i + 1), 'points/'.$i);
            }
        }

        return new self($points);
    }

    /** How far a place lies from the line in plan, mm. */
    public function distanceTo(float $x, float $y): float
    {
        $least = INF;
        for ($i = 1; $i < count($this->points); $i++) {
            [$a, $b] = [$this->points[$i - 1], $this->points[$i]];
            [$dx, $dy] = [$b->x - $a->x, $b->y - $a->y];
            $t = max(0.0, min(1.0, (($x - $a->x) * $dx + ($y - $a->y) * $dy) / ($dx * $dx + $dy * $dy)));
            $least = min($least, hypot($x - $a->x - $t * $dx, $y - $a->y - $t * $dy));
        }

        return $least;
    }

    /**
     * Places along the line at most `$step` mm apart, its own points among them.
     *
     * @return list<Spot>
     */
    public function spots(float $step): array
    {
        $out = [$this->points[0]];
        for ($i = 1; $i < count($this->points); $i++) {
            [$a, $b] = [$this->points[$i - 1], $this->points[$i]];
            $parts = max(1, (int) ceil(hypot($b->x - $a->x, $b->y - $a->y) / $step));
            for ($k = 1; $k <= $parts; $k++) {
                $t = $k / $parts;
                $out[] = new Spot($a->x + $t * ($b->x - $a->x), $a->y + $t * ($b->y - $a->y), $a->z + $t * ($b->z - $a->z));
            }
        }

        return $out;
    }
}
