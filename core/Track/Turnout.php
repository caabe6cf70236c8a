<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Side;

/**
 * Where one track leaves another: the toe on the one it leaves, and the keep-clear interval, from a little before the toe to
 * the fouling point, beyond which vehicles on both tracks pass each other with their margin.
 */
final readonly class Turnout
{
    /** A track begins on another when its end lies so near its centreline, mm, and turns away by less than this, degrees. */
    private const TOE_DISTANCE_MM = 3.0;

    private const MAX_BRANCH_ANGLE_DEG = 14.0;

    /** Room for the points before the toe, mm: a starting value. */
    public const ROOM_BEFORE_TOE_MM = 25.0;

    private const STEP_MM = 5.0;

    /**
     * @param  bool  $atEnd whether the branch ends here; else it begins here
     * @param  float  $clear station on the branch up to (or from) which it fouls
     * @param  float  $step rail top of the branch over that of the main at the toe, mm
     * @param  float  $kinkDeg between their headings at the toe
     */
    private function __construct(
        public Run $main,
        public Run $branch,
        public float $toe,
        public bool $atEnd,
        public bool $left,
        public float $from,
        public float $to,
        public float $clear,
        public float $step,
        public float $kinkDeg,
    ) {
    }

    /**
     * @param  list<Run>  $runs
     * @param  non-empty-list<Vehicle>  $vehicles
     * @return list<self>
     */
    public static function among(array $runs, array $vehicles, float $margin): array
    {
        $out = [];
        $tracks = array_values(array_filter($runs, fn (Run $run): bool => $run->kind === RunKind::Track));
        foreach ($tracks as $branch) {
            foreach ([false, true] as $atEnd) {
                foreach ($tracks as $main) {
                    $turnout = $main->uid === $branch->uid ? null : self::at($main, $branch, $atEnd, $vehicles, $margin);
                    if ($turnout !== null) {
                        $out[] = $turnout;
                        break;
                    }
                }
            }
        }

        return $out;
    }

    /** Whether a station of one of its tracks lies within the keep-clear interval. */
    public function holds(string $uid, float $station, float $slack = 0.0): bool
    {
        if ($uid === $this->main->uid) {
            return $station >= $this->from - $slack && $station <= $this->to + $slack;
        }

        return $uid === $this->branch->uid && ($this->atEnd ? $station >= $this->clear - $slack : $station <= $this->clear + $slack);
    }

    /** @param  non-empty-list<Vehicle>  $vehicles */
    private static function at(Run $main, Run $branch, bool $atEnd, array $vehicles, float $margin): ?self
    {
        $end = $atEnd ? $branch->alignment->length : 0.0;
        $place = $main->alignment->nearest($branch->alignment->pointAt($end));
        $toe = $place['station'];
        // At an end of the other track it goes on, it does not leave.
        if (
            abs($place['offset']) > self::TOE_DISTANCE_MM ||
            $toe < self::TOE_DISTANCE_MM ||
            $toe > $main->alignment->length - self::TOE_DISTANCE_MM
        ) {
            return null;
        }
        $out = $branch->alignment->headingAt($end) + ($atEnd ? M_PI : 0.0);
        $turn = fmod($out - $main->alignment->headingAt($toe) + 9.0 * M_PI, 2.0 * M_PI) - M_PI;
        $forward = abs($turn) < M_PI / 2.0;
        $kink = rad2deg($forward ? abs($turn) : M_PI - abs($turn));
        if ($kink > self::MAX_BRANCH_ANGLE_DEG) {
            return null;
        }
        [$far, $clear, $left] = self::fouling($main, $branch, $atEnd, $forward, $toe, $vehicles, $margin);
        $step = $branch->grade->heightAt($end) + $branch->profile->railTop() - $main->grade->heightAt($toe) - $main->profile->railTop();

        return new self(
            $main,
            $branch,
            $toe,
            $atEnd,
            $left,
            max(0.0, $forward ? $toe - self::ROOM_BEFORE_TOE_MM : $far),
            min($main->alignment->length, $forward ? $far : $toe + self::ROOM_BEFORE_TOE_MM),
            $clear,
            $step,
            $kink,
        );
    }

    /**
     * @param  non-empty-list<Vehicle>  $vehicles
     * @return array{float, float, bool} station of the fouling point on the main and on the branch, side of the branch
     */
    private static function fouling(Run $main, Run $branch, bool $atEnd, bool $forward, float $toe, array $vehicles, float $margin): array
    {
        $mains = new VehicleSweeps($main->alignment, $vehicles);
        $branches = new VehicleSweeps($branch->alignment, $vehicles);
        $length = $branch->alignment->length;
        $far = $toe;
        $left = true;
        // Nothing passes nearer than two half-widths and the margin.
        $least = max(array_map(fn (Vehicle $v): float => $v->width, $vehicles)) + $margin;
        for ($away = self::STEP_MM; $away < $length; $away += self::STEP_MM) {
            $station = $atEnd ? $length - $away : $away;
            $place = $main->alignment->nearest($branch->alignment->pointAt($station));
            [$far, $left] = [$place['station'], $place['offset'] >= 0.0];
            if (abs($place['offset']) < $least) {
                continue;
            }
            // Seen from the branch the main lies on the other hand, unless they run against each other.
            $against = $forward === $atEnd;
            $side = Side::at($place['offset']);
            $theirs = $against ? $side : $side->other();
            $needs = $mains->at($far)[$side->value] + $branches->at($station)[$theirs->value] + $margin;
            if (abs($place['offset']) >= $needs) {
                return [$far, $station, $left];
            }
        }

        return [$far, $atEnd ? 0.0 : $length, $left];
    }
}
