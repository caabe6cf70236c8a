<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * What the natural ground has to go through, over the rectangle x0 … x0 + width, y0 … y0 + depth (mm).
 * `tension` 0 … 1 pulls the surface toward a taut skin; `stiffness` (mm) is the length over which it bends.
 */
final readonly class GroundProblem
{
    public const TENSION = 0.25;

    public const STIFFNESS = 100.0;

    /** Spots nearer than this are in one place, mm. */
    private const SAME_PLACE = 0.5;

    /**
     * @param  list<Spot>  $spots
     * @param  list<HeightLine>  $lines
     */
    private function __construct(
        public float $x0,
        public float $y0,
        public float $width,
        public float $depth,
        public array $spots,
        public array $lines,
        public float $tension,
        public float $stiffness,
        public float $base,
    ) {
    }

    /**
     * @param  list<Spot>  $spots
     * @param  list<HeightLine>  $lines
     * @param  float  $base height where there is neither spot nor line, mm
     *
     * @throws InvalidValue for impossible sizes, or two spots in one place with different heights
     */
    public static function over(
        float $x0,
        float $y0,
        float $width,
        float $depth,
        array $spots,
        array $lines = [],
        float $tension = self::TENSION,
        float $stiffness = self::STIFFNESS,
        float $base = 0.0,
    ): self {
        InvalidValue::unlessBetween($width, 10.0, 50_000.0, 'The width', 'mm', 'width');
        InvalidValue::unlessBetween($depth, 10.0, 50_000.0, 'The depth', 'mm', 'depth');
        InvalidValue::unlessBetween($tension, 0.0, 1.0, 'The tension', '', 'tension');
        InvalidValue::unlessBetween($stiffness, 1.0, 5000.0, 'The stiffness length', 'mm', 'stiffness');
        foreach ($spots as $k => $spot) {
            foreach (['x' => $spot->x, 'y' => $spot->y, 'z' => $spot->z] as $axis => $value) {
                InvalidValue::unlessBetween($value, -100_000.0, 100_000.0, "The spot's {$axis}", 'mm', "spots/{$k}");
            }
        }

        return new self($x0, $y0, $width, $depth, self::distinct($spots), $lines, $tension, $stiffness, $base);
    }

    /**
     * @param  list<Spot>  $spots
     * @return list<Spot>
     */
    private static function distinct(array $spots): array
    {
        $kept = [];
        foreach ($spots as $k => $spot) {
            foreach ($kept as $other) {
                if (hypot($spot->x - $other->x, $spot->y - $other->y) < self::SAME_PLACE) {
                    if (abs($spot->z - $other->z) > 1e-6) {
                        throw new InvalidValue(sprintf(
                            'Two spots at %s have different heights, %s; move or remove one.',
                            Format::several([$spot->x, $spot->y], 'mm', 0, ', '), Format::several([$other->z, $spot->z], 'mm', 1, ' and '),
                        ), "spots/{$k}");
                    }

                    continue 2;
                }
            }
            $kept[] = $spot;
        }

        return $kept;
    }
}
