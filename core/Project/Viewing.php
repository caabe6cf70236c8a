<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * From where people look at the boards: along which edges, how far off them, and how high their eyes are over a board's top
 * (mm). Distances are starting values of exhibition practice.
 */
final readonly class Viewing
{
    public const DISTANCE_MM = 450.0;

    public const HEIGHT_MM = 350.0;

    public const MIN_DISTANCE_MM = 50.0;

    public const MAX_DISTANCE_MM = 5000.0;

    public const MAX_HEIGHT_MM = 2000.0;

    private const SPACING_MM = 400.0;

    /**
     * @param  list<BoardEdge>  $edges in the order of the cases; none when they are looked at from nowhere
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public array $edges = [BoardEdge::Front],
        public float $distance = self::DISTANCE_MM,
        public float $height = self::HEIGHT_MM,
    ) {
        InvalidValue::unlessBetween($distance, self::MIN_DISTANCE_MM, self::MAX_DISTANCE_MM, 'The distance', 'mm', 'eye_distance_mm');
        InvalidValue::unlessBetween($height, 0.0, self::MAX_HEIGHT_MM, 'The height of the eyes', 'mm', 'eye_height_mm');
    }

    public function isUsual(): bool
    {
        return $this->distance === self::DISTANCE_MM && $this->height === self::HEIGHT_MM;
    }

    /**
     * Where the eyes are before a board.
     *
     * @return list<array{float, float, float}> in section coordinates, heights over the datum
     */
    public function before(Section $section): array
    {
        $eyes = [];
        foreach ($this->edges as $edge) {
            $length = $edge->length($section->width, $section->depth);
            $count = max(1, (int) round($length / self::SPACING_MM));
            for ($k = 0; $k < $count; $k++) {
                $at = $length * ($k + 0.5) / $count;
                $eyes[] = [...$edge->place($at, $section->width, $section->depth, $this->distance), $section->base + $this->height];
            }
        }

        return $eyes;
    }
}
