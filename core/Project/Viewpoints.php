<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\BoardEdge;

/**
 * Where people stand who look at a board: along each edge it is looked at from, some way off it, with their eyes over its
 * top. Distances are starting values of exhibition practice, mm.
 */
final class Viewpoints
{
    public const DISTANCE_FROM_EDGE_MM = 450.0;

    public const HEIGHT_OVER_BOARD_MM = 350.0;

    private const SPACING_MM = 400.0;

    /**
     * @param  list<BoardEdge>  $edges
     * @return list<array{float, float, float}> in section coordinates; none when it is looked at from nowhere
     */
    public static function before(Section $section, array $edges): array
    {
        $eyes = [];
        foreach ($edges as $edge) {
            $length = $edge->length($section->width, $section->depth);
            $count = max(1, (int) round($length / self::SPACING_MM));
            for ($k = 0; $k < $count; $k++) {
                $at = $length * ($k + 0.5) / $count;
                $eyes[] = [
                    ...$edge->place($at, $section->width, $section->depth, self::DISTANCE_FROM_EDGE_MM),
                    $section->base + self::HEIGHT_OVER_BOARD_MM,
                ];
            }
        }

        return $eyes;
    }
}
