<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Measure\Side;

/**
 * A retaining wall that the land needs (`between`, `edge`, `reach`) or that is `placed`: beside a run, on its `left` or
 * `right`, stations and heights in mm. It is told along its own face: how far along, and where its foot and its top lie over the datum.
 */
final readonly class Wall
{
    /** Heights of the lowest and highest place, mm; length along the face, mm; its area, mm². */
    public float $lowest;

    public float $highest;

    public float $length;

    public float $face;

    /** @param  non-empty-list<array{station: float, along: float, foot: float, top: float}>  $profile in order along the face */
    public function __construct(
        public string $run,
        public Side $side,
        public float $from,
        public float $to,
        public string $cause,
        public float $x,
        public float $y,
        public array $profile,
    ) {
        $heights = array_map(fn (array $p): float => $p['top'] - $p['foot'], $profile);
        $face = 0.0;
        for ($k = 1; $k < count($profile); $k++) {
            $face += (($profile[$k]['along'] - $profile[$k - 1]['along']) * ($heights[$k] + $heights[$k - 1])) / 2.0;
        }
        $this->lowest = min($heights);
        $this->highest = max($heights);
        $this->length = $profile[count($profile) - 1]['along'] - $profile[0]['along'];
        $this->face = $face;
    }
}
