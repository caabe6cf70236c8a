<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Cuts;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\CutStudy;

/** A board that is wet heavier than one person should lift. */
final class WeightOverLimit implements CutRule
{
    public function ids(): array
    {
        return ['weight-over-limit'];
    }

    public function check(CutStudy $study): array
    {
        $wet = $study->weight->wet();
        if ($wet <= $study->build->lift) {
            return [];
        }
        $people = $study->weight->people($study->build);

        return [
            new Finding(
                'weight-over-limit',
                Severity::Care,
                "{$study->section->name} takes {$people} to lift while it is wet",
                $study->section->uid,
                Place::at($study->section->width / 2.0, $study->section->depth / 2.0),
                [
                    'wet' => new Quantity(
                        $wet,
                        'kg',
                        'parts of the board with their plaster wet',
                        ['dry' => Format::text($study->weight->dry(), 'kg', 1)],
                        decimals: 1,
                    ),
                    'limit' => new Quantity($study->build->lift, 'kg', 'what one person lifts, as set', [], 'yours', 1),
                ],
                'Whoever lifts it alone drops it, or is hurt.',
                'Two people, or wait until it is dry; hollow the stack to make it lighter.',
            ),
        ];
    }
}
