<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Figure;
use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Stretch;
use IdleRidge\Core\Track\Sweeps;

/** Land inside the room that the vehicles and their margin take. */
final class ClearanceOnCurve implements Rule
{
    /** Stations and offsets are tried this far apart, mm. */
    private const STEP = 10.0;

    private const OFFSET_STEP = 0.5;

    public function ids(): array
    {
        return ['clearance'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->model->grading->runs as $run) {
            $here = $run->within($study->section->width, $study->section->depth);
            if ($here === null || $run->kind !== 'track') {
                continue;
            }
            try {
                $sharpest = $run->alignment->sharpest(...$here);
                if ($sharpest > 0.0) {
                    foreach ($study->project->layout->vehicles as $vehicle) {
                        $vehicle->throwOn(1.0 / $sharpest);
                    }
                }
                $sweep = new Sweeps($run->alignment, $study->project->layout->vehicles);
                foreach ($this->strikes($study, $run, $sweep, $here) as $side => $samples) {
                    foreach (Stretch::gather($samples, self::STEP, $run->alignment->length) as $stretch) {
                        $found[] = $this->finding($study, $run, $sweep, $side, $stretch);
                    }
                }
            } catch (Refusal $refusal) {
                $mark = $run->alignment->pointAt(($here[0] + $here[1]) / 2.0);
                $found[] = new Finding(
                    'clearance', Severity::Stop, 'Curve too tight', $study->section->uid,
                    Place::onRun($run->uid, $here[0], $here[1], $mark->x, $mark->y), [],
                    $refusal->getMessage(), 'Ease the curve, or take the vehicle off the Layout sheet.',
                );
            }
        }

        return $found;
    }

    /**
     * @param array{float, float} $here
     * @return array<string, list<array{float, float}>> side → station, depth
     */
    private function strikes(LandStudy $study, Run $run, Sweeps $sweep, array $here): array
    {
        $layout = $study->project->layout;
        $samples = [];
        for ($station = $here[0]; $station <= $here[1]; $station += self::STEP) {
            if ($run->structureAt($station)?->kind === 'tunnel') {
                continue;
            }
            $throw = $sweep->at($station);
            $railTop = $run->grade->heightAt($station) + $run->profile->railTop();
            foreach (['left' => 1.0, 'right' => -1.0] as $side => $sign) {
                $room = $throw[$side] + $layout->clearanceMargin;
                $from = $run->profile->halfWidth($side === 'left');
                // Land seldom stands in the way: look coarsely, and only where it does, closely.
                $near = $this->firstAbove($study, $run, $station, $sign, $from, $room, 4.0 * self::OFFSET_STEP, $railTop);
                if ($near !== null) {
                    $close = $this->firstAbove($study, $run, $station, $sign, max($from, $near - 4.0 * self::OFFSET_STEP), $room, self::OFFSET_STEP, $railTop);
                    $samples[$side][] = [$station, $room - ($close ?? $near)];
                }
            }
        }

        ksort($samples);

        return $samples;
    }

    /** The least offset, of those a step apart and the last of all, at which the land stands over the rails. */
    private function firstAbove(LandStudy $study, Run $run, float $station, float $sign, float $from, float $room, float $step, float $railTop): ?float
    {
        for ($away = $from; $away < $room; $away = $away + $step < $room || $away >= $room - self::OFFSET_STEP ? $away + $step : $room - self::OFFSET_STEP) {
            $p = $run->alignment->beside($station, $sign * $away);
            if ($p->x < 0.0 || $p->x > $study->section->width || $p->y < 0.0 || $p->y > $study->section->depth) {
                return null;
            }
            if ($study->model->heightAt($p->x, $p->y) > $railTop) {
                return $away;
            }
        }

        return null;
    }

    private function finding(LandStudy $study, Run $run, Sweeps $sweep, string $side, Stretch $stretch): Finding
    {
        $layout = $study->project->layout;
        $middle = ($stretch->from + $stretch->to) / 2.0;
        $throw = $sweep->at($middle);
        $left = $side === 'left';
        $mark = $run->alignment->beside($middle, $left ? $throw['left'] : -$throw['right']);
        $room = $left ? $throw['left'] : $throw['right'];
        $vehicle = $left ? $throw['left_by'] : $throw['right_by'];
        $margin = round($layout->clearanceMargin, 1).' mm';
        $figures = [
            'depth' => new Figure($stretch->greatest, 'mm', 'how far the land reaches into vehicle and margin', ['margin' => $margin], decimals: 1),
            'throw' => new Figure($room, 'mm', $throw['radius'] === null ? 'half the vehicle’s width' : 'room the vehicle takes beside the centreline here, stood on the track every 4 mm',
                ['vehicle' => $vehicle->name, 'body' => round($vehicle->body).' mm', 'bogie centres' => round($vehicle->bogieCentres).' mm', 'width' => round($vehicle->width).' mm']
                + ($throw['radius'] === null ? [] : ['radius' => round($throw['radius']).' mm']), decimals: 1),
            'left_free' => new Figure($layout->clearanceMargin - $stretch->greatest, 'mm', 'margin less depth; below zero the vehicle strikes', ['margin' => $margin], decimals: 1),
        ];

        $strikes = $stretch->greatest >= $layout->clearanceMargin;

        return new Finding(
            'clearance', $strikes ? Severity::Stop : Severity::Care, $throw['radius'] === null ? 'Clearance' : 'Clearance on a curve', $study->section->uid,
            Place::onRun($run->uid, $stretch->from, $stretch->to, $mark->x, $mark->y, $side), $figures,
            $strikes ? "The land strikes the {$vehicle->name}." : "The {$vehicle->name} passes with less than its margin.",
            'Widen the formation on this side, ease the slope beside it, or ease the curve.',
        );
    }
}
