<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StationRange;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\StructureKind;

/** A tunnel whose lid is thin or missing, or so long that a hand does not reach a derailed vehicle inside. */
final class TunnelHolds implements LandRule
{
    /** The least land over the lining, mm, and how far a hand reaches from a portal: starting values of general practice. */
    public const MIN_LID_MM = 10.0;

    public const HAND_REACH_MM = 450.0;

    private const STEP_MM = 5.0;

    public function ids(): array
    {
        return ['tunnel-lid', 'reach-in-tunnel'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->model->grading->runs as $run) {
            $here = $run->within($study->section->width, $study->section->depth);
            if ($here === null) {
                continue;
            }
            foreach ($run->structures as $structure) {
                if ($structure->kind === StructureKind::Tunnel && $structure->from < $here[1] && $structure->to > $here[0]) {
                    array_push($found, ...$this->lid($study, $run, $structure, $here), ...$this->reach($study, $run, $structure));
                }
            }
        }

        return $found;
    }

    /**
     * @param  array{float, float}  $here
     * @return list<Finding>
     */
    private function lid(LandStudy $study, Run $run, Structure $tunnel, array $here): array
    {
        $thin = [];
        for (
            $station = max($tunnel->from, $here[0]) + self::STEP_MM / 2.0;
            $station < min($tunnel->to, $here[1]);
            $station += self::STEP_MM
        ) {
            $lid = $study->project->lid($study->model, $run, $station);
            if ($lid < self::MIN_LID_MM) {
                $thin[] = [$station, self::MIN_LID_MM - $lid];
            }
        }
        $found = [];
        foreach (StationRange::gather($thin, self::STEP_MM, $run->alignment->length) as $stretch) {
            $mark = $run->alignment->pointAt(($stretch->from + $stretch->to) / 2.0);
            $lid = self::MIN_LID_MM - $stretch->greatest;
            $found[] = new Finding(
                'tunnel-lid',
                $lid < 0.0 ? Severity::Stop : Severity::Care,
                $lid < 0.0 ? 'The tunnel breaks through' : 'Thin lid over the tunnel',
                $study->section->uid,
                Place::onRun($run->uid, $stretch->from, $stretch->to, $mark->x, $mark->y),
                [
                    'lid' => new Quantity(
                        $lid,
                        'mm',
                        'land over the centreline less rail top, vehicle height and margin, at its least',
                        ['wanted' => Format::length(self::MIN_LID_MM)],
                        decimals: 1,
                    ),
                ],
                $lid < 0.0
                    ? 'There is no land over the bore here: this is a cutting.'
                    : 'So little foam and plaster breaks when the board is lifted.',
                'Move the portal, raise the land over it, or lower the track.',
            );
        }

        return $found;
    }

    /** @return list<Finding> */
    private function reach(LandStudy $study, Run $run, Structure $tunnel): array
    {
        $inside = $tunnel->length() / 2.0;
        if ($inside <= self::HAND_REACH_MM) {
            return [];
        }
        $mark = $run->alignment->pointAt(($tunnel->from + $tunnel->to) / 2.0);

        return [
            new Finding(
                'reach-in-tunnel',
                Severity::Care,
                'Out of reach in the tunnel',
                $study->section->uid,
                Place::onRun($run->uid, $tunnel->from, $tunnel->to, $mark->x, $mark->y),
                [
                    'inside' => new Quantity(
                        $inside,
                        'mm',
                        'half the tunnel: the way from the nearer portal to its middle',
                        ['a hand reaches' => Format::length(self::HAND_REACH_MM)],
                        'starting value',
                    ),
                ],
                'A vehicle that derails in the middle cannot be fetched.',
                'Leave a hatch in the land or from below, or shorten the tunnel.',
            ),
        ];
    }
}
