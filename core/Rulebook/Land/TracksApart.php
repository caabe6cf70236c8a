<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunEnds;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StationRange;
use IdleRidge\Core\Track\Vehicle;
use IdleRidge\Core\Track\VehicleSweeps;

/** Two tracks so close that vehicles on them touch, or pass with less than their margin; turnouts and crossings apart. */
final class TracksApart implements LandRule
{
    private const STEP_MM = 10.0;

    /** Tracks that run more across each other than along are crossings, radians. */
    private const MAX_ALONG_RAD = M_PI / 6.0;

    public function ids(): array
    {
        return ['tracks-foul'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        $tracks = array_values(array_filter($study->model->grading->runs, fn (Run $run): bool => $run->kind === RunKind::Track));
        foreach ($tracks as $k => $one) {
            foreach (array_slice($tracks, $k + 1) as $other) {
                $short = $this->short($study, $one, $other);
                foreach (StationRange::gather($short, self::STEP_MM, $one->alignment->length) as $stretch) {
                    $found[] = $this->finding($study, $one, $other, $stretch);
                }
            }
        }

        return $found;
    }

    /** @return list<array{float, float}> station, what is missing of the room for both and one margin */
    private function short(LandStudy $study, Run $one, Run $other): array
    {
        $layout = $study->project->layout;
        $here = $one->within($study->section->width, $study->section->depth);
        $out = [];
        $sweeps = [
            new VehicleSweeps($one->alignment, $layout->clearance->vehicles),
            new VehicleSweeps($other->alignment, $layout->clearance->vehicles),
        ];
        $widest = max(array_map(fn (Vehicle $v): float => $v->body + $v->width, $layout->clearance->vehicles));
        $joined = [];
        foreach ([0.0, $one->alignment->length] as $end) {
            foreach ([0.0, $other->alignment->length] as $at) {
                $joined = RunEnds::meet($one, $end, $other, $at) ? [...$joined, $end] : $joined;
            }
        }
        for ($station = $here[0] ?? INF; $here !== null && $station <= $here[1]; $station += self::STEP_MM) {
            $p = $one->alignment->pointAt($station);
            $place = $other->alignment->nearest($p);
            $turn = abs(sin($one->alignment->headingAt($station) - $other->alignment->headingAt($place['station'])));
            $ends = $place['station'] <= 0.0 || $place['station'] >= $other->alignment->length;
            $apart =
                abs($one->grade->heightAt($station) - $other->grade->heightAt($place['station'])) > $layout->clearance->tallest() / 2.0;
            // What stands over the joint of two runs stands on both of them.
            $overJoint = array_filter($joined, fn (float $end): bool => abs($station - $end) < $widest) !== [];
            if (
                $overJoint ||
                abs($place['offset']) > $widest ||
                $ends ||
                $apart ||
                $turn > sin(self::MAX_ALONG_RAD) ||
                $this->inTurnout($study, $one, $station, $other, $place['station'])
            ) {
                continue;
            }
            $against = cos($one->alignment->headingAt($station) - $other->alignment->headingAt($place['station'])) < 0.0;
            // Where this run lies left of the other, the other lies right of it; against each other, on the same hand.
            $theirs = Side::at($place['offset']);
            $mine = $against ? $theirs : $theirs->other();
            $missing =
                $sweeps[0]->at($station)[$mine->value] +
                $sweeps[1]->at($place['station'])[$theirs->value] +
                $layout->clearance->margin -
                abs($place['offset']);
            if ($missing > 0.0) {
                $out[] = [$station, $missing];
            }
        }

        return $out;
    }

    private function inTurnout(LandStudy $study, Run $one, float $station, Run $other, float $at): bool
    {
        foreach ($study->turnouts as $turnout) {
            if (
                in_array($one->uid, [$turnout->main->uid, $turnout->branch->uid], true) &&
                in_array($other->uid, [$turnout->main->uid, $turnout->branch->uid], true) &&
                ($turnout->holds($one->uid, $station, self::STEP_MM) || $turnout->holds($other->uid, $at, self::STEP_MM))
            ) {
                return true;
            }
        }

        return false;
    }

    private function finding(LandStudy $study, Run $one, Run $other, StationRange $stretch): Finding
    {
        $layout = $study->project->layout;
        $mark = $one->alignment->pointAt(($stretch->from + $stretch->to) / 2.0);
        $touch = $stretch->greatest >= $layout->clearance->margin;

        return new Finding(
            'tracks-foul',
            $touch ? Severity::Stop : Severity::Care,
            $touch ? 'Vehicles on two tracks touch' : 'Tracks close together',
            $study->section->uid,
            Place::onRun($one->uid, $stretch->from, $stretch->to, $mark->x, $mark->y),
            [
                'missing' => new Quantity(
                    $stretch->greatest,
                    'mm',
                    'room of vehicles on both tracks and a margin, less the distance of the tracks',
                    ['margin' => Format::length($layout->clearance->margin, 1), 'beside' => $other->name],
                    decimals: 1,
                ),
            ],
            $touch ? 'What stands on one track strikes what passes on the other.' : 'They pass with less than the margin.',
            'Move the tracks apart; on curves further than on the straight.',
        );
    }
}
