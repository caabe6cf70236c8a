<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * Ballast of plain track by its cross-section, level with the sleepers' tops:
 * `V/L = l·h·(1 − w/p) + 2(s·h + b·h²/2)`, sleepers l long, h high, w wide at pitch p, shoulders s wide falling at batter b.
 */
final readonly class Ballast
{
    /** A prototype's sleeper length, width and pitch, and its shoulder, m: usual figures for a single standard-gauge line. */
    private const PROTOTYPE = [2.6, 0.26, 0.65, 0.30];

    private const BATTER = 1.5;

    public function __construct(public float $sleeperLength, public float $sleeperHeight, public float $sleeperWidth, public float $pitch, public float $shoulder, public float $batter)
    {
    }

    /** Sleepers in scale to the ratio, of the height the track has, mm. */
    public static function forTrack(float $ratio, float $sleeperHeight): self
    {
        [$length, $width, $pitch, $shoulder] = array_map(fn (float $m): float => 1000.0 * $m / $ratio, self::PROTOTYPE);

        return new self($length, $sleeperHeight, $width, $pitch, $shoulder, self::BATTER);
    }

    /** The share of it that lies between the rails, so far apart; the rest lies to both sides alike. */
    public function middle(float $gauge): float
    {
        return min(1.0, $gauge * $this->sleeperHeight * (1.0 - $this->sleeperWidth / $this->pitch) / $this->volume(1.0));
    }

    /**
     * Volume over a length of track, mm³, with a layer `t` mm thick down the sides of a moulded roadbed `roadbed` mm high.
     */
    public function volume(float $length, float $t = 0.0, float $roadbed = 0.0): float
    {
        $h = $this->sleeperHeight;
        $section = $this->sleeperLength * $h * (1.0 - $this->sleeperWidth / $this->pitch) + 2.0 * ($this->shoulder * $h + $this->batter * $h * $h / 2.0);

        return $length * ($section + 2.0 * $t * $roadbed * hypot(1.0, $this->batter));
    }
}
