<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Spot;

/** How much room a hill or a hollow takes, measured square to its line from toe to toe: where the land is no longer another without it. */
final class BaseWidth
{
    /** What runs out for ever ends where it makes less than this, and what has a foot where that meets the ground, mm. */
    private const FADED_MM = 1.0;

    private const TOE_MM = 0.02;

    /** Toes are looked for so far apart, then closed in upon, mm. */
    private const STEP_MM = 2.0;

    private const EXACT_MM = 0.05;

    /** @return float mm, across the middle of a line or, for a place, along x; as far as the board goes */
    public static function across(LandModel $with, LandModel $without, LandFeature $feature, Section $section): float
    {
        $points = array_map(fn (Spot $p): Point => $section->placement->toSection(new Point($p->x, $p->y)), $feature->points);
        [$middle, $heading] = self::middle($points);
        $least = $feature->hasFoot() ? self::TOE_MM : self::FADED_MM;
        $width = 0.0;
        foreach ([M_PI / 2.0, -M_PI / 2.0] as $turn) {
            $differs = function (float $away) use ($with, $without, $middle, $heading, $turn, $least): bool {
                $p = $middle->toward($heading + $turn, $away);

                return $p->x >= 0.0 &&
                    $p->y >= 0.0 &&
                    $p->x <= $with->width &&
                    $p->y <= $with->depth &&
                    abs($with->heightAt($p->x, $p->y) - $without->heightAt($p->x, $p->y)) > $least;
            };
            $out = 0.0;
            while ($differs($out + self::STEP_MM)) {
                $out += self::STEP_MM;
            }
            [$low, $high] = [$out, $out + self::STEP_MM];
            while ($high - $low > self::EXACT_MM) {
                $half = ($low + $high) / 2.0;
                [$low, $high] = $differs($half) ? [$half, $high] : [$low, $half];
            }
            $width += $low;
        }

        return $width;
    }

    /**
     * @param  non-empty-list<Point>  $points
     * @return array{Point, float} the middle of the line, and where it goes there
     */
    private static function middle(array $points): array
    {
        $left = 0.0;
        for ($k = 1; $k < count($points); $k++) {
            $left += $points[$k - 1]->distanceTo($points[$k]) / 2.0;
        }
        for ($k = 1; $k < count($points); $k++) {
            [$a, $b] = [$points[$k - 1], $points[$k]];
            $heading = atan2($b->y - $a->y, $b->x - $a->x);
            if ($left <= $a->distanceTo($b)) {
                return [$a->toward($heading, $left), $heading];
            }
            $left -= $a->distanceTo($b);
        }

        return [$points[0], M_PI / 2.0];
    }
}
