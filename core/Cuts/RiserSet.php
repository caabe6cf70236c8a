<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/**
 * Risers that rise evenly, as slices of one block whose top is cut once on the slant: every slice is the next riser. `first`
 * and `last` count risers from 1; length, heights of the block's ends in mm; slant of its top in degrees.
 */
final readonly class RiserSet
{
    /** Fewer are cut one by one. */
    private const MIN_RISERS = 3;

    /** Steps that differ by less than this are even, mm. */
    private const MAX_UNEVENNESS_MM = 0.05;

    private function __construct(
        public int $first,
        public int $last,
        public float $length,
        public float $low,
        public float $high,
        public float $slantDeg,
        public float $slice,
    ) {
    }

    /**
     * @param  list<Riser>  $risers
     * @param  float  $slice thickness of a riser along the run
     * @return list<self>
     */
    public static function among(array $risers, float $slice, float $kerf): array
    {
        $out = [];
        for ($k = 0; $k < count($risers) - 1; $k = $end) {
            $end = $k + 1;
            $step = $risers[$end]->height - $risers[$k]->height;
            while ($end + 1 < count($risers) && abs($risers[$end + 1]->height - $risers[$end]->height - $step) < self::MAX_UNEVENNESS_MM) {
                $end++;
            }
            $count = $end - $k + 1;
            if ($count >= self::MIN_RISERS) {
                $length = $count * $slice + ($count - 1) * $kerf;
                // A slice's height is that of its middle.
                $slope = $step / ($slice + $kerf);
                $ends = [$risers[$k]->height - ($slope * $slice) / 2.0, $risers[$end]->height + ($slope * $slice) / 2.0];
                $out[] = new self($k + 1, $end + 1, $length, min($ends), max($ends), rad2deg(atan(abs($slope))), $slice);
            }
        }

        return $out;
    }
}
