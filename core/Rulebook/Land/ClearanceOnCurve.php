<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Land\LandBeside;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StationRange;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Track\VehicleSweeps;

/** Land inside the room that the vehicles and their margin take. */
final class ClearanceOnCurve implements LandRule
{
    /** Stations are tried this far apart, and about the worst of them closer and closer, mm. */
    private const STEP_MM = 10.0;

    private const CLOSER_STEPS_MM = [2.5, 0.5];

    /** What a vehicle takes into or out of a curve over what it takes on the sharpest there is, at most, mm. */
    private const MAX_TRANSITION_EXCESS_MM = 2.0;

    public function ids(): array
    {
        return ['clearance'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->model->grading->runs as $run) {
            $here = $run->within($study->section->width, $study->section->depth);
            if ($here === null || $run->kind !== RunKind::Track) {
                continue;
            }
            try {
                $sharpest = $run->alignment->sharpest(...$here);
                $most = 0.0;
                foreach ($study->project->layout->clearance->vehicles as $vehicle) {
                    $most = max(
                        $most,
                        self::MAX_TRANSITION_EXCESS_MM +
                            ($sharpest > 0.0 ? max(...array_values($vehicle->throwOn(1.0 / $sharpest))) : $vehicle->width / 2.0),
                    );
                }
                $sweep = new VehicleSweeps($run->alignment, $study->project->layout->clearance->vehicles);
                foreach ($this->strikes($study, $run, $sweep, $here, $most) as $word => $samples) {
                    $side = Side::from($word);
                    foreach (StationRange::gather($samples, self::STEP_MM, $run->alignment->length) as $stretch) {
                        $found[] = $this->finding(
                            $study,
                            $run,
                            $sweep,
                            $side,
                            $stretch,
                            $this->worst($study, $run, $sweep, $side, $stretch, $samples),
                        );
                    }
                }
            } catch (InvalidValue $refusal) {
                $mark = $run->alignment->pointAt(($here[0] + $here[1]) / 2.0);
                $found[] = new Finding(
                    'clearance',
                    Severity::Stop,
                    'Curve too tight',
                    $study->section->uid,
                    Place::onRun($run->uid, $here[0], $here[1], $mark->x, $mark->y),
                    [],
                    $refusal->getMessage(),
                    'Ease the curve, or take the vehicle off the Layout sheet.',
                );
            }
        }

        return $found;
    }

    /**
     * @param  array{float, float}  $here
     * @param  float  $most that no vehicle takes more than to either side
     * @return array<string, list<array{float, float}>> side → station, depth
     */
    private function strikes(LandStudy $study, Run $run, VehicleSweeps $sweep, array $here, float $most): array
    {
        $samples = [];
        for ($station = $here[0]; $station <= $here[1]; $station += self::STEP_MM) {
            $throw = null;
            foreach (Side::cases() as $side) {
                // Standing vehicles on the track takes long, so only where there is land to be in their way.
                $spare = $this->depth($study, $run, $most, $station, $side);
                if ($spare === null) {
                    continue;
                }
                $throw ??= $sweep->at($station);
                $depth = $spare - ($most - $throw[$side->value]);
                if ($depth > 0.0) {
                    $samples[$side->value][] = [$station, $depth];
                }
            }
        }
        ksort($samples);

        return $samples;
    }

    /** How far the land reaches into the room a vehicle takes to that side and its margin; null where it does not. */
    private function depth(LandStudy $study, Run $run, float $throw, float $station, Side $side): ?float
    {
        if ($run->structureAt($station)?->kind === StructureKind::Tunnel) {
            return null;
        }
        $room = $throw + $study->project->layout->clearance->margin;
        $away = LandBeside::firstOverRails(
            $study->model,
            $run,
            $station,
            $side,
            $run->profile->halfWidth($side),
            $room,
        );

        return $away === null ? null : $room - $away;
    }

    /**
     * Where in a stretch the land reaches in furthest, and how far.
     *
     * @param  list<array{float, float}>  $samples
     * @return array{float, float} station, depth
     */
    private function worst(LandStudy $study, Run $run, VehicleSweeps $sweep, Side $side, StationRange $stretch, array $samples): array
    {
        $worst = [($stretch->from + $stretch->to) / 2.0, 0.0];
        foreach ($samples as $sample) {
            if ($sample[0] >= $stretch->from && $sample[0] <= $stretch->to && $sample[1] > $worst[1]) {
                $worst = $sample;
            }
        }
        // Between stations so near what a vehicle takes changes evenly; where it is worst it is stood on the track again.
        [$middle, $reach] = [$worst[0], self::STEP_MM];
        [$low, $high] = [max(0.0, $middle - $reach), min($run->alignment->length, $middle + $reach)];
        $throws = array_map(fn (float $at): float => self::taken($sweep, $at, $side), [$low, $middle, $high]);
        $throw = fn (float $at): float => $at < $middle
            ? $throws[1] + (($throws[0] - $throws[1]) * ($middle - $at)) / ($middle - $low)
            : $throws[1] + (($throws[2] - $throws[1]) * ($at - $middle)) / max(1e-9, $high - $middle);
        foreach (self::CLOSER_STEPS_MM as $step) {
            [$from, $to] = [max($stretch->from, $worst[0] - $reach), min($stretch->to, $worst[0] + $reach)];
            for ($station = $from; $station <= $to; $station += $step) {
                $depth = $this->depth($study, $run, $throw($station), $station, $side);
                if ($depth !== null && $depth > $worst[1]) {
                    $worst = [$station, $depth];
                }
            }
            $reach = $step;
        }

        return [$worst[0], $this->depth($study, $run, self::taken($sweep, $worst[0], $side), $worst[0], $side) ?? $worst[1]];
    }

    private static function taken(VehicleSweeps $sweep, float $station, Side $side): float
    {
        return $sweep->at($station)[$side->value];
    }

    /** @param  array{float, float}  $worst station, depth */
    private function finding(LandStudy $study, Run $run, VehicleSweeps $sweep, Side $side, StationRange $stretch, array $worst): Finding
    {
        $layout = $study->project->layout;
        [$station, $depth] = $worst;
        $throw = $sweep->at($station);
        $room = $throw[$side->value];
        $mark = $run->alignment->beside($station, $side->offset($room));
        $vehicle = $throw["{$side->value}_by"];
        $margin = Format::length($layout->clearance->margin, 1);
        $formula =
            $throw['radius'] === null
                ? 'half the vehicle’s width'
                : 'room the vehicle takes beside the centreline where the land reaches in furthest';
        $inputs = [
            'station' => Format::length($station),
            'vehicle' => $vehicle->name,
            'body' => Format::length($vehicle->body),
            'bogie centres' => Format::length($vehicle->bogieCentres),
            'width' => Format::length($vehicle->width),
        ];
        $figures = [
            'depth' => new Quantity($depth, 'mm', 'how far the land reaches into vehicle and margin', ['margin' => $margin], decimals: 1),
            'throw' => new Quantity(
                $room,
                'mm',
                $formula,
                $inputs + ($throw['radius'] === null ? [] : ['radius' => Format::length($throw['radius'])]),
                decimals: 1,
            ),
            'left_free' => new Quantity(
                $layout->clearance->margin - $depth,
                'mm',
                'margin less depth; below zero the vehicle strikes',
                ['margin' => $margin],
                decimals: 1,
            ),
        ];

        $strikes = $depth >= $layout->clearance->margin;

        return new Finding(
            'clearance',
            $strikes ? Severity::Stop : Severity::Care,
            $throw['radius'] === null ? 'Clearance' : 'Clearance on a curve',
            $study->section->uid,
            Place::onRun($run->uid, $stretch->from, $stretch->to, $mark->x, $mark->y, $side),
            $figures,
            $strikes ? "The land strikes the {$vehicle->name}." : "The {$vehicle->name} passes with less than its margin.",
            'Widen the formation on this side, ease the slope beside it, or ease the curve.',
        );
    }
}
