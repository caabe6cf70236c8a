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
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\RunKind;

/**
 * A road that crosses a track on the level at another height than its rails, or so slantwise that wheels drop into the flangeways; tracks
 * and roads that cut through each other.
 */
final class CrossingsMeet implements LandRule
{
    /** A road may lie so far over or under the rail tops, mm. */
    public const MAX_STEP_MM = 1.0;

    /** Crossings at a lesser angle are built with care: a starting value, degrees. */
    public const MIN_CROSSING_ANGLE_DEG = 45.0;

    public function ids(): array
    {
        return ['level-crossing', 'crossing', 'crossing-slant'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        $runs = $study->model->grading->runs;
        foreach ($runs as $k => $one) {
            foreach (array_slice($runs, $k + 1) as $other) {
                // The track first, where one of the two is a track.
                foreach ($one->kind === RunKind::Road ? Crossing::between($other, $one) : Crossing::between($one, $other) as $crossing) {
                    $on =
                        $crossing->at->x >= 0.0 &&
                        $crossing->at->y >= 0.0 &&
                        $crossing->at->x <= $study->section->width &&
                        $crossing->at->y <= $study->section->depth;
                    if ($on && $crossing->onTheLevel()) {
                        array_push($found, ...$this->of($study, $crossing));
                    }
                }
            }
        }

        return $found;
    }

    /** @return list<Finding> */
    private function of(LandStudy $study, Crossing $crossing): array
    {
        $found = [];
        $half = max($crossing->other->profile->halfWidth(Side::Left), $crossing->other->profile->halfWidth(Side::Right));
        $place = Place::onRun(
            $crossing->one->uid,
            max(0.0, $crossing->station - $half),
            min($crossing->one->alignment->length, $crossing->station + $half),
            $crossing->at->x,
            $crossing->at->y,
        );
        $angle = new Quantity(
            $crossing->angleDeg,
            '°',
            'between the centrelines',
            ['station' => Format::length($crossing->station)],
            decimals: 0,
        );
        $levels = $crossing->one->kind !== $crossing->other->kind;
        if (abs($crossing->over()) > self::MAX_STEP_MM) {
            $found[] = new Finding(
                $levels ? 'level-crossing' : 'crossing',
                Severity::Stop,
                $levels ? 'Level crossing is not level' : 'Crossing is not level',
                $study->section->uid,
                $place,
                [
                    'difference' => new Quantity(
                        abs($crossing->over()),
                        'mm',
                        $levels ? 'surface of the road less rail top' : 'difference of the tops',
                        ['may be' => Format::length(self::MAX_STEP_MM, 1)],
                        decimals: 1,
                    ),
                    'angle' => $angle,
                ],
                "“{$crossing->other->name}” and “{$crossing->one->name}” cross here at different heights.",
                $levels
                    ? 'Give the road the height of the rails at the crossing, or take one over the other on a bridge.'
                    : 'Bring their heights together, or take one over the other on a bridge.',
            );
        }
        if ($levels && $crossing->angleDeg < self::MIN_CROSSING_ANGLE_DEG) {
            $found[] = new Finding(
                'crossing-slant',
                Severity::Hint,
                'Slanting level crossing',
                $study->section->uid,
                $place,
                ['angle' => $angle],
                'On the prototype wheels drop into the flangeways of so flat a crossing; its deck is hard to cut.',
                'Swing the road nearer to a right angle.',
            );
        }

        return $found;
    }
}
