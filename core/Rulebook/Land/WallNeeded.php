<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;

/** Where no slope fits, a retaining wall has to stand. */
final class WallNeeded implements LandRule
{
    private const WHY = [
        'between' => 'Two formations stand too close for their slopes to meet.',
        'edge' => 'The bank is still above the ground where the board ends.',
        'reach' => 'The slope has not met the ground within the width the layout allows for it.',
    ];

    private const DO = [
        'between' => 'Build a wall here, move the tracks apart, or bring their heights together.',
        'edge' => 'Build a wall here, steepen the bank, or move the track away from the edge.',
        'reach' => 'Build a wall here, steepen the slope, or allow it more width on the Layout sheet.',
    ];

    public function ids(): array
    {
        return ['wall-needed'];
    }

    public function check(LandStudy $study): array
    {
        $found = [];
        foreach ($study->walls as $wall) {
            if ($wall->cause === 'placed') {
                continue;
            }
            $found[] = new Finding(
                'wall-needed',
                Severity::Care,
                'Wall needed',
                $study->section->uid,
                Place::onRun($wall->run, $wall->from, $wall->to, $wall->x, $wall->y, $wall->side),
                [
                    'height' => new Quantity(
                        $wall->highest,
                        'mm',
                        'greatest step that no slope can take',
                        ['batters' => 'of the runs beside it'],
                        decimals: 1,
                    ),
                    'lowest' => new Quantity($wall->lowest, 'mm', 'least step along the stretch', decimals: 1),
                    'length' => new Quantity($wall->length, 'mm', 'along the wall’s own face', [
                        'stations' => Format::cell($wall->from).' to '.Format::cell($wall->to),
                    ]),
                    'face' => new Quantity($wall->face / 100.0, 'cm²', 'height summed along its face', decimals: 1),
                ],
                self::WHY[$wall->cause],
                self::DO[$wall->cause],
            );
        }

        return $found;
    }
}
