<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Point;

/** A measuring tape laid over the land: its length in plan and along the ground, and what it rises, mm. */
final readonly class TapeMeasure
{
    /** The ground is followed in steps of so many mm. */
    private const STEP_MM = 2.0;

    private function __construct(public float $plan, public float $ground, public float $rise)
    {
    }

    /** @param  list<Point>  $points at least two, section coordinates */
    public static function along(LandModel $land, array $points): self
    {
        $plan = $ground = 0.0;
        for ($k = 1; $k < count($points); $k++) {
            [$a, $b] = [$points[$k - 1], $points[$k]];
            $length = $a->distanceTo($b);
            $plan += $length;
            $steps = max(1, (int) ceil($length / self::STEP_MM));
            $before = $land->heightAt($a->x, $a->y);
            for ($n = 1; $n <= $steps; $n++) {
                $here = $land->heightAt($a->x + ($b->x - $a->x) * $n / $steps, $a->y + ($b->y - $a->y) * $n / $steps);
                $ground += hypot($length / $steps, $here - $before);
                $before = $here;
            }
        }
        $last = $points[count($points) - 1];

        return new self($plan, $ground, $land->heightAt($last->x, $last->y) - $land->heightAt($points[0]->x, $points[0]->y));
    }
}
