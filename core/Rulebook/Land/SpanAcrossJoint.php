<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\StructureKind;

/** A bridge that lies over the joint of two boards: they move, with the air and when they are carried. */
final class SpanAcrossJoint implements LandRule
{
    private const STEP_MM = 2.0;

    public function ids(): array
    {
        return ['span-across-moving-joint'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->model->grading->runs as $run) {
            foreach ($run->structures as $structure) {
                $joint = $structure->kind === StructureKind::Bridge ? $this->joint($study, $run, $structure) : null;
                if ($joint !== null) {
                    $mark = $run->alignment->pointAt($joint);
                    $found[] = new Finding(
                        'span-across-moving-joint',
                        Severity::Care,
                        "The bridge on {$run->name} spans a joint",
                        $study->section->uid,
                        Place::onRun($run->uid, $structure->from, $structure->to, $mark->x, $mark->y),
                        [
                            'on_this_side' => new Quantity(
                                min($joint - $structure->from, $structure->to - $joint),
                                'mm',
                                'shorter part of the bridge, to one side of the joint',
                                decimals: 0,
                            ),
                        ],
                        'Boards move against each other with the air and each time '
                            .'they are set up: foam and plaster across the joint crack first.',
                        'Carry the span on wood that rests on one board alone and lies loose on the other, or move the bridge.',
                    );
                }
            }
        }

        return $found;
    }

    /** The station at which a structure goes from this board onto another; null where it does not. */
    private function joint(LandStudy $study, Run $run, Structure $structure): ?float
    {
        $here = null;
        for ($station = $structure->from; $station <= $structure->to; $station += self::STEP_MM) {
            $p = $run->alignment->pointAt($station);
            $inside = $p->x >= 0.0 && $p->x <= $study->section->width && $p->y >= 0.0 && $p->y <= $study->section->depth;
            if ($here !== null && $here !== $inside && ($inside || $this->isOnOther($study, $p))) {
                return $station;
            }
            $here = $inside;
        }

        return null;
    }

    private function isOnOther(LandStudy $study, Point $p): bool
    {
        $there = $study->section->placement->toLayout($p);

        return array_filter(
            $study->project->sections,
            fn (Section $s): bool => $s->uid !== $study->section->uid && $s->holds($there->x, $there->y, 0.5),
        ) !== [];
    }
}
