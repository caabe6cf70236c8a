<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

/** Ends of runs that belong together: where one goes on as the other, and how stations count along such a line. */
final class RunEnds
{
    /** Ends so near, and turned toward each other within this, are meant to meet; mm and radians. */
    public const MAX_DISTANCE_MM = 15.0;

    public const MAX_FACING_RAD = M_PI / 6.0;

    /** Whether one run goes on where the other ends, or is meant to. */
    public static function meet(Run $run, float $station, Run $other, float $at): bool
    {
        return $run->kind === $other->kind &&
            $run->alignment->pointAt($station)->distanceTo($other->alignment->pointAt($at)) <= self::MAX_DISTANCE_MM &&
            self::kink($run, $station, $other, $at) <= self::MAX_FACING_RAD;
    }

    /** Going on means that the other's way out is the opposite of this one's; what is missing of that, radians. */
    public static function kink(Run $run, float $station, Run $other, float $at): float
    {
        $kink = fmod(self::outward($run, $station) - self::outward($other, $at) + 5.0 * M_PI, 2.0 * M_PI);

        return abs($kink > M_PI ? $kink - 2.0 * M_PI : $kink);
    }

    /**
     * Where a run begins along the line it belongs to: the lengths of all runs before it, one going on as the next.
     *
     * @param  list<Run>  $runs
     * @return array{float, Run} mm, and the first run of the line; 0 and the run itself when it goes on from none
     */
    public static function along(Run $run, array $runs): array
    {
        $before = 0.0;
        $seen = [$run->uid => true];
        for ($first = $run; ($previous = self::previous($first, $runs, $seen)) !== null; $first = $previous) {
            $before += $previous->alignment->length;
            $seen[$previous->uid] = true;
        }

        return [$before, $first];
    }

    /**
     * @param  list<Run>  $runs
     * @param  array<string, true>  $seen a line that closes ends where it began
     */
    private static function previous(Run $run, array $runs, array $seen): ?Run
    {
        foreach ($runs as $other) {
            if (! isset($seen[$other->uid]) && self::meet($other, $other->alignment->length, $run, 0.0)) {
                return $other;
            }
        }

        return null;
    }

    /** The way out of a run at one of its ends, radians. */
    private static function outward(Run $run, float $station): float
    {
        return $run->alignment->headingAt($station) + ($station > 0.0 ? 0.0 : M_PI);
    }
}
