<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Step;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** An area that cannot be worked before the material stops being workable. */
final class AreaTooLarge implements WorkRule
{
    /** What sums of strips differ by, minutes. */
    private const TOLERANCE_MINUTES = 1e-6;

    public function ids(): array
    {
        return ['area-too-large-for-open-time'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach ($work->moves as $move) {
            $needed = $move->coat->openMinutesOf($move->area, $move->pass);
            // Of a strip no larger than a hand there is no smaller one to be had.
            $hand = $move->area <= Step::HAND_DM2 * 1e4;
            $there = $work->workable($move->section, $move->coat, $move->pass);
            if ($needed !== null && $needed > $there + self::TOLERANCE_MINUTES) {
                $found[$move->coat->uid] ??= CoatPair::on(
                    $plan,
                    $move->section->uid,
                    $move->zone->uid,
                    'area-too-large-for-open-time',
                    Severity::Care,
                    $move->coat->title().($hand ? ' skins before a hand’s breadth is done' : ' skins before it is done'),
                    [
                        'needed' => new Quantity($needed, 'min', 'open work a dm² × area of the strip', decimals: 1),
                        'workable' => new Quantity(
                            $there,
                            'min',
                            'shortest workable time in this room, as surely as the layout asks',
                            decimals: 1,
                        ),
                    ],
                    'What comes last lies on glue that has skinned, and brushes off when it is dry.',
                    $hand
                        ? 'Slow the glue, cool the room, or hold it in another way: one that goes patch by patch.'
                        : 'Work in smaller strips, from back to front, or slow the glue.',
                );
            }
        }

        return array_values($found);
    }
}
