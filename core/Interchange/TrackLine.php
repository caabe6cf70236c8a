<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use IdleRidge\Core\Track\FitBudget;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\TrackFit;

/** A line as it came from a file: its name and its points in order, mm; heights where the file has them. */
final readonly class TrackLine
{
    public const MAX_POINTS = 50_000;

    /** No place and no height lies further out, mm. */
    public const MAX_COORDINATE_MM = 1e10;

    /** Straight stretches are told so finely, mm. */
    private const MAX_STATION_GAP_MM = 30.0;

    /** Grade points may miss the heights of the file by so much, mm. */
    private const LEVEL_TOLERANCE_MM = 0.2;

    public string $name;

    /**
     * @param  list<array{float, float}>  $points
     * @param  list<float>|null  $heights of each point
     * @param  bool  $atRail whether they are those of the rail tops
     */
    public function __construct(string $name, public array $points, public ?array $heights = null, public bool $atRail = false)
    {
        $this->name = Words::plain($name);
    }

    /** All lengths multiplied, then moved. */
    public function moved(float $by, float $dx = 0.0, float $dy = 0.0): self
    {
        return new self(
            $this->name,
            array_map(fn (array $p): array => [$p[0] * $by + $dx, $p[1] * $by + $dy], $this->points),
            $this->heights === null ? null : array_map(fn (float $z): float => $z * $by, $this->heights),
            $this->atRail,
        );
    }

    /**
     * @param  list<self>  $lines
     * @return array{float, float, float, float} the box round all of them: least x and y, greatest x and y
     */
    public static function extent(array $lines): array
    {
        [$xs, $ys] = [[], []];
        foreach ($lines as $line) {
            array_push($xs, ...array_column($line->points, 0));
            array_push($ys, ...array_column($line->points, 1));
        }

        return [min($xs), min($ys), max($xs), max($ys)];
    }

    /**
     * The run that lies through it, as few tangents and arcs as keep near it.
     *
     * @param  callable(float, float): float  $ground the level of a line without heights, asked in its middle
     * @param  FitBudget  $budget what it may take
     * @param  FormationProfile|null  $profile that it lies on
     * @return array{Run, TrackFit}
     *
     * @throws InvalidValue
     */
    public function fitted(string $uid, callable $ground, FitBudget $budget = new FitBudget(), ?FormationProfile $profile = null): array
    {
        $fit = TrackFit::through($this->points, budget: $budget);
        $profile ??= FormationProfile::from();
        $middle = $this->points[intdiv(count($this->points), 2)];
        $points = [];
        $start = round($ground(...$middle));
        if ($this->heights !== null) {
            $run = Run::lay($uid, $this->name, $fit->start, $fit->headingDeg, $fit->pieces, 0.0, [], $profile);
            $levels = $this->levels($run, $this->atRail ? $profile->railTop() : 0.0);
            $start = $levels[0][1];
            foreach (array_slice($levels, 1) as [$station, $z]) {
                $points[] = ['station_mm' => $station, 'height_mm' => $z];
            }
        }

        return [Run::lay($uid, $this->name, $fit->start, $fit->headingDeg, $fit->pieces, $start, $points, $profile), $fit];
    }

    /** @return list<array{float, float}> station and height of the grade points that follow the file's heights */
    private function levels(Run $run, float $less): array
    {
        $line = [];
        $last = 0.0;
        foreach ($this->points as $k => [$x, $y]) {
            $station = $k === 0 ? 0.0 : $run->alignment->nearest(new Point($x, $y))['station'];
            if ($k === 0 || $station > $last + 2.0) {
                $line[] = [$station, ($this->heights[$k] ?? 0.0) - $less];
                $last = $station;
            }
        }

        return array_map(fn (array $p): array => [round($p[0], 2), round($p[1], 2)], LineSimplifier::line($line, self::LEVEL_TOLERANCE_MM));
    }

    /**
     * Places along a stretch that is known to be straight, so that a fit keeps to it between its ends; its end is the last.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return non-empty-list<array{float, array{float, float}}> share of the way, place
     */
    public static function straight(array $from, array $to): array
    {
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
        $parts = $length > 2.0 * self::MAX_STATION_GAP_MM ? min(1000, (int) ceil($length / self::MAX_STATION_GAP_MM)) : 1;
        $out = [];
        for ($k = 1; $k < $parts; $k++) {
            $out[] = [$k / $parts, [$from[0] + (($to[0] - $from[0]) * $k) / $parts, $from[1] + (($to[1] - $from[1]) * $k) / $parts]];
        }

        return [...$out, [1.0, $to]];
    }

    /**
     * @param  list<self>  $lines
     * @return list<self> the same, unless there are none
     *
     * @throws InvalidValue
     */
    public static function some(array $lines, string $what): array
    {
        if ($lines === []) {
            throw new InvalidValue("There is no {$what} in the file.", 'line 1');
        }
        foreach ($lines as $line) {
            if (count($line->points) > self::MAX_POINTS) {
                throw new InvalidValue(
                    sprintf('“%s” has %d points; at most %d can be read.', $line->name, count($line->points), self::MAX_POINTS),
                    'line 1',
                );
            }
            foreach ([...array_merge(...$line->points), ...$line->heights ?? []] as $value) {
                // Not a number is not less either.
                if (! (abs($value) < self::MAX_COORDINATE_MM)) {
                    throw new InvalidValue(sprintf('“%s” goes beyond every map.', $line->name), 'line 1');
                }
            }
        }
        if (count($lines) > 60) {
            throw new InvalidValue(sprintf('There are %d lines in the file; at most 60 can be read at once.', count($lines)), 'line 1');
        }

        return $lines;
    }
}
