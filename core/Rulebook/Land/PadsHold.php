<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;

/** A pad that slopes of a track or road cut into, or water floods. */
final class PadsHold implements LandRule
{
    /** Land may lie so far off the level of the pad, mm. */
    public const MAX_STEP_MM = 1.0;

    public function ids(): array
    {
        return ['pad-cut'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->model->ground->pads as $pad) {
            [$x1, $y1, $x2, $y2] = Box::around($pad->outline);
            $worst = 0.0;
            $count = $all = 0;
            $at = null;
            foreach ($study->terrain->heights as $p => $z) {
                [$x, $y] = $study->terrain->middle($p);
                if ($x < $x1 || $x > $x2 || $y < $y1 || $y > $y2 || ! Polygon::holds($pad->outline, $x, $y)) {
                    continue;
                }
                $all++;
                $off = abs($z - $pad->level);
                $count += $off > self::MAX_STEP_MM ? 1 : 0;
                if ($off > $worst) {
                    [$worst, $at] = [$off, [$x, $y]];
                }
            }
            if ($at !== null && $worst > self::MAX_STEP_MM) {
                $name = $pad->name === '' ? 'The pad' : $pad->name;
                $found[] = new Finding(
                    'pad-cut',
                    Severity::Care,
                    "{$name} is cut into",
                    $study->section->uid,
                    Place::at($at[0], $at[1]),
                    [
                        'off' => new Quantity($worst, 'mm', 'greatest difference of the land from the level of the pad', decimals: 1),
                        'share' => new Quantity((100.0 * $count) / $all, '%', 'of the pad that does not lie level', decimals: 0),
                    ],
                    'A slope of a track or road, or water, takes a part of it.',
                    'Move the pad away from the track, bring it to its level, or place a wall between them.',
                );
            }
        }

        return $found;
    }
}
