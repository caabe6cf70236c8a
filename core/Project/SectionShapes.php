<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\AngleOfRepose;
use IdleRidge\Core\Land\Basin;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\Heap;
use IdleRidge\Core\Land\OpenBank;
use IdleRidge\Core\Land\Pad;
use IdleRidge\Core\Land\Roughness;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Land\Stream;

/** What is made of the natural ground of a section once it goes through spots and lines: roughness, heaps, pads, streams, waters. */
final class SectionShapes
{
    /** A shape that reaches out is looked for so far beside the board, mm. */
    private const REACH_MM = 300.0;

    /** Beyond an edge that cuts water off its bank lies further away than its shore is wide, mm. */
    private const PAST_EDGE_MM = 20.0;

    /**
     * Those that come onto a board, in its coordinates and in the order in which they are made.
     *
     * @param  list<LandFeature>  $features  layout coordinates
     * @return list<LandFeature>
     */
    public static function near(array $features, Section $section): array
    {
        $out = [];
        foreach ($features as $feature) {
            $order = self::order($feature);
            if ($order === null || self::isFar($feature, $section)) {
                continue;
            }
            $here = $feature->at(
                array_map(function (Spot $p) use ($section): Spot {
                    $at = $section->placement->toSection(new Point($p->x, $p->y));

                    return new Spot($at->x, $at->y, $p->z);
                }, $feature->points),
            );
            if (self::reaches($here, $section)) {
                $out[$order][] = $here;
            }
        }
        ksort($out);

        return array_merge(...$out);
    }

    /** Heaps stand on rough ground, before anything is dug into it. */
    private static function order(LandFeature $feature): ?int
    {
        return match (true) {
            $feature->kind === FeatureKind::Rough => 0,
            $feature->hasFoot() => 1,
            $feature->kind === FeatureKind::Pad => 2,
            $feature->kind === FeatureKind::Stream => 3,
            $feature->kind === FeatureKind::Water => 4,
            default => null,
        };
    }

    /**
     * Waters that come onto a board.
     *
     * @param  list<LandFeature>  $features  layout coordinates
     * @return array<string, string> uid → name
     */
    public static function waters(array $features, Section $section): array
    {
        $out = [];
        foreach (self::near($features, $section) as $feature) {
            if ($feature->kind->isWet()) {
                $out[$feature->uid] = $feature->name !== '' ? $feature->name : 'the '.$feature->kind->value;
            }
        }

        return $out;
    }

    /** @param  list<LandFeature>  $shapes  as `near` has them */
    public static function onto(array $shapes, Section $section, Ground $ground): Ground
    {
        foreach ($shapes as $f) {
            $ground = $ground->with(
                match ($f->kind) {
                    FeatureKind::Rough => new Roughness(
                        $f->uid,
                        $f->plan(),
                        $f->figures['height_mm'],
                        $f->figures['grain_mm'],
                        (int) $f->figures['seed'],
                        $section->placement,
                    ),
                    FeatureKind::Spot, FeatureKind::Ridge => new Heap(
                        $f->uid,
                        $f->points,
                        $f->figures['foot_mm'] ?? 0.0,
                        $f->figures['foot_deg'] ?? AngleOfRepose::EARTH_DEG,
                    ),
                    FeatureKind::Pad => new Pad($f->uid, $f->name, $f->plan(), $f->points[0]->z, $f->figures['batter']),
                    FeatureKind::Stream => Stream::along(
                        $f->uid,
                        $f->name,
                        $f->plan(),
                        $f->figures['width_mm'],
                        $f->figures['depth_mm'],
                        $f->figures['below_mm'],
                        $ground->at(...),
                    ),
                    default => new Basin(
                        $f->uid,
                        $f->name,
                        OpenBank::past($f->plan(), $section->width, $section->depth, $f->figures['shore_mm'] + self::PAST_EDGE_MM),
                        $f->points[0]->z,
                        $f->figures['depth_mm'],
                        $f->figures['shore_mm'],
                    ),
                },
            );
        }

        return $ground;
    }

    /** Whether a feature, in layout coordinates, lies so far off that it cannot reach the board: a circle around each says so. */
    private static function isFar(LandFeature $feature, Section $section): bool
    {
        [$x1, $y1, $x2, $y2] = Box::around($feature->plan(), 0.0);
        $middle = $section->middle();
        $around = (hypot($x2 - $x1, $y2 - $y1) + hypot($section->width, $section->depth)) / 2.0;
        $reach = $around + self::REACH_MM + ($feature->figures['foot_mm'] ?? 0.0);

        // What reaches goes by a box along the board's edges: it stays within so much of the circle.
        return hypot(($x1 + $x2) / 2.0 - $middle->x, ($y1 + $y2) / 2.0 - $middle->y) > M_SQRT2 * $reach;
    }

    private static function reaches(LandFeature $here, Section $section): bool
    {
        [$x1, $y1, $x2, $y2] = Box::around($here->plan(), self::REACH_MM + ($here->figures['foot_mm'] ?? 0.0));

        return $x1 <= $section->width && $x2 >= 0.0 && $y1 <= $section->depth && $y2 >= 0.0;
    }
}
