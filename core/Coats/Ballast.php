<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Track\FormationProfile;

/**
 * Ballast of plain track by its cross-section, level with the sleepers' tops:
 * `V/L = l·h·(1 − w/p) + 2(s·h + b·h²/2)`, sleepers l long, h high, w wide at pitch p, shoulders s wide falling at batter b,
 * and down the sides of a moulded roadbed a layer `t` mm thick, `2·t·roadbed·√(1 + b²)`.
 */
final readonly class Ballast
{
    /** A prototype's sleeper length, width and pitch, and its shoulder, m: usual figures for a single standard-gauge line. */
    private const PROTOTYPE_SLEEPER_M = [2.6, 0.26, 0.65, 0.3];

    private const SHOULDER_BATTER = 1.5;

    public function __construct(
        public float $sleeperLength,
        public float $sleeperHeight,
        public float $sleeperWidth,
        public float $pitch,
        public float $shoulder,
        public float $batter,
        public float $roadbed = 0.0,
    ) {
    }

    /** Sleepers in scale to the ratio, of the height the track has, on its roadbed; mm. */
    public static function forTrack(float $ratio, FormationProfile $profile): self
    {
        [$length, $width, $pitch, $shoulder] = array_map(fn (float $m): float => (1000.0 * $m) / $ratio, self::PROTOTYPE_SLEEPER_M);

        return new self($length, $profile->sleeper(), $width, $pitch, $shoulder, self::SHOULDER_BATTER, $profile->roadbed());
    }

    /** The share of it that lies between the rails, so far apart; the rest lies to both sides alike. */
    public function middle(float $gauge, float $t): float
    {
        $all = $this->volume(1.0, $t);

        return $all > 0.0 ? min(1.0, ($gauge * $this->sleeperHeight * (1.0 - $this->sleeperWidth / $this->pitch)) / $all) : 0.0;
    }

    /**
     * Volume of a full bed over a length of track, mm³.
     *
     * @param  float  $t thickness of the layer down the roadbed's sides
     */
    public function volume(float $length, float $t = 0.0): float
    {
        $h = $this->sleeperHeight;
        $section =
            $this->sleeperLength * $h * (1.0 - $this->sleeperWidth / $this->pitch) +
            2.0 * ($this->shoulder * $h + ($this->batter * $h * $h) / 2.0);

        return $length * ($section + 2.0 * $t * $this->roadbed * hypot(1.0, $this->batter));
    }
}
