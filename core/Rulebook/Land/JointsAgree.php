<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\Joints;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/**
 * Two boards whose land differs where they lie against each other: their edges are fixed at different heights, or one lies level at its
 * top.
 */
final class JointsAgree implements LandRule
{
    /** Land may differ by this much at a joint, mm. */
    public const MAX_STEP_MM = 3.0;

    private const STEP_MM = 5.0;

    public function ids(): array
    {
        return ['joint-land'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach (self::levelBeside($study->project, $study->section) as [$edge, $other, $from, $to]) {
            array_push($found, ...$this->besideLevel($study, $edge, $other, $from, $to));
        }

        return [...$found, ...self::fixedApart($study->project, $study->section)];
    }

    /**
     * Edges of a board with land beside which another lies level at its top.
     *
     * @return list<array{string, Section, float, float}> edge, the other, from and to along the edge
     */
    public static function levelBeside(Project $project, Section $section): array
    {
        $out = [];
        foreach ($project->isHeld($section) ? [] : $project->joined($section) as $edge => $other) {
            $against = $project->isHeld($other) ? Joints::against($section, $edge, $other) : null;
            if ($against !== null) {
                $out[] = [$edge, $other, $against[1], $against[2]];
            }
        }

        return $out;
    }

    /** @return list<Finding> where two boards fix an edge between them at different heights */
    public static function fixedApart(Project $project, Section $section): array
    {
        $found = [];
        foreach ($project->joined($section) as $edge => $other) {
            $against = Joints::against($section, $edge, $other);
            $isLevel = $project->isHeld($other) && ! $project->isHeld($section);
            if ($against === null || $isLevel || ! isset($section->edges[$edge], $other->edges[$against[0]])) {
                continue;
            }
            [$theirs, $from, $to] = $against;
            $worst = 0.0;
            $place = $from;
            for ($at = $from; $at <= $to; $at += self::STEP_MM) {
                [$there] = Joints::onto($other, $theirs, $section->onEdge($edge, $at));
                $off = abs($section->edgeHeight($edge, $at) - $other->edgeHeight($theirs, $there));
                if ($off > $worst) {
                    [$worst, $place] = [$off, $at];
                }
            }
            if ($worst > self::MAX_STEP_MM) {
                $p = $section->placement->toSection($section->onEdge($edge, $place));
                $found[] = self::step(
                    $section,
                    $other,
                    Place::at($p->x, $p->y),
                    $worst,
                    'difference of the heights that the two edges are fixed at',
                    'Both boards fix this edge, at different heights.',
                    'Copy one edge across to the other, or set one free.',
                );
            }
        }

        return $found;
    }

    /** @return list<Finding> where this board's ground comes to a neighbour that lies level at its top */
    private function besideLevel(LandStudy $study, string $edge, Section $other, float $from, float $to): array
    {
        $worst = 0.0;
        $place = null;
        for ($at = $from; $at <= $to; $at += self::STEP_MM) {
            $p = $study->section->placement->toSection($study->section->onEdge($edge, $at));
            $off = abs($study->model->ground->at($p->x, $p->y) - $other->base);
            if ($off > $worst) {
                [$worst, $place] = [$off, $p];
            }
        }
        if ($place === null || $worst <= self::MAX_STEP_MM) {
            return [];
        }

        return [
            self::step(
                $study->section,
                $other,
                Place::at($place->x, $place->y),
                $worst,
                'ground at this edge less the top of the board beside it',
                "{$other->name} has no heights of its own and lies level at its top.",
                "On the Layout sheet let the land run on over {$other->name}, give it heights, or bring this edge to its top.",
            ),
        ];
    }

    private static function step(
        Section $section,
        Section $other,
        Place $place,
        float $step,
        string $formula,
        string $why,
        string $do,
    ): Finding {
        return new Finding(
            'joint-land',
            Severity::Care,
            "Land steps at the joint with {$other->name}",
            $section->uid,
            $place,
            ['step' => new Quantity($step, 'mm', $formula, ['may be' => Format::length(self::MAX_STEP_MM, 1)], decimals: 1)],
            $why,
            $do,
        );
    }
}
