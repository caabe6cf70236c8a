<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Figure;
use IdleRidge\Core\Project\Joints;
use IdleRidge\Core\Project\LandStudy;

/** Two boards whose edges are fixed at different heights where they lie against each other. */
final class JointsAgree implements Rule
{
    /** Land may differ by this much at a joint, mm. */
    public const LIMIT = 3.0;

    private const STEP = 5.0;

    public function ids(): array
    {
        return ['joint-land'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach (Joints::of($study->section, $study->project->sections) as $edge => $other) {
            $against = Joints::against($study->section, $edge, $other);
            if ($against === null || ! isset($study->section->edges[$edge], $other->edges[$against[0]])) {
                continue;
            }
            [$theirs, $from, $to] = $against;
            $worst = 0.0;
            $place = $from;
            for ($at = $from; $at <= $to; $at += self::STEP) {
                [$there] = Joints::onto($other, $theirs, $study->section->onEdge($edge, $at));
                $off = abs($study->section->edgeHeight($edge, $at) - $other->edgeHeight($theirs, $there));
                if ($off > $worst) {
                    [$worst, $place] = [$off, $at];
                }
            }
            if ($worst > self::LIMIT) {
                $p = $study->section->placement->toSection($study->section->onEdge($edge, $place));
                $found[] = new Finding(
                    'joint-land', Severity::Care, "Land steps at the joint with {$other->name}", $study->section->uid, Place::at($p->x, $p->y),
                    ['step' => new Figure($worst, 'mm', 'difference of the heights that the two edges are fixed at', ['may be' => self::LIMIT.' mm'], decimals: 1)],
                    'Both boards fix this edge, at different heights.', 'Copy one edge across to the other, or set one free.',
                );
            }
        }

        return $found;
    }
}
