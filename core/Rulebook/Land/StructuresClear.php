<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StationRange;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Track\VehicleSweeps;

/** Tunnel linings and bridge piers within the room that vehicles and their margin take. */
final class StructuresClear implements LandRule
{
    /** A pier is taken to be so thick along and across, mm: a starting value. */
    public const PIER_THICKNESS_MM = 10.0;

    private const STEP_MM = 5.0;

    public function ids(): array
    {
        return ['lining-clearance', 'pier-clearance'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->model->grading->runs as $run) {
            foreach ($run->structures as $structure) {
                if ($structure->kind === StructureKind::Tunnel && $structure->inside !== null && $run->kind === RunKind::Track) {
                    array_push($found, ...$this->lining($study, $run, $structure->from, $structure->to, $structure->inside));
                }
                foreach ($structure->pierStations() as $station) {
                    array_push($found, ...$this->pier($study, $run, $station));
                }
            }
        }

        return $found;
    }

    /** @return list<Finding> */
    private function lining(LandStudy $study, Run $run, float $from, float $to, float $inside): array
    {
        $layout = $study->project->layout;
        $sweeps = new VehicleSweeps($run->alignment, $layout->clearance->vehicles);
        $samples = [];
        $by = '';
        for ($station = $from; $station <= $to; $station += self::STEP_MM) {
            $p = $run->alignment->pointAt($station);
            if ($this->on($study, $p)) {
                $throw = $sweeps->at($station);
                $side = $throw['left'] >= $throw['right'] ? 'left' : 'right';
                $missing = $throw[$side] + $layout->clearance->margin - $inside / 2.0;
                if ($missing > 0.0) {
                    $samples[] = [$station, $missing];
                    $by = $throw["{$side}_by"]->name;
                }
            }
        }
        $found = [];
        foreach (StationRange::gather($samples, self::STEP_MM, $run->alignment->length) as $stretch) {
            $mark = $run->alignment->pointAt(($stretch->from + $stretch->to) / 2.0);
            $strikes = $stretch->greatest >= $layout->clearance->margin;
            $found[] = new Finding(
                'lining-clearance',
                $strikes ? Severity::Stop : Severity::Care,
                'Tunnel lining too narrow',
                $study->section->uid,
                Place::onRun($run->uid, $stretch->from, $stretch->to, $mark->x, $mark->y),
                [
                    'depth' => new Quantity(
                        $stretch->greatest,
                        'mm',
                        'how far the lining reaches into vehicle and margin',
                        ['inside' => Format::length($inside, 1), 'margin' => Format::length($layout->clearance->margin, 1)],
                        decimals: 1,
                    ),
                ],
                $strikes ? "The {$by} strikes the lining." : "The {$by} passes with less than its margin.",
                'Make the tunnel wider inside, or ease the curve in it.',
            );
        }

        return $found;
    }

    /** @return list<Finding> */
    private function pier(LandStudy $study, Run $bridge, float $station): array
    {
        $layout = $study->project->layout;
        $p = $bridge->alignment->pointAt($station);
        if (! $this->on($study, $p)) {
            return [];
        }
        foreach ($study->model->grading->runs as $below) {
            $place = $below->alignment->nearest($p);
            $aside = abs($place['offset']) - self::PIER_THICKNESS_MM / 2.0;
            if ($below->uid === $bridge->uid || $below->structureAt($place['station'])?->kind === StructureKind::Tunnel) {
                continue;
            }
            $side = Side::at($place['offset']);
            $needs =
                $below->kind === RunKind::Track
                    ? (new VehicleSweeps($below->alignment, $layout->clearance->vehicles))->at($place['station'])[$side->value] +
                        $layout->clearance->margin
                    : $below->profile->halfWidth($side);
            if ($needs > $aside && $place['station'] > 0.0 && $place['station'] < $below->alignment->length) {
                return [
                    new Finding(
                        'pier-clearance',
                        Severity::Stop,
                        'A pier stands in the way',
                        $study->section->uid,
                        Place::onRun($bridge->uid, $station, $station, $p->x, $p->y),
                        [
                            'depth' => new Quantity(
                                $needs - $aside,
                                'mm',
                                'how far the pier reaches into the room of what passes below',
                                ['pier' => Format::length(self::PIER_THICKNESS_MM).' thick', 'below' => $below->name],
                                decimals: 1,
                            ),
                        ],
                        "It stands on “{$below->name}”.",
                        'Choose another number of piers, or move the bridge’s ends.',
                    ),
                ];
            }
        }

        return [];
    }

    private function on(LandStudy $study, Point $p): bool
    {
        return $p->x >= 0.0 && $p->y >= 0.0 && $p->x <= $study->section->width && $p->y <= $study->section->depth;
    }
}
