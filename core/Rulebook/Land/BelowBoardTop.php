<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Land;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\LandStudy;

/** Land that lies below the board's top: there is no foam to carve it from, and the board has to be cut open for it. */
final class BelowBoardTop implements LandRule
{
    /** Less than this is sanded off, mm; and less than so much of it, mm². */
    public const MAX_DEPTH_MM = 0.5;

    private const MIN_AREA_MM2 = 100.0;

    public function ids(): array
    {
        return ['below-board-top'];
    }

    public function check(LandStudy $study): array
    {
        $terrain = $study->terrain;
        $top = $study->section->base;
        $area = $deepest = 0.0;
        $at = null;
        foreach ($terrain->heights as $p => $z) {
            if ($top - $z > self::MAX_DEPTH_MM) {
                $area += $terrain->cellArea($p);
                if ($top - $z > $deepest) {
                    [$deepest, $at] = [$top - $z, $p];
                }
            }
        }
        if ($at === null || $area < self::MIN_AREA_MM2) {
            return [];
        }
        [$x, $y] = $terrain->middle($at);

        return [
            new Finding(
                'below-board-top',
                Severity::Care,
                'Land below the board’s top',
                $study->section->uid,
                Place::at($x, $y),
                [
                    'deepest' => new Quantity(
                        $deepest,
                        'mm',
                        'board’s top less the land there',
                        ['top' => Format::length($top, 1)],
                        decimals: 1,
                    ),
                    'over' => new Quantity(
                        $area / 100.0,
                        'cm²',
                        'plan area more than '.Format::length(0.5, 1).' below the top',
                        decimals: 0,
                    ),
                ],
                'No foam is cut for it: the board would have to be opened there.',
                'Raise it, cut the board open, or set the board’s top lower.',
            ),
        ];
    }
}
