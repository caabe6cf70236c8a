<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StructureKind;

/**
 * What runs make of the ground. On a run's formation the terrain is its level; beyond, at distance d from the
 * formation's edge, it may not lie under `level − d/fill batter` nor over `level + d/cut batter`. Terrain is the ground
 * clamped between the highest lower and the lowest upper bound of all runs. Where the bounds cross no slope fits: a
 * wall, and the terrain keeps to the lower bound, which stands the wall at the lower run's formation.
 * A bridge gives neither formation nor lower bound, a tunnel neither formation nor upper bound. Where a road crosses a track
 * on the level the track's formation rules, and beside a placed wall the land steps.
 * The ditch, the outer part of the formation, is sunk only where the run lies in cutting, and between two tracks whose
 * formations meet in it.
 */
final readonly class Grading
{
    public const FORMATION = 1;

    public const CUT = 2;

    public const FILL = 3;

    public const WALL = 4;

    /** Bounds that cross by less than this still count as a slope, mm. */
    private const CROSSING_TOLERANCE_MM = 0.05;

    /** Rise over run of the land beside a placed wall. */
    public const MAX_SLOPE = 1.0 / FormationProfile::MIN_BATTER;

    /**
     * @var list<array{array{float, float}, array{float, float}, array{float, float}, int, float}> half-widths, rise in cutting, fall of
     *     banks; right, left; 0 for track, 1 for a road; top over the formation
     */
    private array $shapes;

    /**
     * @param  list<Run>  $runs in section coordinates
     * @param  float|null  $reach how far from a formation's edge a slope may go, mm; beyond, the ground stays as it is
     */
    public function __construct(public array $runs, public ?float $reach = null)
    {
        $shapes = [];
        foreach ($runs as $run) {
            $p = $run->profile;
            $shapes[] = [
                [$p->halfWidth(Side::Right), $p->halfWidth(Side::Left)],
                [1.0 / $p->batterInCut(Side::Right), 1.0 / $p->batterInCut(Side::Left)],
                [1.0 / $p->batterInFill(Side::Right), 1.0 / $p->batterInFill(Side::Left)],
                $run->kind === RunKind::Road ? 1 : 0,
                $p->railTop(),
            ];
        }
        $this->shapes = $shapes;
    }

    /** Null where the ground stays as it is. */
    public function at(float $x, float $y, float $ground): ?Graded
    {
        $near = [];
        foreach ($this->runs as $k => $run) {
            $place = $run->alignment->nearest(new Point($x, $y));
            $near[] = [$k, $place['station'], $place['offset'], $run->grade->heightAt($place['station'])];
        }

        return $this->clamp($ground, $near);
    }

    /** Whether a place beside a run is none of its business: its slopes stay clear of everything from `$low` to `$high`. */
    public function leavesAlone(int $run, float $offset, float $level, float $low, float $high): bool
    {
        [$half, $rise, $fall] = $this->shapes[$run];
        $side = $offset >= 0.0 ? 1 : 0;
        $beyond = abs($offset) - $half[$side];

        return $beyond > 0.0 && $level + $beyond * $rise[$side] >= $high && $level - $beyond * $fall[$side] <= $low;
    }

    /**
     * Null where the ground stays as it is.
     *
     * @param  list<array{int, float, float, float}>  $near run, station, signed offset, level there
     */
    public function clamp(float $ground, array $near): ?Graded
    {
        $lower = -INF;
        $upper = INF;
        $lowerBy = $upperBy = -1;
        $shelf = -1;
        $shelfAway = INF;
        $shelfRank = 2;
        $shelves = 0;
        $lowest = INF;
        $highest = -INF;
        foreach ($near as $place => [$k, $station, $offset, $level]) {
            [$half, $rise, $fall, $rank] = $this->shapes[$k];
            $side = $offset >= 0.0 ? 1 : 0;
            $away = abs($offset);
            $beyond = $away - $half[$side];
            $walled = false;
            $built = null;
            if ($this->runs[$k]->structures !== []) {
                $built = $this->runs[$k]->structureAt($station);
                $walled = $this->runs[$k]->wallAt($station, Side::at($offset));
            }
            if ($built !== null) {
                // On a bridge it asks for no land below, in a tunnel for no room above; neither has a formation.
                if ($this->reach === null || $beyond <= $this->reach) {
                    $bridged = $built->kind === StructureKind::Bridge;
                    $bound =
                        $bridged ? $level + max(0.0, $beyond) * $rise[$side] : $level - max(0.0, $beyond) * $fall[$side];
                    if ($bridged && $bound < $upper) {
                        [$upper, $upperBy] = [$bound, $place];
                    } elseif (! $bridged && $bound > $lower) {
                        [$lower, $lowerBy] = [$bound, $place];
                    }
                }

                continue;
            }
            if ($beyond <= 0.0) {
                if ($rank < $shelfRank) {
                    $shelves = 1;
                    [$shelf, $shelfAway, $shelfRank, $lowest, $highest] = [$place, $away, $rank, $level, $level];
                } elseif ($rank === $shelfRank) {
                    $shelves++;
                    $lowest = min($lowest, $level);
                    $highest = max($highest, $level);
                    if ($away < $shelfAway - 1e-9) {
                        [$shelf, $shelfAway] = [$place, $away];
                    }
                }

                continue;
            }
            if ($this->reach !== null && $beyond > $this->reach) {
                continue;
            }
            $low = $level - $beyond * ($walled ? self::MAX_SLOPE : $fall[$side]);
            $high = $level + $beyond * ($walled ? self::MAX_SLOPE : $rise[$side]);
            if ($low > $lower) {
                [$lower, $lowerBy] = [$low, $place];
            }
            if ($high < $upper) {
                [$upper, $upperBy] = [$high, $place];
            }
        }
        if ($shelf >= 0) {
            [$k, $station, $offset, $level] = $near[$shelf];
            $profile = $this->runs[$k]->profile;
            $inDitch =
                $profile->ditchDepth() > 0.0 &&
                ($ground > $level || $shelves > 1) &&
                abs($offset) > $profile->halfWidth(Side::at($offset)) - $profile->ditchWidth();

            return new Graded(
                $level - ($inDitch ? $profile->ditchDepth() : 0.0),
                self::FORMATION,
                $k,
                $station,
                $offset,
                $highest - $lowest,
            );
        }
        if (
            $lower > $upper + self::CROSSING_TOLERANCE_MM &&
            $upperBy >= 0 &&
            $lower - $upper > $this->shoulder($near[$lowerBy][0] ?? -1, $near[$upperBy][0])
        ) {
            return self::graded($lower, self::WALL, $near[$upperBy], $lower - $upper);
        }
        if ($lower > $ground && $lowerBy >= 0) {
            return self::graded($lower, self::FILL, $near[$lowerBy], $lower - $ground);
        }
        if ($upper < $ground && $upperBy >= 0) {
            return self::graded($upper, self::CUT, $near[$upperBy], $ground - $upper);
        }

        return null;
    }

    /** Beside a level crossing a road stands over a track's formation by the height of its ballast: that is no wall, mm. */
    private function shoulder(int $one, int $other): float
    {
        return $one >= 0 && $this->shapes[$one][3] !== $this->shapes[$other][3]
            ? max($this->shapes[$one][4], $this->shapes[$other][4])
            : 0.0;
    }

    /** @param  array{int, float, float, float}  $by */
    private static function graded(float $height, int $kind, array $by, float $gap): Graded
    {
        return new Graded($height, $kind, $by[0], $by[1], $by[2], $gap);
    }
}
