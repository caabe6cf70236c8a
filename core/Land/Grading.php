<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Track\Run;

/**
 * What runs make of the ground. On a run's formation the terrain is its level; beyond, at distance d from the
 * formation's edge, it may not lie under `level − d/fill batter` nor over `level + d/cut batter`. Terrain is the ground
 * clamped between the highest lower and the lowest upper bound of all runs. Where the bounds cross no slope fits: a
 * wall, and the terrain keeps to the lower bound, which stands the wall at the lower run's formation.
 * The ditch, the outer part of the formation, is sunk only where the run lies in cutting.
 */
final readonly class Grading
{
    public const FORMATION = 1;

    public const CUT = 2;

    public const FILL = 3;

    public const WALL = 4;

    /** Bounds that cross by less than this still count as a slope, mm. */
    private const CROSSING = 0.05;

    /**
     * @param list<Run> $runs in section coordinates
     * @param float|null $reach how far from a formation's edge a slope may go, mm; beyond, the ground stays as it is
     */
    public function __construct(public array $runs, public ?float $reach = null)
    {
    }

    /** Null where the ground stays as it is. */
    public function at(float $x, float $y, float $ground): ?Graded
    {
        $near = [];
        foreach ($this->runs as $k => $run) {
            $place = $run->alignment->nearest(new Point($x, $y));
            $near[] = [$k, $place['station'], $place['offset']];
        }

        return $this->clamp($ground, $near);
    }

    /**
     * Null where the ground stays as it is.
     *
     * @param list<array{int, float, float}> $near run, station, signed offset
     */
    public function clamp(float $ground, array $near): ?Graded
    {
        $lower = -INF;
        $upper = INF;
        $lowerBy = $upperBy = -1;
        $shelf = -1;
        $shelfAway = INF;
        $shelfLevel = 0.0;
        $odds = 0.0;
        $shelves = [];
        foreach ($near as $place => [$k, $station, $offset]) {
            $profile = $this->runs[$k]->profile;
            $left = $offset >= 0.0;
            $away = abs($offset);
            $level = $this->runs[$k]->grade->heightAt($station);
            $beyond = $away - $profile->halfWidth($left);
            if ($beyond <= 0.0) {
                $shelves[] = $level;
                if ($away < $shelfAway - 1e-9) {
                    [$shelf, $shelfAway, $shelfLevel] = [$place, $away, $level];
                }

                continue;
            }
            if ($this->reach !== null && $beyond > $this->reach) {
                continue;
            }
            $low = $level - $beyond / $profile->batterInFill($left);
            $high = $level + $beyond / $profile->batterInCut($left);
            if ($low > $lower) {
                [$lower, $lowerBy] = [$low, $place];
            }
            if ($high < $upper) {
                [$upper, $upperBy] = [$high, $place];
            }
        }
        if ($shelf >= 0) {
            [$k, $station, $offset] = $near[$shelf];
            $profile = $this->runs[$k]->profile;
            $inDitch = $profile->ditchDepth() > 0.0 && $ground > $shelfLevel
                && abs($offset) > $profile->halfWidth($offset >= 0.0) - $profile->ditchWidth();
            $odds = count($shelves) > 1 ? max($shelves) - min($shelves) : 0.0;

            return new Graded($shelfLevel - ($inDitch ? $profile->ditchDepth() : 0.0), self::FORMATION, $k, $station, $offset, $odds);
        }
        if ($lower > $upper + self::CROSSING && $upperBy >= 0) {
            return new Graded($lower, self::WALL, ...$near[$upperBy], gap: $lower - $upper);
        }
        if ($lower > $ground && $lowerBy >= 0) {
            return new Graded($lower, self::FILL, ...$near[$lowerBy], gap: $lower - $ground);
        }
        if ($upper < $ground && $upperBy >= 0) {
            return new Graded($upper, self::CUT, ...$near[$upperBy], gap: $ground - $upper);
        }

        return null;
    }
}
