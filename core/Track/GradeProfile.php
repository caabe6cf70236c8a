<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Measure\Refusal;

/**
 * Heights of the formation along a run: straight between grade points, level after the last. Stations and heights in mm;
 * grades in percent, positive uphill.
 */
final readonly class GradeProfile
{
    /**
     * @param list<float> $stations rising from 0
     * @param list<float> $heights
     */
    private function __construct(public array $stations, public array $heights)
    {
    }

    /**
     * @param list<array{station_mm: float, height_mm: float}> $points
     *
     * @throws Refusal for a point off the run, or two at one station
     */
    public static function from(float $startHeight, array $points, float $length): self
    {
        Refusal::unlessBetween($startHeight, -1000.0, 3000.0, 'The start height', 'mm', 'start_height_mm');
        $byStation = [];
        foreach ($points as $k => $point) {
            $station = $point['station_mm'];
            if (! is_finite($station) || $station <= 0.0 || $station > $length + 0.05) {
                throw new Refusal(sprintf('Station %s lies outside the run, which goes from 0 to %s mm.', round($station, 1), round($length, 1)), "grade_points/{$k}/station_mm");
            }
            $station = min($station, $length);
            Refusal::unlessBetween($point['height_mm'], -1000.0, 3000.0, 'The height', 'mm', "grade_points/{$k}/height_mm");
            foreach ($byStation as [$other]) {
                if (abs($other - $station) < 1.0) {
                    throw new Refusal(sprintf('Two grade points stand at station %s.', round($station, 1)), "grade_points/{$k}/station_mm");
                }
            }
            $byStation[] = [$station, $point['height_mm']];
        }
        usort($byStation, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new self([0.0, ...array_column($byStation, 0)], [$startHeight, ...array_column($byStation, 1)]);
    }

    public function heightAt(float $station): float
    {
        $k = $this->stretchAt($station);
        if (! isset($this->stations[$k + 1])) {
            return $this->heights[$k];
        }
        $t = max(0.0, $station - $this->stations[$k]) / ($this->stations[$k + 1] - $this->stations[$k]);

        return $this->heights[$k] + $t * ($this->heights[$k + 1] - $this->heights[$k]);
    }

    /** Percent; at a grade point that of the stretch that begins there. */
    public function gradeAt(float $station): float
    {
        $k = $this->stretchAt($station);
        if (! isset($this->stations[$k + 1])) {
            return 0.0;
        }

        return 100.0 * ($this->heights[$k + 1] - $this->heights[$k]) / ($this->stations[$k + 1] - $this->stations[$k]);
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
                $out[] = ['from' => $from, 'to' => $to, 'grade' => $this->gradeAt($from), 'rise' => $this->heightAt($to) - $this->heights[$k]];
            }
        }

        return $out;
    }

    /** @return array{float, float} lowest and highest, mm */
    public function range(): array
    {
        return [min($this->heights), max($this->heights)];
    }

    /**
     * What a curve adds to the grade as a locomotive feels it, percent: a rule of thumb from the prototype's 0.04 % a
     * degree of curve, scaled by gauge: `812.8 / R × gauge / 16.5`, R and gauge in mm.
     */
    public static function curveResistance(float $curvature, float $gauge): float
    {
        return 812.8 * abs($curvature) * $gauge / 16.5;
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
