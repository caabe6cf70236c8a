<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * Heights of the formation along a run: straight between grade points, level after the last; a grade point may be rounded by
 * a parabola, half of it to each side, along which the grade changes evenly. Stations and heights in mm; grades in percent,
 * positive uphill.
 */
final readonly class GradeProfile
{
    /**
     * @param  list<float>  $stations rising from 0
     * @param  list<float>  $heights
     * @param  list<float>  $curves length of the parabola at each point, 0 for none
     */
    private function __construct(public array $stations, public array $heights, public array $curves, private bool $rounded)
    {
    }

    /**
     * @param  array<array-key, array{station_mm: float, height_mm: float, curve_mm?: float}>  $points
     *
     * @throws InvalidValue for a point off the run, two at one station, or parabolas that meet
     */
    public static function from(float $startHeight, array $points, float $length): self
    {
        InvalidValue::unlessBetween($startHeight, -1000.0, 3000.0, 'The start height', 'mm', 'start_height_mm');
        $byStation = [];
        foreach ($points as $k => $point) {
            $station = $point['station_mm'];
            if (! is_finite($station) || $station <= 0.0 || $station > $length + 0.05) {
                throw new InvalidValue(
                    sprintf(
                        'Station %s lies outside the run, which goes from 0 to %s.',
                        Format::cell($station, 1),
                        Format::length($length, 1),
                    ),
                    "grade_points/{$k}/station_mm",
                );
            }
            $station = min($station, $length);
            InvalidValue::unlessBetween($point['height_mm'], -1000.0, 3000.0, 'The height', 'mm', "grade_points/{$k}/height_mm");
            foreach ($byStation as [$other]) {
                if (abs($other - $station) < 1.0) {
                    throw new InvalidValue(
                        sprintf('Two grade points stand at station %s.', Format::cell($station, 1)),
                        "grade_points/{$k}/station_mm",
                    );
                }
            }
            $curve = InvalidValue::unlessBetween(
                $point['curve_mm'] ?? 0.0,
                0.0,
                20_000.0,
                'The vertical curve',
                'mm',
                "grade_points/{$k}/curve_mm",
            );
            $byStation[] = [$station, $point['height_mm'], $curve, $k];
        }
        usort($byStation, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach ($byStation as $n => [$station, , $curve, $k]) {
            $room = min(
                $station - ($byStation[$n - 1][0] ?? 0.0) - ($byStation[$n - 1][2] ?? 0.0) / 2.0,
                ($byStation[$n + 1][0] ?? $length) - $station,
            );
            if ($curve / 2.0 > $room + 1e-6) {
                throw new InvalidValue(
                    sprintf(
                        'A vertical curve of %s does not fit: from station %s there are %s to one side.',
                        Format::length($curve, 1),
                        Format::cell($station, 1),
                        Format::length($room, 1),
                    ),
                    "grade_points/{$k}/curve_mm",
                );
            }
        }
        $curves = [0.0, ...array_column($byStation, 2)];

        return new self([0.0, ...array_column($byStation, 0)], [$startHeight, ...array_column($byStation, 1)], $curves, max($curves) > 0.0);
    }

    public function heightAt(float $station): float
    {
        return $this->straightAt($station) + ($this->rounded ? $this->rounding($station) : 0.0);
    }

    private function straightAt(float $station): float
    {
        $k = $this->stretchAt($station);
        if (! isset($this->stations[$k + 1])) {
            return $this->heights[$k];
        }
        $t = max(0.0, $station - $this->stations[$k]) / ($this->stations[$k + 1] - $this->stations[$k]);

        return $this->heights[$k] + $t * ($this->heights[$k + 1] - $this->heights[$k]);
    }

    /** What a parabola adds to the straight grades: `A·d²/2L` at d from its nearer end, A the change of grade. */
    private function rounding(float $station): float
    {
        foreach ($this->curves as $k => $curve) {
            $away = abs($station - $this->stations[$k]);
            if ($curve > 0.0 && $away < $curve / 2.0) {
                return ($this->bend($k) * ($curve / 2.0 - $away) ** 2) / (2.0 * $curve);
            }
        }

        return 0.0;
    }

    /** Change of grade at a point, rise over run. */
    private function bend(int $k): float
    {
        return ($this->straightGrade($this->stations[$k]) - $this->straightGrade($this->stations[$k] - 1e-6)) / 100.0;
    }

    /**
     * Rate of change of a rounded grade point: length for each percent of change (K), mm; null where there is none.
     */
    public function rate(int $k): ?float
    {
        $bend = 100.0 * abs($this->bend($k));

        return $this->curves[$k] > 0.0 && $bend > 1e-9 ? $this->curves[$k] / $bend : null;
    }

    /** Percent; at a grade point that is not rounded that of the stretch that begins there. */
    public function gradeAt(float $station): float
    {
        foreach ($this->rounded ? $this->curves : [] as $k => $curve) {
            $along = $station - $this->stations[$k] + $curve / 2.0;
            if ($curve > 0.0 && $along > 0.0 && $along < $curve) {
                return $this->straightGrade($this->stations[$k] - 1e-6) + (100.0 * $this->bend($k) * $along) / $curve;
            }
        }

        return $this->straightGrade($station);
    }

    private function straightGrade(float $station): float
    {
        $k = $this->stretchAt($station);
        if (! isset($this->stations[$k + 1])) {
            return 0.0;
        }

        return (100.0 * ($this->heights[$k + 1] - $this->heights[$k])) / ($this->stations[$k + 1] - $this->stations[$k]);
    }

    /**
     * The stretches of one grade, the level one after the last point among them.
     *
     * @return list<array{from: float, to: float, grade: float, rise: float}>
     */
    public function stretches(float $length): array
    {
        $out = [];
        foreach ($this->stations as $k => $from) {
            $to = $this->stations[$k + 1] ?? $length;
            if ($to > $from) {
                $out[] = [
                    'from' => $from,
                    'to' => $to,
                    'grade' => $this->straightGrade($from),
                    'rise' => $this->straightAt($to) - $this->heights[$k],
                ];
            }
        }

        return $out;
    }

    /** @return array{float, float} lowest and highest, mm */
    public function range(): array
    {
        $heights = $this->heights;
        foreach ($this->curves as $k => $curve) {
            if ($curve > 0.0) {
                $heights[$k] = $this->heightAt($this->turning($k));
            }
        }

        return [min([...$heights, INF]), max([...$heights, -INF])];
    }

    /** The station of a parabola at which it is level; its middle where it nowhere is. */
    public function turning(int $k): float
    {
        $before = $this->straightGrade($this->stations[$k] - 1e-6) / 100.0;
        $bend = $this->bend($k);
        $along = abs($bend) < 1e-12 ? -1.0 : (-$before / $bend) * $this->curves[$k];

        return $along > 0.0 && $along < $this->curves[$k] ? $this->stations[$k] - $this->curves[$k] / 2.0 + $along : $this->stations[$k];
    }

    /**
     * What a curve adds to the grade as a locomotive feels it, percent: a rule of thumb from the prototype's 0.04 % a
     * degree of curve, scaled by gauge: `812.8 / R × gauge / 16.5`, R and gauge in mm.
     */
    public static function curveResistance(float $curvature, float $gauge): float
    {
        return (812.8 * abs($curvature) * $gauge) / 16.5;
    }

    private function stretchAt(float $station): int
    {
        $k = count($this->stations) - 1;
        while ($k > 0 && $station < $this->stations[$k]) {
            $k--;
        }

        return $k;
    }
}
